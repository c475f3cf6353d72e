import '../../../words/places/kitchen.ts';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useCoarseNow } from '../../../shared/time.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { moment, say } from '../../../words/say.ts';
import { Qr } from './Qr.tsx';
import { SafeConnection } from './SafeConnection.tsx';
import { useAccess } from './useAccess.ts';

/**
 * Phones and tablets in the home network: whether they may come, the code that lets them in, and who is in. Shows on the
 * first screen only.
 */
export function DevicesPanel({ zone }: { zone: string }) {
  const nowMs = useCoarseNow(30_000);
  const { access, problem, busy, change, makeCertificate, shutOut } = useAccess();
  if (!access) return null;
  const { pairing, addresses, fixed } = access;
  const [address] = addresses;
  return (
    <Panel title={say('devicesPanel.otherDevices')} testId="devices">
      {(problem ?? access.problem) && (
        <Alert severity="error" sx={{ mb: 1.5 }}>
          {problem ?? say('devicesPanel.noSafeDoor', { reason: access.problem ?? '' })}
        </Alert>
      )}
      {pairing ? (
        <>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            {address && (
              <Qr text={`${address}/#code=${pairing.code}`} label={say('devicesPanel.photograph')} />
            )}
            <Box sx={{ flex: '1 1 240px', minWidth: 0 }}>
              <Box>
                {say('devicesPanel.openOnThePhone', {
                  addresses: addresses.join(say('common.or')),
                  until: moment(pairing.untilMs, nowMs, zone),
                })}
              </Box>
              <Box
                data-testid="pairing-code"
                sx={{ ...heading, fontSize: '2.6rem', letterSpacing: '0.12em', my: 1 }}
              >
                {pairing.code}
              </Box>
              {!fixed && (
                <Button disabled={busy} onClick={() => void change({ open: false, safe: false })}>
                  {say('devicesPanel.close')}
                </Button>
              )}
            </Box>
          </Box>
          {(pairing.wrong > 0 || pairing.pausedUntilMs !== null) && (
            <Alert severity="warning" sx={{ my: 1 }} data-testid="guessing">
              {pairing.pausedUntilMs !== null
                ? say('devicesPanel.paused', { until: moment(pairing.pausedUntilMs, nowMs, zone) })
                : say('devicesPanel.guessed', { count: pairing.wrong })}
            </Alert>
          )}
          <SafeConnection
            access={access}
            nowMs={nowMs}
            zone={zone}
            busy={busy}
            change={(to) => void change(to)}
            makeCertificate={makeCertificate}
          />
        </>
      ) : (
        <>
          <Box sx={{ color: role('inkMuted'), mb: 1 }}>
            {say(fixed ? 'devicesPanel.keepsToItByStart' : 'devicesPanel.theKitchenKeepsTo')}
          </Box>
          {!fixed && (
            <Button
              variant="outlined"
              disabled={busy}
              onClick={() => void change({ open: true, safe: access.certificate !== null })}
            >
              {say('devicesPanel.open')}
            </Button>
          )}
        </>
      )}
      {access.devices.map((device) => (
        <Row
          key={device.id}
          label={device.name}
          note={
            <Button
              size="small"
              onClick={() => shutOut(device.id)}
              aria-label={say('devicesPanel.shutOut', { name: device.name })}
            >
              {say('devicesPanel.shutOut2')}
            </Button>
          }
        >
          {say('devicesPanel.seen', { seen: moment(device.seenMs, nowMs, zone) })}
        </Row>
      ))}
    </Panel>
  );
}
