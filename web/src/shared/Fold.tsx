import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { role } from '../theme/theme.ts';

/** What is folded away until it is asked for. */
export const Fold = (props: {
  summary: ReactNode;
  children: ReactNode;
  testId?: string;
  onToggle?: (open: boolean) => void;
}) => (
  <Box
    component="details"
    data-testid={props.testId}
    onToggle={(e: React.SyntheticEvent<HTMLDetailsElement>) => props.onToggle?.(e.currentTarget.open)}
  >
    <Box
      component="summary"
      sx={{ cursor: 'pointer', minHeight: 56, py: 1.5, color: role('rim'), fontWeight: 700 }}
    >
      {props.summary}
    </Box>
    <div>{props.children}</div>
  </Box>
);
