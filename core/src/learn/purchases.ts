/** What one purchase of an ingredient has to give, against others of it. */
export type PurchaseId = `purchase:${string}`;

/** A thing by the packet or purchase that it came from. */
export interface OfPurchase {
  itemId: string;
  purchase: string;
}

export const purchaseId = ({ itemId, purchase }: OfPurchase): PurchaseId =>
  `purchase:${encodeURIComponent(itemId)}:${encodeURIComponent(purchase)}`;

/** @returns null where it is no purchase. */
export function readPurchaseId(id: string): OfPurchase | null {
  const [kind, itemId, purchase] = id.split(':');
  if (kind !== 'purchase' || !itemId || !purchase) return null;
  try {
    return { itemId: decodeURIComponent(itemId), purchase: decodeURIComponent(purchase) };
  } catch {
    return null;
  }
}

export const isPurchaseId = (id: string): id is PurchaseId => id.startsWith('purchase:');

/** Of each ingredient the purchase that was named last: what the next batch is made of, as far as anybody has said. */
export function purchasesInTheHouse(
  evidence: readonly { atMs: number; residuals: readonly { moves: ReadonlyMap<string, number> }[] }[],
): Map<string, PurchaseId> {
  const newest = new Map<string, PurchaseId>();
  for (const { residuals } of [...evidence].sort((a, b) => a.atMs - b.atMs))
    for (const { moves } of residuals)
      for (const id of moves.keys()) {
        const one = isPurchaseId(id) ? readPurchaseId(id) : null;
        if (one) newest.set(one.itemId, id as PurchaseId);
      }
  return newest;
}
