import type { LogEvent } from '@big-ladle/core/log';
import { joinedRows, type PinnedRows, rowsFor, type Tables } from '@big-ladle/core/tables';
import type { Said } from '@big-ladle/core/units';
import type { Knex } from 'knex';
import { keyOfLog } from './logKey.ts';
import ROWS from './rows-0.5.0.json' with { type: 'json' };

/** What a file of version 0.5.0 lacks, filled in from that version's own tables and shelf. */

/** The shipped tables as they were in 0.5.0. */
export function tablesOf050(): Tables {
  const rows = ROWS as unknown as PinnedRows & { version: string };
  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((row) => [row.id, row]));
  return {
    version: rows.version,
    ingredients: byId(rows.ingredients),
    liquids: byId(rows.liquids),
    sweeteners: byId(rows.sweeteners),
  };
}

interface Pins050 {
  program: { lines: { itemId: string }[] };
  kitchen: { labels?: { like: string }[] };
  rows?: PinnedRows;
}

/** Batches that were begun with 0.5.0 keep the rows of 0.5.0: of their lines, their labels and what was put in. */
export async function pinRowsOf050(knex: Knex): Promise<void> {
  const tables = tablesOf050();
  const batches = (await knex('batch').whereNotNull('pins').select('id', 'pins')) as {
    id: string;
    pins: string;
  }[];
  for (const { id, pins: text } of batches) {
    const pins = JSON.parse(text) as Pins050;
    if (pins.rows) continue;
    const added = (
      (await knex('event').where({ stream_id: id }).whereIn('kind', ['added', 'swapped']).select('body')) as {
        body: string;
      }[]
    ).flatMap(({ body }) => (JSON.parse(body) as { body: { itemId?: string } }).body.itemId ?? []);
    const lines = pins.program.lines.map((l) => l.itemId);
    const labels = (pins.kitchen.labels ?? []).map((l) => l.like);
    const rows = joinedRows(rowsFor(tables, [...lines, ...labels]), rowsFor(tables, added));
    await knex('batch')
      .where({ id })
      .update({ pins: JSON.stringify({ ...pins, rows }) });
  }
}

interface Bottle050 {
  longer?: Said[];
  bottle: { filledMs: number; clockStartMs: number; filledC: number; keeping: object };
}

/** Bottles that were filled with 0.5.0 keep the class, the reasons and the life that they were given then. */
export async function keepFillingsOf050(knex: Knex): Promise<void> {
  const fillings = (await knex('event')
    .where({ kind: 'bottled', stream_kind: 'batch' })
    .select('id', 'stream_id', 'body')) as { id: string; stream_id: string; body: string }[];
  for (const { id, stream_id, body } of fillings) {
    const event = JSON.parse(body) as Extract<LogEvent, { kind: 'bottled' }>;
    const [first] = event.body.bottles;
    if (!first) continue;
    const item = (await knex('item_now')
      .where({ item_id: first.itemId, batch_id: stream_id })
      .first('facts')) as { facts: string } | undefined;
    if (!item) continue;
    const facts = JSON.parse(item.facts) as Bottle050;
    const log = (
      (await knex('event').where({ stream_kind: 'batch', stream_id }).select('body')) as {
        body: string;
      }[]
    ).map((row) => JSON.parse(row.body) as LogEvent);
    const { filledMs, clockStartMs, filledC, keeping } = facts.bottle;
    const kept = {
      key: keyOfLog(log),
      filledMs,
      clockStartMs,
      filledC,
      keeping,
      longer: facts.longer ?? [],
    };
    await knex('event')
      .where({ id })
      .update({ kept: JSON.stringify(kept) });
  }
}
