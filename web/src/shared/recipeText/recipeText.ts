import '../../words/places/recipeText.ts';
import { lanesOf } from '@big-ladle/core/plan';
import { largestFilling, standsSideBySide } from '@big-ladle/core/program';
import { sayDrink } from '../../words/names.ts';

import { num } from '../../words/numbers.ts';
import { grams, volume } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { partsOnShelf } from '../batch/stepWords.ts';
import { laneSentences } from '../lanes/laneWords.ts';
import { goesIn, makes } from './goesIn.ts';
import { stepSentences } from './sentences.ts';
import type { TextInput } from './types.ts';

/**
 * A recipe, or a batch as it was made, as complete plain text: measures, weights, steps, times, cautions and the way of
 * the drink. Read back it gives the same recipe.
 */
export function recipeText(input: TextInput): string {
  const { recipe, program, sim, kitchen, tables } = input;
  const end = largestFilling(sim);
  return [
    sayDrink(recipe.id, recipe.name),
    ...makes(input),
    ...(program.fills > 1
      ? [say('text.loads', { count: program.fills, beside: standsSideBySide(program) ? 'yes' : 'no' })]
      : []),
    '',
    say('common.whatGoesIn'),
    ...goesIn(input).map((row) => `- ${row}`),
    ...partsOnShelf(program).map((p) =>
      say('text.madeAhead', { litres: volume(p.litres), mass: grams(p.massG), name: p.name.toLowerCase() }),
    ),
    '',
    say('common.whatToDo'),
    ...stepSentences(input).flatMap(({ sentence, own, cautions }, i) => [
      `${i + 1}. ${sentence}`,
      ...(own ? [`   ${say('text.ownWords', { text: own.replace(/\s+/g, ' ') })}`] : []),
      ...cautions.map((text) => `   ${say('text.takeCare', { text })}`),
    ]),
    '',
    say('lanes.title'),
    ...laneSentences(lanesOf(program, sim, tables), program, kitchen).map((s) => `- ${s}`),
    ...(end
      ? [
          '',
          say('text.thisMakes', {
            brix: num(end.now.brix, 1),
            sourness: num(end.now.sournessGPerL, 1),
          }),
        ]
      : []),
  ].join('\n');
}
