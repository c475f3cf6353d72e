import type { Burner, Kitchen, Pot } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { Choices, Recipe, RecipeLine } from '../documents/recipe.ts';
import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { type Presets, presetFactor, presetsOf } from '../program/book/presets.ts';
import { withAcidFirst, withInstead, withWay } from '../program/book/recipe.ts';
import { buildProgram } from '../program/compile/build.ts';
import { potsOf } from '../program/compile/context.ts';
import { potCapacityMl } from '../program/model/kitchen.ts';
import { waterPouredG } from '../program/model/tags.ts';
import type { PlannedProgram, Program, ProgramLine, StepProblem } from '../program/model/types.ts';
import { isPot, TUB } from '../program/model/vessels.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { fail, ok, type Result } from '../units/result.ts';
import { lineMassG, scaleForMass } from './scaling.ts';

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

export interface SolveInput {
  recipe: Recipe;
  choices: Choices;
  kitchen: Kitchen;
  tables: Tables;
  pot: Pot;
  burner: Burner;
  /** Pots that stand beside it, each with a ring of its own: one load for each pot, whatever the wish says of loads. */
  beside?: readonly { pot: Pot; burner: Burner }[];
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

/** A plan is solved for so many litres: solids by their rules, water so that the bottles come out right. */
interface Sized {
  program: PlannedProgram;
  litres: number;
  /** What was solved for: mL of water, or the recipe's multiple. */
  free: number;
  potShare: number;
  /** Worked out at its step, g, by line. */
  dosedG: Readonly<Record<string, number>>;
  problem: StepProblem | null;
}

/** What the cook said of a root. */
function rootOf(lineId: string, choices: Choices): Pick<ProgramLine, 'root'> {
  const said = choices.roots.find((r) => r.lineId === lineId);
  return said ? { root: { vigour: said.vigour, ...(said.from ? { from: said.from } : {}) } } : {};
}

class Sizer {
  simulations = 0;
  /** Water makes up the litres; without such a line everything is scaled until they come out. */
  private readonly fillsUp: boolean;
  readonly presets: Presets;
  constructor(private readonly input: SolveInput) {
    this.presets = presetsOf(input.recipe, input.tables);
    this.fillsUp = input.recipe.lines.some((l) => l.rule.kind === 'toVolume');
  }

  /** @param free millilitres of water, or how many times the recipe, whichever is solved for. */
  private build(wishL: number, free: number, fills: number): PlannedProgram {
    const { recipe, choices } = this.input;
    const factor = this.fillsUp ? wishL / recipe.basisL : free;
    const lines: ProgramLine[] = recipe.lines.map((line) => ({
      id: line.id,
      kind: line.kind,
      itemId: line.itemId,
      rule: line.rule,
      ...(line.open ? { open: line.open } : {}),
      ...rootOf(line.id, choices),
      massG:
        line.rule.kind === 'toVolume'
          ? free * WATER_20_G_PER_ML
          : lineMassG(line, factor, fills) * presetFactor(line.id, this.presets, choices),
    }));
    return buildProgram({ ...this.input, lines, fills, litres: wishL, times: factor });
  }

  private run(program: Program): Pick<Sized, 'litres' | 'potShare' | 'dosedG' | 'problem'> {
    this.simulations++;
    const sim = simulateBatch(program, this.input.kitchen, this.input.tables, { detail: 'lean' });
    // Where nothing is heated the pot serves as the mixing bowl: the fuller of both counts.
    const rooms = Object.entries(sim.peak).flatMap(([id, room]) => (isPot(id) || id === TUB ? [room] : []));
    return {
      litres: finishedL(sim),
      potShare: Math.max(0, ...rooms.map((room) => (room.fillMl + room.foamMl) / room.limitMl)),
      dosedG: sim.dosedG,
      problem: sim.problem,
    };
  }

  /** The last program that was built: where water fills up, another amount of it changes nothing else. */
  private last: { wishL: number; fills: number; free: number; program: PlannedProgram } | null = null;

  private programFor(wishL: number, free: number, fills: number): PlannedProgram {
    const { last } = this;
    if (this.fillsUp && last && last.wishL === wishL && last.fills === fills) {
      const share = free / last.free;
      const lines = last.program.lines.map((l) =>
        l.rule.kind === 'toVolume' ? { ...l, massG: l.massG * share } : l,
      );
      return { ...last.program, lines };
    }
    const program = this.build(wishL, free, fills);
    this.last = { wishL, fills, free, program };
    return program;
  }

  private sizedAt(wishL: number, free: number, fills: number): Sized {
    const program = this.programFor(wishL, free, fills);
    return { program, free, ...this.run(program) };
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
      const sized = this.sizedAt(wishL, free, fills);
      const { litres, problem } = sized;
      if (problem && !isTooDry(problem)) return sized;
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
    return this.byHalving(wishL, fills, best!, atLeast);
  }

  /** Where the secant jumps about: more water never gives fewer litres, so halving between too little and too much does. */
  private byHalving(wishL: number, fills: number, best: Sized, atLeast: number): Sized {
    let low = atLeast;
    let high = Math.max(best.free, this.fillsUp ? wishL * 2000 : 1) * 2;
    for (let round = 0; round < SOLVER.maxHalvings; round++) {
      const sized = this.sizedAt(wishL, (low + high) / 2, fills);
      if (sized.problem && !isTooDry(sized.problem)) return sized;
      if (!sized.problem && (best.problem || Math.abs(sized.litres - wishL) < Math.abs(best.litres - wishL)))
        best = sized;
      if (!best.problem && Math.abs(best.litres - wishL) <= wishL * SOLVER.tolerance) break;
      if (sized.problem || sized.litres < wishL) low = sized.free;
      else high = sized.free;
    }
    return best;
  }

  /** Where it is boiled down to a mark, more water at the start does not make more of it at the end: it is what it is. */
  endsAtAMark = (program: Program): boolean =>
    this.fillsUp &&
    program.steps.some((s) => s.kind === 'boil' && s.until.kind === 'down' && !('share' in s.until.to));

  /** Grams of a line in a plan: as it stands there, or as its step worked it out. */
  gramsOf = (sized: Pick<Sized, 'program' | 'dosedG'>, lineId: string): number =>
    sized.program.lines.reduce((sum, l) => sum + (l.id === lineId ? l.massG : 0), 0) +
    (sized.dosedG[lineId] ?? 0);
}

/** Problems that more water mends. */
const isTooDry = (problem: StepProblem): boolean =>
  problem.kind === 'allHeld' || problem.kind === 'boiledDry' || problem.kind === 'emptyVessel';

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
      const litres = (question.servings * question.servingMl * (1 - (question.iceShare ?? 0))) / 1000;
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
