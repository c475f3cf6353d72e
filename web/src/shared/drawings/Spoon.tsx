import Box from '@mui/material/Box';
import { role } from '../../theme/theme.ts';
import { sayColour } from '../../words/names.ts';
import { say } from '../../words/say.ts';

/** Expected colour in a white spoon and in a glass, to hold your own against. An aid, not a measurement. */
export function Spoon(props: { spoon: string; glass: string; label?: string }) {
  return (
    <Box component="figure" sx={{ m: 0, display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
      <svg
        width="168"
        height="62"
        viewBox="0 0 168 62"
        role="img"
        aria-label={say('spoon.expectedColourInA', {
          spoon: sayColour(props.spoon),
          glass: sayColour(props.glass),
        })}
      >
        <path d="M58 27 L104 10 L107 17 L60 38 Z" fill="#fff" stroke={role('line')} strokeWidth="1.5" />
        <ellipse cx="34" cy="33" rx="30" ry="21" fill="#fff" stroke={role('line')} strokeWidth="1.5" />
        <ellipse cx="34" cy="33" rx="23" ry="15" fill={props.spoon} />
        <path d="M122 6 L162 6 L157 58 L127 58 Z" fill="#fff" stroke={role('line')} strokeWidth="1.5" />
        <path d="M124.2 18 L159.8 18 L156 56 L128 56 Z" fill={props.glass} />
      </svg>
      {props.label && (
        <Box component="figcaption" sx={{ color: role('inkMuted'), fontSize: '0.9rem', maxWidth: 220 }}>
          {props.label}
        </Box>
      )}
    </Box>
  );
}
