import { dosesToCome } from '@big-ladle/core/balance';
import { BOOK, defaultChoices } from '@big-ladle/core/book';
import {
  type Choices,
  EMPTY_KITCHEN,
  type Kitchen,
  type MethodId,
  type PlanDoc,
} from '@big-ladle/core/documents';
import { type EventBody, fridgeAirC, type InstrumentReading, type LogEvent } from '@big-ladle/core/log';
import { fillMl, type Question } from '@big-ladle/core/plan';
import { type Program, simulateBatch, TUB } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { writeKitchen } from '../db/rows.ts';
import { createBatch, requireBatch, startBatch } from '../services/batches.ts';
import { storeEvents } from '../services/events.ts';
import { putInstrument, storeReadings } from '../services/instruments.ts';

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
  messageTo: [{ id: 'demo-neighbour', name: 'The neighbour at No. 9', kinds: ['due', 'vent', 'warm'] }],
  away: [{ kind: 'asleep', days: [0, 1, 2, 3, 4, 5, 6], fromMin: 22 * 60 + 30, toMin: 6 * 60 + 30 }],
});

const HOUR_MS = 60 * MINUTE_MS;
const DEVICE = 'demo-kitchen';

/** Writes deeds as events, one after the other. */
class EventWriter {
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
  const made = (await createBatch(db, { id, plan }, 0)).answer;
  const scribe = new EventWriter({ kind: 'batch', id });
  // The start is asked for with the moment still open: the program is known only once it is pinned.
  const draft = (await startBatch(db, id, { version: made.version, events: [] }, 0)).answer;
  const pins = draft.pins!;
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
  const planned = planOf(
    'peel-core-infusion',
    'straightBoil',
    'tall-pot',
    { kind: 'litres', litres: 6 },
    comingSaturday(nowMs),
  );
  await createBatch(db, { id: 'demo-planned', plan: planned }, nowMs - 2 * HOUR_MS);
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
    const deed: EventBody =
      entry.kind === 'wash' &&
      program.steps.some((s) => s.id === entry.stepId && s.kind === 'wash' && s.rinses === 4)
        ? { kind: 'stepEnded', body: { stepId: entry.stepId, rinses: 4 } }
        : { kind: 'stepEnded', body: { stepId: entry.stepId } };
    events.push(scribe.event(deed, startMs + entry.endMin * MINUTE_MS));
  }
  await db.transaction((trx) => storeEvents(trx, events, nowMs));
}

/** A bottle as it goes into the log of the demo. */
type Filled = Extract<EventBody, { kind: 'bottled' }>['body']['bottles'][number];
const filledOf = (size: Kitchen['bottles'][number], itemId: string, more: Partial<Filled> = {}): Filled => ({
  itemId,
  sizeId: size.id,
  name: size.name,
  sizeMl: size.volumeMl,
  volumeMl: Math.round(fillMl(size.volumeMl)),
  diameterCm: size.diameterCm,
  material: size.material,
  ...(size.form ? { form: size.form } : {}),
  ...(size.closure ? { closure: size.closure } : {}),
  ...more,
});

interface Bottling {
  id: string;
  plan: PlanDoc;
  bottledMs: number;
  bottles: (sizes: Kitchen['bottles']) => Filled[];
  /** Said after the last step. */
  after?: readonly EventBody[];
}

/** A batch that went as planned and was bottled some days ago. */
async function bottledBatch(db: Db, batch: Bottling, nowMs: number): Promise<void> {
  const { id, plan, bottledMs } = batch;
  const { scribe, program, kitchen, startMs } = await begun(db, id, plan, (p, k) => {
    const sim = simulateBatch(p, k, SHIPPED_TABLES);
    return bottledMs - sim.endMin * MINUTE_MS;
  });
  const sim = simulateBatch(program, kitchen, SHIPPED_TABLES);
  const events = [scribe.event({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, startMs)];
  let endedMs = startMs;
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
              bottles: batch.bottles(kitchen.bottles),
            },
          },
          endMs - MINUTE_MS,
        ),
      );
    }
    events.push(scribe.event({ kind: 'stepEnded', body: { stepId: entry.stepId } }, endMs));
    endedMs = endMs;
  }
  for (const [i, deed] of (batch.after ?? []).entries()) events.push(scribe.event(deed, endedMs + i + 1));
  await db.transaction((trx) => storeEvents(trx, events, nowMs));
}

/** The cold shelf five days before the supper: deep calyx in several hands, a raw punch, a cordial, leftovers. */
async function onTheShelf(db: Db, nowMs: number): Promise<void> {
  const litres = (n: number): Question => ({ kind: 'litres', litres: n });
  await bottledBatch(
    db,
    {
      id: 'demo-shelf',
      plan: planOf('deep-calyx-ginger', 'straightBoil', 'blue-pot', litres(6), null),
      bottledMs: nowMs - 5 * DAY_MS,
      bottles: ([tall]) =>
        Array.from({ length: 8 }, (_, i) =>
          filledOf(tall!, `demo-bottle-${i + 1}`, i === 7 ? { forWhom: 'No. 14' } : {}),
        ),
      after: [
        {
          kind: 'gifts',
          body: { occasion: 'Lantern supper', remindNextYear: true, rows: [{ to: 'No. 14', count: 1 }] },
        },
        {
          kind: 'setAside',
          body: {
            leftovers: [
              {
                itemId: 'demo-calyx',
                kind: 'calyx',
                ingredientIds: ['hibiscus-dried'],
                massG: 750,
                portions: 3,
                placeId: 'freezer',
              },
              {
                itemId: 'demo-roots',
                kind: 'root',
                ingredientIds: ['ginger-bruised'],
                massG: 120,
                portions: 2,
                placeId: 'freezer',
              },
            ],
          },
        },
      ],
    },
    nowMs,
  );
  await bottledBatch(
    db,
    {
      id: 'demo-raw',
      plan: planOf('calyx-pineapple', 'straightBoil', 'tall-pot', litres(3), null, { fruit: 'raw' }),
      bottledMs: nowMs - 1.6 * DAY_MS,
      bottles: ([, , small]) =>
        Array.from({ length: 7 }, (_, i) =>
          filledOf(small!, `demo-raw-${i + 1}`, i > 4 ? { placeId: 'door' } : {}),
        ),
      after: [
        {
          kind: 'setAside',
          body: {
            leftovers: [
              {
                itemId: 'demo-peel',
                kind: 'peel',
                ingredientIds: ['pineapple-peel', 'pineapple-core'],
                massG: 420,
                portions: 1,
                placeId: 'fridge',
              },
            ],
          },
        },
      ],
    },
    nowMs,
  );
  await fridgeRead(db, nowMs);

  const bottle = (n: number) => new EventWriter({ kind: 'item', id: `demo-bottle-${n}` });
  const opened = bottle(1);
  const evening = bottle(2);
  const night = bottle(3);
  const frozen = bottle(7);
  await db.transaction((trx) =>
    storeEvents(
      trx,
      [
        opened.event({ kind: 'opened', body: {} }, nowMs - 1.2 * DAY_MS),
        opened.event({ kind: 'poured', body: { volumeMl: 250 } }, nowMs - 1.2 * DAY_MS + MINUTE_MS),
        evening.event({ kind: 'moved', body: { place: 'counter' } }, nowMs - 2 * DAY_MS),
        evening.event({ kind: 'moved', body: { place: 'fridge' } }, nowMs - 2 * DAY_MS + 5 * HOUR_MS),
        night.event({ kind: 'moved', body: { place: 'counter' } }, nowMs - 2 * DAY_MS),
        night.event({ kind: 'moved', body: { place: 'fridge' } }, nowMs - 2 * DAY_MS + 15 * HOUR_MS),
        opened.event({ kind: 'looked', body: { signs: [] } }, nowMs - DAY_MS),
        frozen.event({ kind: 'moved', body: { place: 'freezer' } }, nowMs - 4 * DAY_MS),
      ],
      nowMs,
    ),
  );
}

/** Minutes between the readings that the demo's logger has left behind. */
const READ_EVERY_MIN = 5;

/** A logger in the fridge, with a night in which its door stood ajar. */
async function fridgeRead(db: Db, nowMs: number): Promise<void> {
  await putInstrument(db, {
    id: 'demo-fridge',
    kind: 'fridgeLogger',
    name: 'Fridge logger',
    batchId: null,
    lost: false,
    tareKg: 0,
    failing: null,
  });
  const night = new Date(nowMs - 2 * DAY_MS);
  night.setHours(22, 30, 0, 0);
  const ajar = { kind: 'doorOpen', sinceMs: night.getTime() } as const;
  const shutMs = ajar.sinceMs + 8 * HOUR_MS;
  const readings: InstrumentReading[] = [];
  for (let ms = nowMs - 6 * DAY_MS; ms < nowMs; ms += READ_EVERY_MIN * MINUTE_MS) {
    // A seed of its own without a bad day of its own.
    const own = Math.min(fridgeAirC(3, ms, 4, 21), 5.4);
    const atShut = fridgeAirC(3, shutMs, 4, 14, ajar);
    const value =
      ms > ajar.sinceMs && ms <= shutMs
        ? fridgeAirC(3, ms, 4, 14, ajar)
        : ms > shutMs
          ? own + Math.max(0, atShut - own) * Math.exp(-(ms - shutMs) / (70 * MINUTE_MS))
          : own;
    readings.push({ atMs: ms, value: Math.round(value * 10) / 10, fault: null });
  }
  const CHUNK = 60;
  for (let i = 0; i < readings.length; i += CHUNK)
    await storeReadings(db, 'demo-fridge', null, readings.slice(i, i + CHUNK));
}
