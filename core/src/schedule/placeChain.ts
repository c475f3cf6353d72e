import { Bookings } from './bookings.ts';
import { type Chain, type Need, type PlacedStage, type Project, SITTING_GAP, type Stage } from './project.ts';

/** Slots in which no attended work of a chain may begin. */
export interface Stretch {
  from: number;
  to: number;
}

/** Where a search would have a chain. */
export interface Leaning {
  /** What it keeps out of. */
  avoid: readonly Stretch[];
  /** Where a sitting is cheap, slot by slot, 0 to 1. */
  cheap: Float64Array | null;
  /** What it costs to begin a stage in a slot, as litres times slots. */
  price: Float64Array | null;
  /** Of those who are free the one who is named first does it, not the one whose time it uses up most. */
  firstFree: boolean;
}
export const NO_LEANING: Leaning = { avoid: [], cheap: null, price: null, firstFree: false };

/** One slot in the dark is worse than any number of sittings, a sitting worse than any freshness. */
const DARK_COST = 1e9;
const SITTING_COST = 2e6;
/** Of places that are as good otherwise, the one where less lies about waiting, as litres. */
const WAIT_COST = 0.01;

/** States of a stage's start: free slots since the chain's own attended work, more than a gap being all the same. */
const APART = SITTING_GAP + 1;
const STATES = APART + 1;

/**
 * A chain placed in what the others leave, at the least cost there is: first work in the dark, then sittings, then
 * litres standing. Exact, by dynamic programming over slots from the last stage backward. A state is where a stage
 * begins and how long the chain's own attended work lies behind it, for whether two stages are one sitting hangs on that.
 * @returns null where it has no place.
 */
export function placeChain(
  chain: Chain,
  project: Pick<Project, 'slots' | 'dark'>,
  bookings: Bookings,
  leaning: Leaning = NO_LEANING,
): PlacedStage[] | null {
  const { slots } = project;
  const ground = groundOf(project, bookings);
  const { stages } = chain;
  const costs: Float64Array[] = [];
  const nexts: Int32Array[] = [];
  const freeUntil = freeUntilIn(slots, bookings);
  const bounds = boundsOf(chain, slots);
  const behind = behindOf(chain);
  if (bounds.some((b) => b.first > b.last)) return null;
  let after: Float64Array | null = null;
  for (let i = stages.length - 1; i >= 0; i--) {
    const stage = stages[i]!;
    const { first, last } = bounds[i]!;
    const starts = startsOf(stage, first, last, slots, freeUntil, leaning.avoid);
    const tail = after ? waiting(stage, after, slots, freeUntil) : ending(chain, slots, freeUntil);
    const cost = new Float64Array((slots + 1) * STATES).fill(Number.POSITIVE_INFINITY);
    const next = new Int32Array((slots + 1) * STATES).fill(-1);
    let any = false;
    for (let start = first; start <= last; start++) {
      if (!starts[start]) continue;
      const end = start + stage.slots;
      const dark = stage.attended ? (ground.dark[end]! - ground.dark[start]!) * DARK_COST : 0;
      const price = leaning.price ? leaning.price[start]! : 0;
      // After attended work it does not matter what lay before it.
      let later: Later | null = stage.attended ? tail(end, 0) : null;
      if (later?.cost === Number.POSITIVE_INFINITY) continue;
      for (let since = behind[i]!.least; since <= behind[i]!.most; since++) {
        if (!stage.attended) later = tail(end, Math.min(APART, since + stage.slots));
        if (!later || later.cost === Number.POSITIVE_INFINITY) continue;
        let sittings = stage.attended ? ground.sittings(start, end, since) * SITTING_COST : 0;
        if (leaning.cheap && sittings > 0) sittings *= leaning.cheap[start]!;
        cost[start * STATES + since] = dark + sittings + price + later.cost;
        next[start * STATES + since] = later.start;
        any = true;
      }
    }
    if (!any) return null;
    costs[i] = cost;
    nexts[i] = next;
    after = cost;
  }
  return trace(chain, costs[0]!, nexts, bookings, leaning.firstFree);
}

/** Of those who are free the one whose free time is used up most by it: who is there all day is left for what nobody else can do. */
function whoDoes(
  oneOf: readonly Need[],
  start: number,
  end: number,
  bookings: Bookings,
  firstFree: boolean,
): string | null {
  let by: string | null = null;
  let least = Number.POSITIVE_INFINITY;
  for (const need of oneOf) {
    const free = bookings.freeAround(need, start, end);
    if (free === 0 || free >= least) continue;
    by = need.resourceId;
    least = firstFree ? 0 : free;
  }
  return by;
}

/** From the best start forward along what was chosen. */
function trace(
  chain: Chain,
  first: Float64Array,
  nexts: readonly Int32Array[],
  bookings: Bookings,
  firstFree: boolean,
): PlacedStage[] | null {
  let start = -1;
  let best = Number.POSITIVE_INFINITY;
  for (let slot = 0; slot * STATES < first.length; slot++) {
    const cost = first[slot * STATES + APART]!;
    if (cost < best) {
      best = cost;
      start = slot;
    }
  }
  if (start < 0) return null;
  const placed: PlacedStage[] = [];
  let since = APART;
  for (const [i, stage] of chain.stages.entries()) {
    const end = start + stage.slots;
    const by = whoDoes(stage.oneOf, start, end, bookings, firstFree);
    placed.push({ chainId: chain.id, stageId: stage.id, start, end, by });
    const next = nexts[i]![start * STATES + since]!;
    const behind = stage.attended ? 0 : Math.min(APART, since + stage.slots);
    since = Math.min(APART, behind + next - end);
    start = next;
  }
  return placed;
}

/** Between which slots each stage can begin at all, by its chain alone: most of the time need not be looked at. */
function boundsOf(chain: Chain, slots: number): { first: number; last: number }[] {
  const { stages } = chain;
  const bounds = stages.map(({ fixedAt, slots: long }) => ({
    first: Math.max(0, fixedAt ?? 0),
    last: Math.min(slots - long, fixedAt ?? slots),
  }));
  const end = stages.length - 1;
  bounds[0]!.first = Math.max(bounds[0]!.first, chain.earliest);
  for (let i = 0; i < end; i++) {
    const { slots: long, wait } = stages[i]!;
    const next = bounds[i + 1]!;
    next.first = Math.max(next.first, bounds[i]!.first + long + wait.minSlots);
    next.last = Math.min(next.last, bounds[i]!.last + long + wait.maxSlots);
  }
  bounds[end]!.last = Math.min(bounds[end]!.last, chain.latest - stages[end]!.slots);
  bounds[end]!.first = Math.max(bounds[end]!.first, chain.notBefore - stages[end]!.slots);
  for (let i = end; i > 0; i--) {
    const { slots: long, wait } = stages[i - 1]!;
    const before = bounds[i - 1]!;
    before.last = Math.min(before.last, bounds[i]!.last - long - wait.minSlots);
    before.first = Math.max(before.first, bounds[i]!.first - long - wait.maxSlots);
  }
  return bounds;
}

/** How long the chain's own attended work can lie behind the start of each stage. */
function behindOf(chain: Chain): { least: number; most: number }[] {
  let [least, most] = [APART, APART];
  return chain.stages.map(({ attended, slots: long, wait }) => {
    const here = { least, most };
    const plus = (since: number, more: number) => Math.min(APART, (attended ? 0 : since + long) + more);
    [least, most] = [plus(least, wait.minSlots), plus(most, wait.maxSlots)];
    return here;
  });
}

/** Where a stage may begin. */
function startsOf(
  stage: Stage,
  first: number,
  last: number,
  slots: number,
  freeUntil: FreeUntil,
  avoid: readonly Stretch[],
): Uint8Array {
  const starts = new Uint8Array(slots + 1).fill(1, first, last + 1);
  if (stage.attended && stage.fixedAt === null)
    for (const { from, to } of avoid) starts.fill(0, Math.max(0, from), Math.max(0, to));
  for (const need of stage.needs) {
    const end = freeUntil([need]);
    for (let start = first; start <= last; start++) if (end[start]! < start + stage.slots) starts[start] = 0;
  }
  if (stage.oneOf.length > 0) {
    const ends = stage.oneOf.map((need) => freeUntil([need]));
    for (let start = first; start <= last; start++)
      if (starts[start] && !ends.some((end) => end[start]! >= start + stage.slots)) starts[start] = 0;
  }
  return starts;
}

/** For each slot, until when all of this stays free from there on. Never less for a later slot. */
type FreeUntil = (needs: readonly Need[]) => Int32Array;

/** The stages of a chain ask for the same few things again and again: each is gone through once. */
function freeUntilIn(slots: number, bookings: Bookings): FreeUntil {
  const known = new Map<string, Int32Array>();
  const one = ({ resourceId, amount }: Need): Int32Array => {
    const key = `${amount} ${resourceId}`;
    const before = known.get(key);
    if (before) return before;
    const until = new Int32Array(slots + 1);
    const free = bookings.freeOf(resourceId);
    let end = slots;
    until[slots] = slots;
    for (let slot = slots - 1; slot >= 0; slot--) {
      if (!Bookings.has(free, slot, amount)) end = slot;
      until[slot] = end;
    }
    known.set(key, until);
    return until;
  };
  const always = new Int32Array(slots + 1).fill(slots);
  return (needs) => {
    if (needs.length === 0) return always;
    const all = needs.map(one);
    return all.length === 1
      ? all[0]!
      : all[0]!.map((end, slot) => Math.min(end, ...all.map((u) => u[slot]!)));
  };
}

/** What follows on a stage; the same one is filled anew for each question. */
interface Later {
  cost: number;
  /** Where the next stage begins; -1 after the last. */
  start: number;
}
type Tail = (end: number, since: number) => Later;

/** After the last stage: in time, not too early, and held until it is served. */
function ending(chain: Chain, slots: number, freeUntil: FreeUntil): Tail {
  const until = freeUntil(chain.holds);
  const heldUntil = Math.min(chain.heldUntil, slots);
  // One answer for all questions: there are some hundred thousand of them.
  const later: Later = { cost: 0, start: -1 };
  return (end) => {
    const fits =
      end <= chain.latest && end >= chain.notBefore && (end >= heldUntil || until[end]! >= heldUntil);
    later.cost = fits ? Math.max(0, chain.heldUntil - end) * chain.litres : Number.POSITIVE_INFINITY;
    return later;
  };
}

/** Between two stages: the wait that costs least, while what it holds is free. */
function waiting(stage: Stage, after: Float64Array, slots: number, freeUntil: FreeUntil): Tail {
  const { minSlots, maxSlots, needs } = stage.wait;
  const until = freeUntil(needs);
  const long = longWaits(Math.max(minSlots, APART), maxSlots, until, after, slots);
  const later: Later = { cost: 0, start: -1 };
  return (end, since) => {
    let cost = long.cost[end] ?? Number.POSITIVE_INFINITY;
    let start = long.start[end] ?? -1;
    const last = Math.min(maxSlots, SITTING_GAP, until[end]! - end);
    for (let wait = minSlots; wait <= last; wait++) {
      const at = after[(end + wait) * STATES + Math.min(APART, since + wait)]! + wait * WAIT_COST;
      if (at < cost) {
        cost = at;
        start = end + wait;
      }
    }
    later.cost = cost;
    later.start = start;
    return later;
  };
}

/**
 * The best start after each end where the wait is longer than a gap, so that the next stage is a sitting by itself: the
 * least of a window that slides. Its two borders never go back.
 */
function longWaits(
  minSlots: number,
  maxSlots: number,
  until: Int32Array,
  after: Float64Array,
  slots: number,
): { cost: Float64Array; start: Int32Array } {
  const cost = new Float64Array(slots + 1).fill(Number.POSITIVE_INFINITY);
  const start = new Int32Array(slots + 1).fill(-1);
  if (maxSlots < minSlots) return { cost, start };
  const queue = new Int32Array(slots + 1);
  let head = 0;
  let tail = 0;
  let taken = 0;
  // The later it begins the longer the wait: against one another, as if all waits began at slot 0.
  const at = (slot: number) => after[slot * STATES + APART]! + slot * WAIT_COST;
  for (let end = 0; end <= slots; end++) {
    const last = Math.min(slots, end + maxSlots, until[end]!);
    for (; taken <= last; taken++) {
      while (tail > head && at(queue[tail - 1]!) >= at(taken)) tail--;
      queue[tail++] = taken;
    }
    while (head < tail && queue[head]! < end + minSlots) head++;
    if (head < tail) {
      cost[end] = at(queue[head]!) - end * WAIT_COST;
      start[end] = queue[head]!;
    }
  }
  return { cost, start };
}

/** What lies there already: the dark, and the sittings that others make. */
function groundOf(project: Pick<Project, 'slots' | 'dark'>, bookings: Bookings) {
  const { slots } = project;
  const { busy } = bookings;
  const dark = new Int32Array(slots + 1);
  /** How many sittings begin before a slot. */
  const begun = new Int32Array(slots + 2);
  /** Free slots since work in a slot before it. */
  const idle = new Int32Array(slots + 1);
  let free = APART;
  for (let slot = 0; slot <= slots; slot++) {
    idle[slot] = free;
    if (slot === slots) break;
    const begins = busy[slot]! > 0 && free > SITTING_GAP;
    dark[slot + 1] = dark[slot]! + (project.dark[slot] ? 1 : 0);
    begun[slot + 1] = begun[slot]! + (begins ? 1 : 0);
    free = busy[slot]! > 0 ? 0 : Math.min(APART, free + 1);
  }
  begun[slots + 1] = begun[slots]!;
  /**
   * How many sittings more there are with attended work from `start` to `end`. It begins one where none lies close before
   * it; those that begin within it or close after it are no beginning any more, unless the chain's own work before
   * took them in.
   */
  const sittings = (start: number, end: number, since: number): number => {
    const begins = begun[Math.min(start + 1, slots + 1)]! - begun[start]! > 0;
    const own = since <= SITTING_GAP;
    const more = !own && !begins && idle[start]! > SITTING_GAP ? 1 : 0;
    const from = own ? Math.max(start, start - since + SITTING_GAP) : start;
    const to = Math.min(slots + 1, end + SITTING_GAP + 1);
    return more - Math.max(0, begun[to]! - begun[Math.min(from + 1, slots + 1)]!);
  };
  return { dark, sittings };
}
