import { WATER_20_G_PER_ML } from '../../liquor/composition.ts';
import { coverWaterMl } from '../../physics/room.ts';
import { areaM2 } from '../../physics/vesselShape.ts';
import { takesLines } from '../book/lineMoves.ts';
import type { LineId, VesselId } from '../model/ids.ts';
import type { ProgramLine } from '../model/program.ts';
import { BLENDER } from '../model/vessels.ts';
import { type BuildInput, loadSharesOf, potsOf } from './context.ts';
import type { PlacedStep } from './place.ts';

/** What is left of a share below this is nothing, and a line named again finds none of it. */
const NOTHING = 1e-9;

export interface CompiledLines {
  lines: ProgramLine[];
  isSolid: (id: LineId) => boolean;
  /** Dosed at its step, by taste. */
  byTaste: (id: LineId) => boolean;
  /** The recipe's line of which a program's line is the whole or a share. */
  recipeLineOf: (id: LineId) => LineId;
  /** The lines of a placed step, as the program has them. */
  of: (placed: PlacedStep) => LineId[];
}

/** A line, or the share of it that one step takes. */
interface Part {
  id: LineId;
  lineId: LineId;
  share: number;
  name: 'first' | 'second' | 'rinse' | 'later';
  at: PlacedStep;
}

/** In hand again: lifted out, or strained off and put aside. */
const IN_HAND = 'in hand';

/** Follows every solid from step to step: what takes it, where it lies, when it comes back to hand. */
class Followed {
  readonly parts: Part[] = [];
  /** The parts that a step takes. */
  readonly takes = new Map<PlacedStep, LineId[]>();
  /** What a step handles: lines of which nothing is in a vessel yet, and parts that are in hand again. */
  readonly handles = new Map<PlacedStep, { whole: LineId[]; again: LineId[] }>();
  private readonly where = new Map<LineId, VesselId>();

  constructor(
    private readonly kindOf: (lineId: LineId) => ProgramLine['kind'] | undefined,
    /** Dosed by taste: each step that names it takes what it wants then. */
    private readonly byTaste: ReadonlySet<LineId>,
  ) {}

  step(p: PlacedStep): void {
    const [from] = p.from;
    const lineIds = [...new Set(p.step.lineIds)].filter((id) => this.kindOf(id) !== undefined);
    if (p.step.kind === 'lift') {
      const lifted = this.lyingIn(from, lineIds);
      for (const id of lifted) this.where.set(id, IN_HAND);
      this.takes.set(p, lifted);
    } else if (takesLines(p.step.kind) && !p.step.inGlass) {
      this.takes.set(
        p,
        lineIds.flatMap((id) => this.take(p, id)),
      );
    } else
      this.handles.set(p, {
        whole: lineIds.filter((id) => !this.isUsed(id)),
        again: lineIds.flatMap((id) => this.inHand(id)),
      });
    if (p.step.kind === 'blend')
      for (const id of p.from.flatMap((vesselId) => this.lyingIn(vesselId))) this.where.set(id, p.to[0]!);
    if (p.step.kind === 'juice') for (const id of this.takes.get(p) ?? []) this.where.delete(id);
    if (p.step.kind === 'strain' && !p.step.keepSolids)
      for (const id of this.lyingIn(from))
        if (p.step.asideSolids) this.where.set(id, IN_HAND);
        else this.where.delete(id);
  }

  /** What lies in a vessel, of some lines or of all. */
  private lyingIn(vesselId: VesselId | undefined, lineIds?: readonly LineId[]): LineId[] {
    return this.parts
      .filter((part) => this.where.get(part.id) === vesselId && (lineIds?.includes(part.lineId) ?? true))
      .map((part) => part.id);
  }

  private isUsed(lineId: LineId): boolean {
    return this.parts.some((part) => part.lineId === lineId);
  }

  private inHand(lineId: LineId): LineId[] {
    return this.lyingIn(IN_HAND, [lineId]);
  }

  private take(p: PlacedStep, lineId: LineId): LineId[] {
    const back = this.inHand(lineId);
    const before = this.parts.filter((part) => part.lineId === lineId);
    const left = 1 - before.reduce((sum, part) => sum + part.share, 0);
    const said = p.step.shares?.find((s) => s.lineId === lineId)?.share;
    const byTaste = this.byTaste.has(lineId);
    const share = byTaste ? 0 : Math.min(Math.max(0, left), said ?? left);
    const taken = [...back];
    if (back.length === 0 && (byTaste || share > NOTHING)) {
      const again = p.to[0] === BLENDER ? 'rinse' : before.length === 1 ? 'second' : 'later';
      const name = before.length === 0 ? 'first' : again;
      const id =
        name === 'first' ? lineId : name === 'later' ? `${lineId}-${before.length + 1}` : `${lineId}-${name}`;
      this.parts.push({ id, lineId, share, name, at: p });
      taken.push(id);
    }
    if (this.kindOf(lineId) === 'solid') for (const id of taken) this.where.set(id, p.to[0]!);
    return taken;
  }
}

/**
 * The lines of the program: a line that several steps take is parted, each takes its share and the last what is left;
 * what comes back to hand is taken again, and nothing goes in twice. Water "to cover" is worked out from what lies in
 * its vessel then.
 */
export function programLines(c: BuildInput, placed: readonly PlacedStep[]): CompiledLines {
  const kinds = new Map(c.lines.map((l) => [l.id, l.kind]));
  const byTaste = new Set(c.lines.flatMap((l) => (l.rule.kind === 'toTarget' ? [l.id] : [])));
  const followed = new Followed((id) => kinds.get(id), byTaste);
  for (const p of placed) followed.step(p);
  const partsOf = (lineId: LineId) => followed.parts.filter((part) => part.lineId === lineId);
  const lines = c.lines.flatMap((line): ProgramLine[] => {
    const parts = partsOf(line.id);
    const cut = c.recipe.lines.find((l) => l.id === line.id)?.prep?.code;
    const own = { ...line, ...(cut === undefined ? {} : { cut }) };
    const massG = line.rule.kind === 'cover' ? coverG(c, placed, parts[0]?.at, line.rule.plusCm) : line.massG;
    return parts.length === 0
      ? [{ ...own, massG }]
      : parts.map(({ id, share, name }) => ({
          ...own,
          id,
          massG: byTaste.has(line.id) ? massG : massG * share,
          ...(parts.length > 1 ? { share: name } : {}),
        }));
  });
  const solids = new Set(lines.flatMap((l) => (l.kind === 'solid' ? [l.id] : [])));
  const dosed = new Set(lines.flatMap((l) => (l.rule.kind === 'toTarget' ? [l.id] : [])));
  return {
    lines,
    isSolid: (id) => solids.has(id),
    recipeLineOf: (id) => followed.parts.find((part) => part.id === id)?.lineId ?? id,
    byTaste: (id) => dosed.has(id),
    of: (p) =>
      followed.takes.get(p) ?? [
        // What is washed or cut before any of it went in is so in all its parts.
        ...(followed.handles.get(p)?.whole ?? []).flatMap((lineId) => {
          const parts = partsOf(lineId);
          return parts.length === 0 ? [lineId] : parts.map((part) => part.id);
        }),
        ...(followed.handles.get(p)?.again ?? []),
      ],
  };
}

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
    .filter((p) => takesLines(p.step.kind) && p.to[0] === at.to[0])
    .flatMap((p) => p.step.lineIds);
  const shares = loadSharesOf(c);
  const loads = shares
    ? potsOf(c).map(({ pot }, i) => ({ pot, share: shares[i]! }))
    : Array.from({ length: c.fills }, () => ({ pot: c.pot, share: 1 / c.fills }));
  const coverMl = ({ pot, share }: (typeof loads)[number]): number => {
    const solids = c.lines.flatMap((l) => {
      const row = l.kind === 'solid' && there.includes(l.id) ? c.tables.ingredients.get(l.itemId) : undefined;
      return row ? [{ row, massG: l.massG * share }] : [];
    });
    return coverWaterMl(areaM2(pot.diameterCm / 100), plusCm, solids);
  };
  return loads.reduce((sum, load) => sum + coverMl(load), 0) * WATER_20_G_PER_ML;
}
