import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import type { ReactNode } from 'react';

/** What lies over any page: named for those who hear it, closed by Escape. */
export function OverlayDialog(props: {
  title: string;
  testId: string;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Dialog
      open
      onClose={props.onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { 'aria-label': props.title } }}
      data-testid={props.testId}
    >
      <Box sx={{ p: 2.5 }}>{props.children}</Box>
    </Dialog>
  );
}
