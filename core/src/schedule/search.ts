import { randomLcg } from 'd3-random';
import { leaningsOf, plain, prices } from './leaning.ts';
import { NO_LEANING } from './placeChain.ts';
import { isGoingOn, Placements } from './placements.ts';
import {
  type Chain,
  compareScores,
  holding,
  type Join,
  type Project,
  type Schedule,
  type Score,
} from './project.ts';

export interface SearchControl {
  /** The same seed, the same search. */
  seed: number;
  /** Asked before each try; true ends the search with the best so far. */
  over: () => boolean;
  /** Told of each better one at once. */
  onBest?: (schedule: Schedule) => void;
}

/** Tries of a round: at its beginning worse schedules are taken to go on from, at its end none. */
const ROUND = 300;
/** Of the tries, so many do work as one; of those that take it out, so many part what was joined. */
const JOIN_SHARE = 0.1;
const PART_SHARE = 0.15;
/** All come out so often; around a stage that is held more often where there are few. */
const ALL_SHARE = 0.15;
const ALL_OF_FEW_SHARE = 0.6;
const FEW = 4;
/** Of them, so many hold one stage at a slot while the others find their places around it. */
const PIN_SHARE = 0.6;
/** So many only change the order within a stretch of time: what lies before and after it stands. */
const WINDOW_SHARE = 0.15;
/** Such a stretch is so long at most, slots. */
const WINDOW = 24;
/** Of those, so many are done later than they were. */
const LATER_SHARE = 0.5;
/** Of what is pinned, so often the stages before it stay. */
const STAYS_SHARE = 0.5;
/** At its beginning a further sitting is taken so often. */
const ONE_MORE = 0.02;
/** At its beginning, so much less fresh as a share. */
const MOST_WORSE = 0.2;

/**
 * A schedule for all chains, as good as the time allows. Each is placed exactly in what the others leave; a seeded search
 * changes their order and keeps them out of stretches that others may want. The first comes at once, better ones follow.
 */
export function searchSchedule(project: Project, control: SearchControl): Schedule {
  const random = randomLcg(control.seed);
  const table = new Placements(project);
  const { chains } = project;
  // What is going on comes first, then the one with least choice of when to be done.
  const order = [...chains].sort(
    (a, b) =>
      Number(isGoingOn(b)) - Number(isGoingOn(a)) || a.latest - a.notBefore - (b.latest - b.notBefore),
  );
  fill(table, order);
  let now = table.schedule();
  if (now.missing.length > 0 && project.joins.length > 0) {
    // What cannot be done as one is done apart, to begin with.
    const together = table.keep();
    for (const { id } of chains) table.take(id);
    table.partAll();
    fill(table, order);
    const apart = table.schedule();
    if (compareScores(apart.score, now.score) < 0) now = apart;
    else table.restore(together);
  }
  for (const join of project.joins.filter((j) => !isJoined(now, j))) now = tryJoin(table, join, now);
  let best = now;
  let kept = table.keep();
  let keptBest = kept;
  control.onBest?.(best);
  for (let tries = 0; !control.over() && chains.length > 0; tries++) {
    const heat = 1 - (tries % ROUND) / ROUND;
    if (tries > 0 && tries % ROUND === 0) {
      // A new round, from the best or from other ground.
      table.restore(keptBest);
      if (random() < 0.5) rebuild(table, random);
      now = table.schedule();
      kept = table.keep();
    }
    const join = random() < JOIN_SHARE ? pick(project.joins, random) : undefined;
    if (join) joinUp(table, join, now, random);
    else {
      const how = random();
      if (how < WINDOW_SHARE) reorder(table, now, random);
      else {
        const pinned = how < WINDOW_SHARE + PIN_SHARE;
        const out = takeSome(
          table,
          now,
          random,
          pinned && chains.length <= FEW ? ALL_OF_FEW_SHARE : ALL_SHARE,
        );
        partSome(table, out, random);
        if (pinned) putBackPinned(table, now, out, random);
        else putBack(table, now, out, random);
      }
    }
    const tried = table.schedule();
    if (compareScores(tried.score, now.score) <= 0 || isTaken(tried.score, now.score, heat, random)) {
      now = tried;
      kept = table.keep();
    } else table.restore(kept);
    if (compareScores(now.score, best.score) < 0) {
      for (const apart of project.joins.filter((j) => !isJoined(now, j))) now = tryJoin(table, apart, now);
      kept = table.keep();
      best = now;
      keptBest = kept;
      control.onBest?.(best);
    }
  }
  return best;
}

/** Some chains out, often one or two, now and then all. */
function takeSome(table: Placements, now: Schedule, random: () => number, allShare: number): Set<string> {
  const { chains } = table.project;
  const out = new Set<string>(now.missing);
  const all = random() < allShare;
  const count = 1 + Math.floor(random() * Math.min(chains.length, 3));
  for (let i = 0; i < (all ? chains.length : count); i++) {
    const id = all ? chains[i]!.id : chains[Math.floor(random() * chains.length)]!.id;
    for (const gone of table.take(id)) out.add(gone);
  }
  return out;
}

/** What was taken out comes in again, in another order and leaning elsewhere. */
function putBack(table: Placements, now: Schedule, out: ReadonlySet<string>, random: () => number): void {
  const { project } = table;
  const again = shuffled(
    project.chains.filter((c) => out.has(c.id)),
    random,
  );
  // One that had no place before comes first now and then.
  if (now.missing.length > 0 && random() < 0.7)
    again.sort((a, b) => Number(now.missing.includes(b.id)) - Number(now.missing.includes(a.id)));
  const leanings = leaningsOf(project.slots, now, random);
  for (const chain of again) {
    const leaning = leanings();
    if (!table.put(chain, leaning) && leaning !== NO_LEANING) table.put(chain);
  }
}

/**
 * One of those that were taken out comes in with a stage at a slot by chance, often its last one later than it was, the others
 * around it, and then each finds its own best place: what two drinks only reach together.
 */
function putBackPinned(
  table: Placements,
  now: Schedule,
  out: ReadonlySet<string>,
  random: () => number,
): void {
  const again = shuffled(
    table.project.chains.filter((c) => out.has(c.id)),
    random,
  );
  const [first] = again;
  if (!first) return;
  const later = random() < LATER_SHARE;
  const stage = later ? first.stages.at(-1)! : pick(first.stages, random)!;
  const last = Math.max(0, Math.min(first.latest, table.project.slots) - stage.slots);
  const starts = standing(first, now);
  const was = starts.get(stage.id) ?? 0;
  const from = later ? Math.min(was, last) : 0;
  const at = from + Math.floor(random() * (last - from + 1));
  // What it begins with stays where it stands, half the time: by itself it would rather be done in one go, later on.
  const stays = random() < STAYS_SHARE ? Math.floor(random() * first.stages.indexOf(stage)) + 1 : 0;
  const held = new Set(first.stages.slice(0, stays));
  const pinned = holding(first, (s) => (s === stage ? at : held.has(s) ? starts.get(s.id) : undefined));
  // Its other stages stand by chance as well: where they stand decides what is left for the others.
  const price = random() < 0.7 ? prices(table.project.slots, random) : null;
  if (!table.put(pinned, { ...plain(random), price })) table.put(first);
  for (const chain of again.slice(1)) table.put(chain, plain(random));
  settle(table, again, random);
}

/**
 * Whatever stands in a stretch of time is placed anew in another order, while the rest of its chains stays; then each finds its
 * own best place in what came of it.
 */
function reorder(table: Placements, now: Schedule, random: () => number): void {
  const around = pick(now.placed, random);
  if (!around) return;
  const long = 4 + Math.floor(random() * WINDOW);
  const from = around.start - Math.floor(random() * long);
  const isIn = (p: { start: number; end: number }) => p.end > from && p.start < from + long;
  const out = new Set<string>();
  for (const { chainId } of now.placed.filter(isIn)) for (const id of table.take(chainId)) out.add(id);
  for (const id of now.missing) out.add(id);
  const again = shuffled(
    table.project.chains.filter((c) => out.has(c.id)),
    random,
  );
  for (const chain of again) {
    const stands = new Map(
      now.placed.filter((p) => p.chainId === chain.id && !isIn(p)).map((p) => [p.stageId, p.start]),
    );
    if (
      !table.put(
        holding(chain, (s) => stands.get(s.id)),
        plain(random),
      )
    )
      table.put(chain);
  }
  settle(table, again, random);
}

/** Each finds its own best place in what the others leave; where one has none any more, all stand as they stood. */
function settle(table: Placements, chains: readonly Chain[], random: () => number): void {
  for (const chain of chains) {
    const before = table.keep();
    const moved = table.take(chain.id);
    const back = table.project.chains.filter((c) => moved.includes(c.id));
    if (back.filter((c) => table.put(c, plain(random))).length < moved.length) table.restore(before);
  }
}

/** Everything anew, leaning to prices by chance. */
function rebuild(table: Placements, random: () => number): void {
  const { chains, slots } = table.project;
  for (const { id } of chains) table.take(id);
  for (const join of table.project.joins) {
    const together = random() < 0.5;
    table.joinAt.delete(join.id);
    for (const { chainId } of join.members) {
      const key = `${join.id} ${chainId}`;
      if (together) table.apart.delete(key);
      else table.apart.add(key);
    }
  }
  const price = prices(slots, random);
  for (const chain of shuffled(chains, random)) table.put(chain, { ...NO_LEANING, price });
}

/** All that have no place yet, in this order; who finds none goes to the front of the next round. */
function fill(table: Placements, order: readonly Chain[]): void {
  const rounds = Math.min(order.length, 6);
  let again = [...order];
  for (let round = 0; round <= rounds; round++) {
    const without = again.filter((chain) => !table.put(chain));
    if (without.length === 0 || round === rounds) return;
    again = [...without, ...again.filter((c) => !without.includes(c))];
    for (const { id } of again) table.take(id);
  }
}

/** What a join takes together begins where the earliest of its members stands now, or a little before: all of them have to find room after it. */
function joinUp(table: Placements, join: Join, now: Schedule, random: () => number): void {
  const [first] = startsOf(join, now);
  if (first === undefined) return;
  joinAt(table, join, now, random() < 0.5 ? first : Math.floor(first * random()), random);
}

/** What a join takes together begins at a slot; its drinks are placed anew by chance, or else where the rest of them stands. */
function joinAt(
  table: Placements,
  join: Join,
  now: Schedule,
  at: number,
  random: (() => number) | null,
): void {
  const out = new Set(join.members.flatMap(({ chainId }) => table.take(chainId)));
  for (const { chainId } of join.members) table.apart.delete(`${join.id} ${chainId}`);
  table.joinAt.set(join.id, at);
  const again = table.project.chains.filter((c) => out.has(c.id));
  if (random) for (const chain of shuffled(again, random)) table.put(chain);
  else for (const chain of again) if (!table.put(asItStands(chain, join, now))) table.put(chain);
}

/** Where the stages of a chain begin now. */
const standing = ({ id }: Chain, now: Schedule): Map<string, number> =>
  new Map(now.placed.filter((p) => p.chainId === id).map((p) => [p.stageId, p.start]));

/** A chain whose stages are held where they stand, but for the one that is done with others. */
function asItStands(chain: Chain, join: Join, now: Schedule): Chain {
  const mine = join.members.find((m) => m.chainId === chain.id)?.stageId;
  const starts = standing(chain, now);
  return holding(chain, (stage) => (stage.id === mine ? undefined : starts.get(stage.id)));
}

const isJoined = (s: Schedule, { id, members }: Join): boolean =>
  s.joined.some(({ joinId, chainIds }) => joinId === id && chainIds.length === members.length);

/** The same as a first try, where each of its members stands now, the earliest first: kept where it is better. */
function tryJoin(table: Placements, join: Join, now: Schedule): Schedule {
  const before = table.keep();
  for (const at of startsOf(join, now)) {
    joinAt(table, join, now, at, null);
    const tried = table.schedule();
    if (compareScores(tried.score, now.score) < 0) return tried;
    table.restore(before);
  }
  return now;
}

/** Where the members of a join stand, each slot once, the earliest first. */
const startsOf = (join: Join, now: Schedule): number[] => [
  ...new Set(
    now.placed
      .filter((p) => join.members.some((m) => m.chainId === p.chainId && m.stageId === p.stageId))
      .map((p) => p.start)
      .sort((a, b) => a - b),
  ),
];

const pick = <T>(list: readonly T[], random: () => number): T | undefined =>
  list[Math.floor(random() * list.length)];

/** Now and then a chain goes apart from those that it was joined with, where none of them stands. */
function partSome(table: Placements, out: ReadonlySet<string>, random: () => number): void {
  for (const join of table.project.joins) {
    if (random() > PART_SHARE) continue;
    const member = pick(
      join.members.filter((m) => out.has(m.chainId)),
      random,
    );
    const stands = table
      .members(join)
      .some((m) => m.chainId !== member?.chainId && table.placed.has(m.chainId));
    if (member && !stands) table.apart.add(`${join.id} ${member.chainId}`);
  }
}

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}

/**
 * A worse one is taken for what may be reached from it: never with more missing or in the dark, and with a sitting
 * more or less freshness ever more seldom as a round goes on.
 */
function isTaken(tried: Score, now: Score, heat: number, random: () => number): boolean {
  if (tried.missing > now.missing || tried.darkSlots > now.darkSlots) return false;
  if (tried.sittings > now.sittings || tried.workSlots > now.workSlots)
    return random() < ONE_MORE * heat ** 2;
  const allowed = MOST_WORSE * heat ** 2 * Math.max(1, now.litreSlots);
  return tried.litreSlots - now.litreSlots < -allowed * Math.log(random());
}
