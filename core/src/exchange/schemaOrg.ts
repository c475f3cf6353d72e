import type { RecipeLine } from '../documents/recipe.ts';
import type { Tables } from '../tables/types.ts';
import type { MeasuringKit } from '../units/measures.ts';
import { fail, ok, type Result } from '../units/result.ts';
import type { UnitSystem } from '../units/units.ts';
import { exchangeName } from './names.ts';
import { readText } from './reading/read.ts';
import type { TextReading } from './reading/types.ts';

/** A step, and what is to be minded at it. */
interface HowToStep {
  '@type': 'HowToStep';
  text: string;
  itemListElement?: { '@type': 'HowToTip'; text: string }[];
}

/** What the open vocabulary of schema.org carries of a recipe. */
export interface RecipeLd {
  '@context': 'https://schema.org';
  '@type': 'Recipe';
  name: string;
  description?: string;
  recipeYield: string;
  recipeCategory: string;
  recipeIngredient: string[];
  recipeInstructions: HowToStep[];
  prepTime?: string;
  cookTime?: string;
  totalTime?: string;
}

/** ISO 8601 length of so many minutes: PT1H20M. */
export function isoLength(minutes: number): string {
  const whole = Math.round(minutes);
  const days = Math.floor(whole / 1440);
  const hours = Math.floor((whole % 1440) / 60);
  const left = whole % 60;
  const time = `${hours ? `${hours}H` : ''}${left ? `${left}M` : ''}`;
  return `P${days ? `${days}D` : ''}${time || !days ? `T${time || '0M'}` : ''}`;
}

export function minutesOfIso(text: string): number | null {
  const match = /^P(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:\d+S)?)?$/.exec(text.trim());
  if (!match) return null;
  return Number(match[1] ?? 0) * 1440 + Number(match[2] ?? 0) * 60 + Number(match[3] ?? 0);
}

/** What the core cannot say itself: the drink's name and the steps in sentences. */
export interface LdWords {
  name: string;
  about: string;
  steps: readonly { text: string; cautions: readonly string[] }[];
  /** Amounts that are solved for, as the plan has them: water and sweetener, g by line. */
  solvedG: Readonly<Record<string, number>>;
  /** Names of the cook's own ingredients. */
  customNames: Readonly<Record<string, string>>;
}

const gramsText = (massG: number): string => String(Number(massG.toPrecision(4)));

/** What is said of a drink: how many litres, and what goes in. */
export interface LdRecipe {
  basisL: number;
  lines: readonly Pick<RecipeLine, 'id' | 'itemId' | 'massG'>[];
}

/** A recipe as schema.org JSON-LD. Liquids in millilitres, everything else in grams. */
export function toRecipeLd(
  recipe: LdRecipe,
  words: LdWords,
  tables: Tables,
  times: { handsOnMin: number; totalMin: number },
): RecipeLd {
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: words.name,
    ...(words.about ? { description: words.about } : {}),
    recipeYield: `${gramsText(recipe.basisL)} L`,
    recipeCategory: 'Drink',
    recipeIngredient: recipe.lines.map((line) => {
      const massG = line.massG || (words.solvedG[line.id] ?? 0);
      const name = exchangeName(line.itemId) ?? words.customNames[line.itemId] ?? line.itemId;
      if (massG <= 0) return `${name} to taste`;
      const liquid = tables.liquids.get(line.itemId);
      return liquid
        ? `${gramsText(massG / liquid.densityGPerMl)} ml ${name}`
        : `${gramsText(massG)} g ${name}`;
    }),
    recipeInstructions: words.steps.map(({ text, cautions }) => ({
      '@type': 'HowToStep' as const,
      text,
      ...(cautions.length > 0
        ? { itemListElement: cautions.map((tip) => ({ '@type': 'HowToTip' as const, text: tip })) }
        : {}),
    })),
    prepTime: isoLength(times.handsOnMin),
    totalTime: isoLength(times.totalMin),
  };
}

export type LdProblem =
  | { kind: 'notJson'; at: string }
  | { kind: 'noRecipe' }
  | { kind: 'noIngredients'; name: string };

/** Every object of a document, however deep its graphs and lists go. */
function* objectsIn(value: unknown): Generator<Record<string, unknown>> {
  if (Array.isArray(value)) for (const entry of value) yield* objectsIn(entry);
  else if (value && typeof value === 'object') {
    yield value as Record<string, unknown>;
    const graph = (value as Record<string, unknown>)['@graph'];
    if (graph) yield* objectsIn(graph);
    const main = (value as Record<string, unknown>).mainEntity;
    if (main) yield* objectsIn(main);
  }
}

const isRecipe = (o: Record<string, unknown>): boolean => {
  const type = o['@type'];
  return type === 'Recipe' || (Array.isArray(type) && type.includes('Recipe'));
};

/** JSON-LD blocks of a page's source, or the whole text where it is JSON itself. */
function blocksOf(source: string): string[] {
  const blocks = [
    ...source.matchAll(/<script[^>]*type=["']?application\/ld\+json["']?[^>]*>([\s\S]*?)<\/script>/gi),
  ].map((m) => m[1]!);
  return blocks.length ? blocks : [source];
}

const textOf = (value: unknown): string => {
  if (typeof value === 'string') return value;
  if (Array.isArray(value)) return value.map(textOf).filter(Boolean).join('\n');
  if (value && typeof value === 'object') {
    const o = value as Record<string, unknown>;
    // A step's own words; what stands in it beside them are tips, not steps.
    return textOf(o.text ?? o.itemListElement ?? o.name ?? '');
  }
  return '';
};
const clean = (text: string): string =>
  text
    .replace(/<[^>]+>/g, ' ')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/[ \t]+/g, ' ')
    .trim();

export interface LdRead {
  name: string;
  about: string;
  totalMin: number | null;
  /** The recipe as text, with its headings. */
  text: string;
  reading: TextReading;
}

/** Reads the first recipe of a JSON-LD file or of a page's source; its words go through the same reader as pasted text. */
export function readRecipeLd(
  source: string,
  tables: Tables,
  kit: MeasuringKit & { system: UnitSystem },
): Result<LdRead, LdProblem> {
  let parsed = 0;
  let broken = '';
  for (const block of blocksOf(source)) {
    let value: unknown;
    try {
      value = JSON.parse(block);
      parsed++;
    } catch (error) {
      broken = error instanceof Error ? error.message : String(error);
      continue;
    }
    for (const o of objectsIn(value)) {
      if (!isRecipe(o)) continue;
      const name = clean(textOf(o.name)) || 'Recipe';
      const ingredients = Array.isArray(o.recipeIngredient)
        ? o.recipeIngredient.map((i) => clean(textOf(i))).filter(Boolean)
        : [];
      if (ingredients.length === 0) return fail({ kind: 'noIngredients', name });
      const steps = clean(textOf(o.recipeInstructions));
      const yieldText = clean(textOf(o.recipeYield));
      const text = `${name}\n${yieldText ? `Makes ${yieldText}\n` : ''}Ingredients\n${ingredients.join('\n')}\nMethod\n${steps}`;
      return ok({
        name,
        about: clean(textOf(o.description)),
        totalMin: typeof o.totalTime === 'string' ? minutesOfIso(o.totalTime) : null,
        text,
        reading: readText(text, tables, kit),
      });
    }
  }
  return fail(parsed === 0 ? { kind: 'notJson', at: broken } : { kind: 'noRecipe' });
}
