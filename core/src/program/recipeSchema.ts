import * as v from 'valibot';
import { ASKED_TRAITS } from '../tables/traits.ts';
import { between, id, name } from '../units/fields.ts';
import { METHOD_IDS, OWN_STEP_KINDS, type Recipe, STREAMS } from './recipe.ts';

const ruleSchema = v.variant('kind', [
  v.strictObject({ kind: v.literal('linear') }),
  v.strictObject({ kind: v.literal('power'), exponent: between(0.3, 1.5) }),
  v.strictObject({ kind: v.literal('perPot') }),
  v.strictObject({ kind: v.literal('cover'), plusCm: between(0, 30) }),
  v.strictObject({ kind: v.literal('byResult'), lineId: id, ratio: between(0.05, 20) }),
  v.strictObject({ kind: v.literal('toTarget') }),
  v.strictObject({ kind: v.literal('toVolume') }),
]);

const lineSchema = v.strictObject({
  id,
  kind: v.picklist(['solid', 'liquid', 'sweetener']),
  itemId: id,
  massG: between(0, 200_000),
  rule: ruleSchema,
  stream: v.picklist(STREAMS),
  wash: v.picklist(['none', 'swirl', 'scrub', 'rinse']),
  prep: v.nullable(v.strictObject({ code: v.pipe(v.string(), v.maxLength(40)), minutes: between(0, 600) })),
  minutes: v.optional(between(0, 1440)),
  partId: v.optional(id),
  strong: v.optional(v.boolean()),
  hot: v.optional(v.boolean()),
});

const stepSchema = v.strictObject({
  id,
  kind: v.picklist(OWN_STEP_KINDS),
  lineIds: v.pipe(v.array(id), v.maxLength(60)),
  minutes: between(0, 60 * 24 * 60),
  maxMinutes: v.optional(between(0, 60 * 24 * 60)),
  level: v.optional(v.picklist(['rolling', 'medium', 'gentle', 'simmer'])),
  lid: v.optional(v.picklist(['on', 'ajar', 'off'])),
  place: v.optional(v.picklist(['fridge', 'counter', 'iceBath'])),
  press: v.optional(v.picklist(['drain', 'press', 'wring'])),
  cloth: v.optional(v.boolean()),
  keepSolids: v.optional(v.boolean()),
  thrown: v.optional(v.boolean()),
  tool: v.optional(v.picklist(['hand', 'blender', 'juicer'])),
  text: v.optional(v.pipe(v.string(), v.maxLength(2000))),
});

const minutes = v.optional(between(0, 60 * 24 * 60));

/** A recipe of the cook's own, as it is stored and exchanged. */
export const recipeSchema = v.pipe(
  v.strictObject({
    id,
    version: v.pipe(v.number(), v.integer(), v.minValue(1)),
    name: name(80),
    about: v.optional(v.pipe(v.string(), v.maxLength(1000))),
    family: v.picklist([
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
    ]),
    serve: v.picklist(['cold', 'hot', 'either']),
    servingMl: v.optional(between(10, 1000)),
    lines: v.pipe(v.array(lineSchema), v.minLength(1, 'lines'), v.maxLength(60)),
    parts: v.optional(
      v.array(
        v.strictObject({
          id,
          how: v.picklist(['blend', 'boil', 'juice']),
          boilMin: v.optional(between(0, 300)),
          press: v.picklist(['drain', 'press', 'wring']),
          joins: v.picklist(['pot', 'after']),
        }),
      ),
    ),
    steps: v.optional(v.pipe(v.array(stepSchema), v.maxLength(60))),
    basisL: between(0.1, 400),
    methods: v.pipe(v.array(v.picklist(METHOD_IDS)), v.minLength(1)),
    press: v.picklist(['drain', 'press', 'wring']),
    cloth: v.boolean(),
    targetSweetnessPct: between(0, 40),
    times: v.strictObject({
      boilMin: minutes,
      steepMin: minutes,
      straightBoilMin: minutes,
      soakMin: minutes,
      simmerMin: minutes,
      secondBoilMin: minutes,
      pourMin: minutes,
      matureMin: minutes,
    }),
    fruit: v.optional(v.picklist(['cooked', 'raw'])),
    folkUse: v.optional(v.pipe(v.string(), v.maxLength(500))),
    base: v.optional(v.strictObject({ id, version: v.pipe(v.number(), v.integer()) })),
  }),
  v.check((r) => new Set(r.lines.map((l) => l.id)).size === r.lines.length, 'unique'),
  v.check((r) => new Set((r.steps ?? []).map((s) => s.id)).size === (r.steps ?? []).length, 'unique'),
);

/** Parses a recipe that came from outside; optional fields that are missing stay missing. */
export function parseRecipe(value: unknown): v.SafeParseResult<typeof recipeSchema> {
  return v.safeParse(recipeSchema, value);
}

/** What `recipeSchema` lets through is a recipe. */
export const asRecipe = (value: v.InferOutput<typeof recipeSchema>): Recipe => value as Recipe;

/** The facts of `CustomFacts` as they come from outside. */
export const customFactsSchema = v.strictObject({
  id,
  name: name(60),
  role: v.picklist([
    'botanical',
    'aromatic',
    'spice',
    'herb',
    'peel',
    'fruit',
    'citrus',
    'souring',
    'sweetener',
    'other',
  ]),
  dried: v.boolean(),
  bulkGPerMl: v.optional(between(0.02, 2)),
  pieceG: v.optional(between(0.01, 5000)),
  /** An older one was not asked. */
  answers: v.optional(v.partial(v.strictObject(v.entriesFromList(ASKED_TRAITS, v.boolean())))),
});
