import '../../words/places/steps.ts';
import { massG, volumeMl } from '@big-ladle/core/liquor';
import { isPot, type Program, partOfJar, type Step, type UntilDown } from '@big-ladle/core/program';
import { sayItem, sayPart } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { celsius, centimetres, volume } from '../../words/quantities.ts';
import { duration, has, say, sayCode } from '../../words/say.ts';
import { itemIdOf } from './liquorColour.ts';
import { mannerOf, worded } from './stepNames.ts';

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
    : say('how.down.mark', { cm: centimetres(to.levelCm) });
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
