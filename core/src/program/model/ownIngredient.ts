import type { CustomFacts } from '../../documents/ingredient.ts';
import { traitsOfOwn } from '../../tables/ownTraits.ts';
import type { IngredientRow } from '../../tables/types.ts';

/**
 * A row for an ingredient of the cook's own. Nothing is drawn from it by the model and no acid is counted: what is not
 * known cannot make a drink look stronger, or safer to keep, than it is. It foams, and it holds liquor well.
 */
export function customRow(facts: CustomFacts): IngredientRow {
  const waterPct = facts.dried ? 10 : 85;
  return {
    id: facts.id,
    name: facts.name,
    form: facts.dried ? 'dried' : 'fresh',
    role: facts.role,
    bulkGPerMl: facts.bulkGPerMl ?? (facts.dried ? 0.3 : 0.5),
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
    floats: facts.dried,
    foam: 'foamy',
    juiceMlPerKg: { hand: null, blender: facts.dried ? null : 400, juicer: facts.dried ? null : 500 },
    unknown: true,
    traits: traitsOfOwn(facts.role, facts.dried, facts.answers),
    confidence: 'l',
    source: 'The cook’s own ingredient: what was not said is taken on the safe side',
  };
}

/** The shipped tables with a kitchen's own ingredients beside them. */
export function withCustom<T extends { ingredients: ReadonlyMap<string, IngredientRow> }>(
  tables: T,
  custom: readonly IngredientRow[],
): T {
  if (custom.length === 0) return tables;
  return {
    ...tables,
    ingredients: new Map([...tables.ingredients, ...custom.map((r) => [r.id, r] as const)]),
  };
}
