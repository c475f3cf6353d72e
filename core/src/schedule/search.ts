import { randomLcg } from 'd3-random';
import { Bookings } from './bookings.ts';
import { judge } from './judge.ts';
import { type Leaning, NO_LEANING, placeChain, type Stretch } from './placeChain.ts';
import {
  type Chain,
  compareScores,
  type Join,
  type PlacedStage,
  type Project,
  type Schedule,
  type Score,
  type Stage,
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
/** At its beginning a further sitting is taken so often. */
const ONE_MORE = 0.02;
/** At its beginning, so much less fresh as a share. */
const MOST_WORSE = 0.2;
/** Stretches that a chain is kept out of, at most. */
const MOST_STRETCHES = 3;

/** Where the chains stand, what that books, and which of their stages are done as one. */
class Table {
  readonly bookings: Bookings;
  readonly placed = new Map<string, PlacedStage[]>();
  /** Members that a join leaves apart: the join's id and the chain's. */
  readonly apart = new Set<string>();
  /** Where what is done as one is to begin; of a join without, wherever its first member finds room. */
  readonly joinAt = new Map<string, number>();
  readonly #joinOf = new Map<string, Join>();

  constructor(readonly project: Project) {
    this.bookings = new Bookings(project);
    for (const join of project.joins)
      for (const { chainId, stageId } of join.members) this.#joinOf.set(`${chainId} ${stageId}`, join);
  }

  join(chainId: string, stageId: string): Join | undefined {
    const join = this.#joinOf.get(`${chainId} ${stageId}`);
    return join && !this.apart.has(`${join.id} ${chainId}`) ? join : undefined;
  }

  /** The members that a join takes together. */
  members(join: Join): Join['members'] {
    return join.members.filter(({ chainId }) => !this.apart.has(`${join.id} ${chainId}`));
  }

  /** The first member of a join that stands already, other than this chain. */
  #standing(join: Join, chainId: string): PlacedStage | undefined {
    for (const m of this.members(join)) {
      if (m.chainId === chainId) continue;
      const at = this.placed.get(m.chainId)?.find((p) => p.stageId === m.stageId);
      if (at) return at;
    }
    return undefined;
  }

  /** Nothing is done as one. */
  partAll(): void {
    for (const join of this.project.joins)
      for (const { chainId } of join.members) this.apart.add(`${join.id} ${chainId}`);
  }

  /** The chain as it is to be placed now: a stage that is done with others takes their time and place. */
  effective(chain: Chain): Chain {
    const stages = chain.stages.map((stage): Stage => {
      const join = this.join(chain.id, stage.id);
      if (!join) return stage;
      const members = this.members(join);
      if (members.length < 2) return stage;
      const standing = this.#standing(join, chain.id);
      if (standing)
        return {
          ...stage,
          slots: standing.end - standing.start,
          fixedAt: standing.start,
          needs: [],
          oneOf: [],
        };
      const at = this.joinAt.get(join.id);
      const slots = this.#togetherSlots(join, members);
      return at === undefined ? { ...stage, slots } : { ...stage, slots, fixedAt: at };
    });
    return { ...chain, stages };
  }

  #togetherSlots(join: Join, members: Join['members']): number {
    const slots = members.map(
      (m) =>
        this.project.chains.find((c) => c.id === m.chainId)?.stages.find((s) => s.id === m.stageId)?.slots ??
        0,
    );
    const sum = slots.reduce((a, b) => a + b, 0);
    return Math.max(...slots, sum - join.savedSlots * (members.length - 1));
  }

  #book(chain: Chain, placed: readonly PlacedStage[], sign: 1 | -1): void {
    for (const [i, stage] of chain.stages.entries()) {
      const { start, end, by } = placed[i]!;
      this.bookings.book(stage.needs, start, end, sign);
      const taken = stage.oneOf.find((n) => n.resourceId === by);
      if (taken) this.bookings.book([taken], start, end, sign);
      if (stage.attended) this.bookings.work(start, end, sign);
      const next = placed[i + 1];
      if (next) this.bookings.book(stage.wait.needs, end, next.start, sign);
    }
    this.bookings.book(chain.holds, placed.at(-1)!.end, chain.heldUntil, sign);
  }

  readonly #booked = new Map<string, Chain>();

  /** Places a chain in what is left. False where it has no place. */
  put(chain: Chain, leaning: Leaning = NO_LEANING): boolean {
    const effective = this.effective(chain);
    const found = placeChain(effective, this.project, this.bookings, leaning);
    if (!found) return false;
    // Who does what is done with others is settled by the first of them.
    const placed = found.map((p) => {
      const join = this.join(chain.id, p.stageId);
      const standing = join && this.#standing(join, chain.id);
      return standing ? { ...p, by: standing.by } : p;
    });
    this.#book(effective, placed, 1);
    this.placed.set(chain.id, placed);
    this.#booked.set(chain.id, effective);
    return true;
  }

  /** A chain out; where others are done with a stage of it, they come out too. @returns all that came out. */
  take(chainId: string): string[] {
    const out = [chainId];
    for (const id of out) {
      const placed = this.placed.get(id);
      const chain = this.#booked.get(id);
      if (!placed || !chain) continue;
      this.#book(chain, placed, -1);
      this.placed.delete(id);
      this.#booked.delete(id);
      for (const { stageId } of placed) {
        const join = this.join(id, stageId);
        if (!join) continue;
        for (const m of this.members(join))
          if (this.placed.has(m.chainId) && !out.includes(m.chainId)) out.push(m.chainId);
      }
    }
    return out;
  }

  schedule(): Schedule {
    const { project } = this;
    const placed = [...this.placed.values()].flat();
    const missing = project.chains.filter((c) => !this.placed.has(c.id)).map((c) => c.id);
    return {
      placed,
      missing,
      joined: project.joins.flatMap((join) => {
        const chainIds = this.members(join)
          .map((m) => m.chainId)
          .filter((id) => this.placed.has(id));
        return chainIds.length > 1 ? [{ joinId: join.id, chainIds }] : [];
      }),
      score: judge(project, placed, missing.length, this.bookings.busy, (chainId, stageId) => {
        const join = this.join(chainId, stageId);
        return join && this.members(join).length > 1 ? join.id : null;
      }),
    };
  }

  /** Everything as it was: for a try that did not help. */
  restore(kept: Kept): void {
    for (const id of [...this.placed.keys()]) {
      this.#book(this.#booked.get(id)!, this.placed.get(id)!, -1);
    }
    this.placed.clear();
    this.#booked.clear();
    this.apart.clear();
    for (const key of kept.apart) this.apart.add(key);
    this.joinAt.clear();
    for (const [id, at] of kept.joinAt) this.joinAt.set(id, at);
    for (const [id, placed] of kept.placed) {
      const chain = kept.booked.get(id)!;
      this.#book(chain, placed, 1);
      this.placed.set(id, placed);
      this.#booked.set(id, chain);
    }
  }

  keep(): Kept {
    return {
      placed: new Map(this.placed),
      booked: new Map(this.#booked),
      apart: new Set(this.apart),
      joinAt: new Map(this.joinAt),
    };
  }
}

interface Kept {
  placed: ReadonlyMap<string, PlacedStage[]>;
  booked: ReadonlyMap<string, Chain>;
  apart: ReadonlySet<string>;
  joinAt: ReadonlyMap<string, number>;
}

/**
 * A schedule for all chains, as good as the time allows. Each is placed exactly in what the others leave; a seeded search
 * changes their order and keeps them out of stretches that others may want. The first comes at once, better ones follow.
 */
export function searchSchedule(project: Project, control: SearchControl): Schedule {
  const random = randomLcg(control.seed);
  const table = new Table(project);
  const { chains } = project;
  // The one with least choice of when to be done comes first.
  const order = [...chains].sort((a, b) => a.latest - a.notBefore - (b.latest - b.notBefore));
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
      const out = takeSome(table, now, random);
      partSome(table, out, random);
      putBack(table, now, out, random);
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
function takeSome(table: Table, now: Schedule, random: () => number): Set<string> {
  const { chains } = table.project;
  const out = new Set<string>(now.missing);
  const all = random() < 0.15;
  const count = 1 + Math.floor(random() * Math.min(chains.length, 3));
  for (let i = 0; i < (all ? chains.length : count); i++) {
    const id = all ? chains[i]!.id : chains[Math.floor(random() * chains.length)]!.id;
    for (const gone of table.take(id)) out.add(gone);
  }
  return out;
}

/** What was taken out comes in again, in another order and leaning elsewhere. */
function putBack(table: Table, now: Schedule, out: ReadonlySet<string>, random: () => number): void {
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

/** Everything anew, leaning to prices by chance. */
function rebuild(table: Table, random: () => number): void {
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
function fill(table: Table, order: readonly Chain[]): void {
  const rounds = Math.min(order.length, 6);
  let again = [...order];
  for (let round = 0; round <= rounds; round++) {
    const without = again.filter((chain) => !table.put(chain));
    if (without.length === 0 || round === rounds) return;
    again = [...without, ...again.filter((c) => !without.includes(c))];
    for (const { id } of again) table.take(id);
  }
}

/** What a join takes together begins where the earliest of its members stands now, or at a slot that is asked for. */
function joinUp(table: Table, join: Join, now: Schedule, random: (() => number) | null): void {
  const starts = now.placed.filter((p) =>
    join.members.some((m) => m.chainId === p.chainId && m.stageId === p.stageId),
  );
  const first = Math.min(...starts.map((p) => p.start));
  if (!Number.isFinite(first)) return;
  // The earliest of them, or a little before: all of them have to find room after it.
  const at = random === null || random() < 0.5 ? first : Math.floor(first * random());
  const out = new Set(join.members.flatMap(({ chainId }) => table.take(chainId)));
  for (const { chainId } of join.members) table.apart.delete(`${join.id} ${chainId}`);
  table.joinAt.set(join.id, at);
  const again = table.project.chains.filter((c) => out.has(c.id));
  const startOf = (c: Chain) => now.placed.find((p) => p.chainId === c.id)?.start ?? 0;
  const order = random === null ? again.sort((a, b) => startOf(a) - startOf(b)) : shuffled(again, random);
  for (const chain of order) table.put(chain);
}

const isJoined = (s: Schedule, { id, members }: Join): boolean =>
  s.joined.some(({ joinId, chainIds }) => joinId === id && chainIds.length === members.length);

/** The same as a first try: kept where it is better. */
function tryJoin(table: Table, join: Join, now: Schedule): Schedule {
  const before = table.keep();
  joinUp(table, join, now, null);
  const tried = table.schedule();
  if (compareScores(tried.score, now.score) < 0) return tried;
  table.restore(before);
  return now;
}

const pick = <T>(list: readonly T[], random: () => number): T | undefined =>
  list[Math.floor(random() * list.length)];

/** Now and then a chain goes apart from those that it was joined with, where none of them stands. */
function partSome(table: Table, out: ReadonlySet<string>, random: () => number): void {
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

function stretches(slots: number, random: () => number): Stretch[] {
  const count = 1 + Math.floor(random() * MOST_STRETCHES);
  return Array.from({ length: count }, () => {
    const from = Math.floor(random() * slots);
    return { from, to: from + 1 + Math.floor((random() * slots) / 6) };
  });
}

/** Places at which a sitting is cheap: all that are placed anew lean to the same ones. */
function magnets(slots: number, random: () => number): Float64Array {
  const cheap = new Float64Array(slots + 1).fill(1);
  const count = 1 + Math.floor(random() * MOST_STRETCHES);
  for (let i = 0; i < count; i++) {
    const from = Math.floor(random() * slots);
    cheap.fill(0.3, from, Math.min(slots, from + 3 + Math.floor(random() * 12)));
  }
  return cheap;
}

/** Prices by chance, from hardly any to more than a sitting's worth of freshness. */
function prices(slots: number, random: () => number): Float64Array {
  const most = 10 ** (3 * random());
  return Float64Array.from({ length: slots + 1 }, () => most * random());
}

/** How the chains of one try lean: each by itself, or all together. */
function leaningsOf(slots: number, now: Schedule, random: () => number): () => Leaning {
  const how = random();
  if (how < 0.15) return () => NO_LEANING;
  if (how < 0.5) return () => (random() < 0.4 ? NO_LEANING : { ...NO_LEANING, price: prices(slots, random) });
  if (how < 0.65)
    return () => (random() < 0.5 ? NO_LEANING : { ...NO_LEANING, avoid: stretches(slots, random) });
  const cheap = how < 0.9 ? magnets(slots, random) : null;
  const placed = now.placed[Math.floor(random() * now.placed.length)];
  // The sitting that one stage stands in is given up.
  const around = 2 + Math.floor(random() * 12);
  const avoid = how > 0.8 && placed ? [{ from: placed.start - around, to: placed.end + around }] : [];
  return () => ({ avoid, cheap, price: random() < 0.3 ? prices(slots, random) : null });
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
