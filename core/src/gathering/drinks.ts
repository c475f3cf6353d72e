import type { GatheringDoc, GatheringDrink } from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { Recipe } from '../documents/recipe.ts';
import { expectedLife, plannedLife } from '../keeping/bottled.ts';
import { coldAfterMs } from '../keeping/follower.ts';
import { volumeMl } from '../liquor/composition.ts';
import { type PlanProblem, solvePlanDoc } from '../plan/planDoc.ts';
import type { Liquor } from '../program/model/liquor.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { itemsIn, tagsOf, tagsOfBatch } from '../program/model/tags.ts';
import { finishedL, finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tag } from '../tables/traits.ts';
import type { Tables } from '../tables/types.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import { type Cut, lastsThrough, type TableLot } from './mayDrink.ts';

/** A batch of the kitchen's as its log tells it, for a gathering that it belongs to. */
export type FeastBatch =
  | { batchId: string; state: 'planned'; plan: PlanDoc }
  | {
      batchId: string;
      state: 'begun';
      program: Program;
      forecast: Simulation;
      startedMs: number;
      /** Null where all steps are over. */
      currentStepId: string | null;
    };

/** Bottles that stand in the kitchen already. */
export interface FeastBottles {
  /** Of those that the gathering names, the ones that are still there. */
  itemIds: readonly string[];
  recipeId: string;
  /** As they were filled. */
  colour: string;
  litres: number;
  tags: readonly Tag[];
  madeOf: readonly string[];
  sugarGPerL: number;
  /** The first of them is past its life then. */
  deadlineMs: number;
  /** What of them lies frozen, L. */
  frozenL: number;
}

/** A part that could be set apart, with how long it is good from the moment the drink itself is done, ms. */
export interface FeastCut extends Cut {
  fromDoneMs: number;
}

/** A drink of a gathering, worked out as far as it can be. */
export interface FeastDrink {
  id: string;
  recipeId: string | null;
  /** Why it cannot be made as it is planned. */
  problem: PlanProblem | { kind: 'gone' } | null;
  /** Of bottles, as they were filled; null of what is made, whose liquor tells. */
  colour: string | null;
  /** How it is made; null of bottles, and where there is a problem. */
  made: { program: Program; sim: Simulation } | null;
  /** Where its batch stands; null while it is not begun. */
  begun: { startedMs: number; currentStepId: string | null } | null;
  plan: PlanDoc | null;
  litres: number;
  lot: Omit<TableLot, 'lasts'>;
  /** What could be set apart of it, in the order of the making. */
  cuts: readonly FeastCut[];
  /** How long it is good from the moment it is done, ms; of bottles until when. */
  life: { fromDoneMs: number } | { untilMs: number };
  /** Of bottles, what lies frozen and has to thaw first, L. */
  frozenL: number;
  /** From the filling until it is cold enough to serve, ms. */
  chillMs: number;
}

const sugarPerGlass = (liquor: Liquor, glassMl: number): number => {
  const ml = volumeMl(liquor);
  return ml > 0 ? (liquor.sugarG / ml) * glassMl : 0;
};

/** In a bottle of a litre where the kitchen says no other. */
const USUAL_BOTTLE = { volumeMl: 970, diameterCm: 8.5 };

/** The plan of a drink at so many litres. */
export const planAt = (plan: PlanDoc, litres: number): PlanDoc => ({
  ...plan,
  question: { kind: 'litres', litres: Math.max(0.2, Math.round(litres * 10) / 10) },
  fills: 'asNeeded',
});

interface Around {
  gathering: Pick<GatheringDoc, 'glassMl' | 'servesAtMs' | 'untilMs'>;
  kitchen: Kitchen;
  tables: Tables;
  book: readonly Recipe[];
  nowMs: number;
}

/** A drink that is to be made, at so many litres. */
export function plannedDrink(id: string, plan: PlanDoc, litres: number, around: Around): FeastDrink {
  const { kitchen, tables, book } = around;
  const at = planAt(plan, litres);
  const solved = solvePlanDoc(at, book, kitchen, tables);
  if (!solved.ok)
    return {
      id,
      recipeId: plan.recipeId,
      colour: null,
      problem: solved.problem,
      made: null,
      begun: null,
      plan: at,
      litres: 0,
      lot: { id, drinkId: id, tags: new Set(), itemIds: new Set(), sugarGPerGlass: 0 },
      cuts: [],
      life: { fromDoneMs: 0 },
      frozenL: 0,
      chillMs: 0,
    };
  const { program } = solved.value;
  const sim = simulateBatch(program, kitchen, tables);
  return { ...madeDrink(id, program, sim, around), plan: at };
}

/** A drink whose batch is planned or begun, by its program and how it goes. */
export function madeDrink(id: string, program: Program, sim: Simulation, around: Around): FeastDrink {
  const { gathering, kitchen, tables, nowMs } = around;
  const liquor = finishedLiquor(sim);
  const life = plannedLife(program, sim, kitchen, { startMs: nowMs, nowMs });
  const doneMs = nowMs + sim.endMin * MINUTE_MS;
  return {
    id,
    recipeId: program.recipeId,
    colour: null,
    problem: null,
    made: { program, sim },
    begun: null,
    plan: null,
    litres: finishedL(sim),
    lot: {
      id,
      drinkId: id,
      tags: tagsOfBatch(program, sim.trace, tables),
      itemIds: new Set(program.lines.map((l) => l.itemId)),
      sugarGPerGlass: liquor ? sugarPerGlass(liquor, gathering.glassMl) : 0,
    },
    cuts: cutsOf(id, program, sim, around),
    life: { fromDoneMs: life ? Math.max(0, life.deadlineMs - doneMs) : 0 },
    frozenL: 0,
    chillMs: liquor ? (coldAfterMs(USUAL_BOTTLE, liquor.tempC, kitchen.fridgeC) ?? DAY_MS) : 0,
  };
}

/**
 * Where a part can be set apart: before each step that brings something into a drink which is strained already. What the
 * part is fit for follows from what has gone into it by then.
 */
function cutsOf(drinkId: string, program: Program, sim: Simulation, around: Around): FeastCut[] {
  const { gathering, tables, kitchen, nowMs } = around;
  const seen = new Set<string>();
  return sim.trace.flatMap((entry): FeastCut[] => {
    const step = program.steps.find((s) => s.id === entry.stepId);
    const { liquor, solids } = entry.before;
    if (!step || step.lines.length === 0 || seen.has(step.id)) return [];
    if (solids.length > 0 || volumeMl(liquor) < 1000 || step.kind === 'bottle') return [];
    seen.add(step.id);
    const itemIds = itemsIn(program, liquor);
    const life = expectedLife(
      liquor,
      'clean',
      kitchen,
      { startedMs: nowMs, filledMs: nowMs + entry.startMin * MINUTE_MS, nowMs },
      [],
    );
    const fromDoneMs = life.deadlineMs - (nowMs + sim.endMin * MINUTE_MS);
    const chillMs = coldAfterMs(USUAL_BOTTLE, liquor.tempC, kitchen.fridgeC) ?? DAY_MS;
    return [
      {
        drinkId,
        fromDoneMs,
        beforeStepId: step.id,
        lot: {
          id: `${drinkId}:${step.id}`,
          drinkId,
          tags: tagsOf(liquor, itemIds, tables),
          itemIds,
          sugarGPerGlass: sugarPerGlass(liquor, gathering.glassMl),
          lasts: lastsThrough(fromDoneMs, chillMs, gathering),
        },
      },
    ];
  });
}

/** Bottles that are there: nothing is to be done but to pour. */
export function bottledDrink(id: string, bottles: FeastBottles | undefined, glassMl: number): FeastDrink {
  return {
    id,
    recipeId: bottles?.recipeId ?? null,
    colour: bottles?.colour ?? null,
    problem: bottles ? null : { kind: 'gone' },
    made: null,
    begun: null,
    plan: null,
    litres: bottles?.litres ?? 0,
    lot: {
      id,
      drinkId: id,
      tags: new Set(bottles?.tags),
      itemIds: new Set(bottles?.madeOf),
      sugarGPerGlass: ((bottles?.sugarGPerL ?? 0) * glassMl) / 1000,
    },
    cuts: [],
    life: { untilMs: bottles?.deadlineMs ?? 0 },
    frozenL: bottles?.frozenL ?? 0,
    chillMs: 0,
  };
}

/** Any drink of a gathering. @param litres for what is still to be sized. */
export function feastDrink(
  drink: GatheringDrink,
  litres: number,
  batches: readonly FeastBatch[],
  bottles: ReadonlyMap<string, FeastBottles>,
  around: Around,
): FeastDrink {
  const { source } = drink;
  if (source.kind === 'plan') return plannedDrink(drink.id, source.plan, source.litres ?? litres, around);
  if (source.kind === 'bottles')
    return bottledDrink(drink.id, bottles.get(drink.id), around.gathering.glassMl);
  const batch = batches.find((b) => b.batchId === source.batchId);
  if (!batch) return bottledDrink(drink.id, bottles.get(drink.id), around.gathering.glassMl);
  if (batch.state === 'planned') {
    const solved = solvePlanDoc(batch.plan, around.book, around.kitchen, around.tables);
    if (!solved.ok) return { ...plannedDrink(drink.id, batch.plan, litres, around), problem: solved.problem };
    const { program } = solved.value;
    return madeDrink(drink.id, program, simulateBatch(program, around.kitchen, around.tables), around);
  }
  const { startedMs, currentStepId } = batch;
  return {
    ...madeDrink(drink.id, batch.program, batch.forecast, around),
    begun: { startedMs, currentStepId },
    frozenL: bottles.get(drink.id)?.frozenL ?? 0,
  };
}
