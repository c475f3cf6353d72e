import { describe, expect, it } from 'vitest';
import type { BatchLog } from '../log/batchLog.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { nextTime } from './nextTime.ts';

const program = plannedDrink('deep-calyx-ginger', 'straightBoil', 8);
const sweeten = program.steps.find((s) => s.kind === 'sweeten')!;
const boil = program.steps.find((s) => s.kind === 'boil')!;
const aimed = sweeten.kind === 'sweeten' ? sweeten.targetSweetnessPct : 0;
const tasted = (...tastes: Partial<BatchLog['tastes'][number]>[]): Parameters<typeof nextTime>[0] => ({
  program,
  added: [],
  tastes: tastes.map((t, i) => ({ stepId: sweeten.id, eventId: `t${i}`, atSweetnessPct: aimed, ...t })),
});

describe('one thing to change next time', () => {
  it('is nothing where all was right and went as planned', () => {
    expect(nextTime(tasted(), [])).toBeNull();
    expect(nextTime(tasted({ sweet: 0, sour: 0, strong: 0 }), [])).toBeNull();
  });

  it('is where it was found sweet enough, if that is not where it was aimed; else what was tasted', () => {
    const right = { sweet: 0, atSweetnessPct: aimed * 0.9, sour: 1 };
    expect(nextTime(tasted({ sweet: -1 }, right), [])).toEqual({
      kind: 'sweetness',
      stepId: sweeten.id,
      pct: Math.round(aimed * 9) / 10,
      aimedPct: aimed,
    });
    // Too sweet after it was right: it never was right again, and what is left is that it was too tart.
    expect(nextTime(tasted(right, { sweet: 1 }), [])).toEqual({
      kind: 'sour',
      stepId: sweeten.id,
      tooMuch: true,
    });
    expect(nextTime(tasted({ sour: 0 }, { strong: -1 }), [])).toEqual({
      kind: 'strong',
      stepId: boil.id,
      tooMuch: false,
    });
  });

  it('is what was put in besides, then what was left out, then the step that took longest', () => {
    const longer = { kind: 'longer' as const, stepId: boil.id, byMin: 12 };
    const wash = program.steps[1]!.id;
    const skipped = { kind: 'skipped' as const, stepId: wash };
    const put = { kind: 'added' as const, itemId: 'lime-juice', massG: 60 };
    const log = {
      ...tasted(),
      added: [{ body: { stepId: sweeten.id, itemId: 'lime-juice' } }] as unknown as BatchLog['added'],
    };
    expect(nextTime(log, [longer, skipped, put])).toEqual({
      kind: 'added',
      stepId: sweeten.id,
      itemId: 'lime-juice',
      massG: 60,
    });
    expect(nextTime(log, [longer, skipped])).toEqual({ kind: 'leaveOut', stepId: wash });
    expect(nextTime(log, [{ ...longer, byMin: 6, stepId: wash }, longer])).toEqual({
      kind: 'time',
      stepId: boil.id,
      byMin: 12,
    });
  });
});
