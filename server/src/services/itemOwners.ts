import type { LogEvent } from '@big-ladle/core/log';
import type { Db } from '../db/db.ts';
import { eventFrom } from '../db/rows.ts';

/** Events that put things on the shelf. */
const MAKING_KINDS = ['bottled', 'setAside'];

/** The things that an event puts on the shelf. */
export function itemIdsOf(event: LogEvent): string[] {
  switch (event.kind) {
    case 'bottled':
      return event.body.bottles.map((b) => b.itemId);
    case 'setAside':
      return event.body.leftovers.map((l) => l.itemId);
    default:
      return [];
  }
}

/** Writes down whose the things of an event are: of the batch that named them first, for good. */
export async function ownItems(db: Db, event: LogEvent): Promise<void> {
  const rows = itemIdsOf(event).map((item_id) => ({ item_id, batch_id: event.stream.id }));
  for (const row of rows) await db('item_owner').insert(row).onConflict('item_id').ignore();
}

/** Of these things those that are a batch's already, whichever. */
export async function ownedAmong(db: Db, ids: readonly string[]): Promise<string[]> {
  if (ids.length === 0) return [];
  const rows = (await db('item_owner').whereIn('item_id', ids).select('item_id')) as { item_id: string }[];
  return rows.map((r) => r.item_id);
}

/** Things that a batch names and another has named before it: in old data alone, for today they are refused. */
export async function takenFrom(db: Db, batchId: string, ids: readonly string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set();
  const rows = (await db('item_owner')
    .whereIn('item_id', ids)
    .whereNot({ batch_id: batchId })
    .select('item_id')) as { item_id: string }[];
  return new Set(rows.map((r) => r.item_id));
}

/** Works out anew whose every thing is, from the events in the order in which they came. */
export async function rebuildOwners(db: Db): Promise<void> {
  await db('item_owner').del();
  const rows = (await db('event').whereIn('kind', MAKING_KINDS).orderBy('seq').select('body')) as {
    body: string;
  }[];
  for (const { body } of rows) {
    const event = eventFrom(body);
    if (event) await ownItems(db, event);
  }
}
