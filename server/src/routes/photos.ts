import { PHOTO_BYTES, ROUTES } from '@big-ladle/core/contract';
import { idSchema } from '@big-ladle/core/units';
import express, { type Router } from 'express';
import { cleanJpeg } from '../photos/jpeg.ts';
import { HttpProblem } from '../problems.ts';
import { addPhoto, dropPhoto, photoFile, photosOf } from '../services/photos.ts';
import { parse, route } from './parse.ts';
import type { ApiParts } from './parts.ts';
import { type Serve, tell } from './serve.ts';

/** Pictures come and go as they are. To be put before bodies are read as JSON. */
export function photoBodies(api: Router, { db, photos, hub }: ApiParts): void {
  api.post(
    ROUTES.addPhoto.path,
    express.raw({ type: 'image/jpeg', limit: PHOTO_BYTES }),
    route(async (req, res) => {
      const said = parse(ROUTES.addPhoto.query, req.query);
      const jpeg = Buffer.isBuffer(req.body) ? cleanJpeg(req.body) : null;
      if (!jpeg) throw new HttpProblem('badPhoto');
      tell(await addPhoto(db, photos, said, jpeg), hub, res);
    }),
  );
  api.get(
    ROUTES.photoFile.path,
    route(async (req, res) => {
      const bytes = await photoFile(db, photos, parse(idSchema, req.params.id));
      // A picture never changes under its address; it stays this kitchen's own.
      res.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(bytes);
    }),
  );
}

export function servePhotos(serve: Serve, { db, photos }: ApiParts): void {
  serve(ROUTES.photos, async ({ query }) => ({ answer: await photosOf(db, query.of, query.ofId) }));
  serve(ROUTES.dropPhoto, async ({ params }) => dropPhoto(db, photos, params.id));
}
