import { Placements } from './placements.ts';
import { type Chain, holding, type Project, type Schedule, type Stage } from './project.ts';

/** Where a stage stood in an earlier schedule. */
export interface Place {
  chainId: string;
  stageId: string;
  start: number;
  /** Who or what was taken of `oneOf`. */
  by: string | null;
}
/** As much of an earlier schedule as says where everything stood. */
export interface Stood {
  placed: readonly Place[];
  joined: Schedule['joined'];
}

/**
 * An earlier schedule on a project that has changed meanwhile: what can stay stays, and only what has no room there any
 * more gives way, from its first stages on and no more of them than have to. A chain that nothing is known of comes last.
 */
export function keepSchedule(project: Project, stood: Stood): Schedule {
  const table = new Placements(project);
  for (const join of project.joins) {
    const together = stood.joined.find((j) => j.joinId === join.id)?.chainIds ?? [];
    for (const { chainId } of join.members)
      if (!together.includes(chainId)) table.apart.add(`${join.id} ${chainId}`);
    const first = stood.placed.find(
      (p) =>
        together.includes(p.chainId) &&
        join.members.some((m) => m.chainId === p.chainId && m.stageId === p.stageId),
    );
    if (first && first.start >= 0) table.joinAt.set(join.id, first.start);
  }
  const places = new Map(stood.placed.map((p) => [`${p.chainId} ${p.stageId}`, p]));
  const known = (c: Chain) => c.stages.some((s) => places.has(`${c.id} ${s.id}`));
  const gaveWay = project.chains.filter((c) => known(c) && !table.put(held(c, places, 0)));
  for (const chain of [...gaveWay, ...project.chains.filter((c) => !known(c))]) putBack(table, chain, places);
  return table.schedule();
}

/** As many of its last stages as can stay do; where none can, what is done with others is done apart. */
function putBack(table: Placements, chain: Chain, places: ReadonlyMap<string, Place>): void {
  for (let from = 1; from <= chain.stages.length; from++) if (table.put(held(chain, places, from))) return;
  for (const join of table.project.joins)
    if (join.members.some((m) => m.chainId === chain.id)) table.apart.add(`${join.id} ${chain.id}`);
  table.put(chain);
}

/** The chain with its stages from one on held where they stood, and done by whom they were to be done. */
function held(chain: Chain, places: ReadonlyMap<string, Place>, from: number): Chain {
  const placeOf = (stage: Stage): Place | undefined =>
    chain.stages.indexOf(stage) < from ? undefined : places.get(`${chain.id} ${stage.id}`);
  const asBefore = chain.stages.map((stage): Stage => {
    const by = stage.oneOf.filter((n) => n.resourceId === placeOf(stage)?.by);
    return by.length > 0 && stage.fixedAt === null ? { ...stage, oneOf: by } : stage;
  });
  const starts = new Map(chain.stages.map((stage) => [stage.id, placeOf(stage)?.start]));
  return holding({ ...chain, stages: asBefore }, (stage) => starts.get(stage.id));
}
