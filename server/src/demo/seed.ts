import {
  BOOK,
  type Choices,
  DAY_MS,
  type Deed,
  defaultChoices,
  dosesToCome,
  EMPTY_KITCHEN,
  fillMl,
  type Kitchen,
  type LogEvent,
  type MethodId,
  MINUTE_MS,
  type PlanDoc,
  type Program,
  type Question,
  SHIPPED_TABLES,
  simulateBatch,
  TUB,
} from '@big-ladle/core';
import type { Db } from '../db/open.ts';
import { writeKitchen } from '../db/rows.ts';
import { createBatch, requireBatch, startBatch } from '../services/batches.ts';
import { storeEvents } from '../services/events.ts';

/**
 * The made-up kitchen of the demo: a street of terraced houses holds a lantern supper on Saturday. All times are
 * made relative to `nowMs`, so the demo is always in the middle of things.
 */
const demoKitchen = (zone: string): Kitchen => ({
  ...EMPTY_KITCHEN,
  zone,
  pots: [
    {
      id: 'blue-pot',
      name: 'Blue pot',
      diameterCm: 30,
      heightCm: 24,
      material: 'enamel',
      lid: true,
      massG: 2900,
    },
    {
      id: 'tall-pot',
      name: 'Tall pot',
      diameterCm: 24,
      heightCm: 27,
      material: 'stainless',
      lid: true,
      massG: null,
    },
  ],
  burners: [
    { id: 'big-ring', name: 'Big gas ring', kind: 'gas', powerW: 3000 },
    { id: 'small-ring', name: 'Small gas ring', kind: 'gas', powerW: 1800 },
  ],
  bottles: [
    { id: 'tall-bottle', name: 'Tall bottle', volumeMl: 750, diameterCm: 8, material: 'glass', count: 18 },
    {
      id: 'litre-bottle',
      name: 'Litre bottle',
      volumeMl: 1000,
      diameterCm: 8.5,
      material: 'glass',
      count: 6,
    },
    { id: 'small-bottle', name: 'Small bottle', volumeMl: 330, diameterCm: 6, material: 'glass', count: 10 },
  ],
  measures: [{ id: 'blue-mug', name: 'blue mug', volumeMl: 310 }],
  cupWeights: [{ ingredientId: 'hibiscus-dried', measureId: 'blue-mug', massG: 44 }],
  preferredMeasureId: 'blue-mug',
  servingMl: 200,
  away: [{ kind: 'asleep', days: [0, 1, 2, 3, 4, 5, 6], fromMin: 22 * 60 + 30, toMin: 6 * 60 + 30 }],
});

const HOUR_MS = 60 * MINUTE_MS;
const DEVICE = 'demo-kitchen';

/** Writes deeds as events, one after the other. */
class Scribe {
  private seq = 0;
  constructor(private readonly stream: LogEvent['stream']) {}
  event(deed: Deed, atMs: number): LogEvent {
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

function planOf(
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
function comingSaturday(nowMs: number): number {
  const day = new Date(nowMs);
  day.setHours(17, 0, 0, 0);
  do day.setDate(day.getDate() + 1);
  while (day.getDay() !== 6);
  return day.getTime();
}

async function begun(
  db: Db,
  id: string,
  plan: PlanDoc,
  startOf: (program: Program, kitchen: Kitchen) => number,
) {
  const made = await createBatch(db, id, plan, 0);
  const scribe = new Scribe({ kind: 'batch', id });
  // The start is asked for with the moment still open: the program is known only once it is pinned.
  const draft = await startBatch(db, id, made.version, [], 0);
  const pins = draft.batch.pins!;
  const startMs = startOf(pins.program, pins.kitchen);
  return { scribe, program: pins.program, kitchen: pins.kitchen, startMs };
}

/** Fills an empty data file with the lantern supper's kitchen, batches and bottles. */
export async function seedDemo(db: Db, nowMs: number): Promise<void> {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  await db.transaction(async (trx) => {
    await writeKitchen(trx, 1, demoKitchen(zone));
  });
  await steepingNow(db, nowMs);
  await createBatch(
    db,
    'demo-planned',
    planOf(
      'peel-core-infusion',
      'straightBoil',
      'tall-pot',
      { kind: 'litres', litres: 6 },
      comingSaturday(nowMs),
    ),
    nowMs - 2 * HOUR_MS,
  );
  await onTheShelf(db, nowMs);
}

/** Nine litres, in the middle of their steep: 6 h 42 to the best moment. */
async function steepingNow(db: Db, nowMs: number): Promise<void> {
  const id = 'demo-steeping';
  const plan = planOf(
    'deep-calyx-ginger',
    'shortBoilLongSteep',
    'blue-pot',
    { kind: 'litres', litres: 9 },
    null,
  );
  const { scribe, program, startMs } = await begun(db, id, plan, (p, kitchen) => {
    const sim = simulateBatch(p, kitchen, SHIPPED_TABLES);
    const steep = sim.trace.find((t) => t.kind === 'steep')!;
    return nowMs - (steep.endMin - (6 * 60 + 42)) * MINUTE_MS;
  });
  const { pins } = await requireBatch(db, id);
  const sim = simulateBatch(program, pins!.kitchen, SHIPPED_TABLES);
  const events = [scribe.event({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, startMs)];
  for (const entry of sim.trace) {
    if (entry.kind === 'steep') break;
    const deed: Deed =
      entry.kind === 'wash' &&
      program.steps.some((s) => s.id === entry.stepId && s.kind === 'wash' && s.rinses === 4)
        ? { kind: 'stepEnded', body: { stepId: entry.stepId, rinses: 4 } }
        : { kind: 'stepEnded', body: { stepId: entry.stepId } };
    events.push(scribe.event(deed, startMs + entry.endMin * MINUTE_MS));
  }
  await db.transaction((trx) => storeEvents(trx, events, nowMs));
}

/** Six litres, bottled five days ago: one bottle opened, one stood out an evening, one a whole night. */
async function onTheShelf(db: Db, nowMs: number): Promise<void> {
  const id = 'demo-shelf';
  const plan = planOf('deep-calyx-ginger', 'straightBoil', 'blue-pot', { kind: 'litres', litres: 6 }, null);
  const bottledMs = nowMs - 5 * DAY_MS;
  const { scribe, program, kitchen, startMs } = await begun(db, id, plan, (p, k) => {
    const sim = simulateBatch(p, k, SHIPPED_TABLES);
    return bottledMs - sim.endMin * MINUTE_MS;
  });
  const sim = simulateBatch(program, kitchen, SHIPPED_TABLES);
  const events = [scribe.event({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, startMs)];
  const size = kitchen.bottles[0]!;
  for (const entry of sim.trace) {
    const endMs = startMs + entry.endMin * MINUTE_MS;
    if (entry.kind === 'strain') {
      // A little less came out of the cloth than the model says.
      const volumeL = Math.round(entry.now.volumeL * 0.98 * 20) / 20;
      events.push(
        scribe.event(
          {
            kind: 'measured',
            body: { stepId: entry.stepId, vesselId: TUB, reading: { what: 'volume', volumeL, atC: 60 } },
          },
          endMs - MINUTE_MS,
        ),
      );
    }
    if (entry.kind === 'sweeten') {
      const wanted = Object.entries(entry.dosedG);
      for (const [lineId, grams] of wanted) {
        const doses = dosesToCome(0, grams * 0.97).slice(0, 4);
        for (const [i, dose] of doses.entries()) {
          const atMs = startMs + entry.startMin * MINUTE_MS + (i + 1) * 2 * MINUTE_MS;
          events.push(
            scribe.event(
              {
                kind: 'added',
                body: {
                  stepId: entry.stepId,
                  vesselId: TUB,
                  lineKind: 'sweetener',
                  itemId: program.lines.find((l) => l.id === lineId)!.itemId,
                  lineId,
                  massG: Math.round(dose.grams),
                },
              },
              atMs,
            ),
          );
        }
      }
      events.push(
        scribe.event(
          { kind: 'tasted', body: { stepId: entry.stepId, axes: { sweet: 0 }, atSweetnessPct: 9.1 } },
          startMs + entry.endMin * MINUTE_MS - MINUTE_MS,
        ),
      );
    }
    if (entry.kind === 'bottle') {
      events.push(
        scribe.event(
          {
            kind: 'bottled',
            body: {
              stepId: entry.stepId,
              hygiene: 'sterilised',
              bottles: Array.from({ length: 8 }, (_, i) => ({
                itemId: `demo-bottle-${i + 1}`,
                sizeId: size.id,
                name: size.name,
                sizeMl: size.volumeMl,
                volumeMl: Math.round(fillMl(size.volumeMl)),
                diameterCm: size.diameterCm,
              })),
            },
          },
          endMs - MINUTE_MS,
        ),
      );
    }
    events.push(scribe.event({ kind: 'stepEnded', body: { stepId: entry.stepId } }, endMs));
  }
  await db.transaction((trx) => storeEvents(trx, events, nowMs));

  const bottle = (n: number) => new Scribe({ kind: 'item', id: `demo-bottle-${n}` });
  const opened = bottle(1);
  const evening = bottle(2);
  const night = bottle(3);
  await db.transaction((trx) =>
    storeEvents(
      trx,
      [
        opened.event({ kind: 'opened', body: {} }, nowMs - 1.2 * DAY_MS),
        opened.event({ kind: 'poured', body: { volumeMl: 250 } }, nowMs - 1.2 * DAY_MS + MINUTE_MS),
        evening.event({ kind: 'moved', body: { place: 'counter' } }, nowMs - 2 * DAY_MS),
        evening.event({ kind: 'moved', body: { place: 'fridge' } }, nowMs - 2 * DAY_MS + 7 * HOUR_MS),
        night.event({ kind: 'moved', body: { place: 'counter' } }, nowMs - 2 * DAY_MS),
        night.event({ kind: 'moved', body: { place: 'fridge' } }, nowMs - 2 * DAY_MS + 15 * HOUR_MS),
      ],
      nowMs,
    ),
  );
}
