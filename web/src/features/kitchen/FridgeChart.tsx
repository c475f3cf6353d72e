import '../../words/places/kitchen.ts';
import { MINUTE_MS } from '@big-ladle/core/units';
import { useMemo } from 'react';
import { LineChart } from '../../shared/LineChart.tsx';
import { useAllReadings } from '../../shared/readings.ts';
import { num } from '../../words/numbers.ts';
import { celsius } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';

/** So many hours back are shown. */
const HOURS = 24;

/** What a fridge logger has read over the last day, beside what the kitchen says of its fridge. */
export function FridgeChart(props: { instrumentId: string; name: string; fridgeC: number }) {
  const { instrumentId, name, fridgeC } = props;
  const readings = useAllReadings(instrumentId, null);
  const lastMs = readings.at(-1)?.atMs ?? 0;
  const series = useMemo(() => {
    const fromMs = Math.max(readings[0]?.atMs ?? 0, lastMs - HOURS * 60 * MINUTE_MS);
    const points = readings
      .filter((r) => r.atMs >= fromMs)
      .flatMap((r) => (r.value === null ? [] : [{ x: (r.atMs - fromMs) / MINUTE_MS / 60, y: r.value }]));
    const end = points.at(-1)?.x ?? 0;
    return [
      { label: name, points },
      {
        label: say('fridgeChart.theFridgeAsThe'),
        points: [
          { x: 0, y: fridgeC },
          { x: end, y: fridgeC },
        ],
      },
    ];
  }, [readings, lastMs, name, fridgeC]);
  const shown = series[0]!.points.map((p) => p.y);
  if (shown.length < 2) return null;
  return (
    <LineChart
      series={series}
      xTitle={say('fridgeChart.hoursTheLastDay')}
      unit="°C"
      said={say('fridgeChart.overTheLastHours', {
        name,
        hours: num(Math.min(HOURS, series[0]!.points.at(-1)!.x), 1),
        low: celsius(Math.min(...shown)),
        high: celsius(Math.max(...shown)),
      })}
      height={180}
    />
  );
}
