import { ROUTES } from '@big-ladle/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { ask } from '../../shared/api.ts';
import { notify } from '../../shared/notices.ts';
import { queryClient } from '../../shared/queries.ts';
import { useNow } from '../../shared/time.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { moment } from '../../words/say.ts';

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
      .catch(() => notify('error', 'The device could not be shut out: the kitchen server does not answer.'));
  return (
    <Panel title="Other devices">
      {data.pairing ? (
        <>
          <Box>
            Open {data.addresses.join(' or ')} on the phone and enter this code. It is good until{' '}
            {moment(data.pairing.untilMs, nowMs, zone)}, for one device.
          </Box>
          <Box
            data-testid="pairing-code"
            sx={{ ...heading, fontSize: '2.6rem', letterSpacing: '0.12em', my: 1 }}
          >
            {data.pairing.code}
          </Box>
          {!data.tls && !data.addresses.some((a) => a.startsWith('https:')) && (
            <Box sx={{ color: role('inkMuted') }}>
              Without a safe connection a phone does not keep the screen on, and does not keep the page when
              the server is away. LADLE_TLS_CERT and LADLE_TLS_KEY make one.
            </Box>
          )}
        </>
      ) : (
        <Box sx={{ color: role('inkMuted') }}>
          The kitchen keeps to this machine. Start it with LADLE_HOST=0.0.0.0 to let in phones of your home
          network, each with a code.
        </Box>
      )}
      {data.devices.map((device) => (
        <Row
          key={device.id}
          label={device.name}
          note={
            <Button
              size="small"
              onClick={() => void shutOut(device.id)}
              aria-label={`Shut out ${device.name}`}
            >
              Shut out
            </Button>
          }
        >
          seen {moment(device.seenMs, nowMs, zone)}
        </Row>
      ))}
    </Panel>
  );
}
