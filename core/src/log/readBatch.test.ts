import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solvePlan } from '../plan/solve.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { HOUR_MS, MINUTE_MS } from '../units/time.ts';
import type { EventBody, LogEvent } from './events/table.ts';
import { type BatchToRead, readBatch } from './readBatch.ts';
import { toldAt } from './told.fixtures.ts';

const START = 1_800_000_000_000;
const recipe = BOOK[0]!;
const { program } = unwrap(
  solvePlan({
    recipe,
    choices: defaultChoices(recipe, 'straightBoil'),
    kitchen: KITCHEN,
    tables: TABLES,
    pot: POTS[1]!,
    burner: BURNERS[0]!,
    wish: { question: { kind: 'litres', litres: 9 }, fills: 1 },
  }),
);
const pins: BatchToRead = { recipe, program, kitchen: KITCHEN };
const deeds: EventBody[] = [
  { kind: 'stepStarted', body: { stepId: program.steps[0]!.id } },
  ...program.steps.slice(0, 6).map((s): EventBody => ({ kind: 'stepEnded', body: { stepId: s.id } })),
];
const events = deeds.map((deed, i) => toldAt(START + i * 10 * MINUTE_MS, i, deed));
const read = (of: BatchToRead, log = events) => readBatch(of, () => TABLES, log, START + 2 * HOUR_MS);

/** Every place in a document at which something stands. */
function placesIn(value: unknown, before: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]) => [
    [...before, key],
    ...placesIn(part, [...before, key]),
  ]);
}

/** The document with something else at a place. */
function withAt<T>(value: T, [key, ...rest]: readonly string[], other: unknown): T {
  if (key === undefined) return other as T;
  const copy = (Array.isArray(value) ? [...value] : { ...value }) as Record<string, unknown>;
  copy[key] = withAt(copy[key], rest, other);
  return copy as T;
}

const ODD = [null, undefined, '', 'wide', -1, 0, Number.NaN, 1e15, [], {}, true];

describe('a batch that may not be what it should be', () => {
  it('is read as batchAt reads it where it is sound', () => {
    const sound = read(pins);
    expect(sound.ok && sound.value.log.currentStepId).toBe(program.steps[6]!.id);
  });

  it('is told as unreadable, and throws nothing and ends, wherever something odd stands', () => {
    const places = placesIn({ program, kitchen: KITCHEN });
    fc.assert(
      fc.property(fc.constantFrom(...places), fc.constantFrom(...ODD), (place, odd) => {
        const answer = read(withAt(pins, place, odd));
        if (!answer.ok) expect(answer.problem).toEqual(expect.any(String));
      }),
      { numRuns: 400, seed: 18 },
    );
  });

  it('entries that are none of its steps, twice, or from before it, are no reason to break', () => {
    const entry = fc.record({
      at: fc.integer({ min: -1e6, max: 1e6 }),
      kind: fc.constantFrom('stepStarted', 'stepEnded', 'skipped', 'undone', 'flame', 'measured', 'noted'),
      body: fc.constantFrom({ stepId: 'none' }, { stepId: program.steps[3]!.id }, { target: 'e1' }, {}, null),
    });
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 6 }), (more) => {
        const strange = more.map(
          (m, i) =>
            ({ ...events[0]!, id: `x${i}`, atMs: START + m.at, kind: m.kind, body: m.body }) as LogEvent,
        );
        expect(() => read(pins, [...events, ...strange])).not.toThrow();
      }),
      { numRuns: 200, seed: 18 },
    );
  });
});
