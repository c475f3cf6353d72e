import '../../../words/places/logbook.ts';
import Box from '@mui/material/Box';
import { useColorScheme } from '@mui/material/styles';
import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js';
import { useEffect, useRef } from 'react';
import { chartLook } from '../../../shared/chartLook.ts';
import { num } from '../../../words/numbers.ts';
import { unitOfField } from '../../../words/quantities.ts';
import { monthName, say } from '../../../words/say.ts';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, Legend);

const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1);

interface Month {
  litres: number;
  thrownOutL: number;
}

/** The litres of each month, with what was thrown out of them; the same stands in words beside it. */
export function MonthBars(props: { months: readonly Month[]; said: string; height: number }) {
  const { months, said, height } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const { mode, systemMode } = useColorScheme();
  // biome-ignore lint/correctness/useExhaustiveDependencies: colours are read anew when day turns to night
  useEffect(() => {
    const { current } = canvas;
    if (!current) return;
    const { colourOf, axis } = chartLook(current);
    const inUnit = unitOfField('L', 1);
    const bars = (label: string, role: string, of: (month: Month) => number) => ({
      label,
      data: months.map((m) => inUnit.shown(of(m))),
      backgroundColor: colourOf(role),
    });
    const chart = new Chart(current, {
      type: 'bar',
      data: {
        labels: MONTHS.map(monthName),
        datasets: [
          bars(say('year.used'), 'rim', (m) => Math.max(0, m.litres - m.thrownOutL)),
          bars(say('year.thrownOut'), 'caution', (m) => m.thrownOutL),
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        scales: {
          x: { ...axis(), stacked: true, grid: { display: false } },
          y: { ...axis(inUnit.symbol), stacked: true, beginAtZero: true },
        },
        plugins: {
          legend: { labels: { color: colourOf('ink') } },
          tooltip: {
            callbacks: {
              label: (item) => `${item.dataset.label}: ${num(item.parsed.y ?? 0, 1)} ${inUnit.symbol}`,
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [months, mode, systemMode]);
  return (
    <Box sx={{ height, position: 'relative', minWidth: 0, overflow: 'hidden' }}>
      <canvas ref={canvas} role="img" aria-label={said} />
    </Box>
  );
}
