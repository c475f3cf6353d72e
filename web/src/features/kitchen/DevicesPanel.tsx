import '../../words/places/kitchen.ts';
import { ROUTES } from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { ask } from '../../shared/api.ts';
import { notify } from '../../shared/notices.ts';
import { queryClient } from '../../shared/queries.ts';
import { useNow } from '../../shared/time.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { moment, say } from '../../words/say.ts';

const key = ['access'] as const;

/** Phones and tablets in the home network: the code that lets them in, and who is in. Shows on the first screen only. */
export function DevicesPanel({ zone }: { zone: string }) {
  const nowMs = useNow(30_000);
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => ask(ROUTES.access, {}),
    retry: false,
    refetchInterval: 30_000,
  });
  if (!data) return null;
  const shutOut = (id: string) =>
    ask(ROUTES.revoke, { params: { id } })
      .then(() => queryClient.invalidateQueries({ queryKey: key }))
      .catch(() => notify('error', say('devicesPanel.theDeviceCouldNot')));
  return (
    <Panel title={say('devicesPanel.otherDevices')}>
      {data.pairing ? (
        <>
          <Box>
            {say('devicesPanel.openOnThePhone', {
              addresses: data.addresses.join(say('common.or')),
              until: moment(data.pairing.untilMs, nowMs, zone),
            })}
          </Box>
          <Box
            data-testid="pairing-code"
            sx={{ ...heading, fontSize: '2.6rem', letterSpacing: '0.12em', my: 1 }}
          >
            {data.pairing.code}
          </Box>
          {(data.pairing.wrong > 0 || data.pairing.pausedUntilMs !== null) && (
            <Alert severity="warning" sx={{ mb: 1 }} data-testid="guessing">
              {data.pairing.pausedUntilMs !== null
                ? say('devicesPanel.paused', { until: moment(data.pairing.pausedUntilMs, nowMs, zone) })
                : say('devicesPanel.guessed', { count: data.pairing.wrong })}
            </Alert>
          )}
          {!data.tls && !data.addresses.some((a) => a.startsWith('https:')) && (
            <Box sx={{ color: role('inkMuted') }}>{say('devicesPanel.withoutASafeConnection')}</Box>
          )}
        </>
      ) : (
        <Box sx={{ color: role('inkMuted') }}>{say('devicesPanel.theKitchenKeepsTo')}</Box>
      )}
      {data.devices.map((device) => (
        <Row
          key={device.id}
          label={device.name}
          note={
            <Button
              size="small"
              onClick={() => void shutOut(device.id)}
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
