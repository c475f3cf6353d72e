import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { say } from '../words/say.ts';
import { useOverlay } from './help.ts';
import { Notice } from './Notice.tsx';
import { putAway, useNotices } from './notices.ts';
import { useOutbox } from './outboxStore.ts';

/** What belongs to no field, and whether the server can be reached. */
export function Notices() {
  const notices = useNotices((s) => s.notices);
  const offline = useOutbox((s) => s.offline);
  const because = useOutbox((s) => s.because);
  const keepsNothing = useOutbox((s) => s.keepsNothing);
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
        p: offline || keepsNothing || held.length > 0 || notices.length > 0 ? 1 : 0,
      }}
    >
      {keepsNothing && <Notice severity="warning">{say('notices.keepsNothing')}</Notice>}
      {offline && (
        <Notice severity="warning" action={waiting > 0 && <Look />}>
          {say('notices.theKitchenServerDoes', {
            who: typeof because === 'string' ? because : 'said',
            detail: typeof because === 'string' ? '' : because.detail,
            waiting,
            waitingCount: waiting,
            waitingSome: waiting > 0,
          })}
        </Notice>
      )}
      {!offline && held.length > 0 && (
        <Notice severity="warning" action={<Look />}>
          {say('notices.oneEntryWaitsEntries', {
            count: held.length,
            lengthCount: held.length,
            held: held[0] ?? '',
          })}
        </Notice>
      )}
      {notices.map((n) => (
        <Notice key={n.id} severity={n.severity} onClose={() => putAway(n.id)}>
          {n.text}
        </Notice>
      ))}
    </Box>
  );
}

/** To the list of what waits. */
function Look() {
  const open = useOverlay((s) => s.waiting);
  return (
    <Button size="small" color="inherit" onClick={open}>
      {say('notices.lookAtThem')}
    </Button>
  );
}
