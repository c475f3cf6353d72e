import type { RecipeStep } from '../../documents/recipe.ts';
import { WATER_20_G_PER_ML } from '../../liquor/composition.ts';
import { coverWaterMl } from '../../physics/room.ts';
import { areaM2 } from '../../physics/vesselShape.ts';
import type { LineId, ProgramLine } from '../model/types.ts';
import { BLENDER } from '../model/vessels.ts';
import type { BuildInput } from './context.ts';
import type { PlacedStep } from './place.ts';

/** Steps in which lines are used up; elsewhere they are only handled. */
const TAKES: ReadonlySet<RecipeStep['kind']> = new Set(['combine', 'blend', 'juice', 'mix', 'sweeten']);

/** What is left of a share below this is nothing, and a line named again finds none of it. */
const NOTHING = 1e-9;

export interface CompiledLines {
  lines: ProgramLine[];
  isSolid: (id: LineId) => boolean;
  /** The lines of a placed step, as the program has them. */
  of: (placed: PlacedStep) => LineId[];
}

/**
 * The lines of the program: a line that several steps take is parted, each takes its share and the last what is left;
 * water "to cover" is worked out from what lies in its vessel then.
 */
export function programLines(c: BuildInput, placed: readonly PlacedStep[]): CompiledLines {
  const uses = new Map<LineId, { step: PlacedStep; share: number }[]>();
  /** What was lifted out, or strained off and put aside, and is to be taken again. */
  const inHand = new Set<LineId>();
  const again = new Map<PlacedStep, Set<LineId>>();
  for (const p of placed) {
    if (p.step.kind === 'lift') for (const id of p.step.lineIds) inHand.add(id);
    if (p.step.kind === 'strain' && p.step.asideSolids)
      for (const id of solidsIn(c, placed, p)) inHand.add(id);
    if (!TAKES.has(p.step.kind)) continue;
    for (const id of new Set(p.step.lineIds)) {
      const before = uses.get(id) ?? [];
      if (inHand.delete(id) && before.length > 0) {
        again.set(p, (again.get(p) ?? new Set()).add(id));
        continue;
      }
      const left = 1 - before.reduce((sum, u) => sum + u.share, 0);
      const said = p.step.shares?.find((s) => s.lineId === id)?.share;
      const share = Math.min(Math.max(0, left), said ?? left);
      if (share > NOTHING) uses.set(id, [...before, { step: p, share }]);
    }
  }
  const names = new Map<PlacedStep, Map<LineId, LineId>>();
  const lines = c.lines.flatMap((line): ProgramLine[] => {
    const used = uses.get(line.id) ?? [];
    const massG =
      line.rule.kind === 'cover' ? coverG(c, placed, used[0]?.step, line.rule.plusCm) : line.massG;
    return used.length === 0
      ? [{ ...line, massG }]
      : used.map(({ step, share }, i) => {
          const more = step.to[0] === BLENDER ? 'rinse' : i === 1 ? 'second' : 'later';
          const name = i === 0 ? 'first' : more;
          const id = i === 0 ? line.id : more === 'later' ? `${line.id}-${i + 1}` : `${line.id}-${more}`;
          names.set(step, (names.get(step) ?? new Map()).set(line.id, id));
          return {
            ...line,
            id,
            massG: massG * share,
            ...(used.length > 1 ? { share: name } : {}),
          };
        });
  });
  const known = new Set(c.lines.map((l) => l.id));
  const solids = new Set(lines.flatMap((l) => (l.kind === 'solid' ? [l.id] : [])));
  return {
    lines,
    isSolid: (id) => solids.has(id),
    of: (p) =>
      TAKES.has(p.step.kind)
        ? [...new Set(p.step.lineIds)].flatMap(
            (id) => names.get(p)?.get(id) ?? (again.get(p)?.has(id) ? id : []),
          )
        : p.step.lineIds.filter((id) => known.has(id)),
  };
}

/** The solids that were put into the vessel of a straining. */
const solidsIn = (c: BuildInput, placed: readonly PlacedStep[], at: PlacedStep): LineId[] =>
  placed
    .slice(0, placed.indexOf(at))
    .filter((p) => TAKES.has(p.step.kind) && p.to[0] === at.from[0])
    .flatMap((p) => p.step.lineIds)
    .filter((id) => c.lines.find((l) => l.id === id)?.kind === 'solid');

/** Water that covers what lies in the vessel it is poured into, g. */
function coverG(
  c: BuildInput,
  placed: readonly PlacedStep[],
  at: PlacedStep | undefined,
  plusCm: number,
): number {
  if (!at) return 0;
  const there = placed
    .slice(0, placed.indexOf(at) + 1)
    .filter((p) => TAKES.has(p.step.kind) && p.to[0] === at.to[0])
    .flatMap((p) => p.step.lineIds);
  const solids = c.lines.flatMap((l) => {
    const row = l.kind === 'solid' && there.includes(l.id) ? c.tables.ingredients.get(l.itemId) : undefined;
    return row ? [{ row, massG: l.massG / c.fills }] : [];
  });
  return coverWaterMl(areaM2(c.pot.diameterCm / 100), plusCm, solids) * c.fills * WATER_20_G_PER_ML;
}
