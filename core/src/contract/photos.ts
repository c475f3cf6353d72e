import * as v from 'valibot';
import { between, id } from '../units/fields.ts';

/** What a picture is of. */
export const PHOTO_SUBJECTS = ['batch', 'item', 'recipe'] as const;
export type PhotoSubject = (typeof PHOTO_SUBJECTS)[number];
/** What is on it: a spoon of the drink is held beside last time's. */
export const PHOTO_KINDS = ['spoon', 'drink', 'other'] as const;
export type PhotoKind = (typeof PHOTO_KINDS)[number];

/** The most bytes of a picture. */
export const PHOTO_BYTES = 2 * 1024 * 1024;
/** The longest side that it is sent with, pixels. */
export const PHOTO_SIDE_PX = 2000;

/** A picture as it is sent: its bytes, a JPEG, are the body. */
export const newPhotoSchema = v.object({
  id,
  of: v.picklist(PHOTO_SUBJECTS),
  ofId: id,
  what: v.picklist(PHOTO_KINDS),
  takenMs: v.pipe(v.string(), v.transform(Number), between(0, 8.64e15)),
});
export const photosOfSchema = v.object({ of: v.picklist(PHOTO_SUBJECTS), ofId: id });

export interface Photo {
  id: string;
  of: PhotoSubject;
  ofId: string;
  what: PhotoKind;
  takenMs: number;
  widthPx: number;
  heightPx: number;
}

/** Pictures of one thing, the newest first; of a batch also the spoon of the batch before it of the same drink. */
export interface PhotosOf {
  photos: Photo[];
  lastSpoon: Photo | null;
}

/** A picture in an archive: its bytes in base64. */
export const photoRowSchema = v.strictObject({
  id,
  of: v.picklist(PHOTO_SUBJECTS),
  ofId: id,
  what: v.picklist(PHOTO_KINDS),
  takenMs: v.number(),
  jpeg: v.pipe(v.string(), v.base64('base64'), v.maxLength(Math.ceil(PHOTO_BYTES / 3) * 4 + 4)),
});
