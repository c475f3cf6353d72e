import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import type { Device } from '@big-ladle/core/contract';
import { v7 as uuid } from 'uuid';
import type { Clock } from '../clock.ts';
import type { Db } from '../db/db.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem, notFound } from '../problems.ts';

/** A device that has been let into the kitchen. */
interface DeviceRow {
  id: string;
  name: string;
  token_hash: string;
  created_ms: number;
  seen_ms: number;
}

/** A code is good for so long, and for one device. */
const CODE_MS = 10 * 60_000;
/** It counts only while it is on a screen: so long after it was shown last. The page asks for it twice as often. */
const SHOWN_MS = 75_000;
/** So many wrong codes, from all together, and nobody is let in for a while. */
const WRONG_PER_CODE = 10;
const PAUSE_MS = 5 * 60_000;
/** When a device was last seen is written down this often at most. */
const SEEN_MS = 60_000;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const same = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** The code on the first screen: six figures, renewed when it is old, used, or guessed at too often. */
export class PairingCode {
  private code = '';
  private untilMs = 0;
  private wrong = 0;
  private shownMs = Number.NEGATIVE_INFINITY;
  private pausedUntilMs = 0;
  /** @param renewed told of every new code; without it the code is only on a screen. */
  constructor(
    private readonly clock: Clock,
    private readonly renewed?: (code: string) => void,
  ) {}

  /** The code for the screen that asks, and how often somebody has guessed wrongly since it is this one. */
  show(): { code: string; untilMs: number; wrong: number; pausedUntilMs: number | null } {
    const nowMs = this.clock.nowMs();
    if (nowMs >= this.untilMs) this.renew();
    this.shownMs = nowMs;
    const pausedUntilMs = nowMs < this.pausedUntilMs ? this.pausedUntilMs : null;
    return { code: this.code, untilMs: this.untilMs, wrong: this.wrong, pausedUntilMs };
  }

  /** Takes a code that is right, once, while somebody can see it. */
  take(tried: string): boolean {
    const nowMs = this.clock.nowMs();
    if (nowMs < this.pausedUntilMs) throw new HttpProblem('tooManyTries');
    const inSight = this.renewed !== undefined || nowMs - this.shownMs <= SHOWN_MS;
    if (inSight && nowMs < this.untilMs && same(tried, this.code)) {
      this.renew();
      return true;
    }
    this.wrong++;
    if (this.wrong >= WRONG_PER_CODE) {
      this.pausedUntilMs = nowMs + PAUSE_MS;
      this.renew();
    }
    return false;
  }

  private renew(): void {
    this.code = String(randomInt(0, 1_000_000)).padStart(6, '0');
    this.untilMs = this.clock.nowMs() + CODE_MS;
    this.wrong = 0;
    this.renewed?.(this.code);
  }
}

/** Lets a device in. Only the hash of what it gets is kept. */
export async function pairDevice(
  db: Db,
  pairing: PairingCode,
  sent: { code: string; name: string },
  nowMs: number,
): Promise<{ device: Device; token: string }> {
  if (!pairing.take(sent.code)) throw new HttpProblem('wrongCode');
  const token = randomBytes(32).toString('base64url');
  const device: Device = { id: uuid(), name: sent.name, createdMs: nowMs, seenMs: nowMs };
  await db('device').insert({
    id: device.id,
    name: device.name,
    token_hash: hashOf(token),
    created_ms: nowMs,
    seen_ms: nowMs,
  });
  return { device, token };
}

/** The device that a token belongs to; null where it was never let in, or was shut out. */
export async function deviceOf(db: Db, token: string | undefined, nowMs: number): Promise<Device | null> {
  if (!token) return null;
  const row = (await db('device')
    .where({ token_hash: hashOf(token) })
    .first()) as DeviceRow | undefined;
  if (!row) return null;
  if (nowMs - row.seen_ms > SEEN_MS) await db('device').where({ id: row.id }).update({ seen_ms: nowMs });
  return { id: row.id, name: row.name, createdMs: row.created_ms, seenMs: row.seen_ms };
}

export async function listDevices(db: Db): Promise<Device[]> {
  const rows = (await db('device').orderBy('created_ms')) as DeviceRow[];
  return rows.map((r) => ({ id: r.id, name: r.name, createdMs: r.created_ms, seenMs: r.seen_ms }));
}

export async function revoke(db: Db, id: string): Promise<Outcome<undefined>> {
  if ((await db('device').where({ id }).del()) === 0) throw notFound('device', id);
  return { answer: undefined };
}
