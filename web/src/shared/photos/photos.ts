import {
  PHOTO_BYTES,
  PHOTO_SIDE_PX,
  type PhotoKind,
  type PhotoSubject,
  ROUTES,
} from '@big-ladle/core/contract';
import { useQuery } from '@tanstack/react-query';
import { ask } from '../api.ts';
import { keys } from '../queries.ts';
import { send } from '../send.ts';
import { serverNow } from '../time.ts';

/** What photos are of. */
export interface Subject {
  of: PhotoSubject;
  ofId: string;
}

export const usePhotos = ({ of, ofId }: Subject) =>
  useQuery({ queryKey: keys.photosOf(ofId), queryFn: () => ask(ROUTES.photos, { query: { of, ofId } }) });

export const photoUrl = (id: string): string => `/api/photos/${encodeURIComponent(id)}/file`;

/** A file is no picture that this browser can read. */
export class NoPicture extends Error {}

const QUALITIES = [0.86, 0.75, 0.6, 0.45];

/**
 * A picture encoded anew: upright, no longer than is kept on a side, nothing in it but the picture.
 * @throws NoPicture
 */
export async function encodePhoto(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new NoPicture();
  });
  const scale = Math.min(1, PHOTO_SIDE_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new NoPicture();
  // What lets light through is drawn on white.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  for (const quality of QUALITIES) {
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
    if (blob && blob.size <= PHOTO_BYTES) return blob;
  }
  throw new NoPicture();
}

/** Keeps a picture that was encoded. Sent again under the same id it is stored once. @throws ApiError, OfflineError */
export const keepPhoto = ({ of, ofId }: Subject, what: PhotoKind, picture: Blob, id: string) =>
  send('addPhoto', { query: { id, of, ofId, what, takenMs: Math.round(serverNow()) } }, picture);
