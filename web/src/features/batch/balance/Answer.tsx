import '../../../words/places/batch.ts';
import type { Kitchen, Suggestion, Tables } from '@big-ladle/core';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { byHand } from '../../../shared/handMeasure.ts';
import { heading, role } from '../../../theme/theme.ts';
import { grams, num, say, volume } from '../../../words/say.ts';
import { candidateName } from './Ways.tsx';

type Part = Suggestion['parts'][number];

/** An amount as the hand measures it first; by weight where there is no measure. */
function inHand(part: Part, kitchen: Kitchen, tables: Tables): string {
  if (part.pieces !== null) return num(part.pieces);
  if (part.kind === 'liquid' || part.kind === 'lessWater') return volume(part.volumeMl / 1000);
  const row = tables.sweeteners.get(part.id);
  return row && part.massG >= 1 ? byHand(row, part.massG, kitchen) : grams(part.massG);
}

/** The answer, before anything else: how much of what brings it to where it is wanted. */
export function Answer(props: {
  suggestion: Suggestion | undefined;
  kitchen: Kitchen;
  tables: Tables;
  children?: ReactNode;
}) {
  const { suggestion, kitchen, tables, children } = props;
  if (!suggestion) return null;
  return (
    <Box
      component="section"
      aria-label={say('answer.title')}
      data-testid="answer"
      sx={{
        bgcolor: role('enamel'),
        borderTop: `5px solid ${role('rim')}`,
        borderRadius: '3px 3px 14px 14px',
        p: 2,
        mb: 1.75,
      }}
    >
      <Box sx={{ ...heading, fontSize: { xs: '1.7rem', md: '2.4rem' }, lineHeight: 1.1 }}>
        {suggestion.parts.length === 0
          ? say('balance.nothingToAdd')
          : suggestion.parts
              .map((p) =>
                say('answer.part', {
                  amount: inHand(p, kitchen, tables),
                  what: candidateName(p.id).toLowerCase(),
                }),
              )
              .join(say('answer.and'))}
      </Box>
      {suggestion.parts.length > 0 && (
        <Box sx={{ color: role('inkMuted'), mt: 0.5 }}>
          {say('answer.inAll', { mass: grams(suggestion.parts.reduce((sum, p) => sum + p.massG, 0)) })}
        </Box>
      )}
      {children && <Box sx={{ mt: 1.25 }}>{children}</Box>}
    </Box>
  );
}
