import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import knex from 'knex';
import { makeBackup, newestGood } from '../backup/backups.ts';
import { finishRestore } from '../backup/restore.ts';
import { appliedTo, newerThan } from '../db/applied.ts';
import { damageOf } from '../db/damage.ts';
import { DATA_FILE } from '../db/dataFile.ts';
import { DataFileError } from '../db/dataFileError.ts';
import type { Db } from '../db/db.ts';
import { makeDataFolder, onDisk } from '../db/folder.ts';
import { MIGRATIONS, type Migration } from '../db/migrations.ts';

const sourceOf = (migrations: readonly Migration[]) => ({
  getMigrations: async () => migrations.map((m) => m.name),
  getMigrationName: (name: string) => name,
  getMigration: async (name: string) => {
    const found = migrations.find((m) => m.name === name)!;
    return { up: found.up, down: async () => undefined };
  },
});

function connect(filename: string): Db {
  return knex({
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
}

/**
 * A new kitchen's file gets its name when it is whole: one that is there and holds nothing is never one that was only
 * begun.
 */
async function createFile(filename: string, migrations: readonly Migration[]): Promise<void> {
  const unfinished = `${filename}.new`;
  for (const part of ['', '-wal', '-shm']) rmSync(`${unfinished}${part}`, { force: true });
  const db = connect(unfinished);
  try {
    await db.migrate.latest({ migrationSource: sourceOf(migrations) });
  } finally {
    await db.destroy();
  }
  onDisk(unfinished);
  renameSync(unfinished, filename);
  onDisk(path.dirname(filename));
}

/** What may be done about a file that cannot be used. */
function wayOut(dataDir: string): string {
  const backup = newestGood(dataDir);
  return backup
    ? `The newest good backup is ${backup}: put it back with  npm run restore -- "${backup}"  .`
    : 'No good backup was found: put back a copy, or choose another folder with LADLE_DATA.';
}

async function checkDamage(db: Db, filename: string, dataDir: string): Promise<void> {
  const damaged = await damageOf(db);
  if (damaged)
    throw new DataFileError(
      `The data file ${filename} is damaged; what cannot be trusted: ${damaged.join(', ')}. It was left as it is. ${wayOut(dataDir)}`,
    );
}

/**
 * Opens the data file, brings it up to date, and refuses one that is damaged or that a newer program has written. Before
 * an existing file is changed a backup is made.
 * @throws DataFileError with what is wrong and what to do.
 */
export async function openDb(
  dataDir: string,
  migrations: readonly Migration[] = MIGRATIONS,
  nowMs: number = Date.now(),
): Promise<Db> {
  const filename = path.join(dataDir, DATA_FILE);
  makeDataFolder(dataDir);
  finishRestore(dataDir);
  if (!existsSync(filename)) await createFile(filename, migrations);
  else if (statSync(filename).size === 0)
    throw new DataFileError(
      `The data file ${filename} is empty: it once held a kitchen and now holds nothing. It was left as it is. ${wayOut(dataDir)} To begin with an empty kitchen, move the empty file away.`,
    );
  const db = connect(filename);
  try {
    await checkDamage(db, filename, dataDir);
    const applied = await appliedTo(db);
    const newer = newerThan(migrations, applied);
    if (newer.length) {
      throw new DataFileError(
        `The data file ${filename} was written by a newer Big Ladle (it knows "${newer[0]}"). ` +
          'Start that version, or choose another folder with LADLE_DATA. Nothing was changed.',
      );
    }
    if (applied.length > 0 && applied.length < migrations.length)
      await makeBackup(dataDir, 'before-upgrade', nowMs);
    await db.migrate.latest({ migrationSource: sourceOf(migrations) });
    return db;
  } catch (error) {
    await db.destroy();
    if (error instanceof DataFileError) throw error;
    const { code = '' } = error as { code?: string };
    if (code === 'SQLITE_NOTADB' || code.startsWith('SQLITE_CORRUPT')) {
      throw new DataFileError(
        `The data file ${filename} is not a readable database. It was left as it is. ${wayOut(dataDir)}`,
      );
    }
    throw error;
  }
}
