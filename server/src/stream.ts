import type { DocChange, ReadingsMessage, TimeMessage } from '@big-ladle/core/contract';
import type { LogEvent } from '@big-ladle/core/log';
import type { Response } from 'express';
import type { Clock } from './clock.ts';
import { ClockWatch } from './clockWatch.ts';

export interface StoredEvent {
  seq: number;
  event: LogEvent;
}

/** How often a window hears that the server lives, and what time it is there. */
const HEARTBEAT_MS = 10_000;
/** A window that has so much unread is let go: it comes back and catches up. */
const MOST_UNREAD_BYTES = 1_000_000;

/** Server-sent events to every open window. Event messages carry their seq as id, so that a window resumes there. */
export class StreamHub {
  /** Every open window, with the device that it is of; null: the first screen. */
  private readonly windows = new Map<Response, string | null>();
  private readonly heartbeat: NodeJS.Timeout;
  private closed = false;

  constructor(
    private readonly clock: Clock,
    private readonly watch = new ClockWatch(),
  ) {
    this.heartbeat = setInterval(() => this.all(this.timeMessage(this.watch.look())), HEARTBEAT_MS);
    this.heartbeat.unref();
  }

  open(
    res: Response,
    missed: { events: readonly StoredEvent[]; seq: number; reload: boolean },
    deviceId: string | null = null,
  ): void {
    if (this.closed) {
      // A window that comes back over a connection still open would hold the server up: it tries again elsewhere.
      res.destroy();
      return;
    }
    res.status(200).set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    res.flushHeaders();
    res.write('retry: 1000\n\n');
    res.write(this.timeMessage());
    if (missed.reload) {
      const all: DocChange = { doc: 'everything', id: 'all', version: 0 };
      res.write(`id: ${missed.seq}\n${docMessage(all)}`);
    }
    for (const stored of missed.events) res.write(eventMessage(stored));
    this.windows.set(res, deviceId);
    res.on('close', () => this.windows.delete(res));
  }

  events(stored: readonly StoredEvent[]): void {
    for (const one of stored) this.all(eventMessage(one));
  }

  changed(change: DocChange): void {
    this.all(docMessage(change));
  }

  /** What an instrument has just shown. Kept readings are fetched; these are only for windows that look. */
  reading(message: ReadingsMessage): void {
    this.all(`event: reading\ndata: ${JSON.stringify(message)}\n\n`);
  }

  timeChanged(): void {
    this.all(this.timeMessage());
  }

  close(): void {
    this.closed = true;
    clearInterval(this.heartbeat);
    for (const res of this.windows.keys()) res.end();
    this.windows.clear();
  }

  /** @param jumpMs how far the machine's clock was set just now. */
  private timeMessage(jumpMs: number | null = null): string {
    const message: TimeMessage = { nowMs: this.clock.nowMs(), ...(jumpMs === null ? {} : { jumpMs }) };
    return `event: time\ndata: ${JSON.stringify(message)}\n\n`;
  }

  /** A device that was shut out hears nothing more. */
  shutOut(deviceId: string): void {
    for (const [res, id] of this.windows) if (id === deviceId) res.destroy();
  }

  private all(message: string): void {
    for (const res of this.windows.keys())
      if (res.writableLength > MOST_UNREAD_BYTES) res.destroy();
      else res.write(message);
  }
}

const eventMessage = ({ seq, event }: StoredEvent): string =>
  `id: ${seq}\nevent: log\ndata: ${JSON.stringify(event)}\n\n`;

const docMessage = (change: DocChange): string => `event: doc\ndata: ${JSON.stringify(change)}\n\n`;
