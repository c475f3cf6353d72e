import { Bookings } from './bookings.ts';
import { placeChain } from './placeChain.ts';
import type { Project } from './project.ts';

/** Why there can be no schedule at all. Each is a proof, not a search that found nothing. */
export type Impossible =
  /** A drink has no place even in an empty kitchen. */
  | { kind: 'alone'; chainId: string }
  /** What has to stand somewhere at one time is more than goes in. */
  | { kind: 'supply'; resourceId: string; slot: number; needed: number; there: number }
  /** More work than there are hands for, in slots. */
  | { kind: 'work'; needed: number; there: number };

/**
 * A proof that not all chains can be placed. Three kinds are looked for; where none is found there may still be no
 * schedule.
 */
export function proofAgainst(project: Project): Impossible | null {
  for (const chain of project.chains)
    if (!placeChain(chain, project, new Bookings(project))) return { kind: 'alone', chainId: chain.id };
  return overfull(project) ?? overworked(project);
}

/** Between its latest end and its serving every drink stands where it stands. */
function overfull(project: Project): Impossible | null {
  const held = new Map<string, Float64Array>();
  for (const chain of project.chains)
    for (const { resourceId, amount } of chain.holds) {
      const row = held.get(resourceId) ?? new Float64Array(project.slots);
      for (let slot = Math.max(0, chain.latest); slot < Math.min(chain.heldUntil, project.slots); slot++)
        row[slot]! += amount;
      held.set(resourceId, row);
    }
  for (const { id, capacity } of project.resources) {
    const row = held.get(id);
    if (!row) continue;
    for (const [slot, needed] of row.entries()) {
      const there = capacity[slot] ?? 0;
      if (needed > there + 1e-6) return { kind: 'supply', resourceId: id, slot, needed, there };
    }
  }
  return null;
}

/** All work that somebody's hands are needed for, against all hands there are until the last drink is done. */
function overworked(project: Project): Impossible | null {
  const people = new Set(
    project.chains.flatMap((c) => c.stages.flatMap((s) => s.oneOf.map((n) => n.resourceId))),
  );
  const joined = new Map(
    project.joins.flatMap((j) => j.members.map((m) => [`${m.chainId} ${m.stageId}`, j] as const)),
  );
  const end = Math.max(0, ...project.chains.map((c) => c.latest));
  let there = 0;
  for (const r of project.resources)
    if (people.has(r.id))
      for (let slot = 0; slot < Math.min(end, project.slots); slot++) there += r.capacity[slot] ?? 0;
  let needed = 0;
  for (const chain of project.chains)
    for (const stage of chain.stages) {
      if (stage.oneOf.length === 0) continue;
      // What could be done with others may cost no more than the rest of it.
      const join = joined.get(`${chain.id} ${stage.id}`);
      const saved = join ? Math.max(join.savedSlots, 0) : 0;
      needed += Math.max(0, stage.slots - saved);
    }
  return needed > there + 1e-6 ? { kind: 'work', needed, there } : null;
}
