import type { BoilLevel, Lid } from '../tables/constants.ts';
import type { Press } from '../tables/types.ts';
import type { JuiceTool, LineId, LineKind, ScaleRule } from './types.ts';

/** The ways of drawing that the book knows, and `own`: the steps that a cook wrote down. */
export type MethodId =
  | 'overnightSoak'
  | 'shortBoilLongSteep'
  | 'firstBubbles'
  | 'longSimmer'
  | 'straightBoil'
  | 'doubleDraw'
  | 'pourOver'
  | 'rawBlend'
  | 'cordial'
  | 'own';
export const METHOD_IDS: readonly MethodId[] = [
  'overnightSoak',
  'shortBoilLongSteep',
  'firstBubbles',
  'longSimmer',
  'straightBoil',
  'doubleDraw',
  'pourOver',
  'rawBlend',
  'cordial',
  'own',
];
/** Methods in which nothing is heated. */
export const COLD_METHODS: ReadonlySet<MethodId> = new Set(['rawBlend', 'cordial']);

/**
 * Where in the work a line comes in: into the pot from the start; late, so many minutes before the boil ends; when the
 * flame goes off; as fruit, cooked in or juiced raw as the cook chooses; into a part made aside; stirred in when cool;
 * as the sweetener.
 */
export type Stream = 'pot' | 'late' | 'offHeat' | 'fruit' | 'part' | 'after' | 'sweet';
export const STREAMS: readonly Stream[] = ['pot', 'late', 'offHeat', 'fruit', 'part', 'after', 'sweet'];

export type Wash = 'none' | 'swirl' | 'scrub' | 'rinse';

/** An ingredient line for `basisL` finished litres. */
export interface RecipeLine {
  id: LineId;
  kind: LineKind;
  itemId: string;
  /** Grams; for liquids at 20 °C, for pieces what they weigh. Water of rule `toVolume` has 0: it fills up. */
  massG: number;
  rule: ScaleRule;
  stream: Stream;
  /** What is done to it before it goes in. */
  wash: Wash;
  prep: { code: string; minutes: number } | null;
  /** Late: minutes before the boil ends. Off the heat: minutes it stands. */
  minutes?: number;
  /** The part made aside that it belongs to. */
  partId?: string;
  /** Follows the choice of light, full or dark. */
  strong?: boolean;
  /** Follows the choice of mild, medium or hot. */
  hot?: boolean;
}

/** Something made aside, with a yield of its own: date syrup, coconut milk, spice liquor, ginger juice. */
export interface RecipePart {
  id: string;
  how: 'blend' | 'boil' | 'juice';
  /** Boiled so long in the small pot. */
  boilMin?: number;
  press: Press;
  /** Poured into the big pot before it is heated, or stirred in when everything is cool. */
  joins: 'pot' | 'after';
}

/** Kinds of step a cook may write herself. */
export const OWN_STEP_KINDS = [
  'pick',
  'wash',
  'prep',
  'combine',
  'soak',
  'heat',
  'boil',
  'steep',
  'strain',
  'blend',
  'juice',
  'cool',
  'mix',
  'sweeten',
  'bottle',
] as const;
export type OwnStepKind = (typeof OWN_STEP_KINDS)[number];

/** A step of a recipe written by a cook. Fields that its kind does not need are left out. */
export interface RecipeStep {
  id: string;
  kind: OwnStepKind;
  lineIds: LineId[];
  minutes: number;
  maxMinutes?: number;
  level?: BoilLevel;
  lid?: Lid;
  place?: 'fridge' | 'counter' | 'iceBath';
  press?: Press;
  cloth?: boolean;
  /** Solids stay for a second water. */
  keepSolids?: boolean;
  /** The soak's water is thrown away. */
  thrown?: boolean;
  tool?: JuiceTool;
  /** The cook's own words for it. */
  text?: string;
}

export type FamilyId =
  | 'calyx'
  | 'calyxFruit'
  | 'pineapple'
  | 'root'
  | 'tonic'
  | 'cordial'
  | 'punch'
  | 'herb'
  | 'shot'
  | 'own';

export interface RecipeTimes {
  boilMin: number;
  steepMin: number;
  straightBoilMin: number;
  soakMin: number;
  simmerMin: number;
  secondBoilMin: number;
  pourMin: number;
  matureMin: number;
}

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

/** A drink in the book. Proportions are per `basisL` litres in bottles. */
export interface Recipe {
  id: string;
  version: number;
  /** Shipped drinks are named by word codes, `drink.<id>` and `drink.<id>.about`; a cook's own by these. */
  name?: string;
  about?: string;
  family: FamilyId;
  serve: 'cold' | 'hot' | 'either';
  /** A concentrated drink is taken in small glasses, mL. */
  servingMl?: number;
  lines: readonly RecipeLine[];
  parts?: readonly RecipePart[];
  /** What a cook wrote down; taken by the method `own`. */
  steps?: readonly RecipeStep[];
  basisL: number;
  methods: readonly MethodId[];
  press: Press;
  cloth: boolean;
  /** Sugar-equivalent g per 100 g that the finished drink is sweetened to; 0: left plain. */
  targetSweetnessPct: number;
  /** How the methods' lengths suit this drink, minutes, where they are not the usual ones. */
  times: Partial<RecipeTimes>;
  /** How fruit goes in unless the cook says otherwise. */
  fruit?: 'cooked' | 'raw';
  /** What people say of it: noted apart, checked by nobody, printed nowhere. */
  folkUse?: string;
  /** The recipe that this one is a variant of. */
  base?: { id: string; version: number };
}

export type StrengthId = 'light' | 'full' | 'dark';
export type HeatId = 'mild' | 'medium' | 'hot';
/** How much of the lines that carry the strength goes in, against the recipe. */
export const STRENGTHS: Readonly<Record<StrengthId, number>> = { light: 0.65, full: 1, dark: 1.4 };
/** How much of ginger, pepper and chilli goes in, against the recipe. */
export const HEATS: Readonly<Record<HeatId, number>> = { mild: 0.5, medium: 1, hot: 1.7 };

/** What a cook chooses for this batch besides amounts. */
export interface Choices {
  methodId: MethodId;
  rinses: number;
  boilMin: number;
  /** Long steep: how long, and where it stands. */
  steepMin: number;
  steepPlace: 'fridge' | 'counter';
  /** How the strained liquor is cooled; `bottles`: it is filled hot into warmed glass and cools there. */
  coolBy: 'iceBath' | 'counter' | 'fridge' | 'bottles';
  /** Something sour that goes in with the water, so that what stands warm is acid from the start; null: nothing. */
  acidFirst: { itemId: string; gPerL: number } | null;
  lid: 'on' | 'ajar' | 'off';
  press: Press;
  targetSweetnessPct: number;
  hygiene: 'clean' | 'sterilised';
  soakMin: number;
  soakPlace: 'fridge' | 'counter';
  simmerMin: number;
  /** Share of the water kept for the second draw, and how long that boils. */
  secondShare: number;
  secondBoilMin: number;
  pourMin: number;
  matureMin: number;
  strength: StrengthId;
  heat: HeatId;
  fruit: 'cooked' | 'raw';
  /** Parts that were made before, as the recipe says, and are taken from the shelf. */
  shelfParts: readonly string[];
  /** What goes in instead of a line's own, so many grams for each gram. */
  instead: readonly Instead[];
  /** A way to the target that was taken from the plane; null: as the recipe has it. */
  way: PlannedWay | null;
}

/** A balance of a plan that its recipe does not have: other sweeteners, juice with it, less water. */
export interface PlannedWay {
  /** What sweetens, each with as much of the sweetness; none: nothing but what is in it. */
  sweeteners: readonly string[];
  /** Liquids stirred in when it is cool, g for each finished litre. */
  with: readonly { itemId: string; gPerL: number }[];
  /** The same of everything for this share of the litres. */
  litresShare: number;
}

/** Methods that say themselves what is stirred in at the end have no place for more. */
export const takesWays = (methodId: MethodId): boolean => methodId !== 'cordial' && methodId !== 'own';

/** A recipe with a way taken: the first sweetener keeps the place of the recipe's own. */
export function withWay(recipe: Recipe, way: PlannedWay | null, methodId: MethodId): Recipe {
  if (!way || !takesWays(methodId)) return recipe;
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

export interface Instead {
  lineId: LineId;
  itemId: string;
  ratio: number;
}

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
  const boilMin = ((): number => {
    switch (methodId) {
      case 'straightBoil':
      case 'doubleDraw':
      case 'overnightSoak':
        return times.straightBoilMin;
      case 'longSimmer':
        return 10;
      default:
        return times.boilMin;
    }
  })();
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
    way: null,
  };
}

/** Choices as stored, with what an older version did not ask for filled in. */
export const completeChoices = (
  recipe: Recipe,
  stored: Partial<Choices> & Pick<Choices, 'methodId'>,
): Choices => ({
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
  'way',
] as const satisfies readonly (keyof Choices)[];

/** A cook's choices taken over to another method. */
export function choicesUnder(
  recipe: Recipe,
  methodId: MethodId,
  stored: Partial<Choices> & Pick<Choices, 'methodId'>,
): Choices {
  const from = completeChoices(recipe, stored);
  const kept = Object.fromEntries(METHOD_FREE.map((key) => [key, from[key]])) as Pick<
    Choices,
    (typeof METHOD_FREE)[number]
  >;
  return { ...defaultChoices(recipe, methodId), ...kept };
}
