import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import { type Keeping, keepingOf } from '../keeping/shelfLife.ts';
import { markerGPerL, volumeMl } from '../liquor/composition.ts';
import { type BandSpan, bandOf } from '../plan/band.ts';
import { withBeside } from '../plan/beside.ts';
import { lanesOf } from '../plan/lanes.ts';
import { type PlanProblem, solvePlanDoc } from '../plan/planDoc.ts';
import { type Timeline, timelineOf } from '../plan/timeline.ts';
import { METHODS } from '../program/book/methods/methods.ts';
import { choicesUnder } from '../program/book/recipe.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation, TraceEntry } from '../program/model/simulation.ts';
import { isWater } from '../program/model/tags.ts';
import { BOTTLES, isPot, POT, TUB } from '../program/model/vessels.ts';
import { finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Fuel } from '../tables/constants.ts';
import type { MarkerId, Tables } from '../tables/types.ts';
import { heatOf } from './cost.ts';

/** Markers in a liquor at a moment since the start. */
export interface StrengthPoint {
  atMin: number;
  gPerL: Readonly<Partial<Record<MarkerId, number>>>;
}

/** One way of making a drink, in the figures a cook decides by. */
export interface MethodRow {
  methodId: MethodId;
  totalMin: number;
  handsOnMin: number;
  /** When the cook is needed, and what may wait for her. */
  timeline: Timeline;
  /** The way itself, to be drawn. */
  band: readonly BandSpan[];
  litres: number;
  waterL: number;
  steamL: number;
  heldL: number;
  /** g/L in the finished drink. */
  gPerL: Readonly<Partial<Record<MarkerId, number>>>;
  /** Of the calyx red that was drawn, what has not faded; null without calyx. */
  redLeft: number | null;
  /** What the solids are put into. */
  into: 'cold' | 'boiling' | 'blender';
  /** Minutes between 60 and 5 °C, from the pot to the bottles. */
  warmMin: number;
  keeping: Keeping | null;
  /** What its rings draw, kWh. */
  kWh: Readonly<Record<Fuel, number>>;
  /** Ice for cooling it in a bath, kg. */
  iceKg: number;
  /** Vessels, sieves and cloths to wash up. */
  washUp: number;
  potShare: number;
  /** Strength of what is being drawn, along the time. */
  curve: readonly StrengthPoint[];
  /** Where the pot is heated, boils, stands and is strained, for the chart's ground. */
  stretches: readonly { kind: TraceEntry['kind']; startMin: number; endMin: number }[];
  /** The finished liquor's entry, for its colour. */
  end: TraceEntry | null;
  firstDraw: DrawWorth | null;
  secondDraw: DrawWorth | null;
}

/** What one draw gives by itself. */
export interface DrawWorth {
  litres: number;
  /** Gram-equivalents of the main marker. */
  markerG: number;
  gPerL: number;
  minutes: number;
}

export type MethodAnswer = { methodId: MethodId } & (
  | { ok: true; row: MethodRow }
  | { ok: false; problem: PlanProblem }
);

/** The marker that a drink is made for: that of its heaviest line in terms of what it gives. */
export function mainMarker(program: Program, tables: Tables): MarkerId {
  let best: MarkerId = 'other';
  let most = 0;
  for (const line of program.lines) {
    const row = tables.ingredients.get(line.itemId);
    if (!row || row.rate100PerMin === null) continue;
    const gives = line.massG * row.potency;
    // Calyx and roots carry a drink at a tenth of the weight of fruit and peel.
    const weight = row.role === 'fruit' || row.role === 'peel' || row.role === 'citrus' ? 0.1 : 1;
    if (gives * weight > most) {
      most = gives * weight;
      best = row.marker;
    }
  }
  return best;
}

/** What each draw of a double draw gives: litres, strength and the minutes the second costs. Null where there is one. */
export function drawsOf(
  program: Program,
  sim: Pick<Simulation, 'trace'>,
  marker: MarkerId,
): { first: DrawWorth; second: DrawWorth } | null {
  const strains = sim.trace.filter((t) => t.kind === 'strain' && t.vesselId === TUB);
  const perFill = strains.length / program.fills;
  const steps = program.steps.filter((s) => s.kind === 'strain' && isPot(s.from[0] ?? ''));
  if (perFill !== 2 || !steps.some((s) => s.kind === 'strain' && s.keepSolids)) return null;
  const [one, two] = strains as [TraceEntry, TraceEntry];
  const begin = sim.trace.find((t) => t.kind === 'combine' && t.vesselId === POT);
  const worth = (entry: TraceEntry, fromMin: number): DrawWorth => {
    const litres = (volumeMl(entry.after.liquor) - volumeMl(entry.before.liquor)) / 1000;
    const markerG = (entry.after.liquor.markerG[marker] ?? 0) - (entry.before.liquor.markerG[marker] ?? 0);
    return { litres, markerG, gPerL: litres > 0 ? markerG / litres : 0, minutes: entry.endMin - fromMin };
  };
  return { first: worth(one, begin?.startMin ?? 0), second: worth(two, one.endMin) };
}

const MAIN_VESSELS: ReadonlySet<string> = new Set([POT, TUB, 'blender']);

/** Strength along the time of the vessel that is worked on, up to the bottles. */
export function strengthCurve(sim: Pick<Simulation, 'trace'>): StrengthPoint[] {
  const points: StrengthPoint[] = [];
  for (const entry of sim.trace) {
    if (!MAIN_VESSELS.has(entry.vesselId) && entry.kind !== 'bottle') continue;
    const { liquor } = entry.after;
    if (entry.curve.length > 0 && entry.curve[0]?.gPerL) {
      for (const p of entry.curve) if (p.gPerL) points.push({ atMin: p.atMin, gPerL: p.gPerL });
    } else if (volumeMl(liquor) > 50) {
      points.push({ atMin: entry.endMin, gPerL: allMarkers(liquor) });
    }
  }
  return points;
}

function allMarkers(liquor: TraceEntry['after']['liquor']): Partial<Record<MarkerId, number>> {
  const out: Partial<Record<MarkerId, number>> = {};
  for (const id of Object.keys(liquor.markerG) as MarkerId[]) out[id] = markerGPerL(liquor, id);
  return out;
}

const flowL = (sim: Simulation, code: string): number =>
  sim.flows.filter((f) => f.code === code).reduce((sum, f) => sum + f.volumeL, 0);

/** The ice that its baths take, kg, as the notes of the trace say. */
export const iceKgOf = (sim: Pick<Simulation, 'trace'>): number =>
  sim.trace
    .flatMap((t) => t.notes)
    .filter((note) => note.code === 'cool.ice')
    .reduce((sum, note) => sum + Number(note.params?.iceKg ?? 0), 0);

/** The figures of one way of making it. */
export function methodRow(
  methodId: MethodId,
  program: Program,
  sim: Simulation,
  potShare: number,
  tables: Tables,
): MethodRow {
  const bottled = finishedLiquor(sim);
  const end = sim.trace.findLast((t) => t.kind === 'bottle') ?? null;
  const bottle = program.steps.find((s) => s.kind === 'bottle');
  const timeline = timelineOf(program, sim);
  const used = new Set(program.steps.flatMap((s) => [...s.from, ...s.to]).filter((id) => id !== BOTTLES));
  const strains = program.steps.filter((s) => s.kind === 'strain');
  const draws = drawsOf(program, sim, mainMarker(program, tables));
  const calyxG = bottled?.markerG.calyx ?? 0;
  return {
    methodId,
    totalMin: sim.endMin,
    handsOnMin: timeline.plain.handsOnMin,
    timeline,
    band: bandOf(lanesOf(program, sim, tables)),
    litres: bottled ? volumeMl(bottled) / 1000 : 0,
    waterL: sim.flows
      .filter(
        (f) =>
          f.code === 'poured' && program.lines.some((l) => l.id === f.lineId && isWater(tables, l.itemId)),
      )
      .reduce((sum, f) => sum + f.volumeL, 0),
    steamL: flowL(sim, 'steam'),
    heldL: flowL(sim, 'held'),
    gPerL: bottled ? allMarkers(bottled) : {},
    redLeft: calyxG > 0 && bottled ? (bottled.markerG.red ?? 0) / calyxG : null,
    into: METHODS[methodId].into,
    warmMin: bottled?.cooling.warmMin ?? 0,
    keeping:
      bottled && bottle?.kind === 'bottle' ? keepingOf({ liquor: bottled, hygiene: bottle.hygiene }) : null,
    kWh: heatOf(sim.fuel),
    iceKg: iceKgOf(sim),
    washUp:
      used.size +
      (strains.length > 0 ? 1 : 0) +
      (strains.some((s) => s.kind === 'strain' && s.cloth) ? 1 : 0),
    potShare,
    curve: strengthCurve(sim),
    stretches: sim.trace
      .filter((t) => MAIN_VESSELS.has(t.vesselId) && t.endMin > t.startMin)
      .map(({ kind, startMin, endMin }) => ({ kind, startMin, endMin })),
    end,
    firstDraw: draws?.first ?? null,
    secondDraw: draws?.second ?? null,
  };
}

/** The same wish by several methods. Each takes its own usual times; everything else stays as the plan has it. */
export function compareMethods(
  plan: PlanDoc,
  methodIds: readonly MethodId[],
  book: readonly Recipe[],
  kitchen: Kitchen,
  tables: Tables,
  control: { cancelled: () => boolean; onProgress: (share: number) => void },
): MethodAnswer[] | null {
  const recipe = book.find((r) => r.id === plan.recipeId);
  const answers: MethodAnswer[] = [];
  for (const [index, methodId] of methodIds.entries()) {
    if (control.cancelled()) return null;
    const own = methodId === plan.choices.methodId;
    const choices = own || !recipe ? plan.choices : choicesUnder(recipe, methodId, plan.choices);
    // In as many pot loads as the cook has chosen; where this method does not fit in them, in as many as it takes.
    const asked = solvePlanDoc({ ...plan, choices }, book, kitchen, tables);
    const solved =
      asked.ok || plan.fills === 'asNeeded'
        ? asked
        : solvePlanDoc({ ...withBeside(plan, []), choices, fills: 'asNeeded' }, book, kitchen, tables);
    if (solved.ok) {
      const sim = simulateBatch(solved.value.program, kitchen, tables, { strength: true });
      answers.push({
        methodId,
        ok: true,
        row: methodRow(methodId, solved.value.program, sim, solved.value.potShare, tables),
      });
    } else answers.push({ methodId, ok: false, problem: solved.problem });
    control.onProgress((index + 1) / methodIds.length);
  }
  return answers;
}
