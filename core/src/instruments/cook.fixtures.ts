import { expect } from 'vitest';
import type { Kitchen } from '../documents/kitchen.ts';
import type { EventBody, LogEvent } from '../log/events/table.ts';
import type { ModelFactors } from '../program/model/factors.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import { TABLES } from '../testKitchen.ts';
import { cookNext } from './simulatedCook.ts';
import { type BatchTruth, simulateTruth } from './truth.ts';

let made = 0;
/** A deed as it stands in the log of a rehearsal. */
export const eventOf = (deed: EventBody, atMs: number): LogEvent =>
  ({
    id: `e${String(++made).padStart(6, '0')}`,
    stream: { kind: 'rehearsal', id: 'r' },
    v: 1,
    atMs,
    deviceId: 'd',
    deviceSeq: made,
    ...deed,
  }) as LogEvent;

/** More steps than this no batch has. */
const MOST_ROUNDS = 120;

/** The simulated cook, from the first step to the bottles. */
export function cookThrough(
  program: PlannedProgram,
  kitchen: Kitchen,
  hidden: ModelFactors,
  startMs: number,
  probeAt: (atMs: number, truthAt: (atMs: number) => BatchTruth) => number | null = () => null,
): { events: LogEvent[]; truth: BatchTruth; endMs: number } {
  const events = [eventOf({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, startMs)];
  const truthAt = (atMs: number) => simulateTruth(program, kitchen, TABLES, events, atMs, hidden);
  let atMs = startMs;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const truth = truthAt(atMs);
    expect(truth.forecast.problem).toBeNull();
    const next = cookNext({
      program,
      kitchen,
      tables: TABLES,
      events,
      truth,
      probeAt: (ms) => probeAt(ms, truthAt),
      newId: () => `item-${++made}`,
    });
    if (!next) return { events, truth, endMs: atMs };
    expect(next.atMs).toBeGreaterThanOrEqual(atMs);
    atMs = next.atMs;
    for (const [i, deed] of next.deeds.entries()) events.push(eventOf(deed, atMs + i));
  }
  throw new Error('the simulated cook never came to an end');
}
