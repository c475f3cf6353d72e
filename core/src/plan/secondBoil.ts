import { massG, plus, scaled, volumeMl, WATER_20_G_PER_ML, water } from '../liquor/composition.ts';
import { drawnAfter } from '../physics/extraction.ts';
import type { Solid } from '../program/model/liquor.ts';
import { drawableOf } from '../program/simulate/state.ts';
import type { MarkerId, Tables } from '../tables/types.ts';

export interface SecondBoil {
  /** Litres that come out, pressed as the first time. */
  litres: number;
  gPerL: Readonly<Partial<Record<MarkerId, number>>>;
}

/**
 * What a second water over spent solids would give: what clings to them and the new water are one pool, the rest in them
 * is drawn on from where it stood, and they hold as much again as they did. Steam is left out: the lid stays on.
 */
export function secondBoil(
  solids: readonly Solid[],
  tables: Tables,
  waterL: number,
  boil: { minutes: number; boilC: number },
): SecondBoil {
  let pool = water(waterL * 1000 * WATER_20_G_PER_ML);
  let heldMl = 0;
  for (const solid of solids) {
    const row = tables.ingredients.get(solid.ingredientId);
    if (!row) continue;
    if (massG(solid.held) > 0) {
      heldMl += volumeMl(solid.held);
      pool = plus(pool, solid.held);
    }
    const after = drawnAfter(solid.extracted, row.rate100PerMin, row.activationKJ, boil.boilC, boil.minutes);
    pool = plus(pool, drawableOf(row, solid.massG), after - solid.extracted);
  }
  const allMl = volumeMl(pool);
  const out = scaled(pool, Math.max(0, allMl - heldMl) / allMl);
  const litres = volumeMl(out) / 1000;
  return {
    litres,
    gPerL: Object.fromEntries(
      Object.entries(out.markerG).map(([id, grams]) => [id, litres > 0 ? grams! / litres : 0]),
    ),
  };
}
