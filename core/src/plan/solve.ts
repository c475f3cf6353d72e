import { volumeMl, WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { type Burner, type Kitchen, type Pot, potCapacityMl } from '../program/kitchen.ts';
import { BOTTLES, POT, TUB } from '../program/making.ts';
import { buildProgram } from '../program/methods.ts';
import { type Choices, type Recipe, withAcidFirst, withInstead, withWay } from '../program/recipe.ts';
import { simulateBatch } from '../program/simulate.ts';
import type { Program, ProgramLine, StepProblem } from '../program/types.ts';
import type { Tables } from '../tables/types.ts';
import { fail, ok, type Result } from '../units/result.ts';
import { lineMassG, presetFactor, scaleForMass } from './scaling.ts';

/** The four questions that cooks ask. */
export type Question =
  | { kind: 'litres'; litres: number }
  | { kind: 'servings'; servings: number; servingMl: number }
  | { kind: 'potFull' }
  | { kind: 'useUp'; lineId: string; massG: number };

export interface Wish {
  question: Question;
  /** How often the pot may be filled: as often as needed, or just so often. */
  fills: number | 'asNeeded';
}

export type Limit = 'wish' | 'pot' | 'foam' | 'fridge' | 'ingredient';

export interface Solution {
  program: Program;
  /** Finished litres in bottles, at 20 °C. */
  litres: number;
  fills: number;
  /** What set the size. */
  limit: Limit;
  /** The fullest the pot gets, contents and foam, as a share of what it may take; 1 is exactly full. */
  potShare: number;
  waterL: number;
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

export interface SolveInput {
  recipe: Recipe;
  choices: Choices;
  kitchen: Kitchen;
  tables: Tables;
  pot: Pot;
  burner: Burner;
  wish: Wish;
}

/** The one place for the solver's settings. */
export const SOLVER = Object.freeze({
  /** Finished litres are met within this share. */
  tolerance: 0.0005,
  maxRounds: 12,
  /** More fills than this nobody stands at the stove for. */
  maxFills: 6,
  /** Least and most a batch may be, litres. */
  leastL: 0.2,
  mostL: 400,
});

/** A plan is solved for so many litres: solids by their rules, water so that the bottles come out right. */
interface Sized {
  program: Program;
  litres: number;
  /** What was solved for: mL of water, or the recipe's multiple. */
  free: number;
  potShare: number;
  problem: StepProblem | null;
}

/** All water that is poured, L. */
const waterOf = (program: Program): number =>
  program.lines.reduce((sum, l) => sum + (l.itemId === 'water' ? l.massG : 0), 0) / WATER_20_G_PER_ML / 1000;

class Sizer {
  simulations = 0;
  /** Water makes up the litres; without such a line everything is scaled until they come out. */
  private readonly fillsUp: boolean;
  constructor(private readonly input: SolveInput) {
    this.fillsUp = input.recipe.lines.some((l) => l.rule.kind === 'toVolume');
  }

  /** @param free millilitres of water, or how many times the recipe, whichever is solved for. */
  private build(wishL: number, free: number, fills: number): Program {
    const { recipe, choices } = this.input;
    const factor = this.fillsUp ? wishL / recipe.basisL : free;
    const lines: ProgramLine[] = recipe.lines.map((line) => ({
      id: line.id,
      kind: line.kind,
      itemId: line.itemId,
      rule: line.rule,
      massG:
        line.rule.kind === 'toVolume'
          ? free * WATER_20_G_PER_ML
          : lineMassG(line, factor, fills) * presetFactor(line, choices),
    }));
    return buildProgram({ ...this.input, lines, fills, litres: wishL });
  }

  private run(program: Program): { litres: number; potShare: number; problem: StepProblem | null } {
    this.simulations++;
    const sim = simulateBatch(program, this.input.kitchen, this.input.tables, { detail: 'lean' });
    const bottled = sim.vessels[BOTTLES];
    const room = sim.peak[POT] ?? sim.peak[TUB];
    return {
      litres: bottled ? volumeMl(bottled.liquor) / 1000 : 0,
      potShare: room ? (room.fillMl + room.foamMl) / room.limitMl : 0,
      problem: sim.problem,
    };
  }

  /**
   * Water (or the recipe's multiple) for a number of finished litres, by secant: finished litres grow nearly in
   * proportion, so that two or three rounds do.
   */
  size(wishL: number, fills: number, startFree?: number): Sized {
    const { recipe } = this.input;
    const { usual, least, atLeast } = this.fillsUp
      ? { usual: 1e-3, least: 2e-4, atLeast: 1 }
      : { usual: recipe.basisL, least: recipe.basisL / 5, atLeast: 1e-3 };
    // More water than the wish keeps the first guess clear of "all of it is held".
    let free = startFree ?? (this.fillsUp ? wishL * 1000 * 1.25 : wishL / recipe.basisL);
    let last: { free: number; litres: number } | null = null;
    let best: Sized | null = null;
    for (let round = 0; round < SOLVER.maxRounds; round++) {
      const program = this.build(wishL, free, fills);
      const { litres, potShare, problem } = this.run(program);
      const sized: Sized = { program, litres, free, potShare, problem };
      if (problem && problem.kind !== 'allHeld' && problem.kind !== 'boiledDry') return sized;
      if (!best || Math.abs(litres - wishL) < Math.abs(best.litres - wishL) || best.problem) best = sized;
      const missL = wishL - litres;
      if (!problem && Math.abs(missL) <= wishL * SOLVER.tolerance) return sized;
      if (problem) {
        free = this.fillsUp ? free * 1.5 + 500 : free * 1.5;
        last = null;
        continue;
      }
      const slope =
        last && Math.abs(free - last.free) > 1e-9 ? (litres - last.litres) / (free - last.free) : usual;
      last = { free, litres };
      free = Math.max(atLeast, free + missL / (slope > least && slope < usual * 5 ? slope : usual));
    }
    return best!;
  }
}

/**
 * Sizes a batch to a wish and says which limit set the size.
 *
 * For a number of litres the solids follow by their scaling rules and the water is solved so that what the model
 * says comes out of the bottles is what was wished. "As much as the pot takes" turns that round: the litres are
 * searched at which the fullest moment of the pot just fits.
 */
export function solvePlan(asked: SolveInput): Result<Solution, SolveProblem> {
  const { instead, way, acidFirst, methodId } = asked.choices;
  const input = {
    ...asked,
    recipe: withAcidFirst(withWay(withInstead(asked.recipe, instead), way, methodId), acidFirst),
  };
  const { wish, recipe, kitchen, pot } = input;
  const sizer = new Sizer(input);
  const { question } = wish;
  if (
    wish.fills !== 'asNeeded' &&
    !(Number.isInteger(wish.fills) && wish.fills >= 1 && wish.fills <= SOLVER.maxFills)
  ) {
    return fail({ kind: 'badWish', field: 'fills' });
  }

  const foamLimits = (fills: number, litres: number): 'pot' | 'foam' => {
    const program = sizer.size(litres, fills).program;
    const foamy = program.lines.some((l) => {
      const row = l.kind === 'solid' ? input.tables.ingredients.get(l.itemId) : undefined;
      return row !== undefined && row.foam !== 'quiet';
    });
    return foamy ? 'foam' : 'pot';
  };

  const result = (sized: Sized, fills: number, limit: Limit): Result<Solution, SolveProblem> => {
    if (sized.problem) return fail({ kind: 'step', problem: sized.problem });
    return ok({
      program: sized.program,
      litres: sized.litres,
      fills,
      limit,
      potShare: sized.potShare,
      waterL: waterOf(sized.program),
      effort: { simulations: sizer.simulations },
    });
  };

  /** Most litres the pot takes in so many fills: potShare grows nearly in proportion to the litres. */
  const potTakes = (fills: number): Sized => {
    let litres = ((potCapacityMl(pot) / 1000) * 0.6 * fills) as number;
    let sized = sizer.size(litres, fills);
    let last: { litres: number; share: number } | null = null;
    for (let round = 0; round < SOLVER.maxRounds; round++) {
      if (sized.problem || Math.abs(sized.potShare - 1) < 5e-4) break;
      const slope =
        last && Math.abs(litres - last.litres) > 1e-9
          ? (sized.potShare - last.share) / (litres - last.litres)
          : sized.potShare / litres;
      last = { litres, share: sized.potShare };
      const next = litres + (0.9998 - sized.potShare) / (slope > 0 ? slope : sized.potShare / litres);
      // Water per litre stays about the same: a good start for the next round.
      const free = (sized.free * Math.max(next, SOLVER.leastL)) / litres;
      litres = Math.max(SOLVER.leastL, next);
      sized = sizer.size(litres, fills, free);
    }
    return sized;
  };

  /** So many litres, in as few fills as the wish allows. */
  const forLitres = (litres: number, limit: Limit): Result<Solution, SolveProblem> => {
    if (litres < SOLVER.leastL) return fail({ kind: 'tooLittle', leastL: SOLVER.leastL });
    if (litres > SOLVER.mostL)
      return fail({ kind: 'badWish', field: question.kind === 'useUp' ? 'massG' : 'litres' });
    const first = wish.fills === 'asNeeded' ? 1 : wish.fills;
    let sized = sizer.size(litres, first);
    if (sized.problem) return result(sized, first, limit);
    if (sized.potShare <= 1.0005) return result(sized, first, limit);
    let fills = Math.min(SOLVER.maxFills + 1, Math.max(first + 1, Math.ceil(sized.potShare * first - 0.02)));
    while (fills <= SOLVER.maxFills) {
      sized = sizer.size(litres, fills, sized.free);
      if (sized.problem) return result(sized, fills, limit);
      if (sized.potShare <= 1.0005) break;
      fills++;
    }
    if (wish.fills === 'asNeeded' && fills <= SOLVER.maxFills) return result(sized, fills, limit);
    const allowed = wish.fills === 'asNeeded' ? SOLVER.maxFills : wish.fills;
    const most = potTakes(allowed);
    if (most.problem) return result(most, allowed, limit);
    return fail({
      kind: 'potTooSmall',
      overL: litres - most.litres,
      fitsL: most.litres,
      fillsNeeded: fills,
      limit: foamLimits(allowed, most.litres),
    });
  };

  const coldL = (litres: number): boolean => litres > kitchen.fridgeFreeL;

  switch (question.kind) {
    case 'litres':
      if (!(question.litres > 0 && Number.isFinite(question.litres)))
        return fail({ kind: 'badWish', field: 'litres' });
      if (coldL(question.litres)) {
        return fail({ kind: 'fridgeTooSmall', wantsL: question.litres, freeL: kitchen.fridgeFreeL });
      }
      return forLitres(question.litres, 'wish');
    case 'servings': {
      if (!(question.servings > 0 && Number.isFinite(question.servings)))
        return fail({ kind: 'badWish', field: 'servings' });
      if (!(question.servingMl >= 10 && question.servingMl <= 2000))
        return fail({ kind: 'badWish', field: 'servingMl' });
      const litres = (question.servings * question.servingMl) / 1000;
      if (coldL(litres)) return fail({ kind: 'fridgeTooSmall', wantsL: litres, freeL: kitchen.fridgeFreeL });
      return forLitres(litres, 'wish');
    }
    case 'potFull': {
      const fills = wish.fills === 'asNeeded' ? 1 : wish.fills;
      const sized = potTakes(fills);
      if (!sized.problem && coldL(sized.litres)) {
        return result(sizer.size(kitchen.fridgeFreeL, fills), fills, 'fridge');
      }
      return result(sized, fills, foamLimits(fills, sized.litres));
    }
    case 'useUp': {
      if (!(question.massG > 0 && Number.isFinite(question.massG)))
        return fail({ kind: 'badWish', field: 'massG' });
      const line = recipe.lines.find((l) => l.id === question.lineId);
      const factor = line ? scaleForMass(line, question.massG / presetFactor(line, input.choices)) : null;
      if (!line || factor === null) return fail({ kind: 'unknownLine', lineId: question.lineId });
      const litres = factor * recipe.basisL;
      if (coldL(litres)) {
        return forLitres(kitchen.fridgeFreeL, 'fridge');
      }
      const all = forLitres(litres, 'ingredient');
      if (all.ok || all.problem.kind !== 'potTooSmall') return all;
      // The pot cannot take it all in the fills allowed: as much as it takes, and say so.
      const fills = wish.fills === 'asNeeded' ? SOLVER.maxFills : wish.fills;
      return result(potTakes(fills), fills, all.problem.limit);
    }
  }
}
