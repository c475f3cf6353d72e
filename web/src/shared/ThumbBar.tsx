import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { role } from '../theme/theme.ts';

/** The main button of a page: in its place at the table, under the thumb on a phone, above the places. */
export const ThumbBar = ({ children }: { children: ReactNode }) => (
  <Box
    sx={{
      display: 'flex',
      gap: 1,
      position: { xs: 'fixed', md: 'static' },
      left: 0,
      right: 0,
      bottom: 62,
      zIndex: { xs: 1050, md: 'auto' },
      p: { xs: 1, md: 0 },
      bgcolor: { xs: role('ground'), md: 'transparent' },
      borderTop: { xs: `1px solid ${role('line')}`, md: 'none' },
      '& > *': { flex: { xs: 1, md: 'none' }, minHeight: { xs: 56, md: 'auto' } },
    }}
  >
    {children}
  </Box>
);
