import '../../../words/places/kitchen.ts';
import type { Access } from '@big-ladle/core/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { role } from '../../../theme/theme.ts';
import { moment, say } from '../../../words/say.ts';
import { Qr } from './Qr.tsx';

interface Props {
  access: Access;
  nowMs: number;
  zone: string;
  busy: boolean;
  change: (to: { open: boolean; safe: boolean }) => void;
  makeCertificate: () => void;
}

/** What a plain connection withholds from a phone, and the certificate of the house's own that ends that, in steps. */
export function SafeConnection({ access, nowMs, zone, busy, change, makeCertificate }: Props) {
  const { certificate, safe, addresses, fixed, tls } = access;
  const isSafe = tls || addresses.some((a) => a.startsWith('https:'));
  const [address] = addresses;
  return (
    <Box sx={{ mt: 2 }} data-testid="safe-connection">
      {!isSafe && (
        <>
          <Box sx={{ fontWeight: 700 }}>{say('safeConnection.withheld')}</Box>
          <Box component="ul" sx={{ color: role('inkMuted'), my: 0.5, pl: 2.5 }}>
            {(['offline', 'notices', 'awake', 'read'] as const).map((what) => (
              <li key={what}>{say(`safeConnection.withheld.${what}`)}</li>
            ))}
          </Box>
        </>
      )}
      {fixed ? (
        !isSafe && <Box sx={{ color: role('inkMuted') }}>{say('safeConnection.fixed')}</Box>
      ) : certificate === null ? (
        <Button variant="outlined" onClick={makeCertificate} sx={{ mt: 0.5 }}>
          {say('safeConnection.make')}
        </Button>
      ) : (
        <>
          <Box sx={{ mt: 1, mb: 1.5 }}>
            {safe
              ? say('safeConnection.isOn', { until: moment(certificate.untilMs, nowMs, zone) })
              : say('safeConnection.made', { until: moment(certificate.untilMs, nowMs, zone) })}
          </Box>
          {address && (
            <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mb: 1.5 }}>
              <Qr text={`${address}/authority.crt`} label={say('safeConnection.codeOfIt')} />
              <Box component="ol" sx={{ flex: '1 1 260px', m: 0, pl: 2.5, '& li': { mb: 0.5 } }}>
                <li>{say('safeConnection.step.fetch', { address: `${address}/authority.crt` })}</li>
                <li>{say('safeConnection.step.install')}</li>
                <li>{say('safeConnection.step.trust')}</li>
                <li>{say(safe ? 'safeConnection.step.come' : 'safeConnection.step.switch')}</li>
              </Box>
            </Box>
          )}
          <Button
            variant={safe ? 'text' : 'outlined'}
            disabled={busy}
            onClick={() => change({ open: true, safe: !safe })}
          >
            {say(safe ? 'safeConnection.backToPlain' : 'safeConnection.use')}
          </Button>
        </>
      )}
    </Box>
  );
}
