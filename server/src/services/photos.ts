import type { Photo, PhotoKind, PhotoSubject, PhotosOf } from '@big-ladle/core/contract';
import type { Db } from '../db/db.ts';
import type { Outcome } from '../outcome.ts';
import type { CleanJpeg } from '../photos/jpeg.ts';
import type { PhotoStore } from '../photos/store.ts';
import { HttpProblem, notFound } from '../problems.ts';

export interface PhotoDbRow {
  id: string;
  of_kind: PhotoSubject;
  of_id: string;
  what: PhotoKind;
  taken_ms: number;
  width_px: number;
  height_px: number;
  hash: string;
}

export const photoFrom = (r: PhotoDbRow): Photo => ({
  id: r.id,
  of: r.of_kind,
  ofId: r.of_id,
  what: r.what,
  takenMs: r.taken_ms,
  widthPx: r.width_px,
  heightPx: r.height_px,
});

/** Pictures of one thing are so many at most. */
const MOST_OF_ONE = 60;

export async function photosOf(db: Db, of: PhotoSubject, ofId: string): Promise<PhotosOf> {
  const rows = (await db('photo')
    .where({ of_kind: of, of_id: ofId })
    .orderBy([{ column: 'taken_ms', order: 'desc' }, { column: 'id' }])) as PhotoDbRow[];
  return { photos: rows.map(photoFrom), lastSpoon: of === 'batch' ? await spoonBefore(db, ofId) : null };
}

/** The spoon of another batch of the same drink, the newest there is. */
async function spoonBefore(db: Db, batchId: string): Promise<Photo | null> {
  const row = (await db('photo')
    .join('batch as other', 'other.id', 'photo.of_id')
    .joinRaw(
      "join batch as this on json_extract(this.plan, '$.recipeId') = json_extract(other.plan, '$.recipeId')",
    )
    .where({ 'photo.of_kind': 'batch', 'photo.what': 'spoon', 'this.id': batchId })
    .whereNot('other.id', batchId)
    .orderBy('photo.taken_ms', 'desc')
    .first('photo.*')) as PhotoDbRow | undefined;
  return row ? photoFrom(row) : null;
}

/** Whether there is what a picture is said to be of. Shipped drinks are in no table. */
async function hasSubject(db: Db, of: PhotoSubject, ofId: string): Promise<boolean> {
  if (of === 'recipe') return true;
  const row = await (of === 'batch'
    ? db('batch').where({ id: ofId }).first('id')
    : db('item_owner').where({ item_id: ofId }).first('item_id'));
  return row !== undefined;
}

/** @throws HttpProblem where it is of nothing, or one more would be too many. */
export async function addPhoto(
  db: Db,
  store: PhotoStore,
  said: Pick<Photo, 'id' | 'of' | 'ofId' | 'what' | 'takenMs'>,
  jpeg: CleanJpeg,
): Promise<Outcome<Photo>> {
  const { id, of, ofId } = said;
  if (!(await hasSubject(db, of, ofId))) throw notFound(of, ofId);
  const there = (await db('photo').where({ id }).first()) as PhotoDbRow | undefined;
  if (there) return { answer: photoFrom(there) };
  const [{ count }] = (await db('photo').where({ of_kind: of, of_id: ofId }).count({ count: '*' })) as [
    { count: number },
  ];
  if (count >= MOST_OF_ONE) throw new HttpProblem('tooManyPhotos', { params: { most: MOST_OF_ONE } });
  const row: PhotoDbRow = {
    id,
    of_kind: of,
    of_id: ofId,
    what: said.what,
    taken_ms: said.takenMs,
    width_px: jpeg.widthPx,
    height_px: jpeg.heightPx,
    // The file is there before anything names it.
    hash: store.put(jpeg.bytes),
  };
  await db('photo').insert(row);
  return {
    answer: photoFrom(row),
    created: `/api/photos/${id}/file`,
    changed: [{ doc: 'photo', id: ofId, version: 0 }],
  };
}

/** @throws HttpProblem where there is none, or its file is missing. */
export async function photoFile(db: Db, store: PhotoStore, id: string): Promise<Buffer> {
  const row = (await db('photo').where({ id }).first('hash')) as Pick<PhotoDbRow, 'hash'> | undefined;
  const bytes = row ? store.get(row.hash) : null;
  if (!bytes) throw notFound('photo', id);
  return bytes;
}

export async function dropPhoto(db: Db, store: PhotoStore, id: string): Promise<Outcome<undefined>> {
  const row = (await db('photo').where({ id }).first()) as PhotoDbRow | undefined;
  if (!row) throw notFound('photo', id);
  await db('photo').where({ id }).delete();
  // Backups keep their own.
  if (!(await db('photo').where({ hash: row.hash }).first('id'))) store.remove(row.hash);
  return { answer: undefined, changed: [{ doc: 'photo', id: row.of_id, version: 0 }] };
}

/** At a start: files that nothing names, left behind where something was cut off. */
export async function sweepPhotos(db: Db, store: PhotoStore): Promise<void> {
  store.keepOnly(new Set((await db('photo').pluck('hash')) as string[]));
}
