import type { Clock } from './clock.ts';
import { FolderLock } from './db/lock.ts';
import { FIVE_YEARS, seedHistory } from './demo/history.ts';
import { seedDemo } from './demo/seed.ts';
import { openDb } from './opening/open.ts';
import { rebuildAll, refreshProjections } from './services/projections.ts';

interface Wanted {
  /** Folds every batch's log again. */
  rebuild?: boolean;
  /** Fills it with the demo's kitchen. */
  demo?: boolean;
  /** Fills it with five years of batches: only for measuring. */
  history?: boolean;
}

/**
 * What is done to a kitchen before it is served.
 * @returns how many batches were folded again.
 * @throws DataFileError when the folder is in use or its file cannot be opened.
 */
export async function prepare(
  dataDir: string,
  clock: Clock,
  { rebuild = false, demo = false, history = false }: Wanted,
): Promise<number> {
  if (!rebuild && !demo && !history) return 0;
  const lock = FolderLock.take(dataDir);
  const db = await openDb(dataDir, undefined, clock.nowMs());
  const folded = rebuild ? await db.transaction((trx) => rebuildAll(trx)) : 0;
  if (demo || history) await refreshProjections(db);
  if (demo) await seedDemo(db, clock.nowMs());
  if (history) await seedHistory(db, clock.nowMs(), FIVE_YEARS);
  await db.destroy();
  lock?.release();
  return folded;
}
