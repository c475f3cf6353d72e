import '../../words/places/dataProblems.ts';
import '../../words/places/kitchen.ts';
import { type BackupFile, ROUTES } from '@big-ladle/core/contract';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask } from '../../shared/api.ts';
import { emptied } from '../../shared/emptied.ts';
import { Fold } from '../../shared/Fold.tsx';
import { keys } from '../../shared/queries.ts';
import { sayError, send } from '../../shared/send.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { moment, say } from '../../words/say.ts';

/** So many are in sight; older ones are folded away. */
const IN_SIGHT = 5;
/** How often it is asked anew while the page is open. */
const LOOK_MS = 60_000;

const size = ({ bytes }: BackupFile): string => say('backupPanel.megabytes', { size: num(bytes / 1e6, 1) });

/** Copies of everything: when the last one was made, where they go, and the way back. Shows on the first screen only. */
export function BackupPanel({ zone }: { zone: string }) {
  const nowMs = useCoarseNow(30_000);
  const [asking, setAsking] = useState<string | null>(null);
  const [folder, setFolder] = useState<string | null>(null);
  const change = useMutation({ mutationFn: (work: () => Promise<unknown>) => work() });
  const { data } = useQuery({
    queryKey: keys.backups,
    queryFn: () => ask(ROUTES.backups, {}),
    retry: false,
    refetchInterval: LOOK_MS,
  });
  if (!data) return null;
  const { backups, elsewhere } = data;
  const busy = change.isPending;
  const [newest] = backups;
  const failed =
    sayError(change.error) ?? (data.problem ? say('backupPanel.lastFailed', { reason: data.problem }) : null);
  const row = (backup: BackupFile) => {
    const when = moment(backup.atMs, nowMs, zone);
    return (
      <Box key={backup.name}>
        <Row
          dense
          label={when}
          note={
            <Button
              size="small"
              disabled={busy}
              onClick={() => setAsking(backup.name)}
              aria-label={say('backupPanel.putBackOf', { when })}
            >
              {say('backupPanel.putBack')}
            </Button>
          }
        >
          {say(`backupPanel.kind.${backup.kind}`)} · {size(backup)}
        </Row>
        {asking === backup.name && (
          <Alert severity="warning" sx={{ my: 1 }}>
            {say('backupPanel.reallyPutBack')}
            <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
              <Button
                size="small"
                variant="outlined"
                onClick={() => {
                  setAsking(null);
                  change.mutate(() => send('restoreBackup', { body: { name: backup.name } }));
                }}
              >
                {say('backupPanel.yesPutBack')}
              </Button>
              <Button size="small" onClick={() => setAsking(null)}>
                {say('backupPanel.no')}
              </Button>
            </Box>
          </Alert>
        )}
      </Box>
    );
  };
  return (
    <Panel title={say('backupPanel.title')} testId="backups">
      <Box sx={{ color: role('inkMuted'), mb: 1 }}>{say('backupPanel.about')}</Box>
      {!elsewhere && (
        <Alert severity="warning" sx={{ mb: 1.5 }} data-testid="same-disk" role="note">
          {say('backupPanel.sameDisk', { folder: data.folder })}
        </Alert>
      )}
      {failed && (
        <Alert severity="error" sx={{ mb: 1.5 }} data-testid="backup-problem">
          {failed}
        </Alert>
      )}
      <Box sx={{ mb: 1 }}>
        {newest
          ? say('backupPanel.last', { when: moment(newest.atMs, nowMs, zone), size: size(newest) })
          : say('backupPanel.none')}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start', mb: 1.5 }}>
        <Button
          variant="outlined"
          disabled={busy}
          onClick={() => change.mutate(() => send('makeBackup', {}))}
        >
          {say('backupPanel.makeOne')}
        </Button>
        <TextField
          label={say('backupPanel.folder')}
          value={folder ?? data.folder}
          onChange={(e) => setFolder(e.target.value)}
          sx={{ flex: '1 1 260px' }}
          slotProps={{ htmlInput: { maxLength: 1000, spellCheck: false } }}
        />
        {folder !== null && folder.trim() !== data.folder && (
          <Button
            variant="outlined"
            disabled={busy || folder.trim() === ''}
            onClick={() =>
              change.mutate(() => send('chooseBackupFolder', { body: { folder: folder.trim() } }), {
                onSuccess: () => setFolder(emptied(folder, null)),
              })
            }
          >
            {say('backupPanel.useIt')}
          </Button>
        )}
      </Box>
      {backups.slice(0, IN_SIGHT).map(row)}
      {backups.length > IN_SIGHT && (
        <Fold summary={say('backupPanel.older', { count: backups.length - IN_SIGHT })} testId="older-backups">
          {backups.slice(IN_SIGHT).map(row)}
        </Fold>
      )}
    </Panel>
  );
}
