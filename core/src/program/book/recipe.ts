import type {
  Choices,
  HeatId,
  Instead,
  MethodId,
  PlannedWay,
  Recipe,
  RecipeLine,
  RecipeTimes,
  StoredChoices,
  StrengthId,
} from '../../documents/recipe.ts';
import { METHODS } from './methods/methods.ts';

/** Usual lengths; a recipe says where it differs. */
export const USUAL_TIMES: RecipeTimes = Object.freeze({
  boilMin: 5,
  steepMin: 720,
  straightBoilMin: 25,
  soakMin: 480,
  simmerMin: 50,
  secondBoilMin: 15,
  pourMin: 15,
  matureMin: 4 * 24 * 60,
});

/** How much of the lines that carry the strength goes in, against the recipe. */
export const STRENGTHS: Readonly<Record<StrengthId, number>> = { light: 0.65, full: 1, dark: 1.4 };
/** How much of ginger, pepper and chilli goes in, against the recipe. */
export const HEATS: Readonly<Record<HeatId, number>> = { mild: 0.5, medium: 1, hot: 1.7 };

/** A recipe with a way taken: the first sweetener keeps the place of the recipe's own. */
export function withWay(recipe: Recipe, way: PlannedWay | null, methodId: MethodId): Recipe {
  if (!way || METHODS[methodId].endsItself) return recipe;
  const own = recipe.lines.find((l) => l.stream === 'sweet' && l.rule.kind === 'toTarget');
  const blank = { massG: 0, wash: 'none', prep: null } as const;
  const sweet = way.sweeteners.map(
    (itemId, i): RecipeLine => ({
      ...blank,
      id: i === 0 && own ? own.id : `way-${itemId}`,
      kind: 'sweetener',
      itemId,
      rule: { kind: 'toTarget' },
      stream: 'sweet',
    }),
  );
  const basisL = recipe.basisL * way.litresShare;
  const poured = way.with.map(
    ({ itemId, gPerL }): RecipeLine => ({
      ...blank,
      id: `way-${itemId}`,
      kind: 'liquid',
      itemId,
      massG: gPerL * basisL,
      rule: { kind: 'linear' },
      stream: 'after',
    }),
  );
  return { ...recipe, basisL, lines: [...recipe.lines.filter((l) => l !== own), ...poured, ...sweet] };
}

/** A recipe with something sour poured in with the water. */
export function withAcidFirst(recipe: Recipe, acidFirst: Choices['acidFirst']): Recipe {
  if (!acidFirst) return recipe;
  const line: RecipeLine = {
    id: 'acid-first',
    kind: 'liquid',
    itemId: acidFirst.itemId,
    massG: acidFirst.gPerL * recipe.basisL,
    rule: { kind: 'linear' },
    stream: 'pot',
    wash: 'none',
    prep: null,
  };
  return { ...recipe, lines: [...recipe.lines, line] };
}

/** What a cook takes instead, with another choice for one line; null: the recipe's own again. */
export const insteadWith = (
  instead: readonly Instead[],
  lineId: string,
  other: Instead | null,
): readonly Instead[] => [...instead.filter((i) => i.lineId !== lineId), ...(other ? [other] : [])];

/** A recipe with what the cook takes instead; each line keeps its place and its rule. */
export function withInstead(recipe: Recipe, instead: readonly Instead[]): Recipe {
  if (instead.length === 0) return recipe;
  return {
    ...recipe,
    lines: recipe.lines.map((line) => {
      const other = instead.find((i) => i.lineId === line.id);
      return other ? { ...line, itemId: other.itemId, massG: line.massG * other.ratio } : line;
    }),
  };
}

/** Steeps longer than this stand cold by default. */
const LONG_STEEP_MIN = 240;

/** The choices a recipe starts with under a method. */
export function defaultChoices(recipe: Recipe, methodId: MethodId): Choices {
  const times = { ...USUAL_TIMES, ...recipe.times };
  const { boils } = METHODS[methodId];
  const boilMin = typeof boils === 'number' ? boils : times[boils];
  return {
    methodId,
    rinses: 4,
    boilMin,
    steepMin: times.steepMin,
    steepPlace: times.steepMin > LONG_STEEP_MIN ? 'fridge' : 'counter',
    coolBy: 'iceBath',
    acidFirst: null,
    lid: 'ajar',
    press: recipe.press,
    targetSweetnessPct: recipe.targetSweetnessPct,
    hygiene: 'sterilised',
    soakMin: times.soakMin,
    soakPlace: 'fridge',
    simmerMin: times.simmerMin,
    secondShare: 0.35,
    secondBoilMin: times.secondBoilMin,
    pourMin: times.pourMin,
    matureMin: times.matureMin,
    strength: 'full',
    heat: 'medium',
    fruit: recipe.fruit ?? 'cooked',
    shelfParts: [],
    instead: [],
    roots: [],
    way: null,
  };
}

/** Choices as stored, with what an older version did not ask for filled in. */
export const completeChoices = (recipe: Recipe, stored: StoredChoices): Choices => ({
  ...defaultChoices(recipe, stored.methodId),
  ...stored,
});

/** What a cook has chosen that holds under any method; lengths and places are each method's own. */
const METHOD_FREE = [
  'press',
  'lid',
  'coolBy',
  'acidFirst',
  'hygiene',
  'targetSweetnessPct',
  'strength',
  'heat',
  'fruit',
  'shelfParts',
  'instead',
  'roots',
  'way',
] as const satisfies readonly (keyof Choices)[];

/** A cook's choices taken over to another method. */
export function choicesUnder(recipe: Recipe, methodId: MethodId, stored: StoredChoices): Choices {
  const from = completeChoices(recipe, stored);
  const kept = Object.fromEntries(METHOD_FREE.map((key) => [key, from[key]])) as Pick<
    Choices,
    (typeof METHOD_FREE)[number]
  >;
  return { ...defaultChoices(recipe, methodId), ...kept };
}
