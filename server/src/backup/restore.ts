import { copyFileSync, existsSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { DATA_FILE } from '../db/dataFile.ts';
import { DataFileError } from '../db/dataFileError.ts';
import { onDisk } from '../db/folder.ts';
import { PhotoStore, photosNamedIn } from '../photos/store.ts';
import { asOneFile } from './backups.ts';
import { faultOf } from './verify.ts';

/** A copy that takes the data file's place at the next start: whoever finds it goes on where this was cut off. */
const COMING = `${DATA_FILE}.restoring`;

/**
 * Makes a backup ready to take the data file's place. Until its own name is there nothing has changed; from then on the
 * next start finishes it.
 * @throws DataFileError when the backup is no good.
 */
export function prepareRestore(dataDir: string, backup: string): void {
  if (!existsSync(backup)) throw new DataFileError(`There is no file ${backup}.`);
  const fault = faultOf(backup);
  if (fault !== null)
    throw new DataFileError(`The backup ${backup} cannot be used: ${fault}. Nothing was changed.`);
  const unfinished = path.join(dataDir, `${COMING}.unfinished`);
  rmSync(unfinished, { force: true });
  copyFileSync(backup, unfinished);
  asOneFile(unfinished);
  onDisk(unfinished);
  new PhotoStore(dataDir).take(photosNamedIn(unfinished), new PhotoStore(path.dirname(backup)));
  renameSync(unfinished, path.join(dataDir, COMING));
  onDisk(dataDir);
}

/**
 * Puts a prepared copy in the data file's place; what was there stays beside it under another name. Each move is one
 * step of the file system, and cut off between any two of them it goes on the same way.
 * @returns where the file that was replaced stands now; null: nothing waited, or nothing was there before.
 */
export function finishRestore(dataDir: string): string | null {
  const coming = path.join(dataDir, COMING);
  rmSync(`${coming}.unfinished`, { force: true });
  if (!existsSync(coming)) return null;
  const file = path.join(dataDir, DATA_FILE);
  // By the moment at which the copy was ready: the same name however often it is begun again.
  const replaced = `${file}.replaced-${statSync(coming).mtime.toISOString().replace(/[:.]/g, '')}`;
  foldLog(file);
  let moved: string | null = null;
  // The log beside a file belongs to it: it goes first, so that it never stands beside the other one.
  for (const part of ['-wal', '-shm', ''])
    if (existsSync(`${file}${part}`)) {
      renameSync(`${file}${part}`, `${replaced}${part}`);
      moved = replaced;
    }
  renameSync(coming, file);
  onDisk(dataDir);
  return moved;
}

/** Brings what lies in the log beside a file into it, where it can be read at all. */
function foldLog(file: string): void {
  try {
    const db = new Database(file, { fileMustExist: true });
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
  } catch {
    // It is put aside as it is, with what lies beside it.
  }
}
