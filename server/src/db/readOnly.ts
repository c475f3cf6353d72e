import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import knex from 'knex';
import { appliedTo, newerThan } from './applied.ts';
import { DATA_FILE } from './dataFile.ts';
import { DataFileError } from './dataFileError.ts';
import type { Db } from './db.ts';
import { MIGRATIONS } from './migrations.ts';
import { withLog } from './walFile.ts';

/**
 * The kitchen as it stands in its file, in memory: to be read while nothing can be written. Nothing that is done to it is
 * kept.
 * @throws DataFileError where it cannot be read either, or an upgrade would have to be written first.
 */
export async function readInMemory(dataDir: string): Promise<Db> {
  const filename = path.join(dataDir, DATA_FILE);
  if (!existsSync(filename))
    throw new DataFileError(`Nothing can be written to ${dataDir}, and there is no kitchen in it yet.`);
  const wal = `${filename}-wal`;
  const image = withLog(readFileSync(filename), existsSync(wal) ? readFileSync(wal) : Buffer.alloc(0));
  const db = knex({
    client: 'better-sqlite3',
    // The driver takes the image of a database in the place of a name.
    connection: { filename: image as unknown as string },
    useNullAsDefault: true,
    pool: { min: 1, max: 1 },
  });
  const applied = await appliedTo(db);
  if (applied.length !== MIGRATIONS.length || newerThan(MIGRATIONS, applied).length > 0) {
    await db.destroy();
    throw new DataFileError(
      `Nothing can be written to ${dataDir}, and its kitchen is of another version of Big Ladle: make room first. Nothing was changed.`,
    );
  }
  return db;
}
