import { EMPTY, ofLiquid, ofSweetener, plus } from '../liquor/composition.ts';
import type { Liquor } from '../program/model/liquor.ts';
import { NO_COOLING } from '../program/simulate/exposure.ts';
import type { LiquidRow, Tables } from '../tables/types.ts';
import { type Keeping, keepingOf } from './shelfLife.ts';

/** A cold mixture's temperature when it is put by, °C. */
const FRIDGE_C = 4;

/**
 * How long something poured together cold keeps: a vinegar cordial, a syrup with juice. What is not known is left out.
 * @param parts millilitres of liquids, grams of sweeteners, by the tables' ids.
 * @param read a pH that was read when it was all together; without it the estimate decides.
 */
export function keepingOfMix(
  parts: readonly ({ id: string; volumeMl: number } | { id: string; massG: number })[],
  tables: Tables,
  hygiene: 'clean' | 'sterilised',
  read: Liquor['read'] = null,
): { liquor: Liquor; keeping: Keeping } {
  let liquor: Liquor = { ...EMPTY, tempC: FRIDGE_C, origins: [], cooling: NO_COOLING, read: null };
  for (const part of parts) {
    const liquid = tables.liquids.get(part.id);
    const sweetener = tables.sweeteners.get(part.id);
    const poured =
      liquid && 'volumeMl' in part
        ? ofLiquid(liquid, part.volumeMl)
        : liquid && 'massG' in part
          ? ofLiquid(liquid, part.massG / liquid.densityGPerMl)
          : sweetener
            ? ofSweetener(sweetener, 'massG' in part ? part.massG : part.volumeMl * sweetener.bulkGPerMl)
            : null;
    if (!poured) continue;
    liquor = {
      ...liquor,
      ...plus(liquor, poured),
      origins: [
        ...liquor.origins,
        {
          lineId: part.id,
          kind: liquid?.treatment ?? 'sweetener',
          sinceMin: 0,
          heatedMin: 0,
          below60Min: null,
        },
      ],
    };
  }
  liquor = { ...liquor, read };
  return { liquor, keeping: keepingOf({ liquor, hygiene }) };
}

/** A drink with so much of a liquid poured to it at a minute of its batch: a reading of before no longer holds. */
export function withPoured(liquor: Liquor, row: LiquidRow, volumeMl: number, atMin: number): Liquor {
  return {
    ...liquor,
    ...plus(liquor, ofLiquid(row, volumeMl)),
    origins: [
      ...liquor.origins,
      { lineId: row.id, kind: row.treatment, sinceMin: atMin, heatedMin: 0, below60Min: null },
    ],
    read: null,
  };
}
