import { createWriteStream, existsSync, mkdirSync, rmSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ImportMode, ImportState } from '@big-ladle/core/contract';
import type { BackupDesk } from '../backup/desk.ts';
import { prepareRestore } from '../backup/restore.ts';
import { DATA_FILE } from '../db/dataFile.ts';
import type { Db } from '../db/db.ts';
import { onDisk, readBeside, writeBeside } from '../db/folder.ts';
import { openDb } from '../opening/open.ts';
import { PhotoStore } from '../photos/store.ts';
import { HttpProblem, problemAs, problemOf } from '../problems.ts';
import { projectionsAreFresh } from '../services/projections.ts';
import { type Checked, checkArchive, knownIn } from './check.ts';
import { makeRoom, mergeStaged, type Numbers, stagedEvents } from './merge.ts';
import { Pace, Stopped } from './pace.ts';
import { stageArchive } from './stage.ts';

/** Everything that is needed while an archive is taken in lies in a folder of its own. */
const FOLDER = 'importing';
const UPLOADED = 'archive.jsonl';
/** Says that what was made ready is being copied into the kitchen: whoever finds it goes on with it. */
const UNDER_WAY = 'under-way.json';

/** The largest archive that is taken, bytes: many times what twenty years of a busy kitchen write. */
const MOST_BYTES = 1024 * 1024 * 1024;

interface Parts {
  dataDir: string;
  db: Db;
  backups: BackupDesk;
  /** Another file has taken the kitchen's place: closes and begins anew. */
  restart: () => void;
  /** Other windows are to fetch everything anew. */
  changed: () => void;
  report: (error: unknown) => void;
}

/**
 * Takes archives in, one at a time: looked over as a whole first, then made ready in a file of its own, then either
 * copied into the kitchen batch by batch or put in its place. Until that last step nothing has changed, and it can be
 * called off.
 */
export class ImportDesk {
  private now: ImportState | null = null;
  private checked: Checked | null = null;
  private stopping = new AbortController();
  private running: Promise<void> = Promise.resolve();
  /** From here on nothing is stored any more: it would be lost with the file. */
  closed = false;

  constructor(private readonly parts: Parts) {}

  private get folder(): string {
    return path.join(this.parts.dataDir, FOLDER);
  }

  private file(name: string): string {
    return path.join(this.folder, name);
  }

  /** Pictures that come with an archive, until it is taken in. */
  private get photos(): PhotoStore {
    return new PhotoStore(this.folder);
  }

  state(): ImportState | null {
    return this.now;
  }

  /** Takes up what was cut off while it was being copied; anything else that was left is removed. */
  resume(): void {
    const numbers = readBeside<Numbers>(this.folder, UNDER_WAY);
    if (!numbers) {
      rmSync(this.folder, { recursive: true, force: true });
      return;
    }
    this.now = { stage: 'taking', mode: 'merge', share: 0, report: null, problem: null };
    this.run(async (pace) => {
      const staged = await openDb(this.folder);
      try {
        await this.copy(staged, numbers, pace);
      } finally {
        await staged.destroy();
      }
    });
  }

  /** Ends what is under way: what has been copied so far stays, and the next start goes on. */
  async stop(): Promise<void> {
    this.stopping.abort();
    await this.running;
  }

  /** Receives an archive and begins to look it over. */
  async receive(body: Readable): Promise<ImportState> {
    if (this.now && ['checking', 'preparing', 'taking'].includes(this.now.stage))
      throw new HttpProblem('importUnderWay');
    this.begin({ stage: 'checking', mode: null, share: 0, report: null, problem: null });
    rmSync(this.folder, { recursive: true, force: true });
    mkdirSync(this.folder, { recursive: true });
    try {
      const { signal } = this.stopping;
      await pipeline(body, atMost(MOST_BYTES), createWriteStream(this.file(UPLOADED)), { signal });
    } catch (error) {
      const calledOff = this.stopping.signal.aborted;
      this.clear();
      throw calledOff ? new HttpProblem('nothingToTake') : error;
    }
    this.run(async (pace) => {
      this.checked = await checkArchive(this.parts.db, this.file(UPLOADED), pace, this.progress);
      this.set({ stage: 'checked', share: 1, report: this.checked.report });
    });
    return this.now!;
  }

  /** Takes in what has been looked over. */
  take(mode: ImportMode): ImportState {
    const { checked } = this;
    if (this.now?.stage !== 'checked' || !checked) throw new HttpProblem('nothingToTake');
    this.set({ stage: 'preparing', mode, share: 0 });
    this.run(async (pace) => {
      if (mode === 'merge') await this.merge(checked, pace);
      else await this.replace(checked, pace);
    });
    return this.now;
  }

  /** Calls it off while nothing has changed yet; once it is over, its end is no longer told. */
  async cancel(): Promise<void> {
    if (this.now?.stage === 'taking') throw new HttpProblem('importUnderWay');
    this.stopping.abort();
    await this.running;
    this.clear();
    this.now = null;
  }

  private async merge(checked: Checked, pace: Pace): Promise<void> {
    const { backups, db } = this.parts;
    const backup = await backups.make('before-import');
    await copyFile(backups.fileOf(backup.name), this.file(DATA_FILE));
    const staged = await this.openStaged();
    try {
      const stagedFrom = await stagedEvents(staged, 0);
      const there = [checked.held, await knownIn(staged)];
      await stageArchive(staged, this.file(UPLOADED), there, this.photos, pace, this.progress);
      const hereFrom = await makeRoom(db, await stagedEvents(staged, stagedFrom));
      await staged.raw('pragma wal_checkpoint(truncate)');
      // From here to the copying nothing is awaited: whoever calls it off comes before, or too late.
      pace.check();
      onDisk(this.file(DATA_FILE));
      const numbers = { stagedFrom, hereFrom };
      writeBeside(this.folder, UNDER_WAY, numbers);
      onDisk(this.file(UNDER_WAY));
      onDisk(this.folder);
      this.set({ stage: 'taking', share: 0 });
      await this.copy(staged, numbers, pace);
    } finally {
      await staged.destroy();
    }
  }

  private async copy(staged: Db, numbers: Numbers, pace: Pace): Promise<void> {
    const photos = { here: new PhotoStore(this.parts.dataDir), staged: this.photos };
    await mergeStaged(this.parts.db, staged, numbers, photos, pace, this.progress);
    rmSync(this.folder, { recursive: true, force: true });
    this.set({ stage: 'done', share: 1 });
    this.parts.changed();
  }

  private async replace(checked: Checked, pace: Pace): Promise<void> {
    const { db, backups, dataDir, restart } = this.parts;
    const staged = await this.openStaged();
    try {
      await stageArchive(staged, this.file(UPLOADED), [checked.held], this.photos, pace, this.progress);
      await projectionsAreFresh(staged);
      pace.check();
      this.set({ stage: 'taking', share: 0 });
      this.closed = true;
      await backups.make('before-import');
      // Who was let in stays in.
      const devices = (await db('device')) as object[];
      for (const device of devices) await staged('device').insert(device);
      await staged.destroy();
      prepareRestore(dataDir, this.file(DATA_FILE));
    } catch (error) {
      this.closed = false;
      await staged.destroy();
      throw error;
    }
    rmSync(this.folder, { recursive: true, force: true });
    this.set({ stage: 'done', share: 1 });
    restart();
  }

  /** The file that it is made ready in. Nobody loses anything with it: it need not be on the disk after each step. */
  private async openStaged(): Promise<Db> {
    const staged = await openDb(this.folder);
    await staged.raw('pragma synchronous = off');
    return staged;
  }

  private readonly progress = (share: number): void => this.set({ share });

  private begin(state: ImportState): void {
    this.stopping = new AbortController();
    this.checked = null;
    this.now = state;
  }

  private set(change: Partial<ImportState>): void {
    if (this.now) this.now = { ...this.now, ...change };
  }

  private run(work: (pace: Pace) => Promise<void>): void {
    this.running = work(new Pace(this.stopping.signal)).catch((error: unknown) => {
      if (error instanceof Stopped) return;
      const { code, extra, unexpected } = problemOf(error);
      if (unexpected) this.parts.report(error);
      this.set({ stage: 'failed', problem: problemAs(code, extra) });
      if (!existsSync(this.file(UNDER_WAY))) this.clear();
    });
  }

  private clear(): void {
    this.checked = null;
    if (this.now?.stage !== 'failed') this.now = null;
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Lets so many bytes through, and no more. */
const atMost = (bytes: number): Transform => {
  let seen = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length;
      if (seen > bytes) done(new HttpProblem('tooLarge'));
      else done(null, chunk);
    },
  });
};
