import { parse as parseCookies } from 'cookie';
import type { Request, RequestHandler } from 'express';
import type { Clock } from './clock.ts';
import type { Db } from './db/open.ts';
import { HttpProblem } from './problems.ts';
import { deviceOf } from './services/devices.ts';

/** How the server may be reached besides from its own machine. */
export interface Openness {
  /** It listens to the home network. */
  open: boolean;
  /** Where it is reached from there, for links; null: by its address. */
  publicUrl: string | null;
  /** It speaks over a safe connection itself. */
  tls: boolean;
}

export const SESSION_COOKIE = 'ladle_session';
const LOCAL_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);
const LOCAL_ADDRESSES = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

const nameOf = (host: string | undefined): string => (host ?? '').replace(/:\d+$/, '');
const plain = (address: string | undefined): string => (address ?? '').replace(/^::ffff:/, '');

/** The first screen: a page on this very machine, asked for under its own name. */
export const isFirstScreen = (req: Request): boolean =>
  LOCAL_ADDRESSES.has(req.socket.remoteAddress ?? '') && LOCAL_ADDRESSES.has(req.socket.localAddress ?? '');

/** Names under which this server answers: its own, and, when it is open, the address it was called at and its public one. */
function isOwnName(req: Request, { open, publicUrl }: Openness): boolean {
  const name = nameOf(req.get('host'));
  if (LOCAL_NAMES.has(name)) return true;
  if (!open) return false;
  if (publicUrl && nameOf(new URL(publicUrl).host) === name) return true;
  const address = plain(req.socket.localAddress);
  return name === address || name === `[${address}]`;
}

/** Other names are somebody's page reaching in by DNS; other origins are somebody's page at all. */
export function onlyOwnNames(openness: Openness, devOrigin: string | null): RequestHandler {
  return (req, _res, next) => {
    if (!isOwnName(req, openness))
      throw new HttpProblem(421, 'wrongHost', 'This server answers only under its own address.');
    const origin = req.get('origin');
    const host = req.get('host');
    const own = [`http://${host}`, `https://${host}`, devOrigin, openness.publicUrl];
    if (origin !== undefined && !own.includes(origin))
      throw new HttpProblem(403, 'wrongOrigin', 'Only the page of this server may talk to it.');
    next();
  };
}

/** Everything behind this is for the first screen and for devices that were let in. */
export function onlyPaired(db: Db, clock: Clock): RequestHandler {
  return (req, _res, next) => {
    if (isFirstScreen(req)) {
      next();
      return;
    }
    const token = parseCookies(req.get('cookie') ?? '')[SESSION_COOKIE];
    deviceOf(db, token, clock.nowMs()).then((device) => {
      if (device) next();
      else
        next(
          new HttpProblem(
            401,
            'notPaired',
            'This device has not been let in: enter the code of the first screen.',
          ),
        );
    }, next);
  };
}

/** Only the first screen may see the code and shut devices out. */
export const onlyFirstScreen: RequestHandler = (req, _res, next) => {
  if (!isFirstScreen(req))
    throw new HttpProblem(403, 'firstScreenOnly', 'This is done on the machine that the kitchen runs on.');
  next();
};
