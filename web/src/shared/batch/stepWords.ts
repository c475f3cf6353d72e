import '../../words/places/steps.ts';
import { METHODS } from '@big-ladle/core/book';
import type { Kitchen, MethodId } from '@big-ladle/core/documents';
import { massG, volumeMl } from '@big-ladle/core/liquor';
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
  type UntilDown,
} from '@big-ladle/core/program';
import { sayItem, sayLot, sayPart } from '../../words/names.ts';
import { celsius, duration, has, num, say, sayCode, volume } from '../../words/say.ts';
import { itemIdOf } from './liquorColour.ts';

/** Herbs stand no longer than this; anything longer is a steep. */
const SHORT_STEEP_MIN = 40;
const DAY_MIN = 24 * 60;

/** Boiling water on leaves: a short steep is the drawing itself. */
const drawsSo = (program: Program): boolean => METHODS[program.methodId as MethodId]?.into === 'boiling';

/** Which manner of its kind a step is, as its words distinguish it: "wash.scrub"; null for the plain one. */
function mannerOf(step: Step, program: Program): string | null {
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
function worded(stem: string, step: Step, program: Program): string | null {
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

/** What a cook says when it is done: "It boils now". */
export const stepDeed = (step: Step, program: Program): string =>
  sayCode(worded('deed', step, program) ?? `deed.${step.kind}`);

/** How to do it, in a line. */
export function stepHow(step: Step, program: Program, amountsStandBelow = false): string {
  const list = step.lines.map((id) => sayItem(itemIdOf(program)(id)).toLowerCase()).join(', ');
  switch (step.kind) {
    case 'steep':
    case 'soak': {
      const manner = mannerOf(step, program);
      if (manner === 'mature' && (step.everyMin || step.place !== 'fridge'))
        return [
          sayCode(`how.covered.${step.place}`),
          step.everyMin ? say('how.shake', { every: duration(step.everyMin) }) : '',
        ]
          .filter(Boolean)
          .join(' ');
      const worked = worded('how', step, program);
      const stands = worked ? sayCode(worked, { list }) : sayCode(`how.${step.kind}.${step.place}`);
      return [
        stands,
        step.everyMin ? say('how.every', { every: duration(step.everyMin) }) : '',
        step.branch
          ? say('how.branch', {
              after: duration(step.branch.afterMin),
              volume: volume(step.branch.waterL),
              minutes: duration(step.branch.boilMin),
            })
          : '',
      ]
        .filter(Boolean)
        .join(' ');
    }
    case 'boil': {
      const how = sayCode(worded('how', step, program) ?? 'how.boil');
      return step.until.kind === 'down' ? `${how} ${downTo(step.until.to)}` : how;
    }
    case 'split':
      if (isPot(step.to[0] ?? '')) return say('how.split.back', { percent: num(step.share * 100) });
      return step.volumeMl === undefined
        ? say('how.split.share', { percent: num(step.share * 100), all: step.share > 0.995 })
        : say('how.split', { volume: volume(step.volumeMl / 1000) });
    case 'fortify':
      return list ? say('how.fortify', { list }) : say('how.fortify.none');
    case 'bottle': {
      const fills = sayCode(worded('how', step, program) ?? 'how.bottle');
      const glass = (step.inGlass?.lineIds ?? [])
        .map((id) => sayItem(itemIdOf(program)(id)).toLowerCase())
        .join(', ');
      return [
        fills,
        step.portionMl ? say('how.bottle.portions', { volume: volume(step.portionMl / 1000) }) : '',
        glass ? say('how.bottle.inGlass', { list: glass }) : '',
      ]
        .filter(Boolean)
        .join(' ');
    }
    case 'heat':
      return sayCode(worded('how', step, program) ?? 'how.heat', {
        temp: celsius(step.until.kind === 'temp' ? (step.until.targetC ?? 100) : 100),
      });
    case 'cool':
      return sayCode(`how.cool.${step.place}`, {
        temp:
          step.until.kind === 'temp' && step.until.targetC !== null
            ? celsius(step.until.targetC)
            : say('how.cool.cold'),
      });
    case 'strain': {
      const passes = (step.passes ?? []).map((p) => say('how.strain.pass', p)).join(', ');
      return [
        passes ? say('how.strain.through', { passes }) : say(`how.strain.${step.press}`),
        step.rinseMl ? say('how.strain.rinse', { volume: volume(step.rinseMl / 1000) }) : '',
        step.asideSolids ? say('how.strain.aside') : '',
      ]
        .filter(Boolean)
        .join(' ');
    }
    case 'juice':
      return say(`how.juice.${step.tool}`, { list });
    default: {
      const code = worded('how', step, program);
      // Where each thing stands below with its amount, it is not told twice.
      const told = amountsStandBelow && code && has(`${code}.stove`) ? `${code}.stove` : code;
      return [told ? sayCode(told, { list }) : '', ...shelfPartsIn(step, program)].filter(Boolean).join(' ');
    }
  }
}

/** How far it is boiled down, as a cook reads it off the pot. */
function downTo(to: UntilDown['to']): string {
  if ('litres' in to) return say('how.down.litres', { volume: volume(to.litres) });
  return 'share' in to
    ? say('how.down.share', { percent: num(to.share * 100) })
    : say('how.down.mark', { cm: num(to.levelCm, 1) });
}

/** What a step pours in that was made ahead. */
const shelfPartsIn = (step: Step, program: Program): string[] =>
  partsOnShelf(program)
    .filter((p) => step.from.includes(p.vesselId))
    .map((p) => say('how.fromShelf', { part: p.name.toLowerCase(), volume: volume(p.litres) }));

/** Parts that a program takes from the shelf, by name, with how much of each it wants. */
export const partsOnShelf = (
  program: Program,
): { vesselId: string; name: string; litres: number; massG: number }[] =>
  program.vessels.flatMap((v) =>
    v.holds
      ? [
          {
            vesselId: v.id,
            name: sayPart(partOfJar(v.id)),
            litres: volumeMl(v.holds) / 1000,
            massG: massG(v.holds),
          },
        ]
      : [],
  );

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
