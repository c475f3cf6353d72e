import { BOOK, defaultChoices } from '@big-ladle/core/book';
import type { Choices, Kitchen, MethodId, PlanDoc } from '@big-ladle/core/documents';
import type { EventBody, LogEvent } from '@big-ladle/core/log';
import type { Question } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { createBatch, startBatch } from '../services/batches.ts';

export const HOUR_MS = 60 * MINUTE_MS;

const DEVICE = 'demo-kitchen';

/** Writes deeds as events, one after the other. */
export class EventWriter {
  private seq = 0;
  constructor(private readonly stream: LogEvent['stream']) {}
  event(deed: EventBody, atMs: number): LogEvent {
    this.seq++;
    return {
      id: `${this.stream.id}-${String(this.seq).padStart(3, '0')}`,
      stream: this.stream,
      v: 1,
      atMs: Math.round(atMs),
      deviceId: DEVICE,
      deviceSeq: this.seq,
      ...deed,
    } as LogEvent;
  }
}

export function planOf(
  recipeId: string,
  methodId: MethodId,
  potId: string,
  question: Question,
  readyAtMs: number | null,
  choices: Partial<Choices> = {},
): PlanDoc {
  const recipe = BOOK.find((r) => r.id === recipeId)!;
  return {
    recipeId,
    choices: { ...defaultChoices(recipe, methodId), ...choices },
    potId,
    burnerId: potId === 'blue-pot' ? 'big-ring' : 'small-ring',
    question,
    fills: 1,
    readyAtMs,
  };
}

/** The coming Saturday, 17:00 in the machine's zone, at least a day away. */
export function comingSaturday(nowMs: number): number {
  const day = new Date(nowMs);
  day.setHours(17, 0, 0, 0);
  do day.setDate(day.getDate() + 1);
  while (day.getDay() !== 6);
  return day.getTime();
}

export async function begun(
  db: Db,
  id: string,
  plan: PlanDoc,
  startOf: (program: Program, kitchen: Kitchen) => number,
) {
  const made = (await createBatch(db, { id, plan }, 0)).answer;
  const eventWriter = new EventWriter({ kind: 'batch', id });
  // The start is asked for with the moment still open: the program is known only once it is pinned.
  const draft = (await startBatch(db, id, { version: made.version, events: [] }, 0)).answer;
  const pins = draft.pins!;
  const startMs = startOf(pins.program, pins.kitchen);
  return { eventWriter, program: pins.program, kitchen: pins.kitchen, startMs };
}
