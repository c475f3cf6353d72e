import '../../../../words/places/batch.ts';
import type { InstrumentReading } from '@big-ladle/core/log';
import { type Simulation, simulateBatch, traceLine } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import { useMemo } from 'react';
import { LineChart, type Series } from '../../../../shared/LineChart.tsx';
import { celsius } from '../../../../words/quantities.ts';
import { say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** A trace as a line of temperatures over hours. */
const lineOf = (sim: Simulation) =>
  traceLine(sim, 'tempC').map(({ atMin, value }) => ({ x: atMin / 60, y: value }));

/** Planned, now expected and measured, in one picture. */
export function TempChart({ live, readings }: { live: LiveBatch; readings: readonly InstrumentReading[] }) {
  const { program, kitchen, tables, now } = live;
  const startMs = now.log.startedMs ?? live.nowMs;
  const planned = useMemo(() => lineOf(simulateBatch(program, kitchen, tables)), [program, kitchen, tables]);
  const { forecast } = now;
  const { measured } = now.log;
  const series = useMemo((): Series[] => {
    const byHand = measured.flatMap((e) =>
      e.body.reading.what === 'temperature' ? [{ atMs: e.atMs, value: e.body.reading.tempC }] : [],
    );
    const dots = [...readings, ...byHand]
      .flatMap((r) => (r.value === null ? [] : [{ x: (r.atMs - startMs) / MINUTE_MS / 60, y: r.value }]))
      .sort((a, b) => a.x - b.x);
    return [
      { label: say('tempChart.planned'), points: planned },
      { label: say('tempChart.expectedNow'), points: lineOf(forecast) },
      { label: say('tempChart.measured'), points: dots, dots: true },
    ];
  }, [planned, forecast, measured, readings, startMs]);
  const last = series[2]!.points.at(-1);
  return (
    <LineChart
      series={series}
      xTitle={say('common.hoursSinceTheStart')}
      unit="°C"
      said={say('tempChart.temperaturesOverTheHours', {
        temp: last ? celsius(last.y) : '',
        isLast: Boolean(last),
      })}
      height={240}
    />
  );
}
