import * as v from 'valibot';
import { AGES, THIRSTS } from '../tables/guests.ts';
import { between, id, list, moment, name, paragraphs, whole } from '../units/fields.ts';
import { HOUR_MS } from '../units/time.ts';
import { planSchema } from './plan.ts';

/** What a guest keeps to, or has to. */
export const GUEST_RULES = [
  'noAlcohol',
  'noAddedSugar',
  'mild',
  'noHoney',
  'noRaw',
  'noCoconutOrNuts',
  'noGrapefruit',
  'noCaffeine',
  'pregnant',
  'medicine',
] as const;
export type GuestRuleKind = (typeof GUEST_RULES)[number];

const ruleSchema = v.variant('kind', [
  v.strictObject({ kind: v.picklist(GUEST_RULES) }),
  /** So much sugar in a glass at most, g. */
  v.strictObject({ kind: v.literal('fewSugar'), gPerGlass: between(0, 100) }),
  v.strictObject({ kind: v.literal('without'), itemId: id }),
]);
export type GuestRule = v.InferOutput<typeof ruleSchema>;

const groupSchema = v.strictObject({
  id,
  name: name(60),
  /** From and to, where it is not known: the same twice where it is. */
  least: whole(0, 2000),
  most: whole(0, 2000),
  age: v.picklist(AGES),
  rules: list(ruleSchema, 12),
  thirst: v.picklist(THIRSTS),
});
export type GuestGroup = v.InferOutput<typeof groupSchema>;

const drinkSchema = v.strictObject({
  id,
  source: v.variant('kind', [
    /** To be made: the plan says how; its litres follow the guests unless they are set here. */
    v.strictObject({ kind: v.literal('plan'), plan: planSchema, litres: v.nullable(between(0.2, 400)) }),
    /** A batch of the kitchen's, planned or begun: its log tells. */
    v.strictObject({ kind: v.literal('batch'), batchId: id }),
    /** Bottles that stand there already. */
    v.strictObject({ kind: v.literal('bottles'), itemIds: list(id, 200, 1) }),
  ]),
  /** Of what those drink who may choose, this drink's part against the others'. */
  share: between(0, 10),
  served: v.picklist(['cold', 'iced', 'warm']),
  /** Kept in the freezer until then, and thawed in time. */
  frozen: v.optional(v.boolean(), false),
  /** Parts of it that are set apart, so that others may drink them too. */
  apart: v.optional(list(v.strictObject({ id, beforeStepId: id, litres: between(0.1, 200) }), 6), () => []),
});
export type GatheringDrink = v.InferOutput<typeof drinkSchema>;

/** Its litres follow the guests and the gifts; of others there is as much as there is. */
export const followsGuests = ({ source }: Pick<GatheringDrink, 'source'>): boolean =>
  source.kind === 'plan' && source.litres === null;

const helperSchema = v.strictObject({ id, name: name(60), fromMs: moment, toMs: moment });
export type Helper = v.InferOutput<typeof helperSchema>;

/** Bottles of a drink that somebody is given. */
const giftSchema = v.strictObject({
  id,
  to: name(60),
  drinkId: id,
  bottles: whole(1, 50),
  /** What a bottle of it holds, mL. */
  bottleMl: v.optional(between(50, 5000), 500),
  given: v.optional(v.boolean(), false),
});

const answersSchema = v.strictObject({
  enough: v.picklist(['tooLittle', 'justEnough', 'tooMuch']),
  ranOut: list(id, 20),
  change: paragraphs(600),
  /** What was drunk in all, where it is known, L. */
  drunkL: v.nullable(between(0, 2000)),
});
export type GatheringGift = v.InferOutput<typeof giftSchema>;
export type GatheringAnswers = v.InferOutput<typeof answersSchema>;

const borrowedSchema = v.strictObject({
  pots: whole(0, 5),
  rings: whole(0, 5),
  coldL: between(0, 400),
});

/** A job of a drink, as the timetable knows it. */
const jobOfSchema = v.strictObject({ drinkId: id, jobId: id });

/** A job that the cook has put at an hour of her own. */
const pinSchema = v.strictObject({ drinkId: id, jobId: id, atMs: moment });

/** A feast as its cook has settled it: who comes, what is served. Litres, hours and lists follow from it. */
export const gatheringSchema = v.pipe(
  v.strictObject({
    name: name(80),
    servesAtMs: moment,
    untilMs: moment,
    yearly: v.boolean(),
    glassMl: between(20, 1000),
    /** Of an iced glass, what is ice. */
    iceShare: between(0, 0.6),
    /** Heat of the day, °C; null: as in the kitchen. */
    outdoorC: v.nullable(between(-20, 50)),
    /** Beer, wine or spirits stand beside. */
    alcoholBeside: v.boolean(),
    /** How sure it is to be that nothing runs out. */
    assurance: between(0.5, 0.99),
    groups: list(groupSchema, 40),
    drinks: list(drinkSchema, 12),
    helpers: list(helperSchema, 12),
    gifts: list(giftSchema, 60),
    pins: list(pinSchema, 200),
    /** What the neighbours lend for the day: a pot like each of one's own, a ring, a box with ice for so many litres. */
    borrowed: v.optional(borrowedSchema, () => ({ pots: 0, rings: 0, coldL: 0 })),
    /** Work that could be done as one and is not to be, by its kind. */
    notJoined: list(name(400), 20),
    /** What no batch tells and the cook has said is done: the shopping of a drink, its bottles, its thawing. */
    done: v.optional(list(jobOfSchema, 100), () => []),
    answers: v.nullable(answersSchema),
    /** The gathering of the year before. */
    before: v.nullable(id),
    notes: paragraphs(2000),
  }),
  v.check((g) => g.untilMs > g.servesAtMs && g.untilMs - g.servesAtMs <= 48 * HOUR_MS, 'gathering.until'),
  v.check((g) => g.groups.every((group) => group.most >= group.least), 'gathering.count'),
  v.check((g) => new Set(g.drinks.map((d) => d.id)).size === g.drinks.length, 'unique'),
  v.check((g) => new Set(g.groups.map((d) => d.id)).size === g.groups.length, 'unique'),
);
export type GatheringDoc = v.InferOutput<typeof gatheringSchema>;

/** What most evenings are like, before their cook has said anything else of them. */
const USUAL = { glassMl: 200, iceShare: 0.2, assurance: 0.9 };

/** A gathering of which nothing is settled yet but its name and its hours. */
export const newGathering = (name: string, servesAtMs: number, untilMs: number): GatheringDoc => ({
  ...USUAL,
  name,
  servesAtMs,
  untilMs,
  yearly: false,
  outdoorC: null,
  alcoholBeside: false,
  groups: [],
  drinks: [],
  helpers: [],
  gifts: [],
  pins: [],
  borrowed: { pots: 0, rings: 0, coldL: 0 },
  notJoined: [],
  done: [],
  answers: null,
  before: null,
  notes: '',
});

const placeSchema = v.strictObject({
  drinkId: id,
  jobId: id,
  startMs: moment,
  /** Whose job it is; null: nobody's. */
  by: v.nullable(id),
});

/** Hours that were found for a gathering, kept so that all its devices tell the same, and say what moves. */
export const timetableSchema = v.strictObject({
  /** What of the gathering it was found for, in short: with another it is found anew. */
  basis: name(80),
  places: list(placeSchema, 1000),
  joined: list(v.strictObject({ joinId: name(400), drinkIds: list(id, 12) }), 40),
  /** Where everything stood when the cook looked at it last: what has moved since is told. */
  agreed: list(placeSchema, 1000),
});
export type FeastTimetable = v.InferOutput<typeof timetableSchema>;
export type TimetablePlace = v.InferOutput<typeof placeSchema>;

/** What of a gathering its hours hang on: names, notes and answers leave them as they are. */
export function settledOf(g: GatheringDoc): Partial<GatheringDoc> {
  const { name: _, notes, answers, yearly, before, done, ...rest } = g;
  return rest;
}
