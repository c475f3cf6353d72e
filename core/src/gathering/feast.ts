import type { GatheringDoc } from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import type { Recipe } from '../documents/recipe.ts';
import { type Impossible, proofAgainst } from '../schedule/impossible.ts';
import type { PlacedStage, Project, Schedule } from '../schedule/project.ts';
import { searchSchedule } from '../schedule/search.ts';
import type { Tables } from '../tables/types.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import type { Job } from './chainOf.ts';
import { type Demand, demandOf, enoughL, type HouseThirst, NO_GATHERING_YET, shareOut } from './demand.ts';
import { type FeastBatch, type FeastBottles, type FeastDrink, feastDrink } from './drinks.ts';
import { type FeastProject, feastProject, SLOT_MS } from './feastProject.ts';
import { fewestMends, isServed, type Mending, mayDrink, type TableLot } from './mayDrink.ts';

/** Everything that a gathering is worked out from. */
export interface FeastInput {
  gathering: GatheringDoc;
  kitchen: Kitchen;
  batches: readonly FeastBatch[];
  bottles: ReadonlyMap<string, FeastBottles>;
  house?: HouseThirst;
  nowMs: number;
}

export interface FeastJob {
  drinkId: string;
  jobId: string;
  startMs: number;
  endMs: number;
  /** Whose hands; null: nobody's. */
  by: string | null;
  attended: boolean;
  extra: Job['extra'];
  parts: readonly { stepId: string; startMs: number; endMs: number }[];
  /** The drinks that it is done for at once, this one among them. */
  together: readonly string[];
  /** The cook has put it there herself. */
  pinned: boolean;
}

/** The hours of a feast. */
export interface FeastTimes {
  jobs: readonly FeastJob[];
  /** Drinks for which no hours were found. */
  missing: readonly string[];
  joined: readonly { joinId: string; drinkIds: readonly string[]; savedMin: number }[];
  meanwhile: readonly { drinkId: string; stepId: string; during: string; minutes: number }[];
  sittings: number;
  darkMin: number;
  /** The most litres in the fridge at once. */
  peakL: number;
}

export interface Feast {
  demand: Demand;
  /** What is to stand ready in all, L. */
  totalL: number;
  /** What each drink's part of it is, L. */
  shareL: ReadonlyMap<string, number>;
  drinks: readonly FeastDrink[];
  lots: readonly TableLot[];
  mending: Mending;
  times: FeastTimes | null;
  impossible: Impossible | null;
}

export interface FeastControl {
  over: () => boolean;
  seed: number;
  onBest?: (times: FeastTimes) => void;
}

/** What of an iced glass is drink. */
export const inGlassMl = (g: Pick<GatheringDoc, 'glassMl' | 'iceShare'>): number =>
  g.glassMl * (1 - g.iceShare);

/** Before anything is sized, so much is taken for a drink, L. */
const FIRST_L = 5;

export interface Sized {
  demand: Demand;
  totalL: number;
  shareL: ReadonlyMap<string, number>;
  drinks: readonly FeastDrink[];
  lots: readonly TableLot[];
  mending: Mending;
}

/**
 * How much of what: who may have which drink decides how the litres are shared out, and what is in a drink does not hang on
 * its litres, so that one round is enough.
 */
export function sizeFeast(input: FeastInput, book: readonly Recipe[], tables: Tables): Sized {
  const { gathering, kitchen, batches, bottles, nowMs, house = NO_GATHERING_YET } = input;
  const around = { gathering, kitchen, tables, book, nowMs };
  const demand = demandOf(gathering, inGlassMl(gathering), house);
  const totalL = demand.meanL > 0 ? enoughL(demand, gathering.assurance) : 0;
  const first = gathering.drinks.map((d) => feastDrink(d, FIRST_L, batches, bottles, around));
  const groups = gathering.groups.filter(isServed);
  const shareL = shareOut(
    demand,
    totalL,
    gathering.drinks.map((d, i) => ({
      id: d.id,
      share: first[i]!.problem ? 0 : d.share,
      groupIds: new Set(
        groups.filter((g) => mayDrink(g, { ...first[i]!.lot, lasts: true })).map((g) => g.id),
      ),
    })),
  );
  const drinks = gathering.drinks.map((d, i) => {
    const asks = d.source.kind === 'plan' && d.source.litres === null;
    const litres = shareL.get(d.id) ?? 0;
    return asks && litres > 0 ? feastDrink(d, litres, batches, bottles, around) : first[i]!;
  });
  const lots = drinks.map((d): TableLot => ({ ...d.lot, lasts: lastsFor(d, gathering) }));
  const mending = fewestMends(
    gathering.groups,
    lots,
    drinks.flatMap((d) => d.cuts),
  );
  return { demand, totalL, shareL, drinks, lots, mending };
}

/** Whether it can be made so late that it is good until the last glass: of bottles that they still are. */
const lastsFor = (d: FeastDrink, g: Pick<GatheringDoc, 'servesAtMs' | 'untilMs'>): boolean =>
  'untilMs' in d.life
    ? d.life.untilMs >= g.untilMs
    : d.life.fromDoneMs >= g.untilMs - g.servesAtMs + Math.min(d.chillMs, DAY_MS);

/** The whole of it: how much, for whom, and when what is done. */
export function planFeast(
  input: FeastInput,
  book: readonly Recipe[],
  tables: Tables,
  control: FeastControl,
): Feast {
  const sized = sizeFeast(input, book, tables);
  const frame = feastProject(input.gathering, sized.drinks, input.kitchen, tables, input.nowMs);
  if (!frame) return { ...sized, times: null, impossible: null };
  const { onBest } = control;
  const best = searchSchedule(frame.project, {
    seed: control.seed,
    over: control.over,
    ...(onBest ? { onBest: (schedule: Schedule) => onBest(timesOf(frame, schedule, input.gathering)) } : {}),
  });
  return {
    ...sized,
    times: timesOf(frame, best, input.gathering),
    impossible: best.missing.length > 0 ? proofAgainst(frame.project) : null,
  };
}

/** A schedule in the words of the feast: slots as moments, stages as jobs. */
export function timesOf(
  frame: FeastProject,
  schedule: Schedule,
  gathering: Pick<GatheringDoc, 'pins'>,
): FeastTimes {
  const { project, fromMs } = frame;
  const at = (slot: number) => fromMs + slot * SLOT_MS;
  const together = new Map(
    schedule.joined.flatMap(({ joinId, chainIds }) =>
      project.joins
        .find((j) => j.id === joinId)!
        .members.filter((m) => chainIds.includes(m.chainId))
        .map((m) => [`${m.chainId} ${m.stageId}`, chainIds] as const),
    ),
  );
  return {
    jobs: schedule.placed.map((p) => jobOf(p, frame, at, together, gathering)),
    missing: schedule.missing,
    joined: schedule.joined.map(({ joinId, chainIds }) => ({
      joinId,
      drinkIds: chainIds,
      savedMin:
        ((chainIds.length - 1) * project.joins.find((j) => j.id === joinId)!.savedSlots * SLOT_MS) /
        MINUTE_MS,
    })),
    meanwhile: frame.meanwhile.filter((m) => !schedule.missing.includes(m.drinkId)),
    sittings: schedule.score.sittings,
    darkMin: (schedule.score.darkSlots * SLOT_MS) / MINUTE_MS,
    peakL: schedule.score.peak,
  };
}

function jobOf(
  p: PlacedStage,
  frame: FeastProject,
  at: (slot: number) => number,
  together: ReadonlyMap<string, readonly string[]>,
  gathering: Pick<GatheringDoc, 'pins'>,
): FeastJob {
  const { chain, jobs } = frame.chains.get(p.chainId)!;
  const job = jobs.get(p.stageId)!;
  const stage = chain.stages.find((s) => s.id === p.stageId)!;
  const startMs = at(p.start);
  return {
    drinkId: p.chainId,
    jobId: p.stageId,
    startMs,
    endMs: at(p.end),
    by: p.by?.replace(/^person:/, '') ?? null,
    attended: stage.attended,
    extra: job.extra,
    parts: job.parts.map(({ stepId, fromMin, minutes }) => ({
      stepId,
      startMs: startMs + fromMin * MINUTE_MS,
      endMs: Math.min(at(p.end), startMs + (fromMin + minutes) * MINUTE_MS),
    })),
    together: together.get(`${p.chainId} ${p.stageId}`) ?? [p.chainId],
    pinned: gathering.pins.some((pin) => pin.drinkId === p.chainId && pin.jobId === p.stageId),
  };
}

/** The litres of the fridge that a schedule takes, each five minutes: for its drawing. */
export function fridgeOver(frame: Pick<FeastProject, 'project'>, schedule: Schedule): number[] {
  const row = new Array<number>(frame.project.slots).fill(0);
  fill(frame.project, schedule, 'fridge', row);
  return row;
}

function fill(project: Project, schedule: Schedule, resourceId: string, row: number[]): void {
  const add = (amount: number, from: number, to: number) => {
    for (let slot = from; slot < Math.min(to, row.length); slot++) row[slot]! += amount;
  };
  for (const chain of project.chains) {
    const placed = schedule.placed.filter((p) => p.chainId === chain.id);
    for (const [i, stage] of chain.stages.entries()) {
      const p = placed[i];
      if (!p) break;
      for (const n of stage.needs) if (n.resourceId === resourceId) add(n.amount, p.start, p.end);
      const next = placed[i + 1];
      if (next)
        for (const n of stage.wait.needs) if (n.resourceId === resourceId) add(n.amount, p.end, next.start);
    }
    const last = placed.at(-1);
    if (last)
      for (const n of chain.holds) if (n.resourceId === resourceId) add(n.amount, last.end, chain.heldUntil);
  }
}
