import {
  type FeastTimetable,
  followsGuests,
  type GatheringDoc,
  type GatheringDrink,
} from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import type { Recipe } from '../documents/recipe.ts';
import { type Impossible, proofAgainst } from '../schedule/impossible.ts';
import { keepSchedule, type Stood } from '../schedule/keep.ts';
import type { Need, PlacedStage, Schedule } from '../schedule/project.ts';
import { searchSchedule } from '../schedule/search.ts';
import type { Tables } from '../tables/types.ts';
import { MINUTE_MS } from '../units/time.ts';
import type { Job } from './chainOf.ts';
import {
  type Demand,
  demandOf,
  enoughL,
  type Flow,
  flowsOf,
  type HouseThirst,
  NO_GATHERING_YET,
  type SharedDrink,
  shareOut,
} from './demand.ts';
import { type FeastBatch, type FeastBottles, type FeastDrink, feastDrink } from './drinks.ts';
import { type FeastProject, feastProject, latestDoneMs, SLOT_MS } from './feastProject.ts';
import { fewestMends, isServed, lastsThrough, type Mending, mayDrink, type TableLot } from './mayDrink.ts';
import { RESOURCE, type ResourceKind } from './pieces.ts';

/** Everything that a gathering is worked out from. */
export interface FeastInput {
  gathering: GatheringDoc;
  kitchen: Kitchen;
  batches: readonly FeastBatch[];
  bottles: ReadonlyMap<string, FeastBottles>;
  house?: HouseThirst;
  /** Hours that were found before for the same: what can stay of them stays. */
  stood?: Pick<FeastTimetable, 'places' | 'joined'>;
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

/** Something of the kitchen that a drink takes for a while. */
export interface FeastBooking {
  kind: ResourceKind;
  /** Which of its kind; null where there is only one. */
  ofId: string | null;
  drinkId: string;
  amount: number;
  fromMs: number;
  toMs: number;
}

/** The hours of a feast. */
export interface FeastTimes {
  jobs: readonly FeastJob[];
  booked: readonly FeastBooking[];
  /** Drinks for which no hours were found. */
  missing: readonly string[];
  joined: readonly { joinId: string; drinkIds: readonly string[]; savedMin: number }[];
  meanwhile: readonly { drinkId: string; stepId: string; during: string; minutes: number }[];
  sittings: number;
  darkMin: number;
  /** The most litres in the fridge at once. */
  peakL: number;
}

/** Everything that follows from what was settled of a gathering. */
export interface Feast extends Sized {
  times: FeastTimes | null;
  impossible: Impossible | null;
}

export interface FeastControl {
  over: () => boolean;
  seed: number;
  /** How much of what, before any hours. */
  onSized?: (sized: Sized) => void;
  onBest?: (times: FeastTimes) => void;
}

/** What of an iced glass is drink. */
export const inGlassMl = (g: Pick<GatheringDoc, 'glassMl' | 'iceShare'>): number =>
  g.glassMl * (1 - g.iceShare);

/** Before anything is sized, so much is taken for a drink, L. */
const FIRST_L = 5;

export interface Sized {
  demand: Demand;
  /** What is to stand ready in all, L. */
  totalL: number;
  /** What each drink's part of it is, L. */
  shareL: ReadonlyMap<string, number>;
  /** What is made beside it for gifts, L. */
  giftL: ReadonlyMap<string, number>;
  /** Who drinks how much of what. */
  flows: readonly Flow[];
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
  const shared = gathering.drinks.map((d, i): SharedDrink => {
    const mine = [{ ...first[i]!.lot, lasts: true }, ...apartOf(d, first[i]!)];
    return {
      id: d.id,
      share: first[i]!.problem ? 0 : d.share,
      groupIds: new Set(groups.filter((g) => mine.some((lot) => mayDrink(g, lot))).map((g) => g.id)),
    };
  });
  const flows = flowsOf(demand, totalL, shared);
  const shareL = shareOut(demand, totalL, shared);
  const giftL = giftsOf(gathering);
  const drinks = gathering.drinks.map((d, i) => {
    const litres = (shareL.get(d.id) ?? 0) + (giftL.get(d.id) ?? 0);
    return followsGuests(d) && litres > 0 ? feastDrink(d, litres, batches, bottles, around) : first[i]!;
  });
  const lots = drinks.flatMap((d, i): TableLot[] => [
    { ...d.lot, lasts: lastsFor(d, gathering.drinks[i]!, gathering, tables, nowMs) },
    ...apartOf(gathering.drinks[i]!, d),
  ]);
  const mending = fewestMends(
    gathering.groups,
    lots,
    drinks.flatMap((d) => d.cuts),
  );
  return { demand, totalL, shareL, giftL, flows, drinks, lots, mending };
}

/** Bottles that are given away, by drink, L. */
function giftsOf({ gifts }: Pick<GatheringDoc, 'gifts'>): Map<string, number> {
  const litres = new Map<string, number>();
  for (const { drinkId, bottles, bottleMl } of gifts)
    litres.set(drinkId, (litres.get(drinkId) ?? 0) + (bottles * bottleMl) / 1000);
  return litres;
}

/** What is set apart of a drink, as it would stand on the table. */
const apartOf = (drink: GatheringDrink, made: FeastDrink): TableLot[] =>
  drink.apart.flatMap(({ beforeStepId }) => {
    const cut = made.cuts.find((c) => c.beforeStepId === beforeStepId);
    return cut ? [cut.lot] : [];
  });

/**
 * Whether it can be made so late that it is good until the last glass: of bottles that they still are, of a batch that is on
 * that it can be put off so long, or is frozen.
 */
function lastsFor(
  d: FeastDrink,
  settled: GatheringDrink,
  g: Pick<GatheringDoc, 'servesAtMs' | 'untilMs'>,
  tables: Tables,
  nowMs: number,
): boolean {
  if ('untilMs' in d.life) return d.life.untilMs >= g.untilMs;
  if (d.begun && !settled.frozen && latestDoneMs(d, tables, nowMs) + d.life.fromDoneMs < g.untilMs)
    return false;
  return lastsThrough(d.life.fromDoneMs, d.chillMs, g);
}

/** The whole of it: how much, for whom, and when what is done. */
export function planFeast(
  input: FeastInput,
  book: readonly Recipe[],
  tables: Tables,
  control: FeastControl,
): Feast {
  const sized = sizeFeast(input, book, tables);
  control.onSized?.(sized);
  const frame = feastProject(input.gathering, sized.drinks, input.kitchen, tables, input.nowMs);
  if (!frame) return { ...sized, times: null, impossible: null };
  const { onBest } = control;
  const kept = input.stood && keepSchedule(frame.project, stoodOn(frame, input.stood));
  const impossible = kept?.missing.length === 0 ? null : proofAgainst(frame.project);
  // What was kept stands where it is whole, or where it is shown that nothing more can be.
  const best =
    kept && (kept.missing.length === 0 || (impossible && kept.placed.length > 0))
      ? kept
      : searchSchedule(frame.project, {
          seed: control.seed,
          over: control.over,
          ...(onBest
            ? { onBest: (schedule: Schedule) => onBest(timesOf(frame, schedule, input.gathering)) }
            : {}),
        });
  return {
    ...sized,
    times: timesOf(frame, best, input.gathering),
    impossible: best.missing.length > 0 ? impossible : null,
  };
}

/** Hours as they were kept, on the slots of today's project. */
const stoodOn = ({ fromMs }: FeastProject, stood: Pick<FeastTimetable, 'places' | 'joined'>): Stood => ({
  placed: stood.places.map(({ drinkId, jobId, startMs, by }) => ({
    chainId: drinkId,
    stageId: jobId,
    start: Math.floor((startMs - fromMs) / SLOT_MS),
    by: by === null ? null : RESOURCE.person(by),
  })),
  joined: stood.joined.map(({ joinId, drinkIds }) => ({ joinId, chainIds: drinkIds })),
});

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
    // In one order, however they were found: the same hours are the same.
    jobs: schedule.placed
      .map((p) => jobOf(p, frame, at, together, gathering))
      .sort((a, b) => a.startMs - b.startMs || (a.drinkId < b.drinkId ? -1 : a.drinkId > b.drinkId ? 1 : 0)),
    booked: bookedIn(frame, schedule),
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
    by: frame.project.resources.find((r) => r.id === p.by)?.ofId ?? null,
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

/** What a schedule takes of the kitchen, and how long: by stages, by waits between them, and until it is served. */
function bookedIn(frame: FeastProject, schedule: Schedule): FeastBooking[] {
  const { project, fromMs } = frame;
  const booked: FeastBooking[] = [];
  for (const chain of project.chains) {
    const placed = schedule.placed.filter((p) => p.chainId === chain.id);
    const add = (needs: readonly Need[], start: number, end: number) => {
      for (const { resourceId, amount } of needs) {
        const resource = project.resources.find((r) => r.id === resourceId);
        if (end <= start || !resource) continue;
        const { kind, ofId } = resource;
        const [fromSlot, toSlot] = [fromMs + start * SLOT_MS, fromMs + end * SLOT_MS];
        // What goes on with the same is one stretch.
        const same = booked.find(
          (b) =>
            b.drinkId === chain.id &&
            b.kind === kind &&
            b.ofId === ofId &&
            b.amount === amount &&
            b.toMs === fromSlot,
        );
        if (same) same.toMs = toSlot;
        else booked.push({ kind, ofId, drinkId: chain.id, amount, fromMs: fromSlot, toMs: toSlot });
      }
    };
    for (const [i, stage] of chain.stages.entries()) {
      const p = placed[i];
      if (!p) break;
      add(stage.needs, p.start, p.end);
      const next = placed[i + 1];
      if (next) add(stage.wait.needs, p.end, next.start);
    }
    const last = placed.at(-1);
    if (last) add(chain.holds, last.end, Math.min(chain.heldUntil, project.slots));
  }
  return booked;
}
