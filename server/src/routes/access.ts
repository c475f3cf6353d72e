import { idSchema } from '@big-ladle/core';
import express, { type Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import * as v from 'valibot';
import { type Openness, onlyFirstScreen, SESSION_COOKIE } from '../access.ts';
import type { Clock } from '../clock.ts';
import type { Db } from '../db/open.ts';
import { listDevices, type PairingCode, pairDevice, shutOut } from '../services/devices.ts';
import { parse, route } from './parse.ts';

const pairSchema = v.strictObject({
  code: v.pipe(v.string(), v.regex(/^\d{6}$/, 'sixFigures')),
  name: v.pipe(v.string('name'), v.trim(), v.minLength(1, 'name'), v.maxLength(40, 'name')),
});

/** A session lasts until the device is shut out; browsers keep a cookie for at most so long. */
const COOKIE_MS = 400 * 24 * 3_600_000;

/** Letting a device in: open to all, slow to guess at. */
export function pairingRouter(parts: {
  db: Db;
  clock: Clock;
  pairing: PairingCode;
  openness: Openness;
}): Router {
  const { db, clock, pairing, openness } = parts;
  const router = express.Router();
  router.post(
    '/',
    rateLimit({
      windowMs: 60_000,
      limit: 5,
      standardHeaders: true,
      legacyHeaders: false,
      skipSuccessfulRequests: true,
      handler: (_req, res) => {
        res
          .status(429)
          .type('application/problem+json')
          .send(
            JSON.stringify({
              type: 'urn:big-ladle:problem:tooManyTries',
              title: 'tooManyTries',
              status: 429,
              detail: 'Too many wrong codes. Wait a minute and look at the first screen again.',
            }),
          );
      },
    }),
    express.json({ limit: '4kb' }),
    route(async (req, res) => {
      const { device, token } = await pairDevice(db, pairing, parse(pairSchema, req.body), clock.nowMs());
      res.cookie(SESSION_COOKIE, token, {
        httpOnly: true,
        sameSite: 'strict',
        secure: openness.tls || openness.publicUrl?.startsWith('https:') === true,
        path: '/',
        maxAge: COOKIE_MS,
      });
      res.status(201).json(device);
    }),
  );
  return router;
}

/** Who may come in, told and changed on the first screen. */
export function accessRouter(parts: {
  db: Db;
  pairing: PairingCode;
  openness: Openness;
  addresses: () => string[];
}): Router {
  const { db, pairing, openness, addresses } = parts;
  const router = express.Router();
  router.use(onlyFirstScreen(openness));
  router.get(
    '/',
    route(async (_req, res) => {
      res.set('Cache-Control', 'no-store').json({
        open: openness.open,
        tls: openness.tls,
        addresses: openness.open ? (openness.publicUrl ? [openness.publicUrl] : addresses()) : [],
        pairing: openness.open ? pairing.show() : null,
        devices: await listDevices(db),
      });
    }),
  );
  router.delete(
    '/devices/:id',
    route(async (req, res) => {
      await shutOut(db, parse(idSchema, req.params.id));
      res.status(204).end();
    }),
  );
  return router;
}
