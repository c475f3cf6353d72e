import {
  closeSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import path from 'node:path';
import { DataFileError } from './dataFileError.ts';

/** Makes the data folder, where it is not there. @throws DataFileError */
export function makeDataFolder(dataDir: string): void {
  try {
    mkdirSync(dataDir, { recursive: true });
  } catch (error) {
    throw new DataFileError(
      `The data folder ${dataDir} cannot be made: ${(error as Error).message}. Another is chosen with LADLE_DATA.`,
    );
  }
}

/** More than an empty file takes: room for a page and its index. */
const TRIAL_BYTES = 256 * 1024;

/** Writes something to a folder and removes it. @throws the system's own error where it takes nothing. */
export function tryWriting(folder: string): void {
  const trial = path.join(folder, '.big-ladle-trial');
  const file = openSync(trial, 'w');
  try {
    writeSync(file, Buffer.alloc(TRIAL_BYTES));
  } finally {
    closeSync(file);
    rmSync(trial, { force: true });
  }
}

/** Whether something can be written to a folder now. */
export function canWrite(folder: string): boolean {
  try {
    tryWriting(folder);
    return true;
  } catch {
    return false;
  }
}

/** What is kept in a small file beside the data: it must be found when the data file cannot be read. */
export function readBeside<T extends object>(dataDir: string, name: string): T | null {
  try {
    return JSON.parse(readFileSync(path.join(dataDir, name), 'utf8')) as T;
  } catch {
    // Nobody has chosen anything.
    return null;
  }
}

/** Written whole or not at all. @throws the system's own error where it cannot be. */
export function writeBeside(dataDir: string, name: string, value: object): void {
  const file = path.join(dataDir, name);
  writeFileSync(`${file}.unfinished`, JSON.stringify(value));
  renameSync(`${file}.unfinished`, file);
}

/** What was written to a file, or to a folder's list of files, is on the disk. */
export function onDisk(file: string): void {
  const handle = openSync(file, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
