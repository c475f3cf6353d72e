import { PROBLEM_TYPE, PROBLEMS } from '@big-ladle/core/contract';
import { changedAt, placesIn } from './hostile.ts';
import { type Answered, FuzzedKitchen, type Sent } from './kitchen.ts';
import { Random } from './random.ts';
import { Requests } from './requests.ts';

/** No answer takes longer than this, ms: one that does is asked for twice more, for the machine may be busy. */
const LONGEST_MS = 2000;
/** So often it is looked whether what nobody was to touch is as it was. */
const LOOK_AFTER = 250;

export interface Finding {
  what: string;
  /** The shortest that shows it: the last is the one that fails. */
  requests: Sent[];
}

export interface Tally {
  sent: number;
  accepted: number;
  /** How many were sent and accepted, by route. */
  routes: Map<string, { sent: number; accepted: number }>;
  finding: Finding | null;
}

/** What is wrong with an answer; null: nothing. */
function faultOf({ status, ms, text, type }: Answered): string | null {
  if (status >= 500) return `it answered ${status}: ${text.slice(0, 300)}`;
  if (ms > LONGEST_MS) return `it took ${Math.round(ms)} ms`;
  if (status < 400) return null;
  if (!type.startsWith('application/problem+json')) return `${status} is told as ${type || 'nothing'}`;
  const problem = JSON.parse(text) as { type?: string; title?: string };
  if (!problem.type?.startsWith(PROBLEM_TYPE) || !Object.hasOwn(PROBLEMS, problem.title ?? ''))
    return `it tells a problem that nobody knows: ${text.slice(0, 200)}`;
  return null;
}

async function faultOfSending(
  kitchen: FuzzedKitchen,
  sent: Sent,
): Promise<{ fault: string | null; accepted: boolean }> {
  try {
    let answer = await kitchen.send(sent);
    for (let i = 0; i < 2 && answer.ms > LONGEST_MS && answer.status < 500; i++)
      answer = await kitchen.send(sent);
    return { fault: faultOf(answer), accepted: answer.status < 400 };
  } catch (error) {
    return { fault: `no answer: ${(error as Error).cause ?? error}`, accepted: false };
  }
}

/**
 * Sends requests to a kitchen until something is wrong, or until so many have been sent.
 * @param kitchen stays as it is afterwards: what was accepted can be looked at.
 */
export async function fuzz(kitchen: FuzzedKitchen, seed: number, count: number): Promise<Tally> {
  const requests = new Requests(kitchen, new Random(seed));
  const tally: Tally = { sent: 0, accepted: 0, routes: new Map(), finding: null };
  const kept: Sent[] = [];
  for (let i = 1; i <= count; i++) {
    const sent = await requests.next();
    const { fault, accepted } = await faultOfSending(kitchen, sent);
    const route = tally.routes.get(sent.route) ?? { sent: 0, accepted: 0 };
    tally.routes.set(sent.route, route);
    tally.sent++;
    route.sent++;
    if (accepted) {
      tally.accepted++;
      route.accepted++;
      if (sent.method !== 'GET') kept.push(sent);
    }
    const canary = i % LOOK_AFTER === 0 || i === count ? await kitchen.canaryFault() : null;
    if (fault === null && canary === null) continue;
    const what = fault ?? canary!;
    tally.finding = {
      what,
      requests: await shortest(fault === null ? kept : [...kept, sent], canary !== null),
    };
    return tally;
  }
  return tally;
}

/** So many fresh kitchens are tried to find a shorter way to the same. */
const MOST_TRIES = 60;

/** Whether a fresh kitchen shows the same fault after such requests. */
async function fails(requests: readonly Sent[], ofCanary: boolean): Promise<boolean> {
  const kitchen = await new FuzzedKitchen().start();
  try {
    let fault: string | null = null;
    for (const sent of requests) ({ fault } = await faultOfSending(kitchen, sent));
    return ofCanary ? (await kitchen.canaryFault()) !== null : fault !== null;
  } finally {
    await kitchen.stop();
  }
}

/** Fewer requests, and smaller ones, that still show a fault. */
async function shortest(all: readonly Sent[], ofCanary: boolean): Promise<Sent[]> {
  let tries = 0;
  const stillFails = async (some: readonly Sent[]): Promise<boolean> =>
    ++tries <= MOST_TRIES && fails(some, ofCanary);
  let found = [...all];
  if (await stillFails(found.slice(-1))) found = found.slice(-1);
  // The half before the failing one is left out where that changes nothing, then a quarter, and so on.
  else
    for (let size = Math.ceil((found.length - 1) / 2); size >= 1; size = size === 1 ? 0 : Math.ceil(size / 2))
      for (let at = 0; at < found.length - 1 && tries < MOST_TRIES; ) {
        const without = [
          ...found.slice(0, at),
          ...found.slice(at + size < found.length ? at + size : found.length - 1),
        ];
        if (without.length < found.length && (await stillFails(without))) found = without;
        else at += size;
      }
  const last = found.at(-1)!;
  return [...found.slice(0, -1), await smaller(last, (sent) => stillFails([...found.slice(0, -1), sent]))];
}

/** The same request with as little in its body as still shows the fault. */
async function smaller(sent: Sent, stillFails: (sent: Sent) => Promise<boolean>): Promise<Sent> {
  let body: unknown;
  try {
    body = JSON.parse(sent.body ?? '');
  } catch {
    return sent;
  }
  let best = sent;
  for (let again = true; again; ) {
    again = false;
    for (const way of placesIn(body)) {
      const less = changedAt(body, way, 'gone');
      const tried = { ...sent, body: JSON.stringify(less) };
      if (!(await stillFails(tried))) continue;
      body = less;
      best = tried;
      again = true;
      break;
    }
  }
  return best;
}
