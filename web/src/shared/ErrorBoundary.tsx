import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Component, type ReactNode } from 'react';
import { PageHead, Panel } from './ui.tsx';

/** Stands around every screen: one that breaks says so instead of going blank. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false };
  static getDerivedStateFromError() {
    return { broken: true };
  }
  override render() {
    return this.state.broken ? <BrokenScreen /> : this.props.children;
  }
}

/** A screen that broke: what happened, what was kept, what to do. */
function BrokenScreen() {
  return (
    <Box component="main" sx={{ p: 3 }}>
      <PageHead title="This screen broke" />
      <Panel>
        <Typography>
          Nothing that you entered is lost: it is stored, or kept in this browser until it can be. Load the
          page again; if it breaks again, go to the stove.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, mt: 2 }}>
          <Button variant="contained" onClick={() => window.location.reload()}>
            Load again
          </Button>
          <Button variant="outlined" href="/">
            To the stove
          </Button>
        </Box>
      </Panel>
    </Box>
  );
}
