import '../../words/places/shelf.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Surroundings } from '@big-ladle/core/keeping';
import type { EventBody, ItemLog } from '@big-ladle/core/log';
import { moment, say } from '../../words/say.ts';
import { sayWhy } from '../../words/thrownWords.ts';

/** On a phone the columns fall into one, what can be done right below the date. */
export const COLUMN = { display: { xs: 'contents', lg: 'grid' }, gap: 1.75, minWidth: 0 } as const;
export const FIRST = { order: { xs: -2, lg: 0 } } as const;
export const SECOND = { order: { xs: -1, lg: 0 } } as const;

/** What the page of a thing is handed. */
export interface ThingInput {
  kitchen: Kitchen;
  around: Surroundings;
  nowMs: number;
  record: (deeds: readonly EventBody[]) => Promise<void>;
}

/** Whether it left, in words; null while it is there. */
export function goneWord(log: ItemLog, nowMs: number, zone: string): string | null {
  if (log.discarded)
    return say('itemPage.thrownOut', {
      at: moment(log.discarded.atMs, nowMs, zone),
      why: sayWhy(log.discarded),
    });
  if (log.given)
    return say('itemPage.givenTo', { to: log.given.to, at: moment(log.given.atMs, nowMs, zone) });
  if (log.finishedMs !== null)
    return say('itemPage.finished', { finished: moment(log.finishedMs, nowMs, zone) });
  return null;
}
