/** What one purchase of an ingredient has to give, against others of it. */
export type LotId = `lot:${string}`;

/** A thing by the packet or purchase that it came from. */
export interface Lot {
  itemId: string;
  purchase: string;
}

export const lotId = ({ itemId, purchase }: Lot): LotId =>
  `lot:${encodeURIComponent(itemId)}:${encodeURIComponent(purchase)}`;

/** @returns null where it is no lot. */
export function readLotId(id: string): Lot | null {
  const [kind, itemId, purchase] = id.split(':');
  if (kind !== 'lot' || !itemId || !purchase) return null;
  try {
    return { itemId: decodeURIComponent(itemId), purchase: decodeURIComponent(purchase) };
  } catch {
    return null;
  }
}

export const isLotId = (id: string): id is LotId => id.startsWith('lot:');

/** Of each ingredient the purchase that was named last: what the next batch is made of, as far as anybody has said. */
export function lotsInTheHouse(
  evidence: readonly { atMs: number; residuals: readonly { moves: ReadonlyMap<string, number> }[] }[],
): Map<string, LotId> {
  const newest = new Map<string, LotId>();
  for (const { residuals } of [...evidence].sort((a, b) => a.atMs - b.atMs))
    for (const { moves } of residuals)
      for (const id of moves.keys()) {
        const lot = readLotId(id);
        if (lot) newest.set(lot.itemId, id as LotId);
      }
  return newest;
}
