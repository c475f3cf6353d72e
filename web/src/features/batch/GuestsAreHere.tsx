import {
  BOTTLES,
  foldBatch,
  type MarkerId,
  markerGPerL,
  type Simulation,
  secondBoil,
  simulateBatch,
  volumeMl,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import { useMemo, useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { litres, num, say } from '../../words/say.ts';
import type { LiveBatch } from './useBatchNow.ts';

const SECOND_BOIL_MIN = 15;

/** The strongest of what a drink has drawn. */
function mainMarker(sim: Simulation): MarkerId | null {
  const markers = sim.vessels[BOTTLES]?.liquor.markerG ?? {};
  const ids = (Object.keys(markers) as MarkerId[]).filter((m) => m !== 'red');
  return ids.sort((a, b) => (markers[b] ?? 0) - (markers[a] ?? 0))[0] ?? null;
}

const inBottles = (sim: Simulation, marker: MarkerId | null): string => {
  const end = sim.vessels[BOTTLES];
  if (!end) return '–';
  const strength = marker
    ? `, ${say(`marker.${marker}`)} ${num(markerGPerL(end.liquor, marker), 1)} g/L`
    : '';
  return `${litres(volumeMl(end.liquor) / 1000)}${strength}`;
};

/** Strained now against strained at its best; and what a second boil of the rest would give. */
export function GuestsAreHere({ live }: { live: LiveBatch }) {
  const { step, now, program, kitchen, tables, events, nowMs } = live;
  const [waterL, setWaterL] = useState('2');
  const minute = Math.floor(nowMs / 60_000);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at again every minute
  const early = useMemo(() => {
    if (!step) return null;
    const { actuals, startedMs } = foldBatch(program, events);
    const nowMin = (nowMs - (startedMs ?? nowMs)) / 60_000;
    const current = actuals[step.id];
    return current
      ? simulateBatch(program, kitchen, tables, {
          actuals: { ...actuals, [step.id]: { ...current, endMin: nowMin } },
        })
      : null;
  }, [program, kitchen, tables, events, step, minute]);
  if (!step || !early) return null;
  const marker = mainMarker(now.forecast);
  const solids = Object.values(early.vessels)
    .filter((v) => v.id === 'spent')
    .flatMap((v) => v.solids);
  const second = secondBoil(solids, tables, Number(waterL), {
    minutes: SECOND_BOIL_MIN,
    boilC: 100 - kitchen.altitudeM / 300,
  });
  return (
    <Box
      component="section"
      aria-label="Guests are here"
      data-testid="guests"
      sx={{ display: 'grid', gap: 1 }}
    >
      <Row label="Strained now">{inBottles(early, marker)}</Row>
      <Row label="At its best">{inBottles(now.forecast, marker)}</Row>
      {solids.length > 0 && (
        <>
          <Choice
            label="Then the solids once more, boiled fifteen minutes in"
            value={waterL}
            options={['1', '2', '3', '4'].map((v) => ({ value: v, text: `${v} L` }))}
            onChange={setWaterL}
          />
          <Row label="A second boil gives">
            {litres(second.litres)}
            {marker ? `, ${say(`marker.${marker}`)} ${num(second.gPerL[marker] ?? 0, 1)} g/L` : ''}
          </Row>
        </>
      )}
      <Box sx={{ color: role('inkMuted') }}>
        To serve now, tap the wide button: it is strained as it is. Keep the solids for the second boil.
      </Box>
    </Box>
  );
}
