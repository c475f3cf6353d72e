import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Component, type ReactNode } from 'react';
import { say } from '../words/say.ts';
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
    <Box component="main" sx={{ p: 3 }} data-testid="broken">
      <PageHead title={say('errorBoundary.thisScreenBroke')} />
      <Panel>
        <Typography>{say('errorBoundary.nothingThatYouEntered')}</Typography>
        <Box sx={{ display: 'flex', gap: 1, mt: 2 }}>
          <Button variant="contained" onClick={() => window.location.reload()}>
            {say('errorBoundary.loadAgain')}
          </Button>
          <Button variant="outlined" href="/">
            {say('common.toTheStove')}
          </Button>
        </Box>
      </Panel>
    </Box>
  );
}
