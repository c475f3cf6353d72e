import type { Trait } from './traits.ts';

/** How sure a table value is: high, medium or low. Drives the spread shown beside predictions. */
export type Confidence = 'h' | 'm' | 'l';

/** What a solid gives to the liquor, followed as one figure each. `red` is the calyx colour that can fade. */
export type MarkerId =
  | 'calyx'
  | 'red'
  | 'ginger'
  | 'turmeric'
  | 'clove'
  | 'spice'
  | 'chilli'
  | 'peel'
  | 'citrus'
  | 'herb'
  | 'garlic'
  | 'fruit'
  | 'tamarind'
  | 'coconut'
  | 'date'
  | 'other';

/** What colours or clouds a drink beside its markers: how it looks only, never what it does. */
export const TINT_IDS = ['pulp', 'yellowPulp', 'pinkPulp', 'berry', 'brown', 'milk'] as const;
export type TintId = (typeof TINT_IDS)[number];

/** So much of a tint in a gram of a solid or sweetener, or a millilitre of a liquid. */
export type Tint = readonly [id: TintId, amount: number];

export const INGREDIENT_ROLES = [
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
] as const;
export type IngredientRole = (typeof INGREDIENT_ROLES)[number];

/** How spent solids are freed of liquor. */
export const PRESSES = ['drain', 'press', 'wring'] as const;
export type Press = (typeof PRESSES)[number];

/** How strongly an ingredient foams when it boils (see `FOAM_SHARE`). */
export type FoamClass = 'quiet' | 'foamy' | 'milky';

/** One ingredient in one form. Percentages are by mass as weighed. */
export interface IngredientRow {
  id: string;
  name: string;
  form: string;
  role: IngredientRole;
  /** Loose, as filled into a cup, g/mL. */
  bulkGPerMl: number;
  piece: { id: string; massG: number } | null;
  waterPct: number;
  sugarPct: number;
  /** All that can dissolve, sugar included. */
  solublePct: number;
  /** Fat that comes out with what dissolves; left out: none worth counting. */
  fatPct?: number;
  /** Titratable, citric-equivalent. */
  acidPct: number;
  /** Effective alkali, mostly potassium. */
  alkaliMeqPerKg: number;
  /** All liquid left in the spent solids, mL per gram as weighed before use, own water included. */
  holdMlPerG: Record<Press, number>;
  /** First-order extraction rate at 100 °C, per minute; null: not modelled, nothing is drawn. */
  rate100PerMin: number | null;
  /** Activation energy of the extraction, kJ/mol. */
  activationKJ: number | null;
  marker: MarkerId;
  /** Marker per gram against the fresh grated or dried whole form. */
  potency: number;
  /** Left out: it looks as its marker does. */
  tint?: Tint;
  /** Volume taken in the pot, mL per gram, own water included. */
  displaceMlPerG: number;
  /** Dried calyx and leaf stand proud of the liquor by another 0.5 mL/g. */
  floats: boolean;
  foam: FoamClass;
  juiceMlPerKg: { hand: number | null; blender: number | null; juicer: number | null };
  traits: readonly Trait[];
  /** What it dissolves is not known: with it only a reading shows a drink to be acid. */
  unknown?: boolean;
  confidence: Confidence;
  source: string;
}

/** A liquid mixed in by volume, at 20 °C. */
export interface LiquidRow {
  id: string;
  name: string;
  densityGPerMl: number;
  /** All dissolved solids, as a refractometer reads them. */
  brix: number;
  sugarGPer100g: number;
  /** Titratable acidity as citric, g/L; a tap's bicarbonate is negative. */
  taGPerL: number;
  alkaliMeqPerL: number;
  abvPct: number;
  /** By mass; left out: none. */
  fatPct?: number;
  /** Acetic acid, g per 100 mL. */
  aceticPct: number;
  /** Left out: it has no colour of its own. */
  tint?: Tint;
  treatment: 'water' | 'rawJuice' | 'rawMilk' | 'vinegar' | 'spirit' | 'bought' | 'live';
  /** What it is made of is not known: with it only a reading shows a drink to be acid. */
  unknown?: boolean;
  /** Sold with sugar in it that is not its fruit's own. */
  sweetened?: true;
  traits: readonly Trait[];
  confidence: Confidence;
  source: string;
}

/** A sweetener, weighed or spooned. */
export interface SweetenerRow {
  id: string;
  name: string;
  sugarPct: number;
  waterPct: number;
  densityGPerMl: number;
  /** Loose, as it falls into a cup. */
  bulkGPerMl: number;
  /** Pressed down, as a recipe that says nothing means it; left out: it does not pack. */
  packedGPerMl?: number;
  /** Per gram as weighed against sucrose, at drink strength, cold. */
  relativeSweetness: number;
  kcalPer100g: number;
  dissolves: 'any' | 'cool' | 'warm' | 'hot';
  /** Counts towards free sugars in daily guidance. */
  freeSugars: boolean;
  /** Left out: it has no colour of its own. */
  tint?: Tint;
  alkaliMeqPerKg: number;
  taGPerKg: number;
  note: string;
  traits: readonly Trait[];
  confidence: Confidence;
  source: string;
}

/** All tables that the model reads, handed in as one argument and pinned by version when a batch starts. */
export interface Tables {
  version: string;
  ingredients: ReadonlyMap<string, IngredientRow>;
  liquids: ReadonlyMap<string, LiquidRow>;
  sweeteners: ReadonlyMap<string, SweetenerRow>;
}
