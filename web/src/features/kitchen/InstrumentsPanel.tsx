import '../../words/places/kitchen.ts';
import type { Instrument } from '@big-ladle/core/contract';
import { FAILING_KINDS, type Failing, INSTRUMENT_KINDS, type InstrumentKind } from '@big-ladle/core/log';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { lazy, Suspense, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { emptied } from '../../shared/emptied.ts';
import { useInstruments } from '../../shared/queries.ts';
import { useReadings } from '../../shared/readings.ts';
import { sayError, useSend } from '../../shared/send.ts';
import { serverNow } from '../../shared/time.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayReading } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';

/** A chart is large: it comes when there is something to draw. */
const FridgeChart = lazy(() => import('./FridgeChart.tsx').then((m) => ({ default: m.FridgeChart })));

/** Instruments that are paired with this kitchen, each with what it shows. */
export function InstrumentsPanel({ fridgeC }: { fridgeC: number }) {
  const { data } = useInstruments();
  const [kind, setKind] = useState<InstrumentKind>('probe');
  const [name, setName] = useState('');
  const put = useSend('putInstrument');
  const drop = useSend('dropInstrument');
  const problem = sayError(put.error ?? drop.error);
  const instruments = data?.instruments ?? [];
  const pair = () =>
    put.mutate(
      {
        params: { id: uuid() },
        body: {
          kind,
          name: name.trim() || say(`instrument.${kind}`),
          batchId: null,
          lost: false,
          tareKg: 0,
          failing: null,
        },
      },
      { onSuccess: () => setName(emptied(name, '')) },
    );
  return (
    <Panel title={say('instrumentsPanel.instruments')} aside={say('instrumentsPanel.allSimulatedInThis')}>
      {instruments.map((one) => (
        <Paired
          key={one.id}
          one={one}
          onDrop={() => drop.mutate({ params: { id: one.id } })}
          onFailing={(failing) => {
            const { id, seed: _, ...rest } = one;
            put.mutate({ params: { id }, body: { ...rest, failing } });
          }}
        />
      ))}
      {instruments
        .filter((one) => one.kind === 'fridgeLogger')
        .map((one) => (
          <Suspense key={one.id}>
            <FridgeChart instrumentId={one.id} name={one.name} fridgeC={fridgeC} />
          </Suspense>
        ))}
      {instruments.length === 0 && (
        <Box sx={{ color: role('inkMuted') }}>{say('instrumentsPanel.pairAProbeA')}</Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5, alignItems: 'center' }}>
        <TextField
          select
          label={say('instrumentsPanel.kind')}
          value={kind}
          onChange={(e) => setKind(e.target.value as InstrumentKind)}
          sx={{ minWidth: 190 }}
        >
          {INSTRUMENT_KINDS.map((k) => (
            <MenuItem key={k} value={k}>
              {say(`instrument.${k}`)}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label={say('common.itsName')}
          placeholder={say(`instrument.${kind}`)}
          value={name}
          onChange={(e) => setName(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 40 } }}
          error={problem !== null}
          helperText={problem ?? undefined}
        />
        <Button variant="outlined" onClick={() => void pair()}>
          {say('instrumentsPanel.pairIt')}
        </Button>
      </Box>
    </Panel>
  );
}

function Paired(props: {
  one: Instrument;
  onDrop: () => void;
  onFailing: (failing: Failing | null) => void;
}) {
  const { one, onDrop, onFailing } = props;
  const [asking, setAsking] = useState(false);
  const last = useReadings(one.id, one.batchId).at(-1);
  const shown =
    one.kind !== 'fridgeLogger' && one.batchId === null
      ? say('instrumentsPanel.inTheDrawer')
      : last?.value != null
        ? sayReading(one.kind, last.value)
        : last?.fault
          ? say(`fault.${last.fault}`)
          : say('instrumentsPanel.waiting');
  return (
    <Row
      label={one.name}
      note={
        asking ? (
          <>
            {say('instrumentsPanel.unpairReally')}{' '}
            <Button size="small" onClick={onDrop}>
              {say('instrumentsPanel.unpairYes')}
            </Button>
            <Button size="small" onClick={() => setAsking(false)}>
              {say('backupPanel.no')}
            </Button>
          </>
        ) : (
          <Button
            size="small"
            onClick={() => setAsking(true)}
            aria-label={say('instrumentsPanel.unpair', { name: one.name })}
          >
            {say('instrumentsPanel.unpair2')}
          </Button>
        )
      }
    >
      <span data-testid={`paired-${one.kind}`}>{shown}</span>
      {one.kind === 'fridgeLogger' &&
        (one.failing ? (
          <Button size="small" onClick={() => onFailing(null)}>
            {one.failing.kind === 'doorOpen'
              ? say('instrumentsPanel.closeItsDoor')
              : say('instrumentsPanel.itsPowerIsBack')}
          </Button>
        ) : (
          FAILING_KINDS.map((kind) => (
            <Button key={kind} size="small" onClick={() => onFailing({ kind, sinceMs: serverNow() })}>
              {kind === 'doorOpen'
                ? say('instrumentsPanel.leaveItsDoorOpen')
                : say('instrumentsPanel.cutItsPower')}
            </Button>
          ))
        ))}
    </Row>
  );
}
