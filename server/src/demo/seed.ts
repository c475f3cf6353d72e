import type { PlanDoc } from '@big-ladle/core/documents';
import type { EventBody } from '@big-ladle/core/log';
import { type Simulation, type Step, simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { writeKitchen } from '../db/rows.ts';
import { createBatch, requireBatch } from '../services/batches.ts';
import { putStock } from '../services/book.ts';
import { storeEvents } from '../services/events.ts';
import { believeAnew, readOneBatch } from '../services/learning.ts';
import { onTheShelf } from './bottles.ts';
import { theLanternSupper } from './gathering.ts';
import { DEMO_PRICES, demoKitchen } from './kitchen.ts';
import { begun, comingSaturday, HOUR_MS, planOf } from './writing.ts';

/** Fills an empty data file with the lantern supper's kitchen, batches and bottles. */
export async function seedDemo(db: Db, nowMs: number): Promise<void> {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  await db.transaction(async (trx) => {
    await writeKitchen(trx, 1, demoKitchen(zone));
  });
  // Nine litres in the middle of their steep, and what cools for the supper beside them.
  const litres = (of: number) => ({ kind: 'litres' as const, litres: of });
  const steeping = planOf('deep-calyx-ginger', 'shortBoilLongSteep', 'blue-pot', litres(9), null);
  await standsAt(db, nowMs, 'demo-steeping', steeping, 'steep', 6 * 60 + 42);
  const cooling = planOf('pineapple-ginger', 'straightBoil', 'tall-pot', litres(7), null);
  await standsAt(db, nowMs, 'demo-cooling', cooling, 'cool', 35);
  const planned = planOf(
    'peel-core-infusion',
    'straightBoil',
    'tall-pot',
    { kind: 'litres', litres: 6 },
    comingSaturday(nowMs),
  );
  await createBatch(db, { id: 'demo-planned', plan: planned }, nowMs - 2 * HOUR_MS);
  await onTheShelf(db, nowMs);
  for (const row of DEMO_PRICES) await putStock(db, row);
  await theLanternSupper(db, nowMs);
  // What its batches tell is there when it is first opened.
  const fail = (error: unknown): never => {
    throw error;
  };
  while (await readOneBatch(db, fail));
  await believeAnew(db, nowMs);
}

/** A batch that stands at the last step of a kind, with so many minutes of it to go. */
async function standsAt(
  db: Db,
  nowMs: number,
  id: string,
  plan: PlanDoc,
  kind: Step['kind'],
  leftMin: number,
): Promise<void> {
  const at = (sim: Pick<Simulation, 'trace'>) => sim.trace.findLast((t) => t.kind === kind)!;
  const { eventWriter, program, startMs } = await begun(
    db,
    id,
    plan,
    (p, kitchen) => nowMs - (at(simulateBatch(p, kitchen, SHIPPED_TABLES)).endMin - leftMin) * MINUTE_MS,
  );
  const { pins } = await requireBatch(db, id);
  const sim = simulateBatch(program, pins!.kitchen, SHIPPED_TABLES);
  const events = [
    eventWriter.event({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, startMs),
  ];
  for (const entry of sim.trace) {
    if (entry === at(sim)) break;
    const deed: EventBody =
      entry.kind === 'wash' &&
      program.steps.some((s) => s.id === entry.stepId && s.kind === 'wash' && s.rinses === 4)
        ? { kind: 'stepEnded', body: { stepId: entry.stepId, rinses: 4 } }
        : { kind: 'stepEnded', body: { stepId: entry.stepId } };
    events.push(eventWriter.event(deed, startMs + entry.endMin * MINUTE_MS));
  }
  await db.transaction((trx) => storeEvents(trx, events, nowMs));
}
