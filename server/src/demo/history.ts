import { BOOK, defaultChoices } from '@big-ladle/core/book';
import type { MethodId, PlanDoc } from '@big-ladle/core/documents';
import type { LogEvent } from '@big-ladle/core/log';
import { fillMl, solvePlanDoc } from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { batchToRow, eventToRow, readKitchen } from '../db/rows.ts';
import { rebuildAll } from '../services/projections.ts';

/** How much history is made up. */
export interface HistoryWish {
  years: number;
  batches: number;
  bottlesEach: number;
  /** Bottles of the youngest batches still stand on the shelf. */
  there: number;
}

/** What a full kitchen has behind it: three hundred bottles of it still stand there. */
export const FIVE_YEARS: HistoryWish = { years: 5, batches: 1500, bottlesEach: 10, there: 300 };

const RECIPES: readonly [recipeId: string, methodId: MethodId][] = [
  ['deep-calyx-ginger', 'straightBoil'],
  ['peel-core-infusion', 'straightBoil'],
  ['lemongrass-ginger-mint', 'straightBoil'],
];

/** Events are written so many at a time. */
const AT_A_TIME = 400;

/**
 * Years of made-up batches into a kitchen that has its pots: each bottled, its bottles opened, poured and finished, all
 * through the log. For measuring how a full kitchen answers.
 */
export async function seedHistory(db: Db, nowMs: number, wish: HistoryWish): Promise<void> {
  const { kitchen } = await readKitchen(db);
  const everyMs = (wish.years * 365 * DAY_MS) / wish.batches;
  const young = wish.batches - Math.ceil(wish.there / wish.bottlesEach);
  const size = kitchen.bottles[0]!;
  const made = RECIPES.flatMap(([recipeId, methodId]) => {
    const recipe = BOOK.find((r) => r.id === recipeId)!;
    const plan: PlanDoc = {
      recipeId,
      choices: defaultChoices(recipe, methodId),
      potId: kitchen.pots[0]!.id,
      burnerId: kitchen.burners[0]!.id,
      question: { kind: 'litres', litres: 8 },
      fills: 1,
      readyAtMs: null,
    };
    const solved = solvePlanDoc(plan, BOOK, kitchen, SHIPPED_TABLES);
    if (!solved.ok) return [];
    const { program } = solved.value;
    const sim = simulateBatch(program, kitchen, SHIPPED_TABLES);
    return [{ plan, recipe, program, sim }];
  });
  let seq = 0;
  const event = (stream: LogEvent['stream'], kind: string, body: object, atMs: number): LogEvent =>
    ({
      id: `h-${++seq}`,
      stream,
      v: 1,
      atMs: Math.round(atMs),
      deviceId: 'history',
      deviceSeq: seq,
      kind,
      body,
    }) as LogEvent;
  await db.transaction(async (trx) => {
    const waiting: ReturnType<typeof eventToRow>[] = [];
    const write = async (least: number) => {
      while (waiting.length > least) await trx('event').insert(waiting.splice(0, AT_A_TIME));
    };
    for (let n = 0; n < wish.batches; n++) {
      const { plan, recipe, program, sim } = made[n % made.length]!;
      const id = `history-${n}`;
      const stream = { kind: 'batch' as const, id };
      // The youngest stand there and are good: they are of today and the day before.
      const isYoung = n >= young;
      const endMs = isYoung
        ? nowMs - ((wish.batches - n) * DAY_MS) / Math.max(1, wish.batches - young) - MINUTE_MS
        : nowMs - 3 * DAY_MS - (young - n) * everyMs;
      const startMs = endMs - sim.endMin * MINUTE_MS;
      await trx('batch').insert(
        batchToRow({
          id,
          status: 'done',
          plan,
          version: 2,
          pins: { recipe, program, kitchen, tablesVersion: SHIPPED_TABLES.version },
          createdMs: startMs,
          updatedMs: endMs,
        }),
      );
      const say = (e: LogEvent) => waiting.push(eventToRow(e, nowMs));
      say(event(stream, 'stepStarted', { stepId: program.steps[0]!.id }, startMs));
      for (const entry of sim.trace) {
        const atMs = startMs + entry.endMin * MINUTE_MS;
        for (const [lineId, massG] of Object.entries(entry.dosedG))
          say(
            event(
              stream,
              'added',
              {
                stepId: entry.stepId,
                vesselId: entry.vesselId,
                lineKind: 'sweetener',
                itemId: program.lines.find((l) => l.id === lineId)!.itemId,
                lineId,
                massG: Math.round(massG),
              },
              atMs - MINUTE_MS,
            ),
          );
        if (entry.kind === 'bottle')
          say(
            event(
              stream,
              'bottled',
              {
                stepId: entry.stepId,
                hygiene: 'sterilised',
                bottles: Array.from({ length: wish.bottlesEach }, (_, b) => ({
                  itemId: `${id}-${b}`,
                  sizeId: size.id,
                  name: size.name,
                  sizeMl: size.volumeMl,
                  volumeMl: Math.round(fillMl(size.volumeMl)),
                  diameterCm: size.diameterCm,
                })),
              },
              atMs - 1,
            ),
          );
        say(event(stream, 'stepEnded', { stepId: entry.stepId }, atMs));
      }
      if (!isYoung)
        for (let b = 0; b < wish.bottlesEach; b++) {
          const item = { kind: 'item' as const, id: `${id}-${b}` };
          const atMs = endMs + (b + 1) * 0.3 * DAY_MS;
          say(event(item, 'opened', {}, atMs));
          say(event(item, 'poured', { volumeMl: 250 }, atMs + MINUTE_MS));
          say(
            event(
              item,
              b % 9 === 8 ? 'discarded' : 'finished',
              b % 9 === 8 ? { why: 'fizz' } : {},
              Math.min(nowMs, atMs + DAY_MS),
            ),
          );
        }
      await write(AT_A_TIME);
    }
    await write(0);
    await rebuildAll(trx);
  });
}
