import type { Choices } from '../documents/recipe.ts';
import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { type Presets, presetFactor, presetsOf } from '../program/book/presets.ts';
import { buildProgram } from '../program/compile/build.ts';
import type { PlannedProgram, Program, ProgramLine } from '../program/model/program.ts';
import type { StepProblem } from '../program/model/simulation.ts';
import { isPot, TUB } from '../program/model/vessels.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { lineMassG } from './scaling.ts';
import { isTooDry, SOLVER, type SolveInput } from './wish.ts';

/** A plan is solved for so many litres: solids by their rules, water so that the bottles come out right. */
export interface Sized {
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

export class Sizer {
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
