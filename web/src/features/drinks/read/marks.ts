import type { Mark } from '@big-ladle/core/exchange';
import { role } from '../../../theme/theme.ts';

/** How a piece of the text shows what became of it: by colour, and by a line of its own kind. */
export const MARK_STYLES: Readonly<Record<Mark, object>> = {
  read: { textDecoration: 'underline', textDecorationColor: role('rim'), textUnderlineOffset: '4px' },
  unsure: {
    color: role('caution'),
    fontWeight: 600,
    textDecoration: 'underline wavy',
    textDecorationColor: role('caution'),
    textUnderlineOffset: '5px',
  },
  notUnderstood: {
    color: role('danger'),
    fontWeight: 600,
    border: `1.5px dashed ${role('danger')}`,
    borderRadius: '4px',
    px: '2px',
    boxDecorationBreak: 'clone',
  },
};
