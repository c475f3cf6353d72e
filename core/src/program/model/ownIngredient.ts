import type { CustomFacts } from '../../documents/ingredient.ts';
import { traitsOfOwn } from '../../tables/ownTraits.ts';
import type { PinnedRows } from '../../tables/pinned.ts';
import { ASKED_TRAITS, type Trait } from '../../tables/traits.ts';
import type { IngredientRow, LiquidRow, SweetenerRow, Tables } from '../../tables/types.ts';

/**
 * A row for an ingredient of the cook's own. Nothing is drawn from it by the model and no acid is counted: what is not
 * known cannot make a drink look stronger, or safer to keep, than it is. It foams, and it holds liquor well.
 */
export function customRow(facts: CustomFacts): IngredientRow {
  const powder = facts.kind === 'powder';
  const waterPct = powder ? 6 : facts.dried ? 10 : 85;
  return {
    id: facts.id,
    name: facts.name,
    form: powder ? 'ground' : facts.dried ? 'dried' : 'fresh',
    role: facts.role,
    bulkGPerMl: facts.bulkGPerMl ?? (powder ? 0.5 : facts.dried ? 0.3 : 0.5),
    piece: facts.pieceG ? { id: 'piece', massG: facts.pieceG } : null,
    waterPct,
    sugarPct: 0,
    solublePct: 0,
    acidPct: 0,
    alkaliMeqPerKg: 0,
    holdMlPerG: facts.dried ? { drain: 4, press: 2.5, wring: 2 } : { drain: 1, press: 0.85, wring: 0.7 },
    rate100PerMin: null,
    activationKJ: null,
    marker: 'other',
    potency: 1,
    displaceMlPerG: facts.dried ? 0.7 : 0.95,
    floats: facts.dried && !powder,
    foam: 'foamy',
    juiceMlPerKg: { hand: null, blender: facts.dried ? null : 400, juicer: facts.dried ? null : 500 },
    unknown: true,
    traits: [
      ...traitsOfOwn(facts.role, facts.dried || powder, facts.answers).filter(
        (t) => !powder || t !== 'hardSpice',
      ),
      ...(powder ? (['powder'] as const) : []),
    ],
    confidence: 'l',
    source: 'The cook’s own ingredient: what was not said is taken on the safe side',
  };
}

/** g/mL of water, and by how much each g of sugar in 100 mL raises it. Source: sugar tables, near drink strength. */
const WATER_G_PER_ML = 0.9982;
const PER_SUGAR = 0.0039;
/** g/mL by which each per cent of alcohol lowers it. Source: tables of alcohol, up to 40 %. */
const PER_ABV = 0.0012;
/** From here on a spirit keeps what it is poured into. */
const SPIRIT_ABV_PCT = 35;
/** What nobody said of a sweetener: as sweet as most syrups are. */
const USUAL_SUGAR_PCT = 75;
const KCAL_PER_G_SUGAR = 4;
const OWN_SOURCE = 'The cook’s own: what was not said is taken on the safe side';

/** The traits of a drink or a sweetener of the cook's own: what she was asked, and that its label tells the rest. */
const traitsOfPoured = (facts: CustomFacts): Trait[] => [
  'labelled',
  ...ASKED_TRAITS.filter((trait) => facts.answers?.[trait] ?? true),
];

/** A drink of the cook's own. Its acid counts for the taste and the sweetening; it never shows that a drink keeps. */
export function ownLiquidRow(facts: CustomFacts): LiquidRow {
  const sugar = facts.sugarPer100 ?? 0;
  const abvPct = facts.abvPct ?? 0;
  const densityGPerMl = WATER_G_PER_ML + PER_SUGAR * sugar - PER_ABV * abvPct;
  const milk = facts.kind === 'milk';
  const made = facts.raw ? ('rawJuice' as const) : ('bought' as const);
  return {
    id: facts.id,
    name: facts.name,
    densityGPerMl,
    brix: sugar / densityGPerMl,
    sugarGPer100g: sugar / densityGPerMl,
    taGPerL: facts.sourGPerL ?? 0,
    alkaliMeqPerL: 0,
    abvPct,
    ...(milk ? { fatPct: 4 } : {}),
    aceticPct: 0,
    treatment: milk ? 'rawMilk' : abvPct >= SPIRIT_ABV_PCT ? 'spirit' : made,
    unknown: true,
    traits: [...new Set([...(milk ? (['milk', 'lowAcid'] as const) : []), ...traitsOfPoured(facts)])],
    confidence: 'l',
    source: OWN_SOURCE,
  };
}

/** A sweetener of the cook's own: as sweet as its sugar. */
export function ownSweetenerRow(facts: CustomFacts): SweetenerRow {
  const sugarPct = facts.sugarPer100 ?? USUAL_SUGAR_PCT;
  return {
    id: facts.id,
    name: facts.name,
    sugarPct,
    waterPct: facts.dried ? 0 : Math.max(0, 100 - sugarPct),
    densityGPerMl: facts.dried ? 1.5 : 1.3,
    bulkGPerMl: facts.bulkGPerMl ?? (facts.dried ? 0.8 : 1.3),
    relativeSweetness: sugarPct / 100,
    kcalPer100g: sugarPct * KCAL_PER_G_SUGAR,
    dissolves: 'warm',
    freeSugars: true,
    alkaliMeqPerKg: 0,
    taGPerKg: 0,
    note: '',
    traits: traitsOfPoured(facts),
    confidence: 'l',
    source: OWN_SOURCE,
  };
}

/** Everything of the cook's own, each as a row of the table that it belongs to. */
export function ownRows(facts: readonly CustomFacts[]): PinnedRows {
  const poured = (f: CustomFacts) => f.kind === 'drink' || f.kind === 'milk';
  const sweetens = (f: CustomFacts) => f.kind === 'sweetener';
  return {
    ingredients: facts.filter((f) => !poured(f) && !sweetens(f)).map(customRow),
    liquids: facts.filter(poured).map(ownLiquidRow),
    sweeteners: facts.filter(sweetens).map(ownSweetenerRow),
  };
}

/** The shipped tables with a kitchen's own items beside them. */
export function withCustom(tables: Tables, own: PinnedRows): Tables {
  if (own.ingredients.length + own.liquids.length + own.sweeteners.length === 0) return tables;
  const joined = <T extends { id: string }>(known: ReadonlyMap<string, T>, rows: readonly T[]) =>
    new Map([...known, ...rows.map((row) => [row.id, row] as const)]);
  return {
    ...tables,
    ingredients: joined(tables.ingredients, own.ingredients),
    liquids: joined(tables.liquids, own.liquids),
    sweeteners: joined(tables.sweeteners, own.sweeteners),
  };
}
