import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { onDisk } from '../db/folder.ts';

const FOLDER = 'photos';
const NAME = /^([0-9a-f]{64})\.jpg$/;

/**
 * Pictures in a folder beside a data file, each named by what it holds: a file is written once and never changes, so
 * that backups need each only once.
 */
export class PhotoStore {
  private readonly folder: string;

  /** @param beside the folder that the data file or the backups lie in. */
  constructor(beside: string) {
    this.folder = path.join(beside, FOLDER);
  }

  private fileOf(hash: string): string {
    return path.join(this.folder, `${hash}.jpg`);
  }

  /** @returns the name of what was put there. */
  put(bytes: Uint8Array): string {
    const hash = createHash('sha256').update(bytes).digest('hex');
    if (!existsSync(this.fileOf(hash))) this.write(hash, (file) => writeFileSync(file, bytes));
    return hash;
  }

  /** @returns null where it is missing. */
  get(hash: string): Buffer | null {
    try {
      return readFileSync(this.fileOf(hash));
    } catch {
      return null;
    }
  }

  remove(hash: string): void {
    rmSync(this.fileOf(hash), { force: true });
  }

  /** Copies what another one has and this one lacks; what is missing there too stays missing. */
  take(hashes: Iterable<string>, from: PhotoStore): void {
    for (const hash of hashes)
      if (!existsSync(this.fileOf(hash)) && existsSync(from.fileOf(hash)))
        this.write(hash, (file) => copyFileSync(from.fileOf(hash), file));
  }

  /** Removes whatever nobody asks for any more. */
  keepOnly(hashes: ReadonlySet<string>): void {
    let names: string[];
    try {
      names = readdirSync(this.folder);
    } catch {
      return;
    }
    for (const name of names) {
      const hash = NAME.exec(name)?.[1];
      if (hash === undefined || !hashes.has(hash)) rmSync(path.join(this.folder, name), { force: true });
    }
  }

  /** Under another name first: a file with its name is whole. */
  private write(hash: string, fill: (file: string) => void): void {
    mkdirSync(this.folder, { recursive: true });
    const unfinished = `${this.fileOf(hash)}.unfinished`;
    fill(unfinished);
    onDisk(unfinished);
    renameSync(unfinished, this.fileOf(hash));
    onDisk(this.folder);
  }
}

/** The pictures that a data file or a backup names; none where it is of a version without them. */
export function photosNamedIn(file: string): Set<string> {
  const db = new Database(file, { readonly: true, fileMustExist: true });
  try {
    const there = db.prepare("select 1 from sqlite_master where type = 'table' and name = 'photo'").get();
    if (!there) return new Set();
    return new Set(db.prepare('select hash from photo').pluck().all() as string[]);
  } finally {
    db.close();
  }
}
