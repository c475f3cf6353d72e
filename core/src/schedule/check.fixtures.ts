import type { Project, Schedule } from './project.ts';

/**
 * What is wrong with a schedule, counted slot by slot from the project's own words. It shares no code with what makes
 * schedules: a fault of theirs is not hidden here.
 */
export function faultsOf(project: Project, schedule: Schedule): string[] {
  const faults: string[] = [];
  const at = new Map(schedule.placed.map((p) => [`${p.chainId}/${p.stageId}`, p]));
  const used = new Map(project.resources.map((r) => [r.id, new Array<number>(project.slots).fill(0)]));
  const take = (id: string, amount: number, from: number, to: number) => {
    const row = used.get(id);
    if (!row) faults.push(`no resource ${id}`);
    else for (let s = from; s < to && s < project.slots; s++) row[s] = (row[s] ?? 0) + amount;
  };
  const togetherWith = (chainId: string, stageId: string) =>
    schedule.joined.find(
      (j) =>
        j.chainIds.includes(chainId) &&
        project.joins
          .find((x) => x.id === j.joinId)
          ?.members.some((m) => m.chainId === chainId && m.stageId === stageId),
    );
  const doneTogether = new Set<string>();
  for (const chain of project.chains) {
    if (schedule.missing.includes(chain.id)) {
      if (chain.stages.some((s) => at.has(`${chain.id}/${s.id}`))) faults.push(`${chain.id} half placed`);
      continue;
    }
    let before = -1;
    for (const [i, stage] of chain.stages.entries()) {
      const p = at.get(`${chain.id}/${stage.id}`);
      const name = `${chain.id}/${stage.id}`;
      if (!p) {
        faults.push(`${name} not placed`);
        break;
      }
      if (p.start < 0 || p.end > project.slots) faults.push(`${name} outside`);
      const joined = togetherWith(chain.id, stage.id);
      if (!joined && p.end - p.start !== stage.slots) faults.push(`${name} has another length`);
      if (joined) {
        const join = project.joins.find((x) => x.id === joined.joinId)!;
        const members = join.members.filter((m) => joined.chainIds.includes(m.chainId));
        const lengths = members.map(
          (m) =>
            project.chains.find((c) => c.id === m.chainId)!.stages.find((s) => s.id === m.stageId)!.slots,
        );
        const together = lengths.reduce((a, b) => a + b, 0) - join.savedSlots * (members.length - 1);
        if (p.end - p.start < Math.min(together, Math.max(...lengths)))
          faults.push(`${name} is too short for what is done together`);
        for (const m of members) {
          const other = at.get(`${m.chainId}/${m.stageId}`);
          if (!other || other.start !== p.start || other.end !== p.end)
            faults.push(`${name} is not at one time with ${m.chainId}`);
        }
      }
      if (stage.fixedAt !== null && p.start !== stage.fixedAt)
        faults.push(`${name} is not where it is fixed`);
      if (i === 0 && p.start < chain.earliest) faults.push(`${name} too early`);
      // What is done together is booked once.
      const key = joined ? `${joined.joinId}` : name;
      if (!doneTogether.has(key)) {
        doneTogether.add(key);
        for (const n of stage.needs) take(n.resourceId, n.amount, p.start, p.end);
        if (stage.oneOf.length > 0) {
          const by = stage.oneOf.find((n) => n.resourceId === p.by);
          if (!by) faults.push(`${name} has nobody`);
          else take(by.resourceId, by.amount, p.start, p.end);
        }
      }
      if (i > 0) {
        const { wait } = chain.stages[i - 1]!;
        const waited = p.start - before;
        if (waited < wait.minSlots || waited > wait.maxSlots)
          faults.push(`${name} after a wait of ${waited}`);
        for (const n of wait.needs) take(n.resourceId, n.amount, before, p.start);
      }
      before = p.end;
    }
    if (before > chain.latest) faults.push(`${chain.id} late`);
    if (before < chain.notBefore) faults.push(`${chain.id} past its life at the last glass`);
    for (const n of chain.holds) take(n.resourceId, n.amount, before, chain.heldUntil);
  }
  for (const resource of project.resources)
    for (let s = 0; s < project.slots; s++)
      if ((used.get(resource.id)?.[s] ?? 0) > (resource.capacity[s] ?? 0) + 1e-6) {
        faults.push(`${resource.id} overbooked in slot ${s}`);
        break;
      }
  return faults;
}
