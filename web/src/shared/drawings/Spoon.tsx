import type { Looks } from '@big-ladle/core/liquor';
import Box from '@mui/material/Box';
import { useId } from 'react';
import { role } from '../../theme/theme.ts';
import { sayColour } from '../../words/names.ts';
import { say } from '../../words/say.ts';

/**
 * Expected colour in a white spoon, thin at its edge, and in a glass, to hold your own against: the edge still tells
 * drinks apart that a full spoon does not. An aid, not a measurement.
 */
export function Spoon({ label, ...looks }: Looks & { label?: string }) {
  const id = useId();
  return (
    <Box component="figure" sx={{ m: 0, display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
      <svg
        width="176"
        height="66"
        viewBox="0 0 176 66"
        role="img"
        aria-label={say('spoon.expectedColourInA', {
          film: sayColour(looks.film),
          spoon: sayColour(looks.spoon),
          glass: sayColour(looks.glass),
        })}
      >
        <radialGradient id={`${id}s`}>
          <stop offset="0" stopColor={looks.spoon} />
          <stop offset="0.62" stopColor={looks.spoon} />
          <stop offset="0.8" stopColor={looks.film} />
          <stop offset="1" stopColor={looks.film} />
        </radialGradient>
        <linearGradient id={`${id}g`}>
          <stop offset="0" stopColor={looks.glassEdge} />
          <stop offset="0.25" stopColor={looks.glass} />
          <stop offset="0.75" stopColor={looks.glass} />
          <stop offset="1" stopColor={looks.glassEdge} />
        </linearGradient>
        <path d="M64 28 L112 11 L115 18 L66 40 Z" fill="#fff" stroke={role('line')} strokeWidth="1.5" />
        <ellipse cx="37" cy="34" rx="34" ry="25" fill="#fff" stroke={role('line')} strokeWidth="1.5" />
        <ellipse cx="37" cy="34" rx="30" ry="21" fill={`url(#${id}s)`} />
        <path d="M130 8 L170 8 L165 62 L135 62 Z" fill="#fff" stroke={role('line')} strokeWidth="1.5" />
        <path d="M132.2 20 L167.8 20 L164 60 L136 60 Z" fill={`url(#${id}g)`} />
      </svg>
      {label && (
        <Box component="figcaption" sx={{ color: role('inkMuted'), fontSize: '0.9rem', maxWidth: 220 }}>
          {label}
        </Box>
      )}
    </Box>
  );
}
