import * as v from 'valibot';
import { id, moment } from '../../units/fields.ts';
import { ofLog } from './row.ts';

/** Whatever they are about, they may change all that follows from it. */
const touches = ['batch', 'batches', 'items', 'gifts', 'purchases'] as const;

/** Events about other events of the same stream. */
export const EVENTS_ABOUT_EVENTS = {
  retimed: ofLog({ body: v.strictObject({ target: id, toMs: moment }), touches }),
  undone: ofLog({
    body: v.strictObject({ target: id }),
    touches,
    undo: { not: 'undoing an undo does what was undone again: the screens say so by doing it again' },
  }),
} as const;
