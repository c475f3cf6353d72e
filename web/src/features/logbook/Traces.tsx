import '../../words/places/logbook.ts';
import { traceLine } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import { useMemo, useState } from 'react';
import type { BatchState } from '../../shared/batch/state.ts';
import { Choice } from '../../shared/Choice.tsx';
import { LineChart } from '../../shared/LineChart.tsx';
import { Panel } from '../../shared/ui.tsx';
import { sayDrink } from '../../words/names.ts';
import { celsius, litres } from '../../words/quantities.ts';
import { duration, fullDay, say } from '../../words/say.ts';

type TraceFigure = Parameters<typeof traceLine>[1];

const FIGURES = {
  tempC: { unit: '°C', show: celsius, said: 'traces.warmest' },
  volumeL: { unit: 'L', show: litres, said: 'traces.most' },
} as const satisfies Record<TraceFigure, unknown>;

const nameOf = ({ recipe, now, kitchen }: BatchState): string =>
  say('traces.of', {
    drink: sayDrink(recipe.id, recipe.name),
    day: now.log.startedMs === null ? '' : fullDay(now.log.startedMs, kitchen.zone),
  });

/** By the model with all that was read; of a batch that is over, as far as it went. */
function lineOf({ now: { log, forecast } }: BatchState, figure: TraceFigure) {
  const { startedMs, endedMs } = log;
  const untilMin = startedMs === null || endedMs === null ? undefined : (endedMs - startedMs) / MINUTE_MS;
  return traceLine(forecast, figure, untilMin);
}

/** What happened to several batches, laid over each other from the start of each. */
export function Traces({ states }: { states: readonly BatchState[] }) {
  const [figure, setFigure] = useState<TraceFigure>('tempC');
  const lines = useMemo(
    () => states.map((state) => ({ label: nameOf(state), points: lineOf(state, figure) })),
    [states, figure],
  );
  const series = useMemo(
    () =>
      lines.map(({ label, points }) => ({
        label,
        points: points.map(({ atMin, value }) => ({ x: atMin / 60, y: value })),
      })),
    [lines],
  );
  const { unit, show, said } = FIGURES[figure];
  const inWords = lines.flatMap(({ label, points }) => {
    const [first, ...rest] = points;
    if (!first) return [];
    const top = rest.reduce((best, p) => (p.value > best.value ? p : best), first);
    return [say(said, { batch: label, figure: show(top.value), time: duration(top.atMin) })];
  });
  return (
    <Panel title={say('traces.title')} testId="traces">
      <Choice
        label={say('traces.what')}
        value={figure}
        options={[
          { value: 'tempC', text: say('traces.tempC') },
          { value: 'volumeL', text: say('traces.volumeL') },
        ]}
        onChange={(value) => setFigure(value as TraceFigure)}
      />
      <Box sx={{ mt: 1.5 }}>
        <LineChart
          series={series}
          xTitle={say('common.hoursSinceTheStart')}
          unit={unit}
          said={inWords.join('. ')}
          height={280}
        />
      </Box>
    </Panel>
  );
}
