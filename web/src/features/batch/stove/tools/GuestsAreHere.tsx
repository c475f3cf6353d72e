import '../../../../words/places/batch.ts';
import { mainMarker } from '@big-ladle/core/compare';
import { markerGPerL } from '@big-ladle/core/liquor';
import { type EventBody, nextStraining, whatIf } from '@big-ladle/core/log';
import { boilingPointC, secondBoil } from '@big-ladle/core/plan';
import { finishedL, finishedLiquor, type Simulation, SPENT } from '@big-ladle/core/program';
import type { MarkerId } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Choice } from '../../../../shared/Choice.tsx';
import { Row } from '../../../../shared/ui.tsx';
import { role, thumb } from '../../../../theme/theme.ts';
import { num } from '../../../../words/numbers.ts';
import { decimalsOf, litres } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

const SECOND_BOIL_MIN = 15;
const WATERS_L = [1, 2, 3, 4];

const strength = (marker: MarkerId, gPerL: number): string =>
  `${say(`marker.${marker}`)} ${num(gPerL, 1)} g/L`;

const inBottles = (sim: Simulation, marker: MarkerId): string => {
  const end = finishedLiquor(sim);
  return end ? `${litres(finishedL(sim))}, ${strength(marker, markerGPerL(end, marker))}` : '–';
};

/** Strained now against strained at its best; and what a second boil of the rest would give. */
export function GuestsAreHere({ live, onDone }: { live: LiveBatch; onDone: () => void }) {
  const { step, now, program, kitchen, tables, events, nowMs } = live;
  const branch = step?.kind === 'steep' || step?.kind === 'soak' ? step.branch : undefined;
  // As the recipe has it, where it says so.
  const boilMin = branch?.boilMin ?? SECOND_BOIL_MIN;
  const ownL = branch ? Math.round(branch.waterL * 100) / 100 : null;
  const [waterL, setWaterL] = useState(String(ownL ?? 2));
  const watersL = [...new Set([...WATERS_L, ...(ownL === null ? [] : [ownL])])].sort((a, b) => a - b);
  const minute = Math.floor(nowMs / 60_000);
  const deed = (water: number): EventBody => ({
    kind: 'strainedEarly',
    body: { stepId: step?.id ?? '', waterL: water, boilMin },
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at again every minute
  const ways = useMemo(() => {
    if (!step || !nextStraining(program, step.id)) return null;
    const after = (water: number) => whatIf(live, [deed(water)], nowMs).forecast;
    return { once: after(0), twice: after(Number(waterL)) };
  }, [program, kitchen, tables, events, step, minute, waterL]);
  if (!step || !ways) return null;
  const marker = mainMarker(program, tables);
  const spent = ways.once.vessels[SPENT]?.solids ?? [];
  const second = secondBoil(spent, tables, Number(waterL), {
    minutes: boilMin,
    boilC: boilingPointC(kitchen.altitudeM),
  });
  const strain = (water: number) => {
    void live.record([deed(water)]);
    onDone();
  };
  return (
    <Box
      component="section"
      aria-label={say('guestsAreHere.guestsAreHere')}
      data-testid="guests"
      sx={{ display: 'grid', gap: 1 }}
    >
      <Row label={say('guestsAreHere.strainedNow')}>{inBottles(ways.once, marker)}</Row>
      <Row label={say('guestsAreHere.atItsBest')}>{inBottles(now.forecast, marker)}</Row>
      <Button variant="outlined" color="inherit" sx={thumb} onClick={() => strain(0)}>
        {say('guestsAreHere.strainNow')}
      </Button>
      {spent.length > 0 && (
        <>
          <Choice
            label={say('guestsAreHere.thenTheSolidsOnce', { minutes: boilMin })}
            value={waterL}
            options={watersL.map((v) => ({
              value: String(v),
              text: litres(v, decimalsOf(v, 2)),
            }))}
            onChange={setWaterL}
          />
          <Row label={say('guestsAreHere.theSecondBoilBy')}>
            {litres(second.litres)}, {strength(marker, second.gPerL[marker] ?? 0)}
          </Row>
          <Row label={say('guestsAreHere.bothTogether')}>{inBottles(ways.twice, marker)}</Row>
          <Button variant="outlined" color="inherit" sx={thumb} onClick={() => strain(Number(waterL))}>
            {say('guestsAreHere.strainNowThenBoil')}
          </Button>
        </>
      )}
      <Box sx={{ color: role('inkMuted') }}>{say('guestsAreHere.whatLiesBetweenIs')}</Box>
    </Box>
  );
}
