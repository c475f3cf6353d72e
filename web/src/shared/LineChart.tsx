import Box from '@mui/material/Box';
import { useColorScheme } from '@mui/material/styles';
import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { useEffect, useRef } from 'react';
import { num } from '../words/numbers.ts';
import { unitOfField } from '../words/quantities.ts';
import { say } from '../words/say.ts';
import { chartLook } from './chartLook.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Tooltip, Legend);

/** Lines are told apart by dash and shape as well as by colour. */
const STYLES = [
  { role: 'rim', dash: [], point: 'circle' },
  { role: 'heat', dash: [7, 4], point: 'rect' },
  { role: 'ready', dash: [2, 3], point: 'triangle' },
  { role: 'caution', dash: [10, 3, 2, 3], point: 'rectRot' },
] as const;

export interface Series {
  label: string;
  points: readonly { x: number; y: number }[];
  /** Single readings instead of a line. */
  dots?: boolean;
}

/** Lines over hours, drawn from a trace or from readings; what they say stands in words too. */
export function LineChart(props: {
  series: readonly Series[];
  xTitle: string;
  /** Else the unit stands there. */
  yTitle?: string;
  /** Of the points: a kitchen of other units is shown it in theirs. */
  unit: string;
  /** What a reader who does not see it is told. */
  said: string;
  height?: number;
  fromZero?: boolean;
  /** What the way across is counted in. */
  xUnit?: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { series, xTitle, yTitle, unit, said, height = 260, fromZero = true, xUnit = 'h' } = props;
  const { mode, systemMode } = useColorScheme();
  // biome-ignore lint/correctness/useExhaustiveDependencies: colours are read anew when day turns to night
  useEffect(() => {
    const { current } = canvas;
    if (!current) return;
    const { colourOf, axis } = chartLook(current);
    const inUnit = unitOfField(unit, 1);
    const chart = new Chart(current, {
      type: 'line',
      data: {
        datasets: series.map(({ label, points, dots }, i) => {
          const style = STYLES[i % STYLES.length]!;
          return {
            label,
            data: points.map(({ x, y }) => ({ x, y: inUnit.shown(y) })),
            borderColor: colourOf(style.role),
            backgroundColor: colourOf(style.role),
            borderDash: [...style.dash],
            borderWidth: 2.5,
            showLine: !dots,
            pointStyle: dots ? 'circle' : style.point,
            pointRadius: dots ? 2 : points.map((_, at) => (at === points.length - 1 ? 5 : 0)),
            tension: 0,
          };
        }),
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        parsing: false,
        interaction: { mode: 'nearest', axis: 'x', intersect: false },
        scales: {
          x: { type: 'linear', min: 0, ...axis(xTitle) },
          y: { beginAtZero: fromZero, ...axis(yTitle ?? inUnit.symbol) },
        },
        plugins: {
          legend: { labels: { color: colourOf('ink'), usePointStyle: true, boxWidth: 34 } },
          tooltip: {
            callbacks: {
              title: (items) => say('lineChart.after', { at: num(items[0]?.parsed.x ?? 0, 1), xUnit }),
              label: (item) => `${item.dataset.label}: ${num(item.parsed.y ?? 0, 1)} ${inUnit.symbol}`,
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [series, xTitle, yTitle, unit, fromZero, xUnit, mode, systemMode]);
  return (
    // A chart follows its column; it never holds it open.
    <Box sx={{ height, position: 'relative', minWidth: 0, overflow: 'hidden' }}>
      <canvas ref={canvas} role="img" aria-label={said} />
    </Box>
  );
}
