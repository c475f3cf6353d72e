import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { DataFileError } from './dataFileError.ts';

const LOCK = 'big-ladle.lock';
const WHO = 'big-ladle.lock.json';

/** Who holds a data folder, for whoever asks for it as well. */
interface Holder {
  pid: number;
  address: string | null;
}

/**
 * One program at a time works in a data folder. The lock is the operating system's own, on a file beside the data: it
 * ends with the process, however that ends, so a crash leaves nothing in the way.
 */
export class FolderLock {
  private constructor(
    private readonly dataDir: string,
    private readonly file: Database.Database,
  ) {}

  /**
   * @returns null in a folder where nothing can be written: there nobody changes anything.
   * @throws DataFileError when another program works in the folder; it says which.
   */
  static take(dataDir: string): FolderLock | null {
    let file: Database.Database;
    try {
      file = new Database(path.join(dataDir, LOCK), { timeout: 0 });
    } catch {
      return null;
    }
    try {
      file.exec('BEGIN EXCLUSIVE');
    } catch (error) {
      file.close();
      const { code = '' } = error as { code?: string };
      if (!code.startsWith('SQLITE_BUSY')) return null;
      throw new DataFileError(
        `The data folder ${dataDir} is in use by another Big Ladle${said(holderOf(dataDir))}. ` +
          'Use that one, or stop it first; another folder is chosen with LADLE_DATA. Nothing was changed.',
      );
    }
    const lock = new FolderLock(dataDir, file);
    lock.tell(null);
    return lock;
  }

  /** Says where the program that holds the folder is reached. */
  tell(address: string | null): void {
    try {
      writeFileSync(
        path.join(this.dataDir, WHO),
        JSON.stringify({ pid: process.pid, address } satisfies Holder),
      );
    } catch {
      // Only who holds it is not known then: the lock itself stands.
    }
  }

  release(): void {
    rmSync(path.join(this.dataDir, WHO), { force: true });
    this.file.close();
  }
}

function holderOf(dataDir: string): Holder | null {
  try {
    return JSON.parse(readFileSync(path.join(dataDir, WHO), 'utf8')) as Holder;
  } catch {
    return null;
  }
}

const said = (holder: Holder | null): string => {
  if (!holder) return '';
  return holder.address ? `, at ${holder.address} (process ${holder.pid})` : ` (process ${holder.pid})`;
};
