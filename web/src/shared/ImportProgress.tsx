import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import { role } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import type { Import } from './useImport.ts';

/** How far an archive has come in. */
export function ImportProgress({ state }: Pick<Import, 'state'>) {
  const stage = state?.stage ?? 'checking';
  return (
    <Box sx={{ flex: '1 1 220px', minWidth: 0 }} data-testid="import-progress">
      <Box sx={{ color: role('inkMuted'), mb: 0.5 }}>
        {say(
          stage === 'taking'
            ? 'takeArchive.takingIn'
            : stage === 'preparing'
              ? 'takeArchive.gettingReady'
              : 'takeArchive.lookingOver',
        )}
      </Box>
      <LinearProgress
        variant="determinate"
        value={Math.round((state?.share ?? 0) * 100)}
        aria-label={say('takeArchive.progress')}
      />
    </Box>
  );
}
