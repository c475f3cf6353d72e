import type { EventBody } from '@big-ladle/core/log';
import { notify } from '../../../shared/notices.ts';
import { record } from '../../../shared/outbox.ts';
import { say } from '../../../words/say.ts';

/** Says what happened to a bottle; a refusal is told. */
export const tellOfBottle = (itemId: string, deeds: readonly EventBody[]): Promise<void> =>
  record({ kind: 'item', id: itemId }, deeds, {
    onRefused: (error) => notify('error', say('common.notStored', { detail: error.detail })),
  });
