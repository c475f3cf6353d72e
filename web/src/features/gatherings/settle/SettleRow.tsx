import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { role } from '../../../theme/theme.ts';

/** All that is said of one group or one drink, with a line below it. */
export function SettleRow({ testId, children }: { testId: string; children: ReactNode }) {
  return (
    <Box
      data-testid={testId}
      sx={{
        display: 'flex',
        gap: 1.25,
        flexWrap: 'wrap',
        alignItems: 'end',
        borderBottom: `1px solid ${role('hairline')}`,
        py: 1.25,
      }}
    >
      {children}
    </Box>
  );
}
