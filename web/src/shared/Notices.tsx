import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { say } from '../words/say.ts';
import { putAway, useNotices } from './notices.ts';
import { useOutbox } from './outboxStore.ts';

/** What belongs to no field, and whether the server can be reached. */
export function Notices() {
  const notices = useNotices((s) => s.notices);
  const offline = useOutbox((s) => s.offline);
  const waiting = useOutbox((s) => s.pending.length);
  const held = Object.values(useOutbox((s) => s.held));
  return (
    // In the flow and sticking to the top: it pushes the page down and covers neither figure nor button.
    <Box
      aria-live="polite"
      sx={{
        position: 'sticky',
        zIndex: 1400,
        top: 0,
        display: 'grid',
        gap: 1,
        maxWidth: 760,
        mx: 'auto',
        p: offline || held.length > 0 || notices.length > 0 ? 1 : 0,
      }}
    >
      {offline && (
        <Alert severity="warning" variant="outlined" sx={{ bgcolor: 'background.paper' }}>
          {say('notices.theKitchenServerDoes', { waiting, waitingCount: waiting, waitingSome: waiting > 0 })}
        </Alert>
      )}
      {!offline && held.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ bgcolor: 'background.paper' }}>
          {say('notices.oneEntryWaitsEntries', {
            count: held.length,
            lengthCount: held.length,
            held: held[0] ?? '',
          })}
        </Alert>
      )}
      {notices.map((n) => (
        <Alert
          key={n.id}
          severity={n.severity}
          variant="outlined"
          sx={{ bgcolor: 'background.paper' }}
          onClose={() => putAway(n.id)}
        >
          {n.text}
        </Alert>
      ))}
    </Box>
  );
}
