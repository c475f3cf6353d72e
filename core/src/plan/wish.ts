import type { PlanDoc } from '../documents/plan.ts';
import type { Recipe, RecipeLine } from '../documents/recipe.ts';
import type { BatchBasis } from '../program/compile/context.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { StepProblem } from '../program/model/simulation.ts';

/** The four questions that cooks ask. */
export type Question = PlanDoc['question'];

export interface Wish {
  question: Question;
  /** How often the pot may be filled: as often as needed, or just so often. */
  fills: number | 'asNeeded';
}

export type Limit = 'wish' | 'pot' | 'foam' | 'fridge' | 'ingredient';

export interface Solution {
  program: PlannedProgram;
  /** Finished litres in bottles, at 20 °C. */
  litres: number;
  fills: number;
  /** What set the size. */
  limit: Limit;
  /** The fullest the pot gets, contents and foam, as a share of what it may take; 1 is exactly full. */
  potShare: number;
  waterL: number;
  /** What was worked out at its step, g, by line. */
  dosedG: Readonly<Record<string, number>>;
  effort: { simulations: number };
}

export type SolveProblem =
  | { kind: 'badWish'; field: 'litres' | 'servings' | 'servingMl' | 'massG' | 'fills' }
  | { kind: 'unknownLine'; lineId: string }
  | { kind: 'potTooSmall'; overL: number; fitsL: number; fillsNeeded: number; limit: 'pot' | 'foam' }
  | { kind: 'fridgeTooSmall'; wantsL: number; freeL: number }
  | { kind: 'tooLittle'; leastL: number }
  | { kind: 'step'; problem: StepProblem }
  | { kind: 'notConverged'; missL: number };

export interface SolveInput extends BatchBasis {
  wish: Wish;
}

/** The one place for the solver's settings. */
export const SOLVER = Object.freeze({
  /** Finished litres are aimed at within this share, */
  tolerance: 0.0005,
  /** and a plan that misses them, or what is to be used up, by more than this is none. */
  mostMiss: 0.005,
  maxRounds: 12,
  /** Halvings where the secant does not find it. */
  maxHalvings: 40,
  /** More fills than this nobody stands at the stove for. */
  maxFills: 6,
  /** Least and most a batch may be, litres. */
  leastL: 0.2,
  mostL: 400,
});

/** Lines that a batch may be sized by: those that grow with it, the main one first. */
export const usableLines = (recipe: Recipe): RecipeLine[] =>
  recipe.lines
    .filter((l) => l.rule.kind !== 'toVolume' && l.rule.kind !== 'perPot')
    .sort((a, b) => Number(isMain(b)) - Number(isMain(a)));

const isMain = (l: RecipeLine): boolean => l.kind === 'solid' && l.rule.kind === 'linear';

/** Problems that more water mends. */
export const isTooDry = (problem: StepProblem): boolean =>
  problem.kind === 'allHeld' || problem.kind === 'boiledDry' || problem.kind === 'emptyVessel';
