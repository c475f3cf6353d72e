import '../../words/places/shelf.ts';
import { checkKindOf, type Keeping, meaningOf, signsFor } from '@big-ladle/core/keeping';
import type { EventBody, ItemLog } from '@big-ladle/core/log';
import type { CheckKind, Sign } from '@big-ladle/core/shelf';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Panel } from '../../shared/ui.tsx';
import { role, thumb } from '../../theme/theme.ts';
import { moment, say } from '../../words/say.ts';

/** A short look at a bottle: each sign is a tap, nothing is ever tasted. */
export function Look(props: {
  keeping: Keeping;
  log: ItemLog;
  nowMs: number;
  zone: string;
  record: (deeds: readonly EventBody[]) => Promise<void>;
}) {
  return <LookAt kind={checkKindOf(props.keeping)} {...props} />;
}

export function LookAt(props: {
  kind: CheckKind;
  log: ItemLog;
  nowMs: number;
  zone: string;
  record: (deeds: readonly EventBody[]) => Promise<void>;
}) {
  const { kind, log, nowMs, zone, record } = props;
  const [seen, setSeen] = useState<readonly Sign[]>([]);
  const [open, setOpen] = useState(false);
  const last = log.looks.at(-1);
  const { verdict, by } = meaningOf(kind, seen);
  const toggle = (sign: Sign) =>
    setSeen(seen.includes(sign) ? seen.filter((s) => s !== sign) : [...seen, sign]);
  return (
    <Panel
      title={say('look.lookAndSmell')}
      aside={last ? say('look.last', { at: moment(last.atMs, nowMs, zone) }) : say('look.notLookedAtYet')}
      testId="look"
      sx={{ order: { xs: -1, lg: 0 } }}
    >
      {!open ? (
        <Button variant="outlined" sx={thumb} onClick={() => setOpen(true)}>
          {say('look.lookAtItNow')}
        </Button>
      ) : (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Box>{say(`check.${kind}`)}</Box>
          <Box
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}
            role="group"
            aria-label={say('look.whatIsSeen')}
          >
            {signsFor(kind).map((sign) => (
              <Button
                key={sign}
                variant={seen.includes(sign) ? 'contained' : 'outlined'}
                color={seen.includes(sign) ? 'primary' : 'inherit'}
                aria-pressed={seen.includes(sign)}
                sx={thumb}
                onClick={() => toggle(sign)}
              >
                {say(`sign.${sign}`)}
              </Button>
            ))}
          </Box>
          <Alert
            severity={verdict === 'throwOut' ? 'error' : verdict === 'vent' ? 'warning' : 'info'}
            data-testid="look-says"
          >
            {verdict === 'throwOut'
              ? say('look.throwItOutDo', { by: by.map((s) => say(`sign.${s}`)).join(', ') })
              : verdict === 'vent'
                ? say('look.letTheGasOff')
                : seen.length > 0
                  ? say('look.thatAloneIsNothing')
                  : say('look.nothingOfThisIts')}
          </Alert>
          <Button
            variant="contained"
            sx={thumb}
            onClick={() => {
              void record([
                { kind: 'looked', body: { signs: [...seen] } },
                ...(verdict === 'throwOut'
                  ? [
                      {
                        kind: 'discarded' as const,
                        body: {
                          codes: by.map((s) => `sign.${s}`),
                        },
                      },
                    ]
                  : []),
              ]);
              setOpen(false);
              setSeen([]);
            }}
          >
            {verdict === 'throwOut'
              ? say('bottleDeeds.thrownOut')
              : seen.length
                ? say('look.thatIsWhatIs')
                : say('look.nothingOfThis')}
          </Button>
          {verdict === 'throwOut' && (
            <Button
              variant="outlined"
              sx={thumb}
              onClick={() => {
                void record([{ kind: 'looked', body: { signs: [...seen] } }]);
                setOpen(false);
                setSeen([]);
              }}
            >
              {say('look.onlyNoteItFor')}
            </Button>
          )}
          <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>{say('look.aLookSaysNothing')}</Box>
        </Box>
      )}
    </Panel>
  );
}
