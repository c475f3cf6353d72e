import * as v from 'valibot';
import { BOIL_LEVEL_IDS, LIDS } from '../tables/constants.ts';
import { PRESSES } from '../tables/types.ts';
import { VIGOUR_IDS } from '../tables/vigours.ts';
import { between, id, list, name, paragraphs, whole } from '../units/fields.ts';
import { LOT_KINDS } from './lot.ts';

/** The ways of drawing that the book knows, and `own`: the steps that a cook wrote down. */
export const METHOD_IDS = [
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
] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/**
 * Where in the work a line comes in: into the pot from the start; late, so many minutes before the boil ends; when the
 * flame goes off; as fruit, cooked in or juiced raw as the cook chooses; into a part made aside; stirred in when cool;
 * as the sweetener.
 */
export const STREAMS = ['pot', 'late', 'offHeat', 'fruit', 'part', 'after', 'sweet'] as const;
export type Stream = (typeof STREAMS)[number];

export const WASHES = ['none', 'swirl', 'scrub', 'rinse'] as const;
export type Wash = (typeof WASHES)[number];

export const LINE_KINDS = ['solid', 'liquid', 'sweetener'] as const;
export type LineKind = (typeof LINE_KINDS)[number];

export const JUICE_TOOLS = ['hand', 'blender', 'juicer'] as const;
export type JuiceTool = (typeof JUICE_TOOLS)[number];

const DAY_MIN = 24 * 60;
/** Sixty days: a cordial matures for weeks. */
const LONGEST_MIN = 60 * DAY_MIN;

/** How a line's grams follow the litres. */
const ruleSchema = v.variant('kind', [
  v.strictObject({ kind: v.literal('linear') }),
  v.strictObject({ kind: v.literal('power'), exponent: between(0.3, 1.5) }),
  v.strictObject({ kind: v.literal('perPot') }),
  v.strictObject({ kind: v.literal('cover'), plusCm: between(0, 30) }),
  v.strictObject({ kind: v.literal('byResult'), lineId: id, ratio: between(0.05, 20) }),
  v.strictObject({ kind: v.literal('toTarget') }),
  /** Water that makes up the finished litres. */
  v.strictObject({ kind: v.literal('toVolume') }),
]);
export type ScaleRule = v.InferOutput<typeof ruleSchema>;

/** An ingredient line for `basisL` finished litres. */
const lineSchema = v.strictObject({
  id,
  kind: v.picklist(LINE_KINDS),
  itemId: id,
  /** Grams; for liquids at 20 °C, for pieces what they weigh. Water of rule `toVolume` has 0: it fills up. */
  massG: between(0, 200_000),
  /** What was said of it leaves it open: so many times these grams at the least, and at the most. */
  open: v.optional(v.strictObject({ low: between(0.01, 1), high: between(1, 100) })),
  rule: ruleSchema,
  stream: v.picklist(STREAMS),
  /** What is done to it before it goes in. */
  wash: v.picklist(WASHES),
  prep: v.nullable(v.strictObject({ code: v.pipe(v.string(), v.maxLength(40)), minutes: between(0, 600) })),
  /** Late: minutes before the boil ends. Off the heat: minutes it stands. */
  minutes: v.optional(between(0, DAY_MIN)),
  /** The part made aside that it belongs to. */
  partId: v.optional(id),
  /** Follows the choice of light, full or dark. */
  strong: v.optional(v.boolean()),
  /** Follows the choice of mild, medium or hot. */
  hot: v.optional(v.boolean()),
});
export type RecipeLine = v.InferOutput<typeof lineSchema>;

/** Something made aside, with a yield of its own: date syrup, coconut milk, spice liquor, ginger juice. */
const partSchema = v.strictObject({
  id,
  how: v.picklist(['blend', 'boil', 'juice']),
  /** Boiled so long in the small pot. */
  boilMin: v.optional(between(0, 300)),
  press: v.picklist(PRESSES),
  /** Poured into the big pot before it is heated, or stirred in when everything is cool. */
  joins: v.picklist(['pot', 'after']),
});
export type RecipePart = v.InferOutput<typeof partSchema>;

/** Kinds of step a recipe may have. */
export const OWN_STEP_KINDS = [
  'pick',
  'wash',
  'prep',
  'combine',
  'lift',
  'soak',
  'heat',
  'boil',
  'steep',
  'strain',
  'blend',
  'mill',
  'juice',
  'skim',
  'settle',
  'cool',
  'mix',
  'sweeten',
  'sour',
  'fortify',
  'split',
  'mature',
  'bottle',
  'freeze',
] as const;
export type OwnStepKind = (typeof OWN_STEP_KINDS)[number];

export const ATTENTIONS = ['handsOn', 'watched', 'unattended'] as const;
/** How far something is heated: to the boil, to small bubbles at the rim, hot and not boiling. */
export const HEATS_TO = ['boil', 'firstBubbles', 'hot'] as const;
export const SIEVES = ['colander', 'sieve', 'fineMesh', 'cloth'] as const;
export type Sieve = (typeof SIEVES)[number];
export const HYGIENES = ['clean', 'sterilised'] as const;

/**
 * A part of the drink that ends in its own way. How much it is: litres out of `basisL`, or a share of what is there once
 * the lots that are said in litres are taken.
 */
const lotSchema = v.pipe(
  v.strictObject({
    id,
    kind: v.picklist(LOT_KINDS),
    number: v.optional(whole(1, 20)),
    name: v.optional(name(40)),
    volumeL: v.optional(between(0.05, 400)),
    share: v.optional(between(0.01, 1)),
  }),
  v.check((lot) => (lot.volumeL === undefined) !== (lot.share === undefined), 'litresOrShare'),
);
export type RecipeLot = v.InferOutput<typeof lotSchema>;

/** Letters of a step's own words. */
export const STEP_WORDS_MOST = 2000;

/**
 * A step of a recipe. What it does not say is as usual: it takes as long as such work takes for so much, happens where
 * the drink is, is pressed, lidded, cooled, sweetened and bottled as the batch chooses.
 */
const stepSchema = v.strictObject({
  id,
  kind: v.picklist(OWN_STEP_KINDS),
  lineIds: list(id, 60),
  /**
   * Of these lines only so much goes in here; the rest where they are named again. Of what sweetens by taste: which share
   * of the sweetness it brings, against the others.
   */
  shares: v.optional(list(v.strictObject({ lineId: id, share: between(0, 1) }), 60)),
  from: v.optional(list(id, 20)),
  to: v.optional(id),
  minutes: v.optional(between(0, LONGEST_MIN)),
  /** And so many more for each litre, or each kilogram juiced. */
  minutesPerL: v.optional(between(0, 600)),
  minMinutes: v.optional(between(0, LONGEST_MIN)),
  maxMinutes: v.optional(between(0, LONGEST_MIN)),
  attention: v.optional(v.picklist(ATTENTIONS)),
  rinses: v.optional(whole(1, 20)),
  minutesPerRinse: v.optional(between(0, 60)),
  heatTo: v.optional(v.picklist(HEATS_TO)),
  /** Heated, or cooled, to so many degrees. */
  toC: v.optional(between(1, 99)),
  /** Boiled down to so many litres, to a share of what it was, or to a mark so high above the bottom of the pot. */
  downToL: v.optional(between(0.05, 400)),
  downToCm: v.optional(between(0.5, 60)),
  downToShare: v.optional(between(0.05, 0.99)),
  level: v.optional(v.picklist(BOIL_LEVEL_IDS)),
  lid: v.optional(v.picklist(LIDS)),
  place: v.optional(v.picklist(['fridge', 'counter', 'iceBath'])),
  press: v.optional(v.picklist(PRESSES)),
  cloth: v.optional(v.boolean()),
  /** Through these, one after the other, each so many times. */
  passes: v.optional(list(v.strictObject({ by: v.picklist(SIEVES), times: whole(1, 9) }), 6)),
  /** So much water poured over what stays in the sieve, mL. */
  rinseMl: v.optional(between(1, 20_000)),
  /** Solids stay for a second water. */
  keepSolids: v.optional(v.boolean()),
  /** Solids are put aside, to be used again. */
  asideSolids: v.optional(v.boolean()),
  /** The soak's water is thrown away. */
  thrown: v.optional(v.boolean()),
  tool: v.optional(v.picklist(JUICE_TOOLS)),
  hygiene: v.optional(v.picklist(HYGIENES)),
  /** Parts into which the drink is divided; what they leave goes on as it was. */
  lots: v.optional(list(lotSchema, 8, 1)),
  /** The lot that this step is about; unsaid, the drink itself. */
  lot: v.optional(id),
  /** Sweetened by taste to this, sugar-equivalent g per 100 g, where it is not what the whole drink aims at. */
  sweetPct: v.optional(between(0, 40)),
  /** Sweetened in each glass: nothing of it goes into the drink. */
  inGlass: v.optional(v.boolean()),
  /** Soured by taste to so much acid, g/L counted as citric. */
  sourGPerL: v.optional(between(0.5, 60)),
  /** What may be done instead of waiting: strained after so many minutes, and the rest boiled again in so much water. */
  branch: v.optional(
    v.strictObject({
      afterMin: between(1, LONGEST_MIN),
      /** For `basisL` litres. */
      waterL: between(0.1, 100),
      boilMin: between(1, 180),
    }),
  ),
  /** Turned over, or shaken, every so many minutes. */
  everyMin: v.optional(between(1, LONGEST_MIN)),
  /** Frozen in portions of so many millilitres. */
  portionMl: v.optional(between(10, 5000)),
  /** The cook's own words for it. */
  text: v.optional(paragraphs(STEP_WORDS_MOST)),
});
export type RecipeStep = v.InferOutput<typeof stepSchema>;

export const FAMILY_IDS = [
  'calyx',
  'calyxFruit',
  'pineapple',
  'root',
  'tonic',
  'cordial',
  'punch',
  'herb',
  'shot',
  'own',
] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];

const minutes = between(0, LONGEST_MIN);
const timesSchema = v.strictObject({
  boilMin: minutes,
  steepMin: minutes,
  straightBoilMin: minutes,
  soakMin: minutes,
  simmerMin: minutes,
  secondBoilMin: minutes,
  pourMin: minutes,
  matureMin: minutes,
});
export type RecipeTimes = v.InferOutput<typeof timesSchema>;

const FRUIT = ['cooked', 'raw'] as const;

/** A drink in the book. Proportions are per `basisL` litres in bottles. */
const drinkSchema = v.strictObject({
  id,
  version: whole(1, 1_000_000),
  /** Shipped drinks are named by word codes, `drink.<id>` and `drink.<id>.about`; a cook's own by these. */
  name: v.optional(name(80)),
  about: v.optional(paragraphs(1000)),
  family: v.picklist(FAMILY_IDS),
  serve: v.picklist(['cold', 'hot', 'either']),
  /** A concentrated drink is taken in small glasses, mL. */
  servingMl: v.optional(between(10, 1000)),
  lines: v.pipe(v.array(lineSchema), v.minLength(1, 'lines'), v.maxLength(60), v.readonly()),
  parts: v.optional(list(partSchema, 20)),
  /** What a cook wrote down; taken by the method `own`. */
  steps: v.optional(list(stepSchema, 60)),
  basisL: between(0.1, 400),
  methods: list(v.picklist(METHOD_IDS), METHOD_IDS.length, 1),
  press: v.picklist(PRESSES),
  cloth: v.boolean(),
  /** Sugar-equivalent g per 100 g that the finished drink is sweetened to; 0: left plain. */
  targetSweetnessPct: between(0, 40),
  /** How the methods' lengths suit this drink, minutes, where they are not the usual ones. */
  times: v.partial(timesSchema),
  /** How fruit goes in unless the cook says otherwise. */
  fruit: v.optional(v.picklist(FRUIT)),
  /** What people say of it: noted apart, checked by nobody, printed nowhere. */
  folkUse: v.optional(paragraphs(500)),
  /** The recipe that this one is a variant of. */
  base: v.optional(v.strictObject({ id, version: whole(0, 1_000_000) })),
});
export type Recipe = v.InferOutput<typeof drinkSchema>;

/** A recipe of the cook's own, as it is stored and exchanged: it has a name. */
export const recipeSchema = v.pipe(
  v.strictObject({ ...drinkSchema.entries, name: name(80) }),
  v.check((r) => new Set(r.lines.map((l) => l.id)).size === r.lines.length, 'unique'),
  v.check((r) => new Set((r.steps ?? []).map((s) => s.id)).size === (r.steps ?? []).length, 'unique'),
  v.check((r) => {
    const lots = (r.steps ?? []).flatMap((s) => (s.lots ?? []).map((lot) => lot.id));
    return new Set(lots).size === lots.length;
  }, 'unique'),
  v.check((r) => {
    const known = new Set((r.steps ?? []).flatMap((s) => (s.lots ?? []).map((lot) => lot.id)));
    return (r.steps ?? []).every((s) => s.lot === undefined || known.has(s.lot));
  }, 'unknownLot'),
);
export type OwnRecipe = v.InferOutput<typeof recipeSchema>;

export const STRENGTH_IDS = ['light', 'full', 'dark'] as const;
export type StrengthId = (typeof STRENGTH_IDS)[number];
export const HEAT_IDS = ['mild', 'medium', 'hot'] as const;
export type HeatId = (typeof HEAT_IDS)[number];

/** What goes in instead of a line's own, so many grams for each gram. */
const insteadSchema = v.strictObject({ lineId: id, itemId: id, ratio: between(0.001, 1000) });
export type Instead = v.InferOutput<typeof insteadSchema>;

/** A root that gives more or less than the usual, and where it is from. */
const rootSchema = v.strictObject({
  lineId: id,
  vigour: v.picklist(VIGOUR_IDS),
  from: v.optional(name(60)),
});
export type RootChoice = v.InferOutput<typeof rootSchema>;

/** A balance of a plan that its recipe does not have: other sweeteners, juice with it, less water. */
const waySchema = v.strictObject({
  /** What sweetens, each with as much of the sweetness; none: nothing but what is in it. */
  sweeteners: list(id, 8),
  /** Liquids stirred in when it is cool, g for each finished litre. */
  with: list(v.strictObject({ itemId: id, gPerL: between(0, 2000) }), 12),
  /** The same of everything for this share of the litres. */
  litresShare: between(0.2, 1),
});
export type PlannedWay = v.InferOutput<typeof waySchema>;

const COLD_PLACES = ['fridge', 'counter'] as const;

/** What a cook chooses for this batch besides amounts. */
const allChoicesSchema = v.strictObject({
  methodId: v.picklist(METHOD_IDS),
  rinses: whole(1, 10),
  boilMin: between(1, 180),
  /** Long steep: how long, and where it stands. */
  steepMin: between(5, 4320),
  steepPlace: v.picklist(COLD_PLACES),
  /** How the strained liquor is cooled; `bottles`: it is filled hot into warmed glass and cools there. */
  coolBy: v.picklist(['iceBath', 'counter', 'fridge', 'bottles']),
  /** Something sour that goes in with the water, so that what stands warm is acid from the start; null: nothing. */
  acidFirst: v.nullable(v.strictObject({ itemId: id, gPerL: between(0.1, 500) })),
  lid: v.picklist(LIDS),
  press: v.picklist(PRESSES),
  targetSweetnessPct: between(0, 40),
  hygiene: v.picklist(HYGIENES),
  soakMin: between(5, 4320),
  soakPlace: v.picklist(COLD_PLACES),
  simmerMin: between(1, 300),
  /** Share of the water kept for the second draw, and how long that boils. */
  secondShare: between(0.1, 0.6),
  secondBoilMin: between(1, 180),
  pourMin: between(1, 240),
  matureMin: between(0, LONGEST_MIN),
  strength: v.picklist(STRENGTH_IDS),
  heat: v.picklist(HEAT_IDS),
  fruit: v.picklist(FRUIT),
  /** Parts that were made before, as the recipe says, and are taken from the shelf. */
  shelfParts: list(id, 8),
  instead: list(insteadSchema, 40),
  /** Roots that are not as strong as usual; of a weak one more goes in. */
  roots: list(rootSchema, 20),
  /** A way to the target that was taken from the plane; null: as the recipe has it. */
  way: v.nullable(waySchema),
});
export type Choices = v.InferOutput<typeof allChoicesSchema>;

/** What a plan does not say is the drink's own usual: only how it is drawn is always said. */
export const choicesSchema = v.strictObject({
  ...v.partial(allChoicesSchema).entries,
  methodId: allChoicesSchema.entries.methodId,
});
export type StoredChoices = v.InferOutput<typeof choicesSchema>;
