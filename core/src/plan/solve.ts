import { servingsL } from '../documents/plan.ts';
import type { RecipeLine } from '../documents/recipe.ts';
import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { presetFactor } from '../program/book/presets.ts';
import { withAcidFirst, withInstead, withWay } from '../program/book/recipe.ts';
import { potsOf } from '../program/compile/context.ts';
import { potCapacityMl } from '../program/model/kitchen.ts';
import { waterPouredG } from '../program/model/tags.ts';
import { fail, ok, type Result } from '../units/result.ts';
import { scaleForMass } from './scaling.ts';
import { type Sized, Sizer } from './sizer.ts';
import {
  type Limit,
  SOLVER,
  type Solution,
  type SolveInput,
  type SolveProblem,
  usableLines,
  type Wish,
} from './wish.ts';

/**
 * Sizes a batch to a wish and says which limit set the size.
 *
 * For a number of litres the solids follow by their scaling rules and the water is solved so that what the model
 * says comes out of the bottles is what was wished. "A full pot" turns that round: the litres are
 * searched at which the fullest moment of the pot just fits.
 */
export function solvePlan(asked: SolveInput): Result<Solution, SolveProblem> {
  const { instead, way, acidFirst, methodId } = asked.choices;
  const input = {
    ...asked,
    recipe: withAcidFirst(withWay(withInstead(asked.recipe, instead), way, methodId), acidFirst),
  };
  const { recipe, kitchen, pot } = input;
  const pots = potsOf(input).map((p) => p.pot);
  const sideBySide = pots.length > 1;
  const allPotsMl = pots.reduce((sum, p) => sum + potCapacityMl(p), 0);
  const wish: Wish = sideBySide ? { ...asked.wish, fills: pots.length } : asked.wish;
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
      waterL: waterPouredG(sized.program.lines, input.tables) / WATER_20_G_PER_ML / 1000,
      dosedG: sized.dosedG,
      effort: { simulations: sizer.simulations },
    });
  };

  /** Most litres the pot takes in so many fills: potShare grows nearly in proportion to the litres. */
  const potTakes = (fills: number): Sized => {
    let litres = ((sideBySide ? allPotsMl : potCapacityMl(pot) * fills) / 1000) * 0.6;
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

  /** What was solved for is met, or why it is not is said. */
  const met = (sized: Sized, litres: number, fills: number, limit: Limit): Result<Solution, SolveProblem> => {
    const missL = sized.litres - litres;
    if (sized.problem || Math.abs(missL) <= litres * SOLVER.mostMiss || sizer.endsAtAMark(sized.program))
      return result(sized, fills, limit);
    // With next to no water it is still more: what the plants and juices bring is the least there is.
    return missL > 0
      ? fail({ kind: 'tooLittle', leastL: sized.litres })
      : fail({ kind: 'notConverged', missL });
  };

  /** So many litres, in as few fills as the wish allows. */
  const forLitres = (litres: number, limit: Limit): Result<Solution, SolveProblem> => {
    if (litres < SOLVER.leastL) return fail({ kind: 'tooLittle', leastL: SOLVER.leastL });
    if (litres > SOLVER.mostL)
      return fail({ kind: 'badWish', field: question.kind === 'useUp' ? 'massG' : 'litres' });
    const first = wish.fills === 'asNeeded' ? 1 : wish.fills;
    let sized = sizer.size(litres, first);
    // What is wrong in a pot that is too full anyhow may be right in two.
    if (sized.problem && !(sized.potShare > 1.0005)) return result(sized, first, limit);
    if (sized.potShare <= 1.0005) return met(sized, litres, first, limit);
    // Beside each other there is one load a pot: how many the first would take alone is told.
    let fills = sideBySide
      ? Math.ceil((sized.potShare * allPotsMl) / potCapacityMl(pot))
      : Math.min(SOLVER.maxFills + 1, Math.max(first + 1, Math.ceil(sized.potShare * first - 0.02)));
    while (!sideBySide && fills <= SOLVER.maxFills) {
      sized = sizer.size(litres, fills, sized.free);
      if (sized.problem && !(sized.potShare > 1.0005)) return result(sized, fills, limit);
      if (sized.potShare <= 1.0005) break;
      fills++;
    }
    if (wish.fills === 'asNeeded' && fills <= SOLVER.maxFills) return met(sized, litres, fills, limit);
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

  /**
   * Litres that use up so many grams of a line, by what really goes in: amounts that follow the result, a target or a level
   * of water do not grow in proportion, but never shrink with more litres.
   * @returns null where none of it is in the plan.
   */
  const litresThatUse = (line: RecipeLine, massG: number, fills: number): number | null => {
    const known = scaleForMass(line, massG / presetFactor(line.id, sizer.presets, input.choices));
    let litres = (known ?? 1) * recipe.basisL;
    for (let round = 0; round < SOLVER.maxRounds; round++) {
      const usesG = sizer.gramsOf(sizer.size(litres, fills), line.id);
      if (!(usesG > 0)) return null;
      if (Math.abs(usesG - massG) <= massG * SOLVER.tolerance) break;
      litres = (litres * massG) / usesG;
      // Beyond what may be made at all nothing is looked for.
      if (litres < SOLVER.leastL || litres > SOLVER.mostL) break;
    }
    return litres;
  };

  /** All of a line that is in the house, and no more of it: as many fills as that takes. */
  const useUp = (line: RecipeLine, massG: number): Result<Solution, SolveProblem> => {
    let fills = wish.fills === 'asNeeded' ? 1 : wish.fills;
    for (let round = 0; round < SOLVER.maxFills; round++) {
      const litres = litresThatUse(line, massG, fills);
      if (litres === null) return fail({ kind: 'unknownLine', lineId: line.id });
      if (coldL(litres)) return forLitres(kitchen.fridgeFreeL, 'fridge');
      const all = forLitres(litres, 'ingredient');
      if (!all.ok) {
        // The pot cannot take it all in the fills allowed: as much as it takes, and say so.
        const most = wish.fills === 'asNeeded' ? SOLVER.maxFills : wish.fills;
        return all.problem.kind === 'potTooSmall' ? result(potTakes(most), most, all.problem.limit) : all;
      }
      if (all.value.fills === fills) {
        const { litres: madeL } = all.value;
        const missG = sizer.gramsOf(all.value, line.id) - massG;
        if (Math.abs(missG) <= massG * SOLVER.mostMiss) return all;
        return fail({ kind: 'notConverged', missL: (madeL * missG) / massG });
      }
      // What goes in may hang on the number of fills: once more with that many.
      fills = all.value.fills;
    }
    return fail({ kind: 'notConverged', missL: 0 });
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
      const litres = servingsL(question);
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
      if (!line || !usableLines(recipe).includes(line))
        return fail({ kind: 'unknownLine', lineId: question.lineId });
      return useUp(line, question.massG);
    }
  }
}
