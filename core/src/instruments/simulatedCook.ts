import type { Kitchen } from '../documents/kitchen.ts';
import { volumeMl } from '../liquor/composition.ts';
import { activeEvents } from '../log/events/order.ts';
import type { EventBody, LogEvent } from '../log/events/table.ts';
import { foldBatch } from '../log/foldBatch.ts';
import { type FilledBottle, fillBottles, jugOf, suggestBottles } from '../plan/bottles.ts';
import type { PlannedProgram, Program } from '../program/model/program.ts';
import type { TraceEntry } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';
import { TUB } from '../program/model/vessels.ts';
import type { Tables } from '../tables/types.ts';
import { MINUTE_MS } from '../units/time.ts';
import type { BatchTruth } from './truth.ts';

export interface CookInput {
  program: PlannedProgram;
  kitchen: Kitchen;
  tables: Tables;
  events: readonly LogEvent[];
  truth: BatchTruth;
  /** What the probe showed at a moment, where there is one that shows anything. */
  probeAt: (atMs: number) => number | null;
  newId: () => string;
}

/** The log takes no larger vessel than this, mL. */
const MOST_IN_A_JUG_ML = 30_000;
/** Minutes after the pot was put on at which the simulated cook holds the probe in. */
const PROBED_AT_MIN = [3, 5, 8] as const;

/**
 * What a simulated cook does next, and when: ends each step when it is really over, measures what came out, sweetens as
 * planned and fills the bottles. Null when the batch is done.
 */
export function cookNext(input: CookInput): { atMs: number; deeds: EventBody[] } | null {
  const { events, truth } = input;
  const log = foldBatch(input.program, events);
  const { program } = log;
  const step = program.steps.find((s) => s.id === log.currentStepId);
  const startMs = step ? log.steps[step.id]?.startMs : null;
  const entry = truth.forecast.trace.find((t) => t.stepId === step?.id);
  if (!step || startMs == null || !entry) return null;
  const endMs = startMs + Math.max(entry.endMin - entry.startMin, 0.2) * MINUTE_MS;
  if (step.kind === 'heat') {
    const taken = activeEvents(events).filter(
      (e) => e.kind === 'measured' && e.body.stepId === step.id,
    ).length;
    const minute = PROBED_AT_MIN[taken];
    const atMs = startMs + (minute ?? 0) * MINUTE_MS;
    const tempC = minute !== undefined && atMs < endMs ? input.probeAt(atMs) : null;
    if (tempC !== null)
      return {
        atMs,
        deeds: [
          {
            kind: 'measured',
            body: { stepId: step.id, vesselId: entry.vesselId, reading: { what: 'temperature', tempC } },
          },
        ],
      };
  }
  return {
    atMs: endMs,
    deeds: [...beforeTheEnd(input, program, step, entry), { kind: 'stepEnded', body: { stepId: step.id } }],
  };
}

function beforeTheEnd(input: CookInput, program: Program, step: Step, entry: TraceEntry): EventBody[] {
  const { truth } = input;
  switch (step.kind) {
    case 'strain': {
      if (entry.now.hotVolumeL < 0.1) return [];
      const volumeL = Math.round(entry.now.hotVolumeL * 20) / 20;
      return [
        {
          kind: 'measured',
          body: {
            stepId: step.id,
            vesselId: entry.vesselId,
            reading: { what: 'volume', volumeL, atC: Math.round(entry.now.tempC) },
          },
        },
      ];
    }
    case 'sweeten':
    case 'sour': {
      // As much of each as it takes: what is stated as stated, what is by taste up to where it is aimed at.
      const added = step.lines.flatMap((id): EventBody[] => {
        const line = program.lines.find((l) => l.id === id);
        const massG = Math.round(entry.dosedG[id] ?? 0);
        if (!line || massG <= 0) return [];
        const { kind: lineKind, itemId } = line;
        return [
          {
            kind: 'added',
            body: { stepId: step.id, vesselId: step.to[0] ?? TUB, lineKind, itemId, lineId: id, massG },
          },
        ];
      });
      const tasted: EventBody[] =
        step.kind === 'sweeten' && added.length > 0
          ? [
              {
                kind: 'tasted',
                body: { stepId: step.id, axes: { sweet: 0 }, atSweetnessPct: step.targetSweetnessPct },
              },
            ]
          : [];
      return [...added, ...tasted];
    }
    case 'bottle':
      return [
        {
          kind: 'bottled',
          body: {
            stepId: step.id,
            hygiene: step.hygiene,
            bottles: filled(input, bottledMl(truth, step.to[0]!)),
          },
        },
      ];
    default:
      return [];
  }
}

const bottledMl = (truth: BatchTruth, bottlesId: string): number => {
  const end = truth.forecast.vessels[bottlesId];
  return end ? volumeMl(end.liquor) : 0;
};

/** The bottles of the kitchen, each to its fill line; the rest in a jug. */
function filled({ kitchen, newId }: CookInput, ml: number): FilledBottle[] {
  const { bottles, leftMl } = fillBottles(ml, kitchen.bottles, suggestBottles(ml, kitchen.bottles), newId);
  const jugMl = Math.min(MOST_IN_A_JUG_ML, leftMl);
  return jugMl >= 10 && (bottles.length === 0 || jugMl > 50) ? [...bottles, jugOf(jugMl, newId)] : bottles;
}
