import { stat } from 'node:fs/promises';
import type { ArchiveCounts, ImportReport } from '@big-ladle/core/contract';
import { ARCHIVE_SECTIONS, type ArchiveRow, outsideToday } from '@big-ladle/core/exchange';
import { eventSchema, readStored } from '@big-ladle/core/log';
import type * as v from 'valibot';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { type CleanJpeg, cleanJpeg } from '../photos/jpeg.ts';
import { HttpProblem } from '../problems.ts';
import { itemIdsOf } from '../services/itemOwners.ts';
import { newReadings } from './newReadings.ts';
import type { Pace } from './pace.ts';
import { type ReadRow, readArchive } from './read.ts';

/** So many that are outside of today's limits are named one by one. */
const NAMED = 20;

/** Ids of what there is, by what it is. */
export interface Known {
  recipes: Set<string>;
  ingredients: Set<string>;
  batches: Set<string>;
  events: Set<string>;
  instruments: Set<string>;
  photos: Set<string>;
  gatherings: Set<string>;
  items: Set<string>;
}

const none = (): Known => ({
  recipes: new Set(),
  ingredients: new Set(),
  batches: new Set(),
  events: new Set(),
  instruments: new Set(),
  photos: new Set(),
  gatherings: new Set(),
  items: new Set(),
});

export async function knownIn(db: Db): Promise<Known> {
  const ids = async (table: string, column = 'id'): Promise<Set<string>> =>
    new Set((await db(table).pluck(column)) as string[]);
  return {
    recipes: await ids('recipe'),
    ingredients: await ids('ingredient'),
    batches: await ids('batch'),
    events: await ids('event'),
    instruments: await ids('instrument'),
    photos: await ids('photo'),
    gatherings: await ids('gathering'),
    items: await ids('item_owner', 'item_id'),
  };
}

const nothing = (): ArchiveCounts => ({
  recipes: 0,
  ingredients: 0,
  batches: 0,
  events: 0,
  instruments: 0,
  readings: 0,
  photos: 0,
  gatherings: 0,
});

/** What an archive holds, looked over as a whole. */
export interface Checked {
  report: ImportReport;
  /** What is in it. */
  held: Known;
}

/** What is outside of today's limits, the first ones named. */
class Outside {
  readonly named: ImportReport['outside'] = [];
  more = 0;

  look(id: string, schema: v.GenericSchema, value: unknown): void {
    const outside = outsideToday(schema, value);
    if (!outside) return;
    if (this.named.length < NAMED) this.named.push({ id, ...outside });
    else this.more++;
  }
}

/**
 * Reads an archive to its end and says what it holds and what would come of it; changes nothing.
 * @param progress hears how much of the file has been read, 0 to 1.
 * @throws HttpProblem that says what is wrong and where; Stopped.
 */
export async function checkArchive(
  db: Db,
  file: string,
  pace: Pace,
  progress: (share: number) => void,
): Promise<Checked> {
  const { size } = await stat(file);
  const here = await knownIn(db);
  const held = none();
  const holds = nothing();
  const added = nothing();
  const outside = new Outside();
  const kept = new Set<string>();
  /** Entries by the stream that they stand in: whether it is there is known at the end. */
  const streams = new Map<string, { kind: string; id: string; events: number }>();
  let writtenMs: number | null = null;
  let kitchen = false;
  let passedOver = 0;
  const count = (what: keyof Known & keyof ArchiveCounts, id: string): void => {
    holds[what]++;
    if (!here[what].has(id)) added[what]++;
    held[what].add(id);
  };
  const take = async (entry: ReadRow): Promise<void> => {
    if (entry.section !== 'events' && entry.section !== 'readings')
      outside.look(idOf(entry), ARCHIVE_SECTIONS[entry.section].today, entry.row);
    switch (entry.section) {
      case 'kitchen':
        kitchen = true;
        return;
      case 'stock':
        return;
      case 'ingredients':
      case 'batches':
      case 'instruments':
      case 'gatherings':
        count(entry.section, entry.row.id);
        return;
      case 'photos':
        if (!jpegOf(entry.row)) throw new HttpProblem('badPhoto');
        count('photos', entry.row.id);
        return;
      case 'recipes':
        if (!held.recipes.has(entry.row.recipeId)) count('recipes', entry.row.recipeId);
        return;
      case 'readings':
        holds.readings += entry.row.readings.length;
        added.readings += (await newReadings(db, entry.row)).length;
        return;
      case 'events': {
        const event = readStored(entry.row.event);
        if (!event) {
          passedOver++;
          return;
        }
        outside.look(event.id, eventSchema, event);
        for (const itemId of itemIdsOf(event)) held.items.add(itemId);
        const key = `${event.stream.kind} ${event.stream.id}`;
        const stream = streams.get(key) ?? { ...event.stream, events: 0 };
        stream.events++;
        streams.set(key, stream);
        count('events', event.id);
      }
    }
  };
  for await (const entry of readArchive(file)) {
    if (entry.kind === 'head') writtenMs = entry.writtenMs;
    else if (entry.kind === 'kept') kept.add(entry.section);
    else await take(entry);
    progress(Math.min(1, entry.bytes / size));
    await pace.breathe();
  }
  for (const { kind, id, events } of streams.values())
    if (!isThere(kind, id, held) && !isThere(kind, id, here)) passedOver += events;
  const { pots } = (await readKitchen(db)).kitchen;
  return {
    held,
    report: {
      writtenMs,
      holds,
      added,
      here: {
        recipes: here.recipes.size,
        ingredients: here.ingredients.size,
        batches: here.batches.size,
        events: here.events.size,
        instruments: here.instruments.size,
        readings: 0,
        photos: here.photos.size,
        gatherings: here.gatherings.size,
      },
      kitchen: kitchen && pots.length === 0,
      outside: outside.named,
      outsideMore: outside.more,
      passedOver,
      keptSections: [...kept],
    },
  };
}

/** The picture of a row, with nothing else in it; null: it is none. */
export const jpegOf = (row: ArchiveRow<'photos'>): CleanJpeg | null =>
  cleanJpeg(Buffer.from(row.jpeg, 'base64'));

/** Whether the batch or the thing of a stream is among what is known. */
export const isThere = (kind: string, id: string, known: Known): boolean =>
  kind === 'item' ? known.items.has(id) : known.batches.has(id);

function idOf(entry: ReadRow): string {
  switch (entry.section) {
    case 'kitchen':
      return 'kitchen';
    case 'stock':
      return entry.row.itemId;
    case 'recipes':
      return entry.row.recipeId;
    case 'ingredients':
    case 'batches':
    case 'instruments':
    case 'photos':
    case 'gatherings':
      return entry.row.id;
    default:
      return entry.section;
  }
}
