import type { KitchenDoc } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Db } from '../db/db.ts';
import { readKitchen, writeKitchen } from '../db/rows.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem } from '../problems.ts';

/** Keeps the kitchen as its next version. @throws 409 with both when it was changed meanwhile. */
export async function saveKitchen(
  db: Db,
  sent: { version: number; kitchen: Kitchen },
): Promise<Outcome<KitchenDoc>> {
  return db.transaction(async (trx) => {
    const stored = await readKitchen(trx);
    if (stored.version !== sent.version)
      throw new HttpProblem('changedElsewhere', { params: { what: 'kitchen' }, stored, sent: sent.kitchen });
    const version = stored.version + 1;
    await writeKitchen(trx, version, sent.kitchen);
    return {
      answer: await readKitchen(trx),
      changed: [{ doc: 'kitchen', id: 'kitchen', version }],
    };
  });
}
