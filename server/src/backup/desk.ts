import path from 'node:path';
import type { BackupFile, BackupKind, BackupState } from '@big-ladle/core/contract';
import type { Clock } from '../clock.ts';
import { HttpProblem } from '../problems.ts';
import { BackupFailed, backupFolder, chooseFolder, isElsewhere, listBackups, makeBackup } from './backups.ts';
import { prepareRestore } from './restore.ts';

/** A daily backup is due when the newest is older than this. */
const DUE_MS = 24 * 3_600_000;
/** How often it is looked whether one is due, and how long after a start first. */
const LOOK_MS = 30 * 60_000;
const FIRST_LOOK_MS = 60_000;

/** Makes backups when they are due or asked for, and puts one back. One at a time. */
export class BackupDesk {
  private problem: string | null = null;
  private running: Promise<unknown> = Promise.resolve();
  private timers: NodeJS.Timeout[] = [];

  /** @param restart closes the data file and begins anew, once an answer has gone out. */
  constructor(
    private readonly dataDir: string,
    private readonly clock: Clock,
    private readonly report: (error: unknown) => void,
    private readonly restart: () => void,
  ) {}

  /** Looks from now on whether a daily one is due. */
  start(): void {
    const look = (): void => {
      if (this.isDue()) this.make('daily').catch(this.report);
    };
    this.timers = [setTimeout(look, FIRST_LOOK_MS), setInterval(look, LOOK_MS)];
    for (const timer of this.timers) timer.unref();
  }

  /** @returns when what is being written is written. */
  async stop(): Promise<void> {
    for (const timer of this.timers) clearTimeout(timer);
    await this.running.catch(() => undefined);
  }

  private isDue(): boolean {
    const newest = listBackups(backupFolder(this.dataDir)).find((b) => b.kind === 'daily');
    return !newest || Math.abs(this.clock.nowMs() - newest.atMs) >= DUE_MS;
  }

  state(): BackupState {
    const folder = backupFolder(this.dataDir);
    return {
      folder,
      elsewhere: isElsewhere(this.dataDir, folder),
      backups: listBackups(folder),
      problem: this.problem,
    };
  }

  /** @throws HttpProblem when it could not be made; it stands in the state as well. */
  async make(kind: BackupKind): Promise<BackupFile> {
    const made = this.running
      .catch(() => undefined)
      .then(() => makeBackup(this.dataDir, kind, this.clock.nowMs()));
    this.running = made;
    try {
      const backup = await made;
      this.problem = null;
      return backup;
    } catch (error) {
      this.problem = error instanceof Error ? error.message : String(error);
      if (!(error instanceof BackupFailed)) this.report(error);
      throw new HttpProblem('backupFailed', { params: { reason: this.problem.slice(0, 200) } });
    }
  }

  /** Where a backup lies. */
  fileOf(name: string): string {
    return path.join(backupFolder(this.dataDir), name);
  }

  /** From now on backups go to another folder; the first one at once. */
  async choose(folder: string): Promise<BackupState> {
    try {
      if (!path.isAbsolute(folder)) throw new Error('not absolute');
      chooseFolder(this.dataDir, folder);
    } catch (error) {
      throw new HttpProblem('badFolder', {
        params: { reason: (error as Error).message.slice(0, 200) },
        fields: [{ field: 'folder', message: 'badFolder' }],
      });
    }
    await this.make('asked');
    return this.state();
  }

  /** Puts a backup back: what is there now is kept as a backup first. */
  async restore(name: string): Promise<void> {
    const known = this.state().backups.some((b) => b.name === name);
    if (!known) throw new HttpProblem('notFound', { params: { what: 'backup', id: name.slice(0, 80) } });
    await this.make('before-restore');
    try {
      prepareRestore(this.dataDir, this.fileOf(name));
    } catch (error) {
      throw new HttpProblem('backupFailed', { params: { reason: (error as Error).message.slice(0, 200) } });
    }
    this.restart();
  }
}
