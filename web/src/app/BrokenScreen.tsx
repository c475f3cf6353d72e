import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { PageHead, Panel } from '../shared/ui.tsx';
import { say } from '../words/say.ts';

/** A screen that broke: what happened, what was kept, what to do. */
export function BrokenScreen() {
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
