import type { Kitchen } from '../documents/kitchen.ts';
import {
  abvPct,
  brix,
  massG,
  sournessGPerL,
  sweetnessPct,
  titratableGPerL,
  volumeMl,
} from '../liquor/composition.ts';
import { phOf } from '../liquor/ph.ts';
import { expansion } from '../liquor/water.ts';
import { levelM } from '../physics/vesselShape.ts';
import type { Tables } from '../tables/types.ts';
import { noRecorder } from './evolve.ts';
import { noteRoom, type SimState, StepStop, solidsInfo, startWork } from './state.ts';
import {
  bottleStep,
  combineStep,
  fortifyStep,
  mixStep,
  openUnseen,
  pickStep,
  sourStep,
  splitStep,
  sweetenStep,
  washStep,
} from './steps/handSteps.ts';
import { boilStep, chillStep, coolStep, freezeStep, heatStep, standStep } from './steps/heatSteps.ts';
import { blendStep, juiceStep, strainStep } from './steps/separation.ts';
import { passUntil, type StepRun, standBy } from './steps/stepTime.ts';
import type {
  Program,
  Simulation,
  SimulationOptions,
  Step,
  StepProblem,
  TraceEntry,
  Vessel,
  VesselNow,
} from './types.ts';

/** A kind missing here fails to compile. */
function runStep(work: SimState, step: Step, run: StepRun): void {
  switch (step.kind) {
    case 'pick':
    case 'prep':
      pickStep(work, step, run);
      return;
    case 'wash':
      washStep(work, step, run);
      return;
    case 'combine':
      combineStep(work, step, run);
      return;
    case 'soak':
    case 'steep':
      standStep(work, step, run);
      return;
    case 'heat':
      heatStep(work, step, run);
      return;
    case 'boil':
      boilStep(work, step, run);
      return;
    case 'strain':
      strainStep(work, step, run);
      return;
    case 'cool':
      coolStep(work, step, run);
      return;
    case 'mix':
      mixStep(work, step, run);
      return;
    case 'sweeten':
      sweetenStep(work, step, run);
      return;
    case 'bottle':
      bottleStep(work, step, run);
      return;
    case 'blend':
      blendStep(work, step, run);
      return;
    case 'juice':
      juiceStep(work, step, run);
      return;
    case 'sour':
      sourStep(work, step, run);
      return;
    case 'fortify':
      fortifyStep(work, step, run);
      return;
    case 'split':
      splitStep(work, step, run);
      return;
    case 'chill':
      chillStep(work, step, run);
      return;
    case 'freeze':
      freezeStep(work, step, run);
      return;
  }
}

/** The vessel a step is about: where its liquor is when the step is over. */
export const vesselOfStep = (step: Step): string => step.to[0] ?? step.from[0] ?? '';

/** A vessel in figures, as the screens show it. */
export function vesselNow(work: Pick<SimState, 'specs' | 'tables'>, vessel: Vessel): VesselNow {
  const { liquor } = vessel;
  const ml = volumeMl(liquor);
  const solids = solidsInfo(work, vessel);
  const hotMl = ml * expansion(liquor.tempC);
  const shape = work.specs.get(vessel.id)?.shape ?? null;
  return {
    vesselId: vessel.id,
    volumeL: ml / 1000,
    hotVolumeL: hotMl / 1000,
    solidsL: solids.volumeMl / 1000,
    levelCm: shape ? levelM(hotMl + solids.volumeMl, shape.diameterM) * 100 : null,
    tempC: liquor.tempC,
    massG: massG(liquor),
    brix: brix(liquor),
    taGPerL: titratableGPerL(liquor),
    sournessGPerL: sournessGPerL(liquor),
    sweetnessPct: sweetnessPct(liquor),
    ph: phOf(liquor),
    abvPct: abvPct(liquor),
  };
}

/**
 * Follows a batch through its steps: a fold over vessel states that keeps its trace. Everything the screens show is
 * read from that trace. A measurement in `actuals` replaces its prediction from there on; steps that the log has
 * times for take those, the others the model's.
 *
 * At the first step that cannot be done it stops and returns that problem with the trace so far.
 */
export function simulateBatch(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  options: SimulationOptions = {},
): Simulation {
  const full = options.detail !== 'lean';
  const work = startWork(program, kitchen, tables, full, options.factors);
  const trace: TraceEntry[] = [];
  let problem: StepProblem | null = null;
  const dosedG: Record<string, number> = {};

  try {
    for (const step of program.steps) {
      const actual = options.actuals?.[step.id];
      // Between two steps everything stands where it stands.
      if (actual?.startMin !== undefined) passUntil(work, step.id, actual.startMin);
      const startMin = work.nowMin;
      work.stepStartMin = startMin;
      const stop = options.stopAt?.stepId === step.id ? options.stopAt : null;
      const vesselId = vesselOfStep(step);
      const before = work.vessels.get(vesselId);
      const run: StepRun = {
        actual,
        actualMin: actual?.endMin !== undefined ? Math.max(0, actual.endMin - startMin) : null,
        stopAfterMin: stop ? Math.max(0, stop.atMin - startMin) : null,
        lived: noRecorder(full, options.strength),
        flameOut: false,
        notes: [],
        dosedG: {},
      };
      // What is skipped is the deed, never its hours.
      if (actual?.skipped) {
        openUnseen(work, step);
        standBy(work, step, run);
      } else runStep(work, step, run);
      const after = work.vessels.get(vesselId);
      if (!after || !before) throw new StepStop({ kind: 'unknownVessel', stepId: step.id, vesselId });
      Object.assign(dosedG, run.dosedG);
      const room = noteRoom(work, after, step.kind === 'heat' || step.kind === 'boil');
      if (full) {
        trace.push({
          stepId: step.id,
          kind: step.kind,
          startMin,
          endMin: work.nowMin,
          vesselId,
          before,
          after,
          now: vesselNow(work, after),
          room,
          drawn: Object.fromEntries(after.solids.map((s) => [s.lineId, s.extracted])),
          curve: run.lived.curve ?? [],
          notes: run.notes,
          warmMin: run.lived.warmMin,
          dosedG: run.dosedG,
        });
      }
      if (stop) break;
    }
  } catch (error) {
    if (!(error instanceof StepStop)) throw error;
    problem = error.problem;
  }

  return {
    trace,
    flows: work.flows ?? [],
    vessels: Object.fromEntries(work.vessels),
    endMin: work.nowMin,
    peak: Object.fromEntries(work.peak),
    dosedG,
    problem,
  };
}
