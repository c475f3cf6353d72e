import type { GatheringDoc } from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import { nightsOf } from '../plan/firstStart.ts';
import { awayWindows } from '../plan/timeline.ts';
import { type Join, SLOT_MIN } from '../schedule/project.ts';
import { KEEPING } from '../tables/keeping.ts';
import { SHOP_ROWS } from '../tables/kitchenFacts.ts';
import type { Tables } from '../tables/types.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import { type ChainInput, chainOf, type DrinkChain, type Job } from './chainOf.ts';
import type { FeastDrink } from './drinks.ts';
import {
  type FeastResource,
  joinOf,
  type KitchenProject,
  type Meanwhile,
  type Piece,
  piecesOf,
  placeMeanwhile,
  RESOURCE,
} from './pieces.ts';

export const SLOT_MS = SLOT_MIN * MINUTE_MS;
/** The cook herself, among those who help. */
export const COOK = 'cook';

/** Nothing is begun longer before the feast. */
const MOST_AHEAD_MS = 14 * DAY_MS;
/** Fresh things are bought so long ahead at most, others so long, ms. Source: general kitchen practice. */
const FRESH_KEEPS_MS = 2 * DAY_MS;
const DRY_KEEPS_MS = 14 * DAY_MS;
/** A frozen litre thaws in the fridge in so long, ms. */
const THAW_MS = DAY_MS;
/** Thawed it keeps so long, ms. */
const THAWED_MS = KEEPING.thawedDays * DAY_MS;
/** So many pots can be kept an eye on by one who is there. */
const EYES = 3;
/** Doors of shops, min after midnight. */
const SHOPS = { fromMin: 8 * 60, toMin: 20 * 60 };
/** Of a washing that two drinks share, so much of the shorter one is saved. */
const WASH_SAVED = 0.5;

export interface FeastProject {
  project: KitchenProject;
  fromMs: number;
  chains: ReadonlyMap<string, DrinkChain>;
  meanwhile: readonly (Meanwhile & { drinkId: string })[];
}

/**
 * A gathering as a project of chains and resources, from now until the last glass; of a feast that is far ahead the last two
 * weeks.
 * @returns null where it is over.
 */
export function feastProject(
  gathering: GatheringDoc,
  drinks: readonly FeastDrink[],
  kitchen: Kitchen,
  tables: Tables,
  nowMs: number,
): FeastProject | null {
  const { servesAtMs, untilMs } = gathering;
  if (untilMs <= nowMs) return null;
  const fromMs = Math.floor(Math.max(nowMs, servesAtMs - MOST_AHEAD_MS) / SLOT_MS) * SLOT_MS;
  const slots = Math.ceil((untilMs - fromMs) / SLOT_MS);
  const slotOf = (ms: number) => Math.floor((ms - fromMs) / SLOT_MS);
  const dark = darkSlots(kitchen, fromMs, slots);
  const people = [COOK, ...gathering.helpers.map((h) => h.id)];
  const chains = new Map<string, DrinkChain>();
  const meanwhile: (Meanwhile & { drinkId: string })[] = [];
  for (const drink of drinks) {
    if (drink.problem) continue;
    const settled = gathering.drinks.find((d) => d.id === drink.id);
    const servedAt = slotOf(servesAtMs);
    const frozen = settled?.frozen === true || drink.frozenL > 0;
    // What stands in the freezer already is thawed whatever was settled of it.
    const thaw =
      frozen && !isDone(gathering, drink.id, 'thaw')
        ? { slots: Math.ceil(THAW_MS / SLOT_MS), litres: drink.frozenL || drink.litres }
        : null;
    const common = { drinkId: drink.id, people, litres: drink.litres, earliest: 0, servedAt, thaw };
    const done = drink.begun !== null && drink.begun.currentStepId === null;
    if (!drink.made || done) {
      if (thaw) chains.set(drink.id, withPins(onlyThawed(common, slots), gathering, slotOf));
      continue;
    }
    const { program, sim } = drink.made;
    const all = piecesOf(program, sim, tables);
    const at = drink.begun ? all.findIndex((p) => p.stepId === drink.begun!.currentStepId) : -1;
    const pieces = at < 0 ? all : [whatIsLeftOf(all[at]!, drink, fromMs), ...all.slice(at + 1)];
    const placed = placeMeanwhile(pieces);
    meanwhile.push(...placed.meanwhile.map((m) => ({ ...m, drinkId: drink.id })));
    // What is set apart of it has to last as well: the shorter of them counts.
    const apart = drink.cuts.filter((c) => settled?.apart.some((a) => a.beforeStepId === c.beforeStepId));
    const lifeMs = Math.min(
      'fromDoneMs' in drink.life ? drink.life.fromDoneMs : 0,
      ...apart.map((c) => c.fromDoneMs),
    );
    const lastsMs = frozen ? THAWED_MS : lifeMs;
    const chain = chainOf({
      ...common,
      pieces: placed.pieces,
      latest: servedAt - (frozen ? 0 : Math.ceil(drink.chillMs / SLOT_MS)),
      // What is begun and cannot be put off so long is made all the same: it is not served.
      notBefore:
        drink.begun && !frozen && latestDoneMs(drink, tables, nowMs) + lastsMs < untilMs
          ? 0
          : slots - Math.floor(lastsMs / SLOT_MS),
      goingOnSince: at < 0 ? null : 0,
      shopKeeps:
        drink.begun || isDone(gathering, drink.id, 'shop')
          ? null
          : Math.floor(boughtKeepsMs(program.lines) / SLOT_MS),
      hotBottles:
        program.steps.some((s) => s.kind === 'bottle' && s.hygiene === 'sterilised') &&
        !isDone(gathering, drink.id, 'bottles'),
    });
    chains.set(drink.id, withPins(chain, gathering, slotOf));
  }
  return {
    project: {
      slots,
      chains: [...chains.values()].map((c) => c.chain),
      dark,
      joins: joinsOf(chains, gathering),
      resources: resourcesOf(gathering, kitchen, fromMs, slots),
    },
    fromMs,
    chains,
    meanwhile,
  };
}

/** A drink that is filled and frozen: it is taken out in time, and no sooner than it keeps. */
const onlyThawed = (
  common: Pick<ChainInput, 'drinkId' | 'people' | 'litres' | 'earliest' | 'servedAt' | 'thaw'>,
  slots: number,
): DrinkChain =>
  chainOf({
    ...common,
    pieces: [],
    latest: common.servedAt,
    notBefore: slots - Math.floor(THAWED_MS / SLOT_MS),
    goingOnSince: null,
    shopKeeps: null,
    hotBottles: false,
  });

const isDone = (g: Pick<GatheringDoc, 'done'>, drinkId: string, jobId: NonNullable<Job['extra']>): boolean =>
  g.done.some((d) => d.drinkId === drinkId && d.jobId === jobId);

/**
 * When a batch that is begun can be done at the latest, ms: its steps one after the other, each put off as long as it may wait.
 */
export function latestDoneMs(drink: FeastDrink, tables: Tables, nowMs: number): number {
  const { program, sim } = drink.made!;
  const all = piecesOf(program, sim, tables);
  const goingOn = all.findIndex((p) => p.stepId === drink.begun!.currentStepId);
  if (goingOn < 0) return nowMs;
  const left = all.slice(goingOn);
  const endsMs = Math.max(nowMs, goingEndsMs(drink, left[0]!.stepId));
  const laterMin = left.slice(1).reduce((sum, p) => sum + p.minutes + p.waitMin, left[0]!.waitMin);
  return endsMs + laterMin * MINUTE_MS;
}

/** What is late is to be done within so long from now, min. */
const LATE_MIN = 60;

/**
 * A step that is going on: what is left of it, a slot where it could end now, and how long it may wait after that. A steep that
 * has gone on past its time has used up some of that.
 */
function whatIsLeftOf(piece: Piece, drink: FeastDrink, fromMs: number): Piece {
  const { program, sim } = drink.made!;
  const leftMin = (goingEndsMs(drink, piece.stepId) - fromMs) / MINUTE_MS;
  const step = program.steps.find((s) => s.id === piece.stepId);
  const entry = sim.trace.find((t) => t.stepId === piece.stepId);
  const planned = step && 'until' in step && step.until.kind === 'duration' ? step.until.minutes : null;
  const overMin =
    planned === null || !entry
      ? 0
      : Math.max(0, (fromMs - drink.begun!.startedMs) / MINUTE_MS - entry.startMin - planned);
  return {
    ...piece,
    minutes: Math.max(SLOT_MIN, leftMin),
    waitMin: Math.max(LATE_MIN, piece.waitMin - overMin),
  };
}

/** When the step that is going on will be over, as far as its batch tells. */
function goingEndsMs(drink: FeastDrink, stepId: string): number {
  const entries = drink.made!.sim.trace.filter((t) => t.stepId === stepId);
  return drink.begun!.startedMs + Math.max(0, ...entries.map((e) => e.endMin)) * MINUTE_MS;
}

/** A job that the cook has dragged stays where she put it, where its drink still has it. */
function withPins(
  chain: DrinkChain,
  gathering: Pick<GatheringDoc, 'pins'>,
  slotOf: (ms: number) => number,
): DrinkChain {
  const pins = gathering.pins.filter((p) => p.drinkId === chain.chain.id);
  if (pins.length === 0) return chain;
  const stages = chain.chain.stages.map((stage) => {
    const pin = pins.find((p) => p.jobId === stage.id);
    return pin && stage.fixedAt === null ? { ...stage, fixedAt: Math.max(0, slotOf(pin.atMs)) } : stage;
  });
  return { ...chain, chain: { ...chain.chain, stages } };
}

/** How long what goes in keeps from the shop on: fresh things by their shop. */
const boughtKeepsMs = (lines: readonly { itemId: string }[]): number =>
  lines.some((l) => SHOP_ROWS.some((row) => row.itemId === l.itemId && row.shop === 'market'))
    ? FRESH_KEEPS_MS
    : DRY_KEEPS_MS;

/** Work of several drinks that is the same: one trip to the shop, one washing, one heating of bottles. */
function joinsOf(
  chains: ReadonlyMap<string, DrinkChain>,
  gathering: Pick<GatheringDoc, 'notJoined'>,
): Join[] {
  const members = new Map<string, { chainId: string; stageId: string; slots: number }[]>();
  for (const [chainId, { chain, jobs }] of chains)
    for (const stage of chain.stages) {
      const key = jobs.get(stage.id)?.joinKey;
      // What a cook does at an hour of her own, and what is going on, is not moved for others.
      if (!key || stage.fixedAt !== null || gathering.notJoined.includes(key)) continue;
      members.set(key, [...(members.get(key) ?? []), { chainId, stageId: stage.id, slots: stage.slots }]);
    }
  return [...members].flatMap(([id, of]) => {
    // Of one drink only one can be in it.
    const each = of.filter((m, i) => of.findIndex((o) => o.chainId === m.chainId) === i);
    const shortest = Math.min(...each.map((m) => m.slots));
    const savedSlots = joinOf(id).kind === 'wash' ? Math.floor(shortest * WASH_SAVED) : shortest;
    return each.length > 1 && savedSlots > 0
      ? [{ id, members: each.map(({ chainId, stageId }) => ({ chainId, stageId })), savedSlots }]
      : [];
  });
}

/** Slots in which somebody sleeps. */
function darkSlots(kitchen: Kitchen, fromMs: number, slots: number): boolean[] {
  return within(nightsOf(kitchen, fromMs, fromMs + slots * SLOT_MS), fromMs, slots);
}

const within = (
  windows: readonly { fromMs: number; toMs: number }[],
  fromMs: number,
  slots: number,
): boolean[] => {
  const row = new Array<boolean>(slots).fill(false);
  for (const w of windows) {
    const first = Math.max(0, Math.floor((w.fromMs - fromMs) / SLOT_MS));
    const last = Math.min(slots, Math.ceil((w.toMs - fromMs) / SLOT_MS));
    for (let slot = first; slot < last; slot++) row[slot] = true;
  }
  return row;
};

/** Whole slots in which somebody is there. */
const present = (helper: { fromMs: number; toMs: number }, fromMs: number, slots: number): number[] =>
  Array.from({ length: slots }, (_, slot) => {
    const startMs = fromMs + slot * SLOT_MS;
    return startMs >= helper.fromMs && startMs + SLOT_MS <= helper.toMs ? 1 : 0;
  });

const person = (id: string) => ({ id: RESOURCE.person(id), kind: 'person' as const, ofId: id });

function resourcesOf(
  gathering: Pick<GatheringDoc, 'helpers' | 'borrowed'>,
  kitchen: Kitchen,
  fromMs: number,
  slots: number,
): FeastResource[] {
  const { borrowed } = gathering;
  const always = (amount: number) => new Array<number>(slots).fill(amount);
  const out = within(
    awayWindows(
      kitchen.away.filter((a) => a.kind === 'away'),
      kitchen.zone,
      fromMs,
      fromMs + slots * SLOT_MS,
    ),
    fromMs,
    slots,
  );
  const cook = out.map((away) => (away ? 0 : 1));
  const helpers = gathering.helpers.map((h) => ({
    ...person(h.id),
    capacity: present(h, fromMs, slots),
  }));
  const somebody = cook.map((here, slot) => here + helpers.reduce((sum, h) => sum + h.capacity[slot]!, 0));
  const shut = awayWindows(
    [{ kind: 'away', days: [0, 1, 2, 3, 4, 5, 6], fromMin: SHOPS.toMin, toMin: SHOPS.fromMin }],
    kitchen.zone,
    fromMs,
    fromMs + slots * SLOT_MS,
  );
  const freezerL = kitchen.places.filter((p) => p.kind === 'freezer').reduce((sum, p) => sum + p.litres, 0);
  return [
    { ...person(COOK), capacity: cook },
    ...helpers,
    { id: RESOURCE.eyes, kind: 'eyes', ofId: null, capacity: somebody.map((n) => n * EYES) },
    ...kitchen.burners.map((b) => ({
      id: RESOURCE.ring(b.id),
      kind: 'ring' as const,
      ofId: b.id,
      capacity: always(1 + borrowed.rings),
    })),
    ...kitchen.pots.map((p) => ({
      id: RESOURCE.pot(p.id),
      kind: 'pot' as const,
      ofId: p.id,
      capacity: always(1 + borrowed.pots),
    })),
    { id: RESOURCE.blender, kind: 'blender', ofId: null, capacity: always(1) },
    { id: RESOURCE.sieve, kind: 'sieve', ofId: null, capacity: always(1) },
    {
      id: RESOURCE.fridge,
      kind: 'fridge',
      ofId: null,
      capacity: always(kitchen.fridgeFreeL + borrowed.coldL),
    },
    { id: RESOURCE.freezer, kind: 'freezer', ofId: null, capacity: always(freezerL) },
    {
      id: RESOURCE.shops,
      kind: 'shops',
      ofId: null,
      capacity: within(shut, fromMs, slots).map((s) => (s ? 0 : 1)),
    },
  ];
}
