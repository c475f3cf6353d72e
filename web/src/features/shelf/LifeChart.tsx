import '../../words/places/shelf.ts';
import type { LifePoint } from '@big-ladle/core/keeping';
import { DAY_MS } from '@big-ladle/core/units';
import { useMemo } from 'react';
import { LineChart } from '../../shared/LineChart.tsx';
import { num } from '../../words/numbers.ts';
import { celsius, unitOfField } from '../../words/quantities.ts';
import { days, say } from '../../words/say.ts';

/** Two curves over the days since it was filled: what is left of its life, and how warm its place was. */
export function LifeChart(props: { points: readonly LifePoint[]; fromMs: number; fullDays: number }) {
  const { points, fromMs, fullDays } = props;
  const series = useMemo(() => {
    const heat = unitOfField('°C', 0);
    const day = (ms: number) => (ms - fromMs) / DAY_MS;
    return [
      { label: say('lifeChart.daysLeft'), points: points.map((p) => ({ x: day(p.atMs), y: p.leftDays })) },
      {
        label: say('lifeChart.itsPlace', { unit: heat.symbol }),
        points: points.map((p) => ({ x: day(p.atMs), y: heat.shown(p.placeC) })),
      },
    ];
  }, [points, fromMs]);
  const last = points.at(-1)!;
  const warmest = Math.max(...points.map((p) => p.placeC));
  return (
    <LineChart
      series={series}
      xTitle={say('lifeChart.daysSinceItWas')}
      yTitle={say('lifeChart.daysLeftAnd', { unit: unitOfField('°C', 0).symbol })}
      unit=""
      xUnit="days"
      said={say('lifeChart.ofItHasLeft', {
        fullDays: days(fullDays),
        leftDays: days(last.leftDays),
        at: num((last.atMs - fromMs) / DAY_MS, 1),
        warmest: celsius(warmest),
      })}
      height={230}
    />
  );
}
