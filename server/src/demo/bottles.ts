import { dosesToCome } from '@big-ladle/core/balance';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import type { ModelFactors } from '@big-ladle/core/learn';
import type { EventBody } from '@big-ladle/core/log';
import { fillMl, type Question } from '@big-ladle/core/plan';
import { simulateBatch, TUB } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { storeEvents } from '../services/events.ts';
import { fridgeRead } from './fridge.ts';
import { begun, EventWriter, HOUR_MS, planOf } from './writing.ts';

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

/** How this kitchen really is: its big ring gives less than it says, ice cools less well, and hands take their time. */
const REALLY: ModelFactors = {
  'power:big-ring': 0.84,
  'boilOff:blue-pot': 1.06,
  'heatLoss:iceBath': 0.86,
  'minutes:strain': 1.25,
  'minutes:prep': 1.15,
};

interface Bottling {
  id: string;
  plan: PlanDoc;
  bottledMs: number;
  bottles: (sizes: Kitchen['bottles']) => Filled[];
  /** Said after the last step. */
  after?: readonly EventBody[];
}

/** A batch that went as this kitchen is and was bottled some days ago. */
async function bottledBatch(db: Db, batch: Bottling, nowMs: number): Promise<void> {
  const { id, plan, bottledMs } = batch;
  const { eventWriter, program, kitchen, startMs } = await begun(db, id, plan, (p, k) => {
    const sim = simulateBatch(p, k, SHIPPED_TABLES, { factors: REALLY });
    return bottledMs - sim.endMin * MINUTE_MS;
  });
  const sim = simulateBatch(program, kitchen, SHIPPED_TABLES, { factors: REALLY });
  const events = [
    eventWriter.event({ kind: 'stepStarted', body: { stepId: program.steps[0]!.id } }, startMs),
  ];
  let endedMs = startMs;
  for (const entry of sim.trace) {
    const endMs = startMs + entry.endMin * MINUTE_MS;
    if (entry.kind === 'strain') {
      // A little less came out of the cloth than the model says.
      const volumeL = Math.round(entry.now.volumeL * 0.98 * 20) / 20;
      events.push(
        eventWriter.event(
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
            eventWriter.event(
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
        eventWriter.event(
          { kind: 'tasted', body: { stepId: entry.stepId, axes: { sweet: 0 }, atSweetnessPct: 9.1 } },
          startMs + entry.endMin * MINUTE_MS - MINUTE_MS,
        ),
      );
    }
    if (entry.kind === 'bottle') {
      events.push(
        eventWriter.event(
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
    events.push(eventWriter.event({ kind: 'stepEnded', body: { stepId: entry.stepId } }, endMs));
    endedMs = endMs;
  }
  for (const [i, deed] of (batch.after ?? []).entries())
    events.push(eventWriter.event(deed, endedMs + i + 1));
  await db.transaction((trx) => storeEvents(trx, events, nowMs));
}

/** The cold shelf five days before the supper: deep calyx in several hands, a raw punch, a cordial, leftovers. */
export async function onTheShelf(db: Db, nowMs: number): Promise<void> {
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
