import { heading, role } from '../../../theme/theme.ts';

/** A field in the middle of a sentence. */
export const sentenceField = {
  ...heading,
  font: 'inherit',
  fontWeight: 700,
  color: role('ink'),
  background: 'transparent',
  border: 0,
  borderBottom: `2px solid ${role('line')}`,
  minHeight: 32,
  maxWidth: '100%',
  '&:focus-visible': { outline: `3px solid ${role('rim')}` },
};

/** A field of several parts in the middle of a sentence. */
export const inSentence = {
  verticalAlign: 'baseline',
  minWidth: 0,
  '& .MuiPickersInputBase-root': { fontWeight: 700, minHeight: 32 },
  '& .MuiPickersInputBase-root::before': { borderBottom: `2px solid ${role('line')} !important` },
  '& .MuiPickersInputBase-sectionsContainer': { width: 'auto' },
};
