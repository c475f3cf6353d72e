import type { Db } from './db.ts';
import { takesNothing } from './takesNothing.ts';

/** What a table holds, in words. */
const HOLDS: Readonly<Record<string, string>> = {
  event: 'the log of what was done',
  batch: 'plans and batches',
  recipe: 'your recipes',
  recipe_version: 'your recipes',
  ingredient: 'your ingredients',
  stock: 'what is in the house',
  vessel: 'pots and bottles',
  burner: 'the rings',
  measure: 'cups and mugs',
  factor: 'what a cup weighs',
  setting: 'the kitchen',
  instrument: 'instruments',
  reading_chunk: 'readings',
  device: 'devices that were let in',
};

/**
 * Looks the data file over, as far as a start can wait for it.
 * @returns what cannot be trusted, in words; null: nothing was found. "Somewhere" where the damage is in no table.
 * @throws what says that the disk takes nothing, which is no damage.
 */
export async function damageOf(db: Db): Promise<string[] | null> {
  if (await isSound(db, 'PRAGMA quick_check(1)')) return null;
  const names = await tableNames(db);
  const held = new Set<string>();
  for (const name of names)
    if (!(await isSound(db, `PRAGMA quick_check("${name}")`))) held.add(HOLDS[name] ?? name);
  return held.size > 0 ? [...held] : ['somewhere in the file'];
}

async function isSound(db: Db, pragma: string): Promise<boolean> {
  try {
    const rows = (await db.raw(pragma)) as Record<string, string>[];
    return rows.length === 1 && Object.values(rows[0]!)[0] === 'ok';
  } catch (error) {
    if (takesNothing(error)) throw error;
    return false;
  }
}

async function tableNames(db: Db): Promise<string[]> {
  try {
    const rows = (await db('sqlite_master').where({ type: 'table' }).select('name')) as { name: string }[];
    return rows.map((r) => r.name).filter((name) => /^[a-z_]+$/.test(name));
  } catch {
    return [];
  }
}
