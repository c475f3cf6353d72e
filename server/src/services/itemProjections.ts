import { glassFacts, strongGPerL } from '@big-ladle/core/balance';
import type { Batch, Pins } from '@big-ladle/core/contract';
import { bottleOf, fillingOf, hotTogether, wouldKeepLonger } from '@big-ladle/core/keeping';
import { fateOf } from '@big-ladle/core/learn';
import { abvPct, colourOf, GLASS_PATH_CM } from '@big-ladle/core/liquor';
import {
  type BatchNow,
  FIRST_PLACE,
  foldItem,
  type ItemLog,
  isGone,
  itemsOf,
  type LogEvent,
} from '@big-ladle/core/log';
import { lotOf, lotOfVessel, saysAlcohol, tagsOf, withServing } from '@big-ladle/core/program';
import {
  type BottleItem,
  boiledLinesOf,
  companionsOf,
  type LeftoverItem,
  residueOf,
} from '@big-ladle/core/shelf';
import type { Db } from '../db/db.ts';
import { keyOfLog } from '../db/logKey.ts';
import { type Frozen, freeze, newerOf } from './frozen.ts';
import { eventsOf, tablesOf } from './streams.ts';

export interface ItemRow {
  item_id: string;
  batch_id: string;
  kind: 'bottle' | 'leftover';
  facts: string;
  log: string;
}

/** An item as its batch made it, and where it was put. */
export interface Put {
  kind: 'bottle' | 'leftover';
  facts: BottleItem | LeftoverItem;
  madeMs: number;
  placeId: string;
}

export async function bottlesOf(
  db: Db,
  batch: Batch,
  pins: Pins,
  now: BatchNow,
  events: readonly LogEvent[],
): Promise<Put[]> {
  const { kitchen, recipe } = pins;
  const tables = tablesOf(pins);
  const name = recipe.name ? { drinkName: recipe.name } : {};
  const { startedMs } = now.log;
  if (startedMs === null) return [];
  const puts: Put[] = [];
  const key = keyOfLog(events);
  for (const filling of now.log.bottled) {
    // A lot has bottles of its own: each filling is what its own step left in them.
    const entry = now.forecast.trace.find((t) => t.stepId === filling.stepId);
    const liquor = entry?.after.liquor;
    if (!entry || !liquor) continue;
    const lotId = lotOf(entry.vesselId);
    const lot = lotId === null ? null : lotOfVessel(now.log.program, entry.vesselId);
    const itemIds = itemsOf(now.log, liquor);
    const computed: Frozen = {
      key,
      ...fillingOf(liquor, filling.hygiene, startedMs, filling.atMs),
      longer: wouldKeepLonger({ liquor, hygiene: filling.hygiene }),
    };
    const frozen = await freeze(db, filling.eventId, computed);
    const together = hotTogether(
      frozen.filledC,
      filling.bottles.map((b) => b.placeId ?? FIRST_PLACE),
      kitchen.places,
    );
    const newer = newerOf(frozen, computed);
    puts.push(
      ...filling.bottles.map(
        (b): Put => ({
          kind: 'bottle',
          madeMs: filling.atMs,
          placeId: b.placeId ?? FIRST_PLACE,
          facts: {
            itemId: b.itemId,
            batchId: batch.id,
            recipeId: recipe.id,
            ...name,
            sizeName: b.name,
            sizeMl: b.sizeMl,
            material: b.material ?? 'glass',
            form: b.form ?? 'bottle',
            closure: b.closure ?? 'metalLid',
            ...(b.forWhom ? { forWhom: b.forWhom } : {}),
            colour: colourOf(liquor, GLASS_PATH_CM),
            brix: entry.now.brix,
            abvPct: abvPct(liquor),
            strongGPerL: strongGPerL(liquor),
            tags: [...tagsOf(liquor, itemIds, tables)],
            itemIds: [...itemIds],
            ...(lot ? { lot: { id: lotId!, ...lot } } : {}),
            glass: glassFacts(liquor, withServing(kitchen, recipe).servingMl),
            longer: frozen.longer,
            bottle: { ...bottleOf(frozen, b, together), ...newer },
          },
        }),
      ),
    );
  }
  return puts;
}

/** What was set aside, as the trace has it: how wet it is, what is left of its strength. */
export function leftoversOf(batch: Batch, pins: Pins, now: BatchNow): Put[] {
  if (now.log.setAside.length === 0) return [];
  const tables = tablesOf(pins);
  const companionIds = companionsOf(now.log.program, now.forecast.trace);
  const residues = residueOf(now.forecast.vessels, boiledLinesOf(now.log.program, tables), tables);
  const alcohol = saysAlcohol(Math.max(0, ...now.forecast.trace.map((t) => t.now.abvPct)));
  return now.log.setAside.flatMap((event) =>
    event.body.leftovers.map((l): Put => {
      const residue = residues.find((r) => r.kind === l.kind);
      const share = residue ? l.massG / residue.massG : 0;
      return {
        kind: 'leftover',
        madeMs: event.atMs,
        placeId: l.placeId,
        facts: {
          itemId: l.itemId,
          batchId: batch.id,
          recipeId: pins.recipe.id,
          ...(pins.recipe.name ? { drinkName: pins.recipe.name } : {}),
          leftover: {
            kind: l.kind,
            ingredientIds: l.ingredientIds,
            companionIds,
            massG: l.massG,
            portions: l.portions,
            madeMs: event.atMs,
            heldMl: residue ? residue.heldMl * share : 0,
            boiled: residue ? residue.boiled : l.kind === 'syrup' || l.kind === 'foam',
            strengthShare: residue ? residue.strengthShare : 0,
            sugarPct: residue ? (100 * residue.sugarG * share) / l.massG : 0,
            alcohol,
          },
        },
      };
    }),
  );
}

/** Of a leftover as good as nothing is left, g. */
const USED_UP_G = 1;

const NO_BOTTLE = { fate: null, place_id: null, filled_ml: null, left_ml: null };

const whatBecameOf = ({ volumeMl }: BottleItem['bottle'], log: ItemLog) => ({
  fate: fateOf(log),
  place_id: log.places.at(-1)?.place ?? FIRST_PLACE,
  filled_ml: volumeMl,
  left_ml: Math.max(0, volumeMl - log.pouredMl),
});

export async function writeItem(db: Db, { kind, facts, madeMs, placeId }: Put): Promise<void> {
  const log = foldItem(madeMs, await eventsOf(db, 'item', facts.itemId), placeId);
  const usedUp =
    'leftover' in facts && facts.leftover.massG - log.used.reduce((sum, u) => sum + u.massG, 0) < USED_UP_G;
  const gone = isGone(log) || usedUp;
  const goneMs = log.finishedMs ?? log.discarded?.atMs ?? log.given?.atMs ?? log.used.at(-1)?.atMs ?? null;
  const row = {
    item_id: facts.itemId,
    batch_id: facts.batchId,
    recipe_id: facts.recipeId,
    kind,
    gone: gone ? 1 : 0,
    made_ms: madeMs,
    gone_ms: gone ? goneMs : null,
    facts: JSON.stringify(facts),
    log: JSON.stringify(log),
    ...('bottle' in facts ? whatBecameOf(facts.bottle, log) : NO_BOTTLE),
  };
  await db('item_now').insert(row).onConflict('item_id').merge();
}

export const madeMsOf = (facts: BottleItem | LeftoverItem): number =>
  'leftover' in facts ? facts.leftover.madeMs : facts.bottle.filledMs;
