import type { EventBody } from '@big-ladle/core/log';
import { say } from '../words/say.ts';
import { notify } from './notices.ts';
import { record } from './outbox.ts';

/** Says what happened to a bottle or a leftover; a refusal is told. */
export const tellOfThing = (itemId: string, deeds: readonly EventBody[]): Promise<void> =>
  record({ kind: 'item', id: itemId }, deeds, {
    onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })),
  });
