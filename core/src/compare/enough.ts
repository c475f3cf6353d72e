import type { StockRow } from '../documents/stock.ts';
import type { LineId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Tables } from '../tables/types.ts';

/** Something that is poured out of bottles or jars, how much of it a batch wants, and what there is. */
export interface Enough {
  itemId: string;
  wantedG: number;
  wantedMl: number;
  gPerMl: number;
  /** Null: nobody has said what there is. */
  inHouseG: number | null;
  /** What a full bottle holds, g, where it was said. */
  bottleG: number | null;
  shortG: number;
}

/** Less than this is in every cupboard, mL. */
const LEAST_ML = 100;

/** Vinegar, honey and syrups of a batch, each counted against the bottles that stand open and closed. */
export function enoughOf(
  program: Pick<Program, 'lines'>,
  dosedG: Readonly<Record<LineId, number>>,
  stock: readonly StockRow[],
  tables: Tables,
): Enough[] {
  const wanted = new Map<string, number>();
  for (const line of program.lines) {
    const massG = line.massG || (dosedG[line.id] ?? 0);
    wanted.set(line.itemId, (wanted.get(line.itemId) ?? 0) + massG);
  }
  return [...wanted].flatMap(([itemId, wantedG]): Enough[] => {
    const liquid = tables.liquids.get(itemId);
    const sweetener = tables.sweeteners.get(itemId);
    const gPerMl =
      liquid?.treatment === 'vinegar'
        ? liquid.densityGPerMl
        : sweetener && sweetener.waterPct > 0
          ? sweetener.bulkGPerMl
          : null;
    if (gPerMl === null || wantedG / gPerMl < LEAST_ML) return [];
    const row = stock.find((s) => s.itemId === itemId);
    return [
      {
        itemId,
        wantedG,
        wantedMl: wantedG / gPerMl,
        gPerMl,
        inHouseG: row ? row.inHouseG : null,
        bottleG: row?.packG ?? null,
        shortG: row ? Math.max(0, wantedG - row.inHouseG) : 0,
      },
    ];
  });
}

/** What full bottles and an open one hold together, g. */
export const inBottlesG = (closed: number, bottleMl: number, openMl: number, gPerMl: number): number =>
  (closed * bottleMl + openMl) * gPerMl;
