import {
  finishedL,
  type Kitchen,
  lanesOf,
  largestFilling,
  type Program,
  type Recipe,
  type Simulation,
  type Tables,
} from '@big-ladle/core';
import { sayDrink, sayItem, sayWithCut } from '../words/names.ts';
import { duration, grams, litres, num, say, sayCode, volume } from '../words/say.ts';
import { lineAmount } from './batch/lineAmount.ts';
import { partsOnShelf, stepHow, stepName } from './batch/stepWords.ts';
import { laneSentences } from './lanes/laneWords.ts';

export interface TextInput {
  recipe: Recipe;
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  tables: Tables;
  /** What was really stirred in, by line, for a batch that is done. */
  addedG?: Readonly<Record<string, number>>;
}

/** Grams of a line, with what was solved or dosed for it. */
export const lineGrams = (
  { program, sim, addedG }: Pick<TextInput, 'program' | 'sim' | 'addedG'>,
  lineId: string,
): number => {
  const dosed = sim.dosedG;
  const line = program.lines.find((l) => l.id === lineId);
  return (addedG?.[lineId] ?? 0) || (line?.massG ?? 0) || (dosed[lineId] ?? 0);
};

/** An amount as a hand measures it and as a scale reads it: "2 thumbs (60 g)". */
export function amountText(itemId: string, massG: number, kitchen: Kitchen, tables: Tables): string {
  const { hand, scale } = lineAmount(itemId, massG, kitchen, tables);
  return hand === scale ? scale : `${hand} (${scale})`;
}

/** Steps in sentences, each with its time. */
export function stepSentences({ program, sim }: Pick<TextInput, 'program' | 'sim'>): string[] {
  return program.steps.map((step) => {
    const entry = sim.trace.find((t) => t.stepId === step.id);
    const minutes = entry ? entry.endMin - entry.startMin : 0;
    const list = step.lines.map((id) => {
      const line = program.lines.find((l) => l.id === id);
      return sayWithCut(line?.itemId ?? id, step.kind === 'prep' && !step.mill ? line?.cut : undefined);
    });
    const how = stepHow(step, program);
    const named =
      list.length > 0 && !list.every((name) => how.toLowerCase().includes(name))
        ? ` (${list.join(', ')})`
        : '';
    const place = 'place' in step ? (step.place === 'fridge' ? say('recipeText.inTheFridge') : '') : '';
    // In her own words where she has some.
    return `${stepName(step, program)}${named}${place}${minutes >= 1 ? `, ${duration(minutes)}` : ''}. ${step.text ?? how}`.trim();
  });
}

/** A recipe, or a batch as it was made, as complete plain text: measures, weights, steps, times. */
export function recipeText(input: TextInput): string {
  const { recipe, program, sim, kitchen, tables } = input;
  const end = largestFilling(sim);
  const name = sayDrink(recipe.id, recipe.name);
  return [
    name,
    say('recipeText.inBottlesByFrom', {
      volume: litres(finishedL(sim)),
      what: sayCode(`method.${program.methodId}`),
      end: duration(sim.endMin),
    }),
    '',
    say('common.whatGoesIn'),
    ...program.lines.flatMap((line) => {
      const massG = lineGrams(input, line.id);
      const share = line.share ? `, ${say(`share.${line.share}`)}` : '';
      return massG > 0
        ? [
            `- ${amountText(line.itemId, massG, kitchen, tables)} ${sayItem(line.itemId).toLowerCase()}${share}`,
          ]
        : [];
    }),
    ...partsOnShelf(program).map((p) =>
      say('recipeText.madeAhead', {
        litres: volume(p.litres),
        mass: grams(p.massG),
        name: p.name.toLowerCase(),
      }),
    ),
    '',
    say('common.whatToDo'),
    ...stepSentences(input).map((s, i) => `${i + 1}. ${s}`),
    '',
    say('lanes.title'),
    ...laneSentences(lanesOf(program, sim, tables), program, kitchen).map((s) => `- ${s}`),
    '',
    end
      ? say('recipeText.endsAtBxG', {
          brix: num(end.now.brix, 1),
          sourness: num(end.now.sournessGPerL, 1),
        })
      : '',
  ].join('\n');
}
