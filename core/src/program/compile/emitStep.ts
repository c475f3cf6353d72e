import type { RecipeLine, RecipeStep } from '../../documents/recipe.ts';
import { JUICE_TOOLS } from '../../documents/recipe.ts';
import { shareOfLoad } from '../model/loads.ts';
import type { BottleStep, SweetenStep, Until } from '../model/steps.ts';
import { SPICE_POT } from '../model/vessels.ts';
import { type BuildInput, loadSharesOf } from './context.ts';
import type { CompiledLines } from './lines.ts';
import type { PlacedStep } from './place.ts';
import type { StepBuilder } from './stepBuilder.ts';
import {
  attentionOf,
  COLD_C,
  coldC,
  coolTo,
  heatToC,
  juicingMin,
  lidOf,
  liquidsFirst,
  minutes,
  rinsesOf,
  toolFor,
  untilOf,
} from './usual.ts';

/** Soured by taste, where nothing is said: fresh, as a lemonade for children is. */
const USUAL_SOUR_G_PER_L = 5;

/** Putting a tub into the fridge, minutes. */
export const PUT_AWAY_MIN = 2;

/** Filled hot into warmed glass, where all of it comes out of one pot. */
const fillsHot = (c: BuildInput): boolean => c.choices.coolBy === 'bottles' && c.fills === 1;

export function emitStep(
  c: BuildInput,
  b: StepBuilder,
  placed: PlacedStep,
  lines: CompiledLines,
  fill: number,
  /** The vessels meant, where pots stand side by side. */
  { from, to }: Pick<PlacedStep, 'from' | 'to'> = placed,
): void {
  const { step } = placed;
  const share = shareOfLoad({ fills: c.fills, loadShares: loadSharesOf(c) }, { fill });
  const litres = c.litres * share;
  const times = (c.times ?? c.litres / c.recipe.basisL) * share;
  const at = { from, to, fill, recipeStepId: step.id };
  const base = {
    ...at,
    lines: liquidsFirst(lines.of(placed), lines.isSolid),
    until: untilOf(c, step, litres),
    attention: attentionOf(step),
    ...(step.text ? { text: step.text } : {}),
  };
  const lid = lidOf(c, step, to[0]!);
  const burnerId = burnerOf(c, to[0]!);
  const stands = { place: step.place === 'fridge' ? ('fridge' as const) : ('counter' as const) };
  const meanwhile = {
    ...(step.everyMin === undefined ? {} : { everyMin: step.everyMin }),
    ...(step.branch ? { branch: { ...step.branch, waterL: step.branch.waterL * times } } : {}),
  };
  switch (step.kind) {
    case 'pick':
    case 'prep':
    case 'mix':
    case 'blend':
    case 'fortify':
      b.add(step.kind, base);
      return;
    case 'mill':
      b.add('prep', { ...base, mill: true });
      return;
    case 'skim':
      b.add('mix', { ...base, lines: [], skims: true });
      return;
    case 'wash':
      b.add('wash', { ...base, ...rinsesOf(c, step) });
      return;
    case 'combine':
      b.add('combine', base);
      return;
    case 'lift':
      b.add('combine', { ...base, lift: true });
      return;
    case 'soak':
      b.add('soak', {
        ...base,
        ...stands,
        lid,
        ...(step.thrown ? { thrown: true } : {}),
        ...meanwhile,
      });
      return;
    case 'steep':
      b.add('steep', { ...base, ...stands, lid, ...meanwhile });
      return;
    case 'settle':
      b.add('steep', { ...base, ...stands, lid, purpose: 'settling' });
      return;
    case 'mature':
      b.add('steep', { ...base, ...stands, lid, purpose: 'maturing', ...meanwhile });
      return;
    case 'heat': {
      const targetC = heatToC(c, step);
      const byDegrees = targetC !== null && step.heatTo !== 'firstBubbles';
      b.add('heat', {
        ...base,
        burnerId,
        lid,
        until: { kind: 'temp', targetC },
        ...(byDegrees ? { byDegrees: true as const } : {}),
      });
      // Hot for a while, and not boiling.
      if (targetC !== null && (step.minutes ?? 0) > 0)
        b.add('steep', { ...base, lines: [], place: 'stove', lid, holdC: targetC, attention: 'watched' });
      return;
    }
    case 'boil':
      b.add('boil', {
        ...base,
        burnerId,
        lid,
        level: step.level ?? 'gentle',
        until: boilUntil(step, base.until, times),
      });
      return;
    case 'strain':
      b.add('strain', {
        ...base,
        press: step.press ?? c.choices.press,
        cloth: step.passes ? step.passes.some((p) => p.by === 'cloth') : (step.cloth ?? false),
        keepSolids: step.keepSolids ?? false,
        ...(step.asideSolids ? { asideSolids: true as const } : {}),
        ...(step.passes ? { passes: step.passes } : {}),
        ...(step.rinseMl ? { rinseMl: step.rinseMl } : {}),
      });
      // With more loads to come it would stand warm for hours: what is not surely sour is cooled meanwhile.
      if (step.keepSolids && !c.beside?.length && c.fills > 1 && fill > 0 && coldC(c) === COLD_C.other)
        emitCool(c, b, { id: step.id, kind: 'cool', lineIds: [] }, { ...at, from: to });
      return;
    case 'cool':
      emitCool(c, b, step, at);
      return;
    case 'juice':
      emitJuice(c, b, step, base);
      return;
    case 'sweeten':
      // In the glass: it is told where the bottles are filled.
      if (step.inGlass) return;
      // Left plain: nothing is dosed to a sweetness of nothing.
      if (c.choices.targetSweetnessPct === 0 && step.lineIds.length > 0 && dosesAll(c, step)) return;
      b.add('sweeten', {
        ...base,
        targetSweetnessPct: step.sweetPct ?? c.choices.targetSweetnessPct,
        ...sweetSharesOf(step, base.lines, lines),
      });
      return;
    case 'sour':
      emitSour(b, step, base, lines);
      return;
    case 'split':
      b.add('split', { ...base, ...amountOf(placed, times) });
      return;
    case 'bottle':
      b.add('bottle', {
        ...base,
        ...inGlassOf(c, step),
        hygiene: step.hygiene ?? c.choices.hygiene,
        ...(fillsHot(c) ? { hot: true as const } : {}),
      });
      return;
    case 'freeze':
      b.add('bottle', {
        ...base,
        ...inGlassOf(c, step),
        hygiene: step.hygiene ?? c.choices.hygiene,
        frozen: true,
        ...(step.portionMl === undefined ? {} : { portionMl: step.portionMl }),
      });
      return;
    default:
      step.kind satisfies never;
  }
}

/** Of several that sweeten by taste, which share each brings. */
function sweetSharesOf(
  step: RecipeStep,
  lineIds: readonly string[],
  lines: CompiledLines,
): Pick<SweetenStep, 'sweetShares'> {
  const said = new Map((step.shares ?? []).map((s) => [s.lineId, s.share]));
  const shares = lineIds.filter(lines.byTaste).flatMap((id) => {
    const share = said.get(lines.recipeLineOf(id));
    return share === undefined ? [] : [[id, share] as const];
  });
  return shares.length > 0 ? { sweetShares: Object.fromEntries(shares) } : {};
}

/** What the recipe has sweetened in the glass, of this drink or of this lot. */
function inGlassOf(c: BuildInput, step: RecipeStep): Pick<BottleStep, 'inGlass'> {
  const inGlass = (c.recipe.steps ?? []).filter(
    (s) => s.kind === 'sweeten' && s.inGlass && s.lot === step.lot,
  );
  const lineIds = inGlass.flatMap((s) => s.lineIds);
  if (lineIds.length === 0) return {};
  const sweetShares = Object.fromEntries(
    inGlass.flatMap((s) => (s.shares ?? []).map(({ lineId, share }) => [lineId, share] as const)),
  );
  return {
    inGlass: {
      lineIds,
      targetSweetnessPct: inGlass[0]?.sweetPct ?? c.choices.targetSweetnessPct,
      ...(Object.keys(sweetShares).length > 0 ? { sweetShares } : {}),
    },
  };
}

/** What is stated goes in as stated; what is soured by taste goes in to the acid aimed at. */
function emitSour(
  b: StepBuilder,
  step: RecipeStep,
  base: Omit<Parameters<typeof b.add<'sour'>>[1], 'targetTaGPerL'>,
  lines: CompiledLines,
): void {
  const taste = base.lines.filter(lines.byTaste);
  const stated = base.lines.filter((id) => !lines.byTaste(id));
  if (stated.length > 0 || taste.length === 0) b.add('mix', { ...base, lines: stated });
  if (taste.length > 0)
    b.add('sour', { ...base, lines: taste, targetTaGPerL: step.sourGPerL ?? USUAL_SOUR_G_PER_L });
}

/** How much a lot pours off: its litres, or its share of what the lots before it left. */
function amountOf({ step, lot }: PlacedStep, scale: number): { share: number; volumeMl?: number } {
  if (lot?.volumeL !== undefined) return { share: 0, volumeMl: lot.volumeL * 1000 * scale };
  const lots = step.lots ?? [];
  const before = lots.slice(0, lot ? lots.indexOf(lot) : 0).reduce((sum, l) => sum + (l.share ?? 0), 0);
  return { share: Math.min(1, (lot?.share ?? 0) / Math.max(1e-9, 1 - before)) };
}

/** By the clock, or until so much is left. */
function boilUntil(step: RecipeStep, byClock: Until, scale: number): Until {
  if (step.downToL !== undefined) return { kind: 'down', to: { litres: step.downToL * scale } };
  if (step.downToCm !== undefined) return { kind: 'down', to: { levelCm: step.downToCm * scale } };
  if (step.downToShare !== undefined) return { kind: 'down', to: { share: step.downToShare } };
  return byClock;
}

const dosesAll = (c: BuildInput, step: RecipeStep): boolean =>
  step.lineIds.every((id) => c.lines.find((l) => l.id === id)?.rule.kind === 'toTarget');

/** Spices and syrups stand beside the big pot, on another flame where there is one. */
const burnerOf = (c: BuildInput, vesselId: string): string =>
  (vesselId === SPICE_POT ? (c.kitchen.burners.find((r) => r.id !== c.burner.id) ?? c.burner) : c.burner).id;

function emitCool(
  c: BuildInput,
  b: StepBuilder,
  step: RecipeStep,
  at: { from: readonly string[]; to: readonly string[]; fill: number; recipeStepId: string },
): void {
  if (!step.place && fillsHot(c)) return;
  // Several loads poured together would not stay hot: each is cooled in ice.
  const place = step.place ?? (c.choices.coolBy === 'bottles' ? 'iceBath' : c.choices.coolBy);
  b.add('cool', {
    ...at,
    lines: [],
    place,
    lid: lidOf(c, step, at.to[0]!),
    until: step.minutes
      ? untilOf(c, step, c.litres)
      : step.toC === undefined
        ? coolTo(c, place)
        : { kind: 'temp', targetC: step.toC },
    attention: attentionOf({ ...step, place }),
  });
}

/** A step for each tool: citrus is squeezed by hand, the rest goes through the best there is. */
function emitJuice(
  c: BuildInput,
  b: StepBuilder,
  step: RecipeStep,
  base: Omit<Parameters<typeof b.add<'juice'>>[1], 'tool'>,
): void {
  const own = base.lines.flatMap((id): RecipeLine[] => {
    const line = c.recipe.lines.find((l) => l.id === id);
    return line?.kind === 'solid' ? [line] : [];
  });
  for (const tool of JUICE_TOOLS) {
    const by = own.filter((l) => (step.tool ?? toolFor(c, l)) === tool);
    if (!by.length) continue;
    const kg = by.reduce((sum, l) => sum + (c.lines.find((p) => p.id === l.id)?.massG ?? 0), 0) / 1000;
    b.add('juice', {
      ...base,
      lines: by.map((l) => l.id),
      tool,
      until: step.minutes ? base.until : minutes(juicingMin(tool, kg)),
    });
  }
}
