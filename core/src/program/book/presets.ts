import type { Choices, Recipe, RecipeLine } from '../../documents/recipe.ts';
import type { Tables } from '../../tables/types.ts';
import { vigourGives } from '../../tables/vigours.ts';
import { HEATS, STRENGTHS } from './recipe.ts';

/** Which lines follow light, full or dark, and which mild, medium or hot. */
export interface Presets {
  strong: ReadonlySet<string>;
  hot: ReadonlySet<string>;
}

/**
 * As the recipe says it; a recipe that says nothing of strength or of heat goes by what its things are: what is hot on
 * the tongue makes it hot, any other plant that is no spice makes it strong.
 */
export function presetsOf(recipe: Pick<Recipe, 'lines'>, tables: Pick<Tables, 'ingredients'>): Presets {
  const ids = (of: (line: RecipeLine) => boolean | undefined) =>
    new Set(recipe.lines.filter(of).map((l) => l.id));
  const said = { strong: ids((l) => l.strong), hot: ids((l) => l.hot) };
  const rowOf = (line: RecipeLine) =>
    line.kind === 'solid' ? tables.ingredients.get(line.itemId) : undefined;
  const isHot = (line: RecipeLine) => rowOf(line)?.traits.includes('pungent');
  const isPlant = (line: RecipeLine) => {
    const row = rowOf(line);
    return row !== undefined && row.role !== 'spice' && row.role !== 'souring' && !isHot(line);
  };
  return {
    strong: said.strong.size > 0 ? said.strong : ids((l) => isPlant(l) && l.strong !== false),
    hot: said.hot.size > 0 ? said.hot : ids((l) => isHot(l) && l.hot !== false),
  };
}

/** What light, full or dark and mild, medium or hot make of a line. */
export const presetFactor = (
  lineId: string,
  presets: Presets,
  choices: Pick<Choices, 'strength' | 'heat' | 'roots'>,
): number =>
  ((presets.strong.has(lineId) ? STRENGTHS[choices.strength] : 1) *
    (presets.hot.has(lineId) ? HEATS[choices.heat] : 1)) /
  givesOf(lineId, choices);

/** What a line gives against the usual, as the cook judged her root. */
export const givesOf = (lineId: string, choices: Pick<Choices, 'roots'>): number =>
  vigourGives(choices.roots.find((r) => r.lineId === lineId)?.vigour ?? 'usual');

/** Roots of a recipe that differ from one to the next, so that a cook may say how hers is. */
export const varyingLines = (
  recipe: Pick<Recipe, 'lines'>,
  tables: Pick<Tables, 'ingredients'>,
): RecipeLine[] =>
  recipe.lines.filter((line) => {
    const traits = tables.ingredients.get(line.itemId)?.traits ?? [];
    return traits.includes('root') && traits.includes('varies');
  });
