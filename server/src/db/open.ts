import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import knex, { type Knex } from 'knex';
import { MIGRATIONS, type Migration } from './migrations.ts';

/** A knex or a transaction: every helper that takes one can join a transaction. */
export type Db = Knex;

/** The data file cannot be used; the message says why and what to do. */
export class DataFileError extends Error {}

const sourceOf = (migrations: readonly Migration[]) => ({
  getMigrations: async () => migrations.map((m) => m.name),
  getMigrationName: (name: string) => name,
  getMigration: async (name: string) => {
    const found = migrations.find((m) => m.name === name)!;
    return { up: found.up, down: async () => undefined };
  },
});

/**
 * A copy of the data file beside it, as it was before an upgrade: written under another name and given its own when it
 * is whole, so that a start that was cut off leaves nothing in the way. One that is there already stays: it is older.
 */
async function copyBefore(db: Db, filename: string, migration: string): Promise<void> {
  const copy = `${filename}.before-${migration}`;
  const unfinished = `${copy}.unfinished`;
  rmSync(unfinished, { force: true });
  if (existsSync(copy)) return;
  await db.raw('VACUUM INTO ?', [unfinished]);
  const file = openSync(unfinished, 'r+');
  fsyncSync(file);
  closeSync(file);
  renameSync(unfinished, copy);
}

/**
 * Opens the data file, brings it up to date, and refuses one that a newer program has written. A copy is made
 * beside it before an existing file is changed.
 */
export async function openDb(dataDir: string, migrations: readonly Migration[] = MIGRATIONS): Promise<Db> {
  const filename = path.join(dataDir, 'big-ladle.sqlite');
  const existed = existsSync(filename);
  try {
    mkdirSync(dataDir, { recursive: true });
  } catch (error) {
    throw new DataFileError(`The data folder ${dataDir} cannot be made: ${(error as Error).message}`);
  }
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (
        raw: { pragma: (text: string) => void },
        done: (error: Error | null, raw: unknown) => void,
      ) => {
        try {
          raw.pragma('journal_mode = WAL');
          raw.pragma('foreign_keys = ON');
          raw.pragma('synchronous = FULL');
          done(null, raw);
        } catch (error) {
          done(error as Error, raw);
        }
      },
    },
  });
  try {
    const known = new Set(migrations.map((m) => m.name));
    const applied = (await db.schema.hasTable('knex_migrations'))
      ? ((await db('knex_migrations').select('name')) as { name: string }[]).map((r) => r.name)
      : [];
    const newer = applied.filter((name) => !known.has(name));
    if (newer.length) {
      throw new DataFileError(
        `The data file ${filename} was written by a newer Big Ladle (it knows "${newer[0]}"). ` +
          'Start that version, or choose another folder with LADLE_DATA. Nothing was changed.',
      );
    }
    if (existed && applied.length > 0 && applied.length < migrations.length) {
      await copyBefore(db, filename, migrations[applied.length]!.name);
    }
    await db.migrate.latest({ migrationSource: sourceOf(migrations) });
    return db;
  } catch (error) {
    await db.destroy();
    if (error instanceof DataFileError) throw error;
    const code = (error as { code?: string }).code;
    if (code === 'SQLITE_NOTADB' || code === 'SQLITE_CORRUPT') {
      throw new DataFileError(
        `The data file ${filename} is not a readable database. Put back a copy, or choose another folder with LADLE_DATA. The file was left as it is.`,
      );
    }
    throw error;
  }
}
