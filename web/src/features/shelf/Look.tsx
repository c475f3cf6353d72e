import {
  type CheckKind,
  checkKindOf,
  type EventBody,
  type ItemLog,
  type Keeping,
  meaningOf,
  type Sign,
  signsFor,
} from '@big-ladle/core';
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
  say: (deeds: readonly EventBody[]) => Promise<void>;
}) {
  return <LookAt kind={checkKindOf(props.keeping)} {...props} />;
}

export function LookAt(props: {
  kind: CheckKind;
  log: ItemLog;
  nowMs: number;
  zone: string;
  say: (deeds: readonly EventBody[]) => Promise<void>;
}) {
  const { kind, log, nowMs, zone, say: tell } = props;
  const [seen, setSeen] = useState<readonly Sign[]>([]);
  const [open, setOpen] = useState(false);
  const last = log.looks.at(-1);
  const { verdict, by } = meaningOf(kind, seen);
  const toggle = (sign: Sign) =>
    setSeen(seen.includes(sign) ? seen.filter((s) => s !== sign) : [...seen, sign]);
  return (
    <Panel
      title="Look and smell"
      aside={last ? `last ${moment(last.atMs, nowMs, zone)}` : 'not looked at yet'}
      testId="look"
      sx={{ order: { xs: -1, lg: 0 } }}
    >
      {!open ? (
        <Button variant="outlined" sx={thumb} onClick={() => setOpen(true)}>
          Look at it now
        </Button>
      ) : (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Box>{say(`check.${kind}`)}</Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }} role="group" aria-label="What is seen">
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
              ? `Throw it out: ${by.map((s) => say(`sign.${s}`)).join(', ')}. Do not taste to find out.`
              : verdict === 'vent'
                ? 'Let the gas off over the sink, and look again tomorrow.'
                : seen.length > 0
                  ? 'That alone is nothing to throw it out for. Its date still counts.'
                  : 'Nothing of this? Its date still counts, and in doubt it goes.'}
          </Alert>
          <Button
            variant="contained"
            sx={thumb}
            onClick={() => {
              void tell([
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
            {verdict === 'throwOut' ? 'Thrown out' : seen.length ? 'That is what is seen' : 'Nothing of this'}
          </Button>
          {verdict === 'throwOut' && (
            <Button
              variant="outlined"
              sx={thumb}
              onClick={() => {
                void tell([{ kind: 'looked', body: { signs: [...seen] } }]);
                setOpen(false);
                setSeen([]);
              }}
            >
              Only note it for now
            </Button>
          )}
          <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
            A look says nothing of what cannot be seen. The date comes first.
          </Box>
        </Box>
      )}
    </Panel>
  );
}
