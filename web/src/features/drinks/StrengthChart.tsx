import '../../words/places/drinks.ts';
import type { MethodRow } from '@big-ladle/core/compare';
import type { MarkerId } from '@big-ladle/core/tables';
import { useMemo } from 'react';
import { LineChart } from '../../shared/LineChart.tsx';
import { num } from '../../words/numbers.ts';
import { say } from '../../words/say.ts';

/** Strength of what is drawn, along the hours, one line a method: read off the traces. */
export function StrengthChart({ rows, marker }: { rows: readonly MethodRow[]; marker: MarkerId }) {
  const series = useMemo(
    () =>
      rows.map((row) => ({
        label: say(`method.${row.methodId}`),
        points: row.curve.map((p) => ({ x: p.atMin / 60, y: p.gPerL[marker] ?? 0 })),
      })),
    [rows, marker],
  );
  const ends = rows
    .map((r) =>
      say('strengthChart.endsAtGL', {
        what: say(`method.${r.methodId}`),
        strength: num(r.curve.at(-1)?.gPerL[marker] ?? 0, 1),
      }),
    )
    .join('; ');
  return (
    <LineChart
      series={series}
      xTitle={say('common.hoursSinceTheStart')}
      yTitle={`${say(`marker.${marker}`)}, g/L`}
      unit="g/L"
      said={say('strengthChart.strengthInOverThe', { what: say(`marker.${marker}`), ends })}
    />
  );
}
