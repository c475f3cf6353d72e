import { type PlacedStage, type Project, type Score, SITTING_GAP } from './project.ts';

/** Sittings of attended work: stretches with no more than a gap between. */
export function sittingsOf(busy: Uint16Array | readonly number[]): number {
  let sittings = 0;
  let free = SITTING_GAP + 1;
  for (const at of busy) {
    if (at > 0 && free > SITTING_GAP) sittings += 1;
    free = at > 0 ? 0 : free + 1;
  }
  return sittings;
}

/**
 * How good a schedule is.
 * @param missing how many chains have no place in it.
 * @param joinOf the join by which a stage is done with others; null where it is done by itself.
 */
export function judge(
  project: Project,
  placed: readonly PlacedStage[],
  missing: number,
  busy: Uint16Array,
  joinOf: (chainId: string, stageId: string) => string | null,
): Score {
  const chains = new Map(project.chains.map((c) => [c.id, c]));
  const ends = new Map<string, number>();
  const counted = new Set<string>();
  let darkSlots = 0;
  let workSlots = 0;
  for (const { chainId, stageId, start, end } of placed) {
    ends.set(chainId, Math.max(ends.get(chainId) ?? 0, end));
    const stage = chains.get(chainId)?.stages.find((s) => s.id === stageId);
    if (!stage?.attended) continue;
    // What is done as one is counted once.
    const join = joinOf(chainId, stageId);
    const key = join ? `join ${join}` : `${chainId} ${stageId}`;
    if (counted.has(key)) continue;
    counted.add(key);
    workSlots += end - start;
    for (let slot = start; slot < end; slot++) if (project.dark[slot]) darkSlots += 1;
  }
  let litreSlots = 0;
  const held = new Float64Array(project.slots + 1);
  for (const [chainId, end] of ends) {
    const chain = chains.get(chainId)!;
    litreSlots += Math.max(0, chain.heldUntil - end) * chain.litres;
    const amount = chain.holds.reduce((sum, n) => sum + n.amount, 0);
    for (let slot = end; slot < Math.min(chain.heldUntil, project.slots); slot++) held[slot]! += amount;
  }
  return {
    missing,
    darkSlots,
    sittings: sittingsOf(busy),
    workSlots,
    litreSlots,
    peak: Math.max(0, ...held),
  };
}
