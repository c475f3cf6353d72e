import type { Kitchen } from '@big-ladle/core/documents';
import {
  BLENDER,
  BOWL,
  heatManner,
  isPot,
  JUG,
  KETTLE,
  type LotName,
  lotOf,
  lotOfVessel,
  POT,
  type Program,
  partOfJar,
  SPICE_POT,
  type Step,
  standsSideBySide,
  TUB,
} from '@big-ladle/core/program';
import { sayLot, sayPart } from '../../words/names.ts';
import { has, say, sayCode } from '../../words/say.ts';

/** Herbs stand no longer than this; anything longer is a steep. */
const SHORT_STEEP_MIN = 40;

const DAY_MIN = 24 * 60;

/** Hot water on leaves: nothing is in it before it is heated, and a short steep is the drawing itself. */
function drawsSo({ lines, steps }: Program): boolean {
  const solids = new Set(lines.filter((line) => line.kind === 'solid').map((line) => line.id));
  const heated = steps.findIndex((step) => step.kind === 'heat');
  const filled = steps.findIndex(
    (step) => step.kind === 'combine' && step.lines.some((id) => solids.has(id)),
  );
  return heated >= 0 && heated < filled;
}

/** Which manner of its kind a step is, as its words distinguish it: "wash.scrub"; null for the plain one. */
export function mannerOf(step: Step, program: Program): string | null {
  switch (step.kind) {
    case 'wash':
      return step.rinses > 2 ? 'swirl' : step.rinses === 1 && step.minutesPerRinse < 2 ? 'rinse' : 'scrub';
    case 'combine': {
      if (step.lift) return 'lift';
      if (step.to[0] === SPICE_POT) return 'spicePot';
      if (step.to[0] === KETTLE) return 'kettle';
      if (step.to[0] === BLENDER) return 'rinse';
      if (step.lines.some((id) => program.lines.find((l) => l.id === id)?.share === 'second'))
        return 'second';
      const before = program.steps.slice(0, program.steps.indexOf(step));
      const filled = before.some(
        (s) => s.kind === 'combine' && s.fill === step.fill && s.to[0] === step.to[0],
      );
      return filled || !isPot(step.to[0] ?? '') ? 'more' : null;
    }
    case 'heat':
      return heatManner(step) === 'boil' ? null : heatManner(step);
    case 'boil':
      return step.level === 'gentle' ? null : step.level;
    case 'prep':
      return step.mill ? 'mill' : null;
    case 'bottle':
      return step.frozen ? 'frozen' : null;
    case 'steep': {
      if (step.place === 'stove') return 'hot';
      if (step.purpose) return step.purpose === 'settling' ? 'settle' : 'mature';
      const minutes = step.until.kind === 'duration' ? step.until.minutes : 0;
      if (minutes >= DAY_MIN && !isPot(step.to[0] ?? '')) return 'mature';
      return minutes <= SHORT_STEEP_MIN && !drawsSo(program) ? 'short' : null;
    }
    case 'mix':
      if (step.skims) return 'skim';
      if (step.lines.length > 0) return null;
      return lotNameOf(step, program) ? 'lot' : 'pour';
    default:
      return null;
  }
}

/** The words of a step under `stem`: those of its manner where there are any. */
export function worded(stem: string, step: Step, program: Program): string | null {
  const manner = mannerOf(step, program);
  if (manner && has(`${stem}.${step.kind}.${manner}`)) return `${stem}.${step.kind}.${manner}`;
  return has(`${stem}.${step.kind}`) ? `${stem}.${step.kind}` : null;
}

/** The lot that a step is about; null for the batch's own. */
function lotNameOf(step: Step, program: Program): LotName | null {
  const id = [...step.to, ...step.from].find((v) => lotOf(v) !== null);
  return id === undefined ? null : lotOfVessel(program, id);
}

/** What a step is called by itself, whoever's it is. */
export const stepAlone = (step: Step, program: Program): string =>
  sayCode(worded('step', step, program) ?? `step.${step.kind}`);

/** What a step is called, e.g. "Scrub the skins". */
export function stepName(step: Step, program: Program): string {
  const own = stepAlone(step, program);
  // The steps of a lot say whose they are.
  const lot = lotNameOf(step, program);
  const name = lot ? `${own}: ${sayLot(lot).toLowerCase()}` : own;
  if (step.fill === 0 || program.fills < 2) return name;
  return say(standsSideBySide(program) ? 'stepWords.besidePot' : 'stepWords.fill', { name, fill: step.fill });
}

/** The pot's or bowl's name for a step. */
export function placeName(program: Program, kitchen: Kitchen, step: Step): string {
  if (step.kind === 'bottle') return say('common.bottles');
  const pots = step.from.filter(isPot);
  if (pots.length > 1)
    return pots
      .map((id) => vesselName(program, kitchen, id))
      .reduce((a, b) => say('stepWords.and', { a, b }));
  const filled = step.to[0];
  const id =
    filled === SPICE_POT || filled === KETTLE || (filled !== undefined && isPot(filled))
      ? filled
      : (step.from[0] ?? filled ?? '');
  if (id === BLENDER && step.kind === 'juice') return say('stepWords.juice');
  return vesselName(program, kitchen, id);
}

/** What a vessel of a batch is called in this kitchen. */
export function vesselName(program: Program, kitchen: Kitchen, id: string): string {
  const named = (potId: string | undefined) => kitchen.pots.find((p) => p.id === potId)?.name;
  const vessel = program.vessels.find((v) => v.id === id);
  if (vessel?.lot) return sayLot(vessel.lot);
  if (isPot(id)) return named(vessel?.potId ?? program.potId) ?? say('common.pot');
  switch (id) {
    case SPICE_POT:
      return named(vessel?.potId) ?? say('stepWords.smallPan');
    case KETTLE:
      return say('stepWords.kettle');
    case BLENDER:
      return say('stepWords.blender');
    case JUG:
      return say('stepWords.jug');
    case BOWL:
      return say('stepWords.aside');
    case TUB:
      // Where the pot is not used it is the mixing bowl.
      return program.steps.every((s) => !s.to.includes(POT))
        ? (named(program.potId) ?? say('stepWords.bowl'))
        : say('stepWords.bowl');
    default:
      return vessel?.kind === 'jar' ? sayPart(partOfJar(id)) : say('stepWords.bowl');
  }
}
