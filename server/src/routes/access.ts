import { ROUTES } from '@big-ladle/core/contract';
import express, { type Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { type NetworkExposure, onlyFirstScreen, SESSION_COOKIE } from '../access.ts';
import type { Clock } from '../clock.ts';
import type { Db } from '../db/db.ts';
import type { NetworkDesk } from '../network/desk.ts';
import { sendProblem } from '../problems.ts';
import { listDevices, type PairingCode, pairDevice, revoke } from '../services/devices.ts';
import type { StreamHub } from '../stream.ts';
import { serving } from './serve.ts';

/** A session lasts until the device is shut out; browsers keep a cookie for at most so long. */
const COOKIE_MS = 400 * 24 * 3_600_000;

/** Letting a device in: open to all, slow to guess at. */
export function pairingRouter(parts: {
  db: Db;
  clock: Clock;
  hub: StreamHub;
  pairing: PairingCode;
  openness: NetworkExposure;
}): Router {
  const { db, clock, hub, pairing, openness } = parts;
  const router = express.Router();
  router.post(
    ROUTES.pair.path,
    rateLimit({
      windowMs: 60_000,
      limit: 5,
      standardHeaders: true,
      legacyHeaders: false,
      skipSuccessfulRequests: true,
      handler: (_req, res) => sendProblem(res, 'tooManyTries'),
    }),
    express.json({ limit: '4kb' }),
  );
  serving(router, hub)(ROUTES.pair, async ({ body, res }) => {
    const { device, token } = await pairDevice(db, pairing, body, clock.nowMs());
    res.cookie(SESSION_COOKIE, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: openness.tls || openness.publicUrl?.startsWith('https:') === true,
      path: '/',
      maxAge: COOKIE_MS,
    });
    res.status(201);
    return { answer: device };
  });
  return router;
}

/** Who may come in, told and changed on the first screen. */
export function accessRouter(parts: {
  db: Db;
  hub: StreamHub;
  pairing: PairingCode;
  openness: NetworkExposure;
  network: NetworkDesk;
  addresses: () => string[];
}): Router {
  const { db, hub, pairing, openness, network, addresses } = parts;
  const router = express.Router();
  router.use(ROUTES.access.path, onlyFirstScreen(openness), express.json({ limit: '4kb' }));
  const serve = serving(router, hub);
  serve(ROUTES.access, async ({ res }) => {
    res.set('Cache-Control', 'no-store');
    return {
      answer: {
        open: openness.open,
        tls: openness.tls,
        ...network.state(),
        addresses: openness.open ? (openness.publicUrl ? [openness.publicUrl] : addresses()) : [],
        pairing: openness.open ? pairing.show() : null,
        devices: await listDevices(db),
      },
    };
  });
  serve(ROUTES.changeNetwork, async ({ body }) => {
    network.change(body);
    return { answer: undefined };
  });
  serve(ROUTES.makeCertificate, async () => {
    await network.makeCertificate();
    return { answer: undefined };
  });
  serve(ROUTES.revoke, async ({ params }) => {
    const outcome = await revoke(db, params.id);
    hub.shutOut(params.id);
    return outcome;
  });
  return router;
}
