import { randomLcg, randomNormal } from 'd3-random';
import type { Kitchen } from '../documents/kitchen.ts';
import { factorsIn, priorSpread } from '../learn/priors.ts';
import { markerGPerL } from '../liquor/composition.ts';
import { type FactorId, type ModelFactors, readFactorId } from '../program/model/factors.ts';
import type { Program } from '../program/model/program.ts';
import { finishedL, finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { SPREAD_ROWS, type SpreadId, type SpreadRow } from '../tables/spreads.ts';
import type { Confidence, IngredientRow, MarkerId, Tables } from '../tables/types.ts';

/** Where eight runs of ten come to lie, and their middle. */
export interface Span {
  low: number;
  mid: number;
  high: number;
}

export interface Ranges {
  litres: Span;
  minutes: Span;
  /** g/L in the finished drink, for what is drawn at all. */
  gPerL: Readonly<Partial<Record<MarkerId, Span>>>;
  runs: number;
  /** Runs that met a problem, such as a pot that never boils: left out of the spans. */
  failed: number;
}

/** What single runs gave, before anything is sorted: parts of one question may be drawn in different workers. */
export interface RangeSamples {
  litres: readonly number[];
  minutes: readonly number[];
  /** g/L in each run that ended, in the order of `litres`. */
  gPerL: Readonly<Partial<Record<MarkerId, readonly number[]>>>;
  runs: number;
  failed: number;
}

export interface RangeOptions {
  runs: number;
  seed: number;
  /** The first run to draw: each has a seed of its own, so it does not matter who draws it. */
  from?: number;
  spreads?: readonly SpreadRow[];
  /** Asked after every piece of work; true stops it. */
  cancelled?: () => boolean;
  onProgress?: (share: number) => void;
}

/** Shares of the runs below the low and above the high end of a span. */
const TAIL = 0.1;
const PIECE = 100;

function spanOf(values: readonly number[]): Span {
  const sorted = Float64Array.from(values).sort();
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { low: at(TAIL), mid: at(0.5), high: at(1 - TAIL) };
}

/** One draw of every constant: a normal in the logarithm, so that twice and half are as likely. */
class Draw {
  constructor(
    readonly normal: () => number,
    private readonly sigmas: ReadonlyMap<SpreadId, SpreadRow['sigma']>,
  ) {}
  of(id: SpreadId, confidence: Confidence = 'm'): number {
    const sigma = this.sigmas.get(id) ?? 0;
    // A number is drawn whether it counts or not: leaving one spread out leaves the others as they were.
    const z = this.normal();
    return Math.exp(z * (typeof sigma === 'number' ? sigma : sigma[confidence]));
  }
}

const potencyId = (row: IngredientRow): SpreadId =>
  row.marker === 'calyx' ? 'potencyCalyx' : row.marker === 'ginger' ? 'potencyGinger' : 'potency';

/** The factors of one ingredient, as drawn. */
const drawnOf = (row: IngredientRow, draw: Draw): ModelFactors => ({
  [`held:${row.id}`]: draw.of('held', row.confidence),
  [`rate:${row.id}`]: draw.of('rate', row.confidence),
  [`potency:${row.id}`]: draw.of(potencyId(row), row.confidence),
  [`juice:${row.id}`]: draw.of('juice', row.confidence),
});

/** By the book: what belongs to the kitchen in general, and each ingredient's own. */
const drawnByBook = (used: readonly IngredientRow[], draw: Draw): ModelFactors =>
  Object.assign(
    {
      boilOff: draw.of('boilOff'),
      power: draw.of('power'),
      heatLoss: draw.of('heatLoss'),
      strainLoss: draw.of('strainLoss'),
    },
    ...used.map((row) => drawnOf(row, draw)),
  );

/**
 * In a kitchen that has learnt: how far each of its pots, rings, places and ingredients may still be off. Of what it has
 * not read yet that is as by the book, where a press and a juicer are told of with what they press. Handwork takes its own
 * time in both.
 */
function spreadsLearnt(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
): readonly [FactorId, number][] | null {
  const { learnt } = kitchen;
  if (!learnt) return null;
  return factorsIn(program, kitchen, tables).flatMap((id): [FactorId, number][] => {
    const { kind } = readFactorId(id);
    const known = learnt.spreads[id];
    const told = kind === 'press' || kind === 'juiceBy';
    if (kind === 'minutes' || (told && known === undefined)) return [];
    return [[id, known ?? priorSpread(id, tables)]];
  });
}

/** Shares of a normal draw that lie within the ends of what was said: nine of ten. */
const WITHIN_ENDS = 1.645;

/** Amounts that were said loosely, drawn between their ends; the others as they are. */
function asSaid(program: Program, draw: Draw): Program {
  if (!program.lines.some((l) => l.open)) return program;
  const lines = program.lines.map((l) => {
    if (!l.open || !(l.open.low > 0)) return l;
    const middle = (Math.log(l.open.low) + Math.log(l.open.high)) / 2;
    const sigma = (Math.log(l.open.high) - Math.log(l.open.low)) / (2 * WITHIN_ENDS);
    return { ...l, massG: l.massG * Math.exp(middle + sigma * draw.normal()) };
  });
  return { ...program, lines } as Program;
}

/**
 * A seed in 0..1 for each run. Neighbouring runs must not share a stream, so the bits are mixed.
 * Source: the usual 32-bit finaliser, two multiplications and three shifts.
 */
function seedOfRun(seed: number, run: number): number {
  let h = Math.imul(seed + 1, 0x9e3779b1) ^ run;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/**
 * The same program run many times, each time with every constant of the model drawn from its spread.
 * The same seed and the same runs give the same figures, wherever they are drawn.
 * @returns null when it was stopped.
 */
export function drawRuns(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  options: RangeOptions,
): RangeSamples | null {
  const sigmas = new Map((options.spreads ?? SPREAD_ROWS).map((r) => [r.id, r.sigma]));
  const used = program.lines.flatMap((l) => {
    const row = tables.ingredients.get(l.itemId);
    return row ? [row] : [];
  });
  // What a range is asked for without its spreads is asked of the book.
  const known = options.spreads ? null : spreadsLearnt(program, kitchen, tables);
  const litres: number[] = [];
  const minutes: number[] = [];
  const gPerL: Partial<Record<MarkerId, number[]>> = {};
  const from = options.from ?? 0;
  for (let run = 0; run < options.runs; run++) {
    if (run % PIECE === 0 && run > 0) {
      options.onProgress?.(run / options.runs);
      if (options.cancelled?.()) return null;
    }
    const draw = new Draw(randomNormal.source(randomLcg(seedOfRun(options.seed, from + run)))(0, 1), sigmas);
    const factors: ModelFactors = known
      ? Object.fromEntries(known.map(([id, sigma]) => [id, Math.exp(sigma * draw.normal())]))
      : drawnByBook(used, draw);
    const sim = simulateBatch(asSaid(program, draw), kitchen, tables, { detail: 'lean', factors });
    const end = finishedLiquor(sim);
    if (sim.problem || !end) continue;
    litres.push(finishedL(sim));
    minutes.push(sim.endMin);
    for (const id of Object.keys(end.markerG) as MarkerId[]) {
      gPerL[id] ??= [];
      gPerL[id].push(markerGPerL(end, id));
    }
  }
  return { litres, minutes, gPerL, runs: options.runs, failed: options.runs - litres.length };
}

/** Parts of one question that were drawn apart, in the order of their runs. */
export function joinSamples(parts: readonly RangeSamples[]): RangeSamples {
  const markers = new Set(parts.flatMap((p) => Object.keys(p.gPerL) as MarkerId[]));
  const sum = (of: (p: RangeSamples) => number) => parts.reduce((total, p) => total + of(p), 0);
  return {
    litres: parts.flatMap((p) => p.litres),
    minutes: parts.flatMap((p) => p.minutes),
    gPerL: Object.fromEntries([...markers].map((id) => [id, parts.flatMap((p) => p.gPerL[id] ?? [])])),
    runs: sum((p) => p.runs),
    failed: sum((p) => p.failed),
  };
}

/** The likely spans of what was drawn. */
export const spansOf = (samples: RangeSamples): Ranges => ({
  litres: spanOf(samples.litres),
  minutes: spanOf(samples.minutes),
  gPerL: Object.fromEntries(
    Object.entries(samples.gPerL).map(([id, values]) => [id, spanOf(values)]),
  ) as Ranges['gPerL'],
  runs: samples.runs,
  failed: samples.failed,
});
