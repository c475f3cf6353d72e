import type { Kitchen } from '../../documents/kitchen.ts';
import {
  abvPct,
  brix,
  massG,
  sournessGPerL,
  sweetnessPct,
  titratableGPerL,
  volumeMl,
} from '../../liquor/composition.ts';
import { phOf } from '../../liquor/ph.ts';
import { expansion } from '../../liquor/water.ts';
import { levelM } from '../../physics/vesselShape.ts';
import type { Tables } from '../../tables/types.ts';
import { bothFactors } from '../model/factors.ts';
import type { Program } from '../model/program.ts';
import type {
  Simulation,
  SimulationOptions,
  StepProblem,
  TraceEntry,
  VesselNow,
} from '../model/simulation.ts';
import type { Step } from '../model/steps.ts';
import type { Vessel } from '../model/vessel.ts';
import { noRecorder } from './evolve.ts';
import { noteRoom, type SimState, StepStop, solidsInfo, startWork } from './state.ts';
import { boilStep } from './steps/boilStep.ts';
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
import { coolStep, heatStep, standStep } from './steps/heatSteps.ts';
import { blendStep, juiceStep, strainStep } from './steps/separation.ts';
import { passUntil, type StepRun, standBy } from './steps/stepTime.ts';

/** A kind missing here fails to compile. */
function runStep(sim: SimState, step: Step, run: StepRun): void {
  switch (step.kind) {
    case 'pick':
    case 'prep':
      pickStep(sim, step, run);
      return;
    case 'wash':
      washStep(sim, step, run);
      return;
    case 'combine':
      combineStep(sim, step, run);
      return;
    case 'soak':
    case 'steep':
      standStep(sim, step, run);
      return;
    case 'heat':
      heatStep(sim, step, run);
      return;
    case 'boil':
      boilStep(sim, step, run);
      return;
    case 'strain':
      strainStep(sim, step, run);
      return;
    case 'cool':
      coolStep(sim, step, run);
      return;
    case 'mix':
      mixStep(sim, step, run);
      return;
    case 'sweeten':
      sweetenStep(sim, step, run);
      return;
    case 'bottle':
      bottleStep(sim, step, run);
      return;
    case 'blend':
      blendStep(sim, step, run);
      return;
    case 'juice':
      juiceStep(sim, step, run);
      return;
    case 'sour':
      sourStep(sim, step, run);
      return;
    case 'fortify':
      fortifyStep(sim, step, run);
      return;
    case 'split':
      splitStep(sim, step, run);
      return;
    default:
      step satisfies never;
  }
}

/** The vessel a step is about: where its liquor is when the step is over. */
export const vesselOfStep = (step: Step): string => step.to[0] ?? step.from[0] ?? '';

/** A vessel in figures, as the screens show it. */
export function vesselNow(sim: Pick<SimState, 'specs' | 'tables'>, vessel: Vessel): VesselNow {
  const { liquor } = vessel;
  const ml = volumeMl(liquor);
  const solids = solidsInfo(sim, vessel);
  const hotMl = ml * expansion(liquor.tempC);
  const shape = sim.specs.get(vessel.id)?.shape ?? null;
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
  const sim = startWork(
    program,
    kitchen,
    tables,
    full,
    bothFactors(kitchen.learnt?.factors, options.factors),
  );
  const trace: TraceEntry[] = [];
  let problem: StepProblem | null = null;
  const dosedG: Record<string, number> = {};

  try {
    for (const step of program.steps) {
      const actual = options.actuals?.[step.id];
      // Between two steps everything stands where it stands.
      if (actual?.startMin !== undefined) passUntil(sim, step.id, actual.startMin);
      const startMin = sim.nowMin;
      sim.stepStartMin = startMin;
      const stop = options.stopAt?.stepId === step.id ? options.stopAt : null;
      const vesselId = vesselOfStep(step);
      const before = sim.vessels.get(vesselId);
      const stood = full ? new Map(sim.vessels) : null;
      const run: StepRun = {
        actual,
        actualMin: actual?.endMin !== undefined ? Math.max(0, actual.endMin - startMin) : null,
        stopAfterMin: stop ? Math.max(0, stop.atMin - startMin) : null,
        lived: noRecorder(full, options.strength),
        flameOut: false,
        notes: [],
        modelMin: null,
        dosedG: {},
      };
      // What is skipped is the deed, never its hours.
      if (actual?.skipped) {
        openUnseen(sim, step);
        standBy(sim, step, run);
      } else runStep(sim, step, run);
      const after = sim.vessels.get(vesselId);
      if (!after || !before) throw new StepStop({ kind: 'unknownVessel', stepId: step.id, vesselId });
      Object.assign(dosedG, run.dosedG);
      const room = noteRoom(sim, after, step.kind === 'heat' || step.kind === 'boil');
      if (full) {
        trace.push({
          stepId: step.id,
          kind: step.kind,
          startMin,
          endMin: sim.nowMin,
          modelMin: run.modelMin ?? 0,
          vesselId,
          before,
          after,
          also: [...sim.vessels.values()].filter((v) => v !== after && stood?.get(v.id) !== v),
          now: vesselNow(sim, after),
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
    flows: sim.flows ?? [],
    fuel: sim.fuel,
    vessels: Object.fromEntries(sim.vessels),
    endMin: sim.nowMin,
    peak: Object.fromEntries(sim.peak),
    dosedG,
    problem,
  };
}
