import { parse as parseCookies } from 'cookie';
import type { Request, RequestHandler } from 'express';
import type { Clock } from './clock.ts';
import type { Db } from './db/db.ts';
import { HttpProblem } from './problems.ts';
import { deviceOf } from './services/devices.ts';

/** How the server may be reached besides from its own machine. */
export interface NetworkExposure {
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

const nameOf = (host: string | undefined): string => (host ?? '').replace(/:\d+$/, '').toLowerCase();
const plain = (address: string | undefined): string => (address ?? '').replace(/^::ffff:/, '');

/** Headers by which a program in between says, or lets slip, that it passes a request on for somebody else. */
const FORWARDED = [
  'forwarded',
  'via',
  'x-forwarded-for',
  'x-forwarded-host',
  'x-forwarded-proto',
  'x-forwarded-port',
  'x-forwarded-server',
  'x-original-host',
  'x-original-forwarded-for',
  'x-real-ip',
  'x-client-ip',
  'x-cluster-client-ip',
  'true-client-ip',
  'client-ip',
];

/**
 * Whether any screen can be the first one. A public address that begins with https while this server speaks no TLS
 * itself means that a program in front of it does: from there on nobody can be told from anybody.
 */
export const hasFirstScreen = ({ publicUrl, tls }: NetworkExposure): boolean =>
  tls || !publicUrl?.startsWith('https:');

/** The first screen: a page on this very machine, asked for under its own name, with nothing in between. */
export const isFirstScreen = (req: Request, openness: NetworkExposure): boolean =>
  hasFirstScreen(openness) &&
  LOCAL_ADDRESSES.has(req.socket.remoteAddress ?? '') &&
  LOCAL_ADDRESSES.has(req.socket.localAddress ?? '') &&
  LOCAL_NAMES.has(nameOf(req.get('host'))) &&
  FORWARDED.every((header) => req.get(header) === undefined);

/** Names under which this server answers: its own, and, when it is open, the address it was called at and its public one. */
function isOwnName(req: Request, { open, publicUrl }: NetworkExposure): boolean {
  const name = nameOf(req.get('host'));
  if (LOCAL_NAMES.has(name)) return true;
  if (!open) return false;
  if (publicUrl && nameOf(new URL(publicUrl).host) === name) return true;
  const address = plain(req.socket.localAddress);
  return name === address || name === `[${address}]`;
}

/** Other names are somebody's page reaching in by DNS; other origins are somebody's page at all. */
export function onlyOwnNames(openness: NetworkExposure, devOrigin: string | null): RequestHandler {
  return (req, _res, next) => {
    if (!isOwnName(req, openness)) throw new HttpProblem('wrongHost');
    const origin = req.get('origin');
    const host = req.get('host');
    const own = [`http://${host}`, `https://${host}`, devOrigin, openness.publicUrl];
    if (origin !== undefined && !own.includes(origin)) throw new HttpProblem('wrongOrigin');
    next();
  };
}

/** Everything behind this is for the first screen and for devices that were let in. */
export function onlyPaired(db: Db, clock: Clock, openness: NetworkExposure): RequestHandler {
  return (req, res, next) => {
    if (isFirstScreen(req, openness)) {
      next();
      return;
    }
    const token = parseCookies(req.get('cookie') ?? '')[SESSION_COOKIE];
    deviceOf(db, token, clock.nowMs()).then((device) => {
      if (device) {
        res.locals.deviceId = device.id;
        next();
      } else next(new HttpProblem('notPaired'));
    }, next);
  };
}

/** Only the first screen may see the code and shut devices out. */
export const onlyFirstScreen =
  (openness: NetworkExposure): RequestHandler =>
  (req, _res, next) => {
    if (!isFirstScreen(req, openness)) throw new HttpProblem('firstScreenOnly');
    next();
  };
