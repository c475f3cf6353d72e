import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { heading, role } from '../theme/theme.ts';

/** The answer of a screen, or the next thing to do: before everything else, and louder. */
export const Answer = (props: {
  label: string;
  title: ReactNode;
  below?: ReactNode;
  children?: ReactNode;
}) => (
  <Box
    component="section"
    aria-label={props.label}
    data-testid="answer"
    sx={{
      bgcolor: role('enamel'),
      borderTop: `5px solid ${role('rim')}`,
      borderRadius: '3px 3px 14px 14px',
      p: 2,
      mb: 1.75,
    }}
  >
    <Box sx={{ ...heading, fontSize: { xs: '1.7rem', md: '2.4rem' }, lineHeight: 1.1 }}>{props.title}</Box>
    {props.below && <Box sx={{ color: role('inkMuted'), mt: 0.5 }}>{props.below}</Box>}
    {props.children && <Box sx={{ mt: 1.25 }}>{props.children}</Box>}
  </Box>
);
