import '../../../words/places/batch.ts';
import { glassFacts } from '@big-ladle/core/balance';
import type { Kitchen, Pot } from '@big-ladle/core/documents';
import { type BottleLife, type KeepingInput, keepDate } from '@big-ladle/core/keeping';
import { volumeMl } from '@big-ladle/core/liquor';
import { bottledMl, bottlesFor } from '@big-ladle/core/plan';
import {
  finishedLiquor,
  isPot,
  POT,
  type Program,
  potCapacityMl,
  type Simulation,
  type Step,
  shareOfLoad,
  type TraceEntry,
  TUB,
} from '@big-ladle/core/program';
import { levelM, MINUTE_MS, roomIn } from '@big-ladle/core/units';
import { colours } from '../../../shared/batch/liquorColour.ts';
import type { VesselMark } from '../../../shared/drawings/VesselDrawing.tsx';
import type { Stage, StageId } from '../../../shared/StageLine.tsx';
import { num } from '../../../words/numbers.ts';
import { centimetres, grams, litres, litresApart } from '../../../words/quantities.ts';
import { clockFace, duration, percent, say, sayDate } from '../../../words/say.ts';

export const entryOf = (sim: Simulation, kind: Step['kind'], last = false): TraceEntry | undefined =>
  last ? sim.trace.findLast((t) => t.kind === kind) : sim.trace.find((t) => t.kind === kind);

/** Stages of the line and the kinds of step that belong to each. */
const STAGE_KINDS: Record<Exclude<StageId, 'size' | 'keep'>, readonly Step['kind'][]> = {
  wash: ['pick', 'wash', 'prep'],
  draw: ['combine', 'soak', 'heat', 'boil', 'steep', 'blend', 'juice'],
  strain: ['strain', 'cool'],
  balance: ['mix', 'sweeten', 'sour', 'fortify', 'split'],
  bottle: ['bottle'],
};

/** The stage of a step; cooling before the straining, and a straining between two draws, belong to the drawing. */
export function stageOf(program: Program, step: Step): Exclude<StageId, 'size' | 'keep'> {
  if (step.kind === 'cool' && isPot(step.from[0] ?? '')) return 'draw';
  if (step.kind === 'strain' && (step.keepSolids || step.to[0] !== TUB)) return 'draw';
  // Juice pressed when the drawing is over is on its way into the drink.
  if (
    step.kind === 'juice' &&
    program.steps.slice(0, program.steps.indexOf(step)).some((s) => s.kind === 'strain')
  )
    return 'balance';
  for (const [stage, kinds] of Object.entries(STAGE_KINDS))
    if (kinds.includes(step.kind)) return stage as 'wash';
  return program.steps.indexOf(step) === 0 ? 'wash' : 'draw';
}

/** Minutes that the steps of a stage take. */
export const stageMinutes = (program: Program, sim: Simulation, stage: StageId): number =>
  sim.trace.reduce((sum, t) => {
    const step = program.steps.find((s) => s.id === t.stepId);
    return step && stageOf(program, step) === stage ? sum + t.endMin - t.startMin : sum;
  }, 0);

export interface PotView {
  levelCm: number;
  standsL: number;
  limitCm: number;
  foamCm: number;
  shareFull: number;
  potShare: number;
  /** It boils there; otherwise the pot only holds it. */
  heated: boolean;
  marks: VesselMark[];
  description: string;
  colour: string;
  solids: string;
}

/** The moment at which the chosen pot stands fullest: at the boil, or, where nothing is heated, as the mixing bowl. */
function fullestOf(sim: Simulation, pot: Pot): TraceEntry | undefined {
  const atHeat = sim.trace.find((t) => t.kind === 'heat' && t.vesselId === POT);
  if (atHeat) return atHeat;
  const capacityMl = potCapacityMl(pot);
  const own = sim.trace.filter((t) => t.room && Math.abs(t.room.capacityMl - capacityMl) < 1);
  return own.reduce<TraceEntry | undefined>(
    (most, t) => (!most || (t.room?.fillMl ?? 0) > (most.room?.fillMl ?? 0) ? t : most),
    undefined,
  );
}

/** The pot at its fullest while it boils, with marks for what is to come. Read from the trace alone. */
export function potView(program: Program, sim: Simulation, pot: Pot): PotView | null {
  const boil = fullestOf(sim, pot);
  const room = boil?.room;
  if (!boil || !room) return null;
  const heated = boil.kind === 'heat' || boil.kind === 'boil';
  const diameterM = pot.diameterCm / 100;
  const cmOf = (ml: number): number => levelM(ml, diameterM) * 100;
  const after = sim.trace.find((t) => t.kind === 'boil' && t.vesselId === POT);
  const strained = sim.trace.find((t) => t.kind === 'strain' && t.vesselId === TUB);
  const marks: VesselMark[] = [];
  if (after) {
    const ml = after.now.hotVolumeL * 1000 + after.now.solidsL * 1000;
    marks.push({
      levelCm: cmOf(ml),
      text: say('figures.afterTheBoil', { hotVolume: litres(after.now.hotVolumeL) }),
    });
  }
  if (strained)
    marks.push({
      levelCm: cmOf(strained.now.volumeL * 1000),
      text: say('figures.strained', { volume: litres(strained.now.volumeL) }),
    });
  const dryG = program.lines
    .filter((l) => l.kind === 'solid')
    .reduce((sum, l) => sum + l.massG * shareOfLoad(program, { fill: 1 }), 0);
  const levelCm = boil.now.levelCm ?? 0;
  const description =
    say('figures.toTheBrimWide', {
      name: pot.name,
      potCapacity: litres(potCapacityMl(pot) / 1000),
      diameterCm: centimetres(pot.diameterCm),
    }) +
    say('figures.atTheBoilAt', {
      isHeated: Boolean(heated),
      levelCm: centimetres(levelCm),
      hotVolume: litres(boil.now.hotVolumeL),
      dry: grams(dryG),
    }) +
    say('figures.andIsKeptFor', {
      foam: litres(room.foamMl / 1000),
      fill: percent((room.fillMl + room.foamMl) / room.limitMl),
    }) +
    (after ? say('figures.afterTheBoil2', { hotVolume: litres(after.now.hotVolumeL) }) : '') +
    (strained ? say('figures.strained2', { volume: litres(strained.now.volumeL) }) : '');
  return {
    levelCm,
    standsL: boil.now.hotVolumeL,
    limitCm: cmOf(room.limitMl),
    foamCm: heated ? cmOf(room.foamMl) : 0,
    shareFull: room.fillMl / room.capacityMl,
    potShare: (room.fillMl + (heated ? room.foamMl : 0)) / room.limitMl,
    heated,
    marks,
    description,
    colour: colours(after ?? boil).glass,
    solids: say('figures.plants', { dry: grams(dryG) }),
  };
}

/** A pot as it stands at a moment, for the batch that is on. */
export function momentView(
  pot: Pot,
  entry: TraceEntry,
): Pick<PotView, 'levelCm' | 'standsL' | 'limitCm' | 'colour'> {
  const room = roomIn(potCapacityMl(pot), 0, 'quiet');
  return {
    levelCm: entry.now.levelCm ?? 0,
    standsL: entry.now.hotVolumeL,
    limitCm: levelM(room.limitMl, pot.diameterCm / 100) * 100,
    colour: colours(entry).glass,
  };
}

/** What decides how long the finished drink keeps; `hygiene` is what the bottles really were, where the log has it. */
export function keepingInput(
  sim: Simulation,
  program: Program,
  hygiene?: 'clean' | 'sterilised',
): KeepingInput | null {
  const liquor = finishedLiquor(sim);
  const bottle = program.steps.find((s) => s.kind === 'bottle');
  if (!liquor || volumeMl(liquor) < 1 || bottle?.kind !== 'bottle') return null;
  return { liquor, hygiene: hygiene ?? bottle.hygiene };
}

/** The line: one headline figure a stage, all from the trace. */
export function stagesOf(input: {
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  pot: Pot;
  doneUntil: StageId | null;
  rinses?: number;
  /** Bottles that have been filled; before that, what would be. */
  filled?: number;
  /** How long it keeps: its bottles as they stand on the shelf, or as they are expected. */
  life: BottleLife | null;
}): Stage[] {
  const { program, sim, kitchen, pot } = input;
  const order: StageId[] = ['size', 'wash', 'draw', 'strain', 'balance', 'bottle', 'keep'];
  const at = input.doneUntil === null ? -1 : order.indexOf(input.doneUntil);
  const state = (id: StageId): Stage['state'] => {
    if (input.doneUntil === null) return id === 'size' ? 'now' : 'later';
    const index = order.indexOf(id);
    return index < at ? 'done' : index === at ? 'now' : 'later';
  };
  const view = potView(program, sim, pot);
  const wash = program.steps.find((s) => s.kind === 'wash');
  const drawMin = stageMinutes(program, sim, 'draw');
  const strained =
    sim.trace.findLast((t) => t.kind === 'strain' && t.vesselId === TUB) ?? entryOf(sim, 'bottle');
  const mls = bottledMl(sim);
  const endL = mls.reduce((sum, ml) => sum + ml, 0) / 1000;
  const bottled = entryOf(sim, 'bottle');
  const bottles = input.filled || bottlesFor(mls, kitchen.bottles).bottles;
  const face = clockFace(drawMin * MINUTE_MS);
  return [
    {
      id: 'size',
      figure: view ? num(view.potShare * 100) : '–',
      unit: say('figures.full'),
      state: state('size'),
    },
    {
      id: 'wash',
      figure: num(stageMinutes(program, sim, 'wash')),
      unit:
        wash?.kind === 'wash'
          ? say('figures.minRinses', { rinses: num(input.rinses ?? wash.rinses) })
          : 'min',
      state: state('wash'),
    },
    {
      id: 'draw',
      figure: drawMin >= 60 ? face.face : num(drawMin),
      unit: drawMin >= 60 ? 'h' : 'min',
      state: state('draw'),
    },
    {
      id: 'strain',
      ...(strained ? litresApart(strained.now.volumeL) : { figure: '–', unit: '' }),
      state: state('strain'),
    },
    {
      id: 'balance',
      figure: bottled ? num(glassFacts(bottled.after.liquor, kitchen.servingMl).sugarG) : '–',
      unit: say('figures.sugarAGlass'),
      state: state('balance'),
    },
    {
      id: 'bottle',
      ...(bottles > 0
        ? { figure: num(bottles), unit: say('unit.bottles', { count: bottles }) }
        : litresApart(endL)),
      state: state('bottle'),
    },
    {
      id: 'keep',
      figure: input.life ? sayDate(keepDate(input.life, kitchen.zone), kitchen.zone) : '–',
      state: state('keep'),
    },
  ];
}

export const lengthText = (entry: TraceEntry | undefined): string =>
  entry ? duration(entry.endMin - entry.startMin) : '–';
