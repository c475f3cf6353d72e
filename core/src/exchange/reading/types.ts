import type { LotKind } from '../../documents/lot.ts';
import type { OwnStepKind, RecipeStep } from '../../documents/recipe.ts';
import type { MeasuringKit } from '../../units/measures.ts';
import type { UnitSystem } from '../../units/units.ts';

/** What amounts in a text are measured by. */
export type ReadingKit = MeasuringKit & { system: UnitSystem };

/** A piece of the text: places of UTF-16 code units, the end not included. */
export interface Span {
  start: number;
  end: number;
}

/** Why a fact is shown as unsure. */
export type Doubt =
  /** No amount was said. */
  | 'noAmount'
  /** A measure nobody can weigh: a handful, a few. */
  | 'vagueAmount'
  /** The name is also that of something else. */
  | 'falseFriend'
  /** Nobody said which form of it, and forms differ much. */
  | 'formGuessed'
  /** Nothing of that name is in the tables. */
  | 'unknownThing'
  /** The measure says nothing about this thing. */
  | 'strangeUnit'
  /** Named more than once, with amounts that do not agree. */
  | 'differs'
  /** Nobody said at which step it goes in. */
  | 'placeGuessed'
  /** A word was read that is spelled in another way. */
  | 'spelling'
  /** It goes in only if one likes. */
  | 'optional'
  /** A step from words that may mean something else. */
  | 'meaningGuessed'
  /** A time in words without a figure: overnight. */
  | 'vagueTime'
  /** A step that takes time, without any. */
  | 'noTime'
  /** Far outside what is usual. */
  | 'outOfRange';

/** An amount as it was said. */
export interface ReadAmount {
  kind: 'said' | 'taste' | 'cover' | 'equal' | 'rest';
  value: number;
  /** The far end of a range. */
  max?: number;
  /** A unit id, a word for a piece, or null: so many of the thing itself. */
  unit: string | null;
  /** "heaped", "packed", "big". */
  how?: string;
  /** For each litre of the drink. */
  perL?: true;
  words: string;
}

/** Grams: what is meant most likely, and from where to where. */
export interface Grams {
  likely: number;
  min: number;
  max: number;
}

export interface ReadLine {
  id: string;
  span: Span;
  words: string;
  /** Null: nothing of that name is in the tables; `name` is what the text calls it. */
  itemId: string | null;
  name: string;
  /** The family of things that it belongs to, where it is known. */
  familyId: string | null;
  /** Which meaning of a name with two meanings was not taken. */
  falseFriend?: string;
  amount: ReadAmount | null;
  massG: Grams | null;
  /** How it is cut or broken, in the words of the text. */
  form: string | null;
  /** Peel, core, juice, leaf: the part of the thing. */
  part: string | null;
  /** Steps at which it goes in; several where it is parted. */
  stepIds: string[];
  /** Which share of it goes in at each of them, where there are several. */
  shares: { stepId: string; share: number }[];
  doubts: Doubt[];
}

/** A part of the drink that ends in its own way: so many litres of it, or a share of all. */
export interface ReadLot {
  id: string;
  kind: LotKind;
  number?: number;
  share?: number;
  volumeL?: number;
}

export interface ReadStep {
  id: string;
  span: Span;
  words: string;
  kind: OwnStepKind;
  /** The best, or the least of a range; with `min` the best of one. */
  minutes: { value: number; min?: number; max?: number } | null;
  tempC: number | null;
  /** What shows that it is done: "until the water is clear". */
  cue: string | null;
  heatTo: 'boil' | 'firstBubbles' | 'hot' | null;
  level: RecipeStep['level'] | null;
  lid: RecipeStep['lid'] | null;
  place: RecipeStep['place'] | null;
  passes: { by: 'colander' | 'sieve' | 'fineMesh' | 'cloth'; times: number }[];
  press: RecipeStep['press'] | null;
  rinses: number | null;
  downToShare: number | null;
  downToL: number | null;
  downToCm: number | null;
  /** Frozen in portions of so many millilitres. */
  portionMl: number | null;
  /** Parts that are put aside here. */
  lots: ReadLot[];
  /** The part that this is done with; null: the drink itself. */
  lot: string | null;
  /** What may be done instead of waiting: strained so early, the rest boiled again. */
  branch: RecipeStep['branch'] | null;
  /** Each glass by itself: nothing goes into the drink. */
  inGlass: boolean;
  everyMin: number | null;
  thrown: boolean;
  /** Solids are used again. */
  kept: boolean;
  /** They lie aside until then, and not where more water goes onto them. */
  aside: boolean;
  /** Water poured over what stays in the sieve, mL. */
  rinseMl: number | null;
  /** By what it is juiced. */
  tool: RecipeStep['tool'] | null;
  /** It is kept as hot as it was heated. */
  keptHot: boolean;
  /** Sterilised bottles. */
  sterilised: boolean;
  /** In what it happens, where it goes, and out of what it is poured. */
  vessel: string | null;
  intoVessel: string | null;
  fromVessels: string[];
  /** The cook's own words about it, where others wrote the text. */
  own: string | null;
  /** Things that are handled here without going in: washed, cut, lifted out. */
  handles: string[];
  /** Nobody wrote it, but the rest means it: filling the pot before it boils. */
  implied: boolean;
  doubts: Doubt[];
}

/** A step that says nothing. */
export const plainStep = (): Omit<ReadStep, 'id' | 'span' | 'kind'> => ({
  words: '',
  minutes: null,
  tempC: null,
  cue: null,
  heatTo: null,
  level: null,
  lid: null,
  place: null,
  passes: [],
  press: null,
  rinses: null,
  downToShare: null,
  downToL: null,
  downToCm: null,
  portionMl: null,
  inGlass: false,
  lots: [],
  lot: null,
  branch: null,
  everyMin: null,
  thrown: false,
  kept: false,
  aside: false,
  rinseMl: null,
  tool: null,
  keptHot: false,
  sterilised: false,
  vessel: null,
  intoVessel: null,
  fromVessels: [],
  own: null,
  handles: [],
  implied: false,
  doubts: [],
});

/** Something that a careful reader would ask of the whole. */
export type Check =
  | { kind: 'noSteps' }
  | { kind: 'neverHeated' }
  | { kind: 'neverStrained' }
  | { kind: 'noWater' };

export interface ReadYield {
  span: Span;
  words: string;
  value: number;
  max?: number;
  /** A unit id, or a word: bottle, jar, glass, serving. */
  unit: string;
  /** Litres, where the measure says. */
  litres: number | null;
}

export interface ReadDrink {
  title: { words: string; span: Span } | null;
  yield: ReadYield | null;
  lines: ReadLine[];
  steps: ReadStep[];
  /** What the text says besides: how long it keeps, how it is served. The dates are worked out, never taken from it. */
  notes: { kind: 'keeps' | 'serve' | 'remark'; words: string; span: Span; days?: number }[];
  /** Things that are said not to go in. */
  without: { words: string; span: Span; itemId: string | null }[];
  checks: Check[];
}

/** What became of a piece of the text. */
export type Mark = 'read' | 'unsure' | 'notUnderstood';

export interface MarkedSpan extends Span {
  mark: Mark;
  /** The facts that were read from it: ids of lines and steps, "title", "yield", "note"; with the drink before it. */
  facts: string[];
}

export interface TextReading {
  drinks: ReadDrink[];
  /** In the order of the text, none over another. What lies between says nothing: small words, greetings. */
  spans: MarkedSpan[];
  counts: { read: number; unsure: number; notUnderstood: number };
}
