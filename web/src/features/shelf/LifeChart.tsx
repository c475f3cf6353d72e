import { DAY_MS, type LifePoint } from '@big-ladle/core';
import { useMemo } from 'react';
import { LineChart } from '../../shared/LineChart.tsx';
import { celsius, days, num } from '../../words/say.ts';

/** Two curves over the days since it was filled: what is left of its life, and how warm its place was. */
export function LifeChart(props: { points: readonly LifePoint[]; fromMs: number; fullDays: number }) {
  const { points, fromMs, fullDays } = props;
  const series = useMemo(() => {
    const day = (ms: number) => (ms - fromMs) / DAY_MS;
    return [
      { label: 'days left', points: points.map((p) => ({ x: day(p.atMs), y: p.leftDays })) },
      { label: 'its place, °C', points: points.map((p) => ({ x: day(p.atMs), y: p.placeC })) },
    ];
  }, [points, fromMs]);
  const last = points.at(-1)!;
  const warmest = Math.max(...points.map((p) => p.placeC));
  return (
    <LineChart
      series={series}
      xTitle="days since it was filled"
      yTitle="days left, and °C"
      unit=""
      xUnit="days"
      said={`Of ${days(fullDays)} it has ${days(last.leftDays)} left after ${num((last.atMs - fromMs) / DAY_MS, 1)} days; its place was at most ${celsius(warmest)}.`}
      height={230}
    />
  );
}
