import { BOOK, completeChoices } from '@big-ladle/core/book';
import {
  EMPTY_KITCHEN,
  type Kitchen,
  kitchenSchema,
  METHOD_IDS,
  type Pot,
  type Recipe,
  recipeSchema,
} from '@big-ladle/core/documents';
import { plannedLife } from '@big-ladle/core/keeping';
import { brix, markerGPerL, phOf, sournessGPerL, volumeMl } from '@big-ladle/core/liquor';
import { type Solution, solvePlan, timelineOf } from '@big-ladle/core/plan';
import { finishedLiquor, type Simulation, simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import Papa from 'papaparse';
import * as v from 'valibot';
import { argsOf, checked, jsonOf, numberOf } from './input.ts';
import { InputProblem, UsageProblem } from './problems.ts';
import { READ_FORMAT } from './read.ts';

const OPTIONS = {
  bottled: { type: 'string' },
  pot: { type: 'string' },
  ring: { type: 'string' },
  method: { type: 'string' },
  kitchen: { type: 'string' },
  drink: { type: 'string' },
  csv: { type: 'boolean' },
} as const;

const USUAL_RING_W = 3000;
/** Pots that are tried where none is told, cm: the smallest that takes it. */
const POTS: readonly [width: number, height: number][] = [
  [18, 12],
  [24, 18],
  [30, 24],
  [36, 30],
  [45, 40],
];

const readSchema = v.looseObject({
  format: v.literal(READ_FORMAT),
  drinks: v.array(v.looseObject({ recipe: v.unknown() })),
});

/** A recipe document, a drink of the book by its id, or a drink of what was read. */
export function recipeOf(value: unknown, drink: number): Recipe {
  const read = v.safeParse(readSchema, value);
  if (read.success) {
    const one = read.output.drinks[drink - 1];
    if (!one)
      throw new InputProblem(`there are ${read.output.drinks.length} drinks, none of number ${drink}`);
    return checked(recipeSchema, one.recipe, `the recipe of drink ${drink}`) as Recipe;
  }
  const shipped = v.safeParse(v.looseObject({ id: v.string(), lines: v.optional(v.unknown()) }), value);
  if (shipped.success && shipped.output.lines === undefined) {
    const known = BOOK.find((r) => r.id === shipped.output.id);
    if (!known) throw new InputProblem(`no drink "${shipped.output.id}" in the book`);
    return known;
  }
  return checked(recipeSchema, value, 'the recipe') as Recipe;
}

const potOf = (text: string): Pot => {
  const match = /^(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)$/.exec(text);
  if (!match) throw new UsageProblem(`--pot wants WIDTHxHEIGHT in cm, as 30x24, not "${text}"`);
  return potWith(Number(match[1]), Number(match[2]));
};
const potWith = (diameterCm: number, heightCm: number): Pot => ({
  id: 'pot',
  name: 'Pot',
  diameterCm,
  heightCm,
  material: 'stainless',
  lid: true,
  massG: null,
});

export interface Solved {
  recipe: Recipe;
  kitchen: Kitchen;
  solution: Solution;
  sim: Simulation;
}

/** A recipe made for so many litres. @throws InputProblem that says why it cannot be made. */
export function solve(
  recipe: Recipe,
  options: { bottledL?: number; pot?: string; ringW?: number; method?: string; kitchen?: Kitchen },
): Solved {
  const methodId = METHOD_IDS.find((id) => id === options.method) ?? recipe.methods[0]!;
  if (options.method && methodId !== options.method)
    throw new UsageProblem(`no method "${options.method}"; known: ${METHOD_IDS.join(', ')}`);
  if (!recipe.methods.includes(methodId))
    throw new InputProblem(`${recipe.id} is not drawn by ${methodId}; it takes ${recipe.methods.join(', ')}`);
  const litres = options.bottledL ?? recipe.basisL;
  const own = options.kitchen;
  const pots = options.pot
    ? [potOf(options.pot)]
    : own?.pots[0]
      ? [own.pots[0]]
      : POTS.map(([w, h]) => potWith(w, h));
  const burner = own?.burners[0] ?? {
    id: 'ring',
    name: 'Ring',
    kind: 'gas' as const,
    powerW: options.ringW ?? USUAL_RING_W,
  };
  let problem = '';
  for (const pot of pots) {
    const kitchen: Kitchen = {
      ...(own ?? { ...EMPTY_KITCHEN, fridgeFreeL: 1000 }),
      pots: [pot],
      burners: [burner],
    };
    const solved = solvePlan({
      recipe,
      choices: completeChoices(recipe, { methodId }),
      kitchen,
      tables: SHIPPED_TABLES,
      pot,
      burner,
      wish: { question: { kind: 'litres', litres }, fills: options.pot ? 'asNeeded' : 1 },
    });
    if (solved.ok) {
      const sim = simulateBatch(solved.value.program, kitchen, SHIPPED_TABLES);
      return { recipe, kitchen, solution: solved.value, sim };
    }
    problem = JSON.stringify(solved.problem);
    if (solved.problem.kind !== 'potTooSmall') break;
  }
  throw new InputProblem(`it cannot be made so: ${problem}`);
}

function solvedFrom(args: readonly string[]): Solved & { csv: boolean } {
  const { values, file } = argsOf(args, OPTIONS);
  const drink = numberOf(values.drink, 'drink') ?? 1;
  const recipe = recipeOf(jsonOf(file), drink);
  const kitchen = values.kitchen
    ? (checked(kitchenSchema, jsonOf(values.kitchen), 'the kitchen') as Kitchen)
    : undefined;
  const bottledL = numberOf(values.bottled, 'bottled');
  const ringW = numberOf(values.ring, 'ring');
  return {
    ...solve(recipe, {
      ...(bottledL === undefined ? {} : { bottledL }),
      ...(values.pot === undefined ? {} : { pot: values.pot }),
      ...(ringW === undefined ? {} : { ringW }),
      ...(values.method === undefined ? {} : { method: values.method }),
      ...(kitchen ? { kitchen } : {}),
    }),
    csv: values.csv === true,
  };
}

/** Null where it has too little acid to say. */
const pHOf = (liquor: Parameters<typeof phOf>[0]): number | null => {
  const estimate = phOf(liquor);
  return estimate && 'pH' in estimate ? estimate.pH : null;
};

const figures = (sim: Simulation) => {
  const liquor = finishedLiquor(sim);
  if (!liquor) return null;
  return {
    brix: brix(liquor),
    sournessGPerL: sournessGPerL(liquor),
    pH: pHOf(liquor),
    strengthGPerL: Object.fromEntries(
      (Object.keys(liquor.markerG) as (keyof typeof liquor.markerG)[]).map((id) => [
        id,
        markerGPerL(liquor, id),
      ]),
    ),
  };
};

/** `ladle plan`: a recipe to amounts, steps with their times, and what comes out. */
export function plan(args: readonly string[]): string {
  const { recipe, kitchen, solution, sim } = solvedFrom(args);
  const timeline = timelineOf(solution.program, sim);
  const life = plannedLife(solution.program, sim, kitchen, { startMs: 0, nowMs: 0 });
  return JSON.stringify(
    {
      format: 'big-ladle-plan',
      v: 1,
      recipe: { id: recipe.id, version: recipe.version },
      litres: solution.litres,
      waterL: solution.waterL,
      fills: solution.fills,
      potShare: solution.potShare,
      limit: solution.limit,
      minutes: sim.endMin,
      lines: solution.program.lines.map((l) => ({
        id: l.id,
        item: l.itemId,
        massG: l.massG || (solution.dosedG[l.id] ?? 0),
      })),
      steps: sim.trace.map((t) => ({
        id: t.stepId,
        kind: t.kind,
        vessel: t.vesselId,
        startMin: t.startMin,
        endMin: t.endMin,
      })),
      timeline: timeline.plain,
      finished: figures(sim),
      keeps: life && { days: life.leftDays, verdict: life.verdict, reasons: life.reasons },
      problem: sim.problem ?? null,
    },
    null,
    2,
  );
}

/** `ladle trace`: what stands in each vessel after each step. */
export function trace(args: readonly string[]): string {
  const { sim, csv } = solvedFrom(args);
  const rows = sim.trace.map((t) => ({
    step: t.stepId,
    kind: t.kind,
    vessel: t.vesselId,
    startMin: t.startMin,
    endMin: t.endMin,
    volumeMl: volumeMl(t.after.liquor),
    tempC: t.after.liquor.tempC,
    levelCm: t.now.levelCm,
  }));
  if (!csv)
    return JSON.stringify(
      { format: 'big-ladle-trace', v: 1, trace: sim.trace, problem: sim.problem ?? null },
      null,
      2,
    );
  return Papa.unparse(rows);
}
