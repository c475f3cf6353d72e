import '../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Two columns side by side; on a narrow screen one under the other, the right one first where it holds what was asked for. */
export const TwoColumns = (props: { left: ReactNode; right: ReactNode; rightFirst?: boolean }) => (
  <Box
    sx={{
      display: 'grid',
      gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,5fr) minmax(0,8fr)' },
      gap: 1.75,
      alignItems: 'start',
    }}
  >
    <Box
      sx={{
        display: 'grid',
        gap: 1.75,
        alignContent: 'start',
        minWidth: 0,
        order: { xs: props.rightFirst ? 2 : 0, md: 0 },
      }}
    >
      {props.left}
    </Box>
    <Box sx={{ display: 'grid', gap: 1.75, alignContent: 'start', minWidth: 0, order: 1 }}>{props.right}</Box>
  </Box>
);
