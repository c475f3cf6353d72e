import { Bookings } from './bookings.ts';
import { judge } from './judge.ts';
import { type Leaning, NO_LEANING, placeChain } from './placeChain.ts';
import type { Chain, Join, PlacedStage, Project, Schedule, Stage } from './project.ts';

/** Where the chains stand, what that books, and which of their stages are done as one. */
export class Placements {
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
      score: judge(project, placed, weighed(project, missing), this.bookings.busy, (chainId, stageId) => {
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

/** What is going on already is there whatever is planned: it is left out last of all. */
const weighed = ({ chains }: Project, missing: readonly string[]): number =>
  missing.reduce((sum, id) => sum + (isGoingOn(chains.find((c) => c.id === id)!) ? chains.length + 1 : 1), 0);

/** Its first stage stands already. */
export const isGoingOn = ({ stages }: Chain): boolean => stages[0]!.fixedAt !== null;

export interface Kept {
  placed: ReadonlyMap<string, PlacedStage[]>;
  booked: ReadonlyMap<string, Chain>;
  apart: ReadonlySet<string>;
  joinAt: ReadonlyMap<string, number>;
}
