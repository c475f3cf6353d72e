import type { Kitchen, Program, Step } from '@big-ladle/core';
import { celsius, has, say } from '../../words/say.ts';
import { itemIdOf } from './looks.ts';

/** What a step is called, e.g. "Scrub the skins". */
export function stepName(step: Step, program: Program): string {
  const name =
    step.kind === 'wash' ? say(`step.wash.${step.rinses > 2 ? 'swirl' : 'scrub'}`) : say(`step.${step.kind}`);
  return step.fill > 0 && program.fills > 1 ? `${name}, fill ${step.fill}` : name;
}

/** How to do it, in a line. */
export function stepHow(step: Step, program: Program): string {
  const list = step.lines.map((id) => say(`item.${itemIdOf(program)(id)}`).toLowerCase()).join(', ');
  switch (step.kind) {
    case 'wash':
      return say(`how.wash.${step.rinses > 2 ? 'swirl' : 'scrub'}`);
    case 'steep':
    case 'soak':
      return say(`how.${step.kind}.${step.place}`);
    case 'cool':
      return say(`how.cool.${step.place}`, {
        temp:
          step.until.kind === 'temp' && step.until.targetC !== null ? celsius(step.until.targetC) : 'cold',
      });
    case 'strain':
      return say(`how.strain.${step.press}`);
    default: {
      const code = `how.${step.kind}`;
      return has(code) ? say(code, { list }) : '';
    }
  }
}

/** The pot's or bowl's name for a step. */
export const placeName = (program: Program, kitchen: Kitchen, step: Step): string =>
  (step.from[0] ?? step.to[0]) === 'pot'
    ? (kitchen.pots.find((p) => p.id === program.potId)?.name ?? 'Pot')
    : step.kind === 'bottle'
      ? 'Bottles'
      : 'Bowl';
