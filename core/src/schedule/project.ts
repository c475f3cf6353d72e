/**
 * What is to be placed in time: drinks as chains of stages with waits between them, and what there is of hands, rings,
 * pots and litres. Time goes in slots, so that a chain can be placed exactly. Nothing here knows what a drink is.
 */

/** Minutes of one slot. */
export const SLOT_MIN = 5;
/** Attended work with no more than so many free slots between is one sitting: half an hour. */
export const SITTING_GAP = 6;

export interface Resource {
  id: string;
  /** What there is of it in each slot of the project. */
  capacity: readonly number[];
}

export interface Need {
  resourceId: string;
  amount: number;
}

/** What may lie between a stage and the next one of its chain. */
export interface Wait {
  minSlots: number;
  maxSlots: number;
  /** Booked for as long as it waits: its pot, litres of the fridge. */
  needs: readonly Need[];
}

export interface Stage {
  id: string;
  /** At least 1. */
  slots: number;
  needs: readonly Need[];
  /** One of these is needed beside: the hands of one or the other. Empty: none. */
  oneOf: readonly Need[];
  /** Somebody has to be there: it makes sittings, and is not wanted in the dark. */
  attended: boolean;
  /** What may lie between it and the next stage; of the last one it is not asked. */
  wait: Wait;
  /** Where it has to begin; null: where there is room. */
  fixedAt: number | null;
}

/** One drink. Its stages follow one another. */
export interface Chain {
  id: string;
  stages: readonly Stage[];
  /** How much stands waiting once it is done, L. */
  litres: number;
  /** The first stage begins here at the earliest. */
  earliest: number;
  /** The last stage ends here at the latest. */
  latest: number;
  /** And here at the earliest: its life has to last until the last glass. */
  notBefore: number;
  /** Booked from its end until it is served. */
  holds: readonly Need[];
  heldUntil: number;
}

/** A chain with some of its stages held where they are to begin; where one is fixed already it stays. */
export const holding = (chain: Chain, startOf: (stage: Stage) => number | undefined): Chain => ({
  ...chain,
  stages: chain.stages.map((stage) => {
    const start = stage.fixedAt === null ? startOf(stage) : undefined;
    return start === undefined ? stage : { ...stage, fixedAt: start };
  }),
});

/** Stages of several chains that can be done as one. */
export interface Join {
  id: string;
  members: readonly { chainId: string; stageId: string }[];
  /** Saved by each member after the first. */
  savedSlots: number;
}

export interface Project {
  slots: number;
  resources: readonly Resource[];
  chains: readonly Chain[];
  /** Slots in which nobody is to be called. */
  dark: readonly boolean[];
  joins: readonly Join[];
}

export interface PlacedStage {
  chainId: string;
  stageId: string;
  start: number;
  /** The first slot after it. */
  end: number;
  /** The resource that was taken of `oneOf`. */
  by: string | null;
}

/** What a schedule is judged by, the first that differs decides. Less is better of each. */
export interface Score {
  /** Chains that have no place; what is going on already counts more than all others. */
  missing: number;
  /** Slots of attended work in the dark. */
  darkSlots: number;
  sittings: number;
  /** Slots of attended work: what is done as one counts once. */
  workSlots: number;
  /** Litres times slots that they stand waiting. */
  litreSlots: number;
  /** The most that is booked at once of the resources that chains hold, summed. */
  peak: number;
}

export interface Schedule {
  placed: readonly PlacedStage[];
  missing: readonly string[];
  /** Stages that are done as one, by the join's id. */
  joined: readonly { joinId: string; chainIds: readonly string[] }[];
  score: Score;
}

const ORDER = ['missing', 'darkSlots', 'sittings', 'workSlots', 'litreSlots', 'peak'] as const;

/** Negative where the first is better, 0 where both are as good. */
export function compareScores(a: Score, b: Score): number {
  for (const key of ORDER) {
    const by = a[key] - b[key];
    if (Math.abs(by) > 1e-6) return by;
  }
  return 0;
}
