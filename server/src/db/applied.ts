import type { Db } from './db.ts';
import type { Migration } from './migrations.ts';

/** The names of the migrations that a file has been brought up to date with. */
export async function appliedTo(db: Db): Promise<string[]> {
  if (!(await db.schema.hasTable('knex_migrations'))) return [];
  return ((await db('knex_migrations').select('name')) as { name: string }[]).map((r) => r.name);
}

/** Those that this program does not know: a newer one has written the file. */
export const newerThan = (known: readonly Migration[], applied: readonly string[]): string[] =>
  applied.filter((name) => !known.some((m) => m.name === name));
