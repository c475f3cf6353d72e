import { setTimeout as pause } from 'node:timers/promises';
import type { Clock } from '../clock.ts';
import type { Db } from '../db/db.ts';
import { believeAnew, learningChanged, readOneBatch } from '../services/learning.ts';
import type { StreamHub } from '../stream.ts';

/** Reading a batch takes many runs of the model: after each the server has so many times as long for everything else. */
const REST = 2;

/** Reads, beside the requests, what batches tell that have come to their end, and believes by it. */
export class LearningDesk {
  private working: Promise<void> | null = null;
  private again = false;
  private stopped = false;

  constructor(
    private readonly parts: { db: Db; clock: Clock; hub: StreamHub; report: (error: unknown) => void },
    /** It looks by itself; else only when it is asked to settle. */
    private readonly watches: boolean,
  ) {}

  /** Something has changed: looks whether there is anything to be read. */
  look(): void {
    if (!this.watches || this.stopped) return;
    this.again = true;
    this.working ??= this.work(REST).finally(() => {
      this.working = null;
    });
  }

  /** Reads everything at once. */
  async settle(): Promise<void> {
    this.again = true;
    await this.work(0);
  }

  async stop(): Promise<void> {
    this.stopped = true;
    await this.working;
  }

  private async work(rest: number): Promise<void> {
    const { db, clock, hub, report } = this.parts;
    try {
      while (this.again && !this.stopped) {
        this.again = false;
        for (let read = true; read && !this.stopped; ) {
          const fromMs = performance.now();
          read = await readOneBatch(db, report);
          if (read && rest > 0) await pause(rest * (performance.now() - fromMs));
        }
        const version = this.stopped ? null : await believeAnew(db, clock.nowMs());
        if (version !== null) for (const change of learningChanged(version)) hub.changed(change);
      }
    } catch (error) {
      // What keeps it from being read is told; what is believed stays as it is.
      report(error);
    }
  }
}
