import { mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import type { BackupFile, BackupKind } from '@big-ladle/core/contract';
import Database from 'better-sqlite3';
import { DATA_FILE } from '../db/dataFile.ts';
import { onDisk, readBeside, tryWriting, writeBeside } from '../db/folder.ts';
import { PhotoStore, photosNamedIn } from '../photos/store.ts';
import { backupName, readBackupName } from './names.ts';
import { mayGo } from './retention.ts';
import { faultOf } from './verify.ts';

/** Says where backups go. */
const WHERE = 'big-ladle.backups.json';

/** A backup that was made and is no good: nothing was kept of it. */
export class BackupFailed extends Error {}

/** The folder that backups of a data folder go to: the cook's own, or one beside the data. */
export function backupFolder(dataDir: string): string {
  const folder = readBeside<{ folder: unknown }>(dataDir, WHERE)?.folder;
  return typeof folder === 'string' && path.isAbsolute(folder) ? folder : path.join(dataDir, 'backups');
}

/**
 * Chooses the folder that backups go to from now on.
 * @throws Error with the system's own words where it cannot be written to.
 */
export function chooseFolder(dataDir: string, folder: string): void {
  mkdirSync(folder, { recursive: true });
  tryWriting(folder);
  writeBeside(dataDir, WHERE, { folder });
}

/** Backups of a folder, newest first. Only what was found good has a name of ours. */
export function listBackups(folder: string): BackupFile[] {
  let names: string[];
  try {
    names = readdirSync(folder);
  } catch {
    return [];
  }
  return names
    .flatMap((name) => {
      const said = readBackupName(name);
      return said ? [{ name, ...said, bytes: statSync(path.join(folder, name)).size }] : [];
    })
    .sort((a, b) => b.atMs - a.atMs);
}

/** Whether backups lie on another disk than the data: only then they outlive it. */
export function isElsewhere(dataDir: string, folder: string): boolean {
  try {
    return statSync(folder).dev !== statSync(dataDir).dev;
  } catch {
    return false;
  }
}

/**
 * A copy of the data file as it stands, by SQLite's own backup interface: it is whole while others write. It is looked
 * over and folded in part before it gets its name; older ones that are no longer needed go.
 * @throws BackupFailed when the copy is no good.
 */
export async function makeBackup(dataDir: string, kind: BackupKind, nowMs: number): Promise<BackupFile> {
  const folder = backupFolder(dataDir);
  mkdirSync(folder, { recursive: true });
  const name = backupName(kind, nowMs);
  const file = path.join(folder, name);
  const unfinished = `${file}.unfinished`;
  rmSync(unfinished, { force: true });
  const source = new Database(path.join(dataDir, DATA_FILE), { readonly: true, fileMustExist: true });
  try {
    await source.backup(unfinished);
  } finally {
    source.close();
  }
  asOneFile(unfinished);
  const fault = faultOf(unfinished);
  if (fault !== null) {
    rmSync(unfinished, { force: true });
    throw new BackupFailed(fault);
  }
  onDisk(unfinished);
  // A backup names no picture that is not there.
  const photos = new PhotoStore(folder);
  photos.take(photosNamedIn(unfinished), new PhotoStore(dataDir));
  renameSync(unfinished, file);
  onDisk(folder);
  for (const old of mayGo(listBackups(folder))) rmSync(path.join(folder, old.name), { force: true });
  for (const left of readdirSync(folder))
    if (left.endsWith('.unfinished')) rmSync(path.join(folder, left), { force: true });
  photos.keepOnly(namedInAll(folder));
  return { name, kind, atMs: readBackupName(name)!.atMs, bytes: statSync(file).size };
}

/** The pictures that any backup of a folder names. */
const namedInAll = (folder: string): Set<string> =>
  new Set(listBackups(folder).flatMap(({ name }) => [...photosNamedIn(path.join(folder, name))]));

/** A copy stands by itself: nothing of it lies in a log beside it. */
export function asOneFile(file: string): void {
  const db = new Database(file);
  db.pragma('journal_mode = DELETE');
  db.close();
}

/** The newest backup that is still good, for whoever has to go back to one. */
export function newestGood(dataDir: string): string | null {
  const folder = backupFolder(dataDir);
  const found = listBackups(folder).find((b) => faultOf(path.join(folder, b.name)) === null);
  return found ? path.join(folder, found.name) : null;
}
