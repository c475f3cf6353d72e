import '../../words/places/recipeText.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { finishedL, type ProgramLine } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import { sayItem } from '../../words/names.ts';
import { grams, litres, poured } from '../../words/quantities.ts';
import { duration, say, sayCode } from '../../words/say.ts';
import { lineAmount } from '../batch/lineAmount.ts';
import type { TextInput } from './types.ts';

/** Grams of a line, with what was solved or dosed for it. */
export const lineGrams = (
  { program, sim, addedG }: Pick<TextInput, 'program' | 'sim' | 'addedG'>,
  lineId: string,
): number => {
  const line = program.lines.find((l) => l.id === lineId);
  return (addedG?.[lineId] ?? 0) || (line?.massG ?? 0) || (sim.dosedG[lineId] ?? 0);
};

/** An amount as a hand measures it and as a scale reads it: "2 thumbs (60 g)". */
export function amountText(itemId: string, massG: number, kitchen: Kitchen, tables: Tables): string {
  const { hand, scale } = lineAmount(itemId, massG, kitchen, tables);
  return hand === scale ? scale : `${hand} (${scale})`;
}

/** The same kitchen with nothing but the measures that every kitchen has. */
const standard = (kitchen: Kitchen): Kitchen => ({
  ...kitchen,
  measures: [],
  cupWeights: [],
  preferredMeasureId: null,
});

const isPoured = (itemId: string, tables: Tables): boolean => tables.liquids.has(itemId);

/** So much of something by itself: what is poured in litres, everything else in grams. */
export const measured = (itemId: string, massG: number, tables: Tables): string => {
  const liquid = tables.liquids.get(itemId);
  return liquid ? poured(massG / liquid.densityGPerMl / 1000) : grams(massG);
};

/** The rows of what goes in: each thing once, by weight or litres, with the measures of any kitchen and of this one. */
export function goesIn(input: TextInput): string[] {
  const { program, kitchen, tables } = input;
  const rows = new Map<string, ProgramLine[]>();
  for (const line of program.lines) rows.set(line.itemId, [...(rows.get(line.itemId) ?? []), line]);
  return [...rows].map(([itemId, lines]) => {
    const massG = lines.reduce((sum, l) => sum + lineGrams(input, l.id), 0);
    const name = sayItem(itemId).toLowerCase();
    const byTaste = lines.some((l) => l.rule.kind === 'toTarget');
    if (massG <= 0) return say('text.toTaste', { line: name });
    const line = rowOf(itemId, massG, name, kitchen, tables);
    return byTaste ? say('text.toTaste', { line }) : line;
  });
}

function rowOf(itemId: string, massG: number, name: string, kitchen: Kitchen, tables: Tables): string {
  const scale = measured(itemId, massG, tables);
  if (isPoured(itemId, tables)) return say('text.line', { scale, name });
  const measure = lineAmount(itemId, massG, standard(kitchen), tables).hand;
  const own = lineAmount(itemId, massG, kitchen, tables).hand;
  if (measure === scale) return say('text.line', { scale, name });
  return own === measure
    ? say('text.line.measured', { scale, name, measure })
    : say('text.line.both', { scale, name, measure, own });
}

/** How much it makes and how long that takes. */
export function makes({ program, sim }: Pick<TextInput, 'program' | 'sim'>): string[] {
  return [
    say('text.makes', { litres: litres(finishedL(sim)) }),
    say('text.takes', { time: duration(sim.endMin), method: sayCode(`method.${program.methodId}`) }),
  ];
}
