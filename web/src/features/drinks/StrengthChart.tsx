import type { MarkerId, MethodRow } from '@big-ladle/core';
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
import { num, say } from '../../words/say.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Tooltip, Legend);
Chart.defaults.font.family = '"Atkinson Hyperlegible Next", system-ui, sans-serif';
Chart.defaults.font.size = 13;

/** Lines are told apart by dash and shape as well as by colour. */
const STYLES = [
  { role: 'rim', dash: [], point: 'circle' },
  { role: 'heat', dash: [7, 4], point: 'rect' },
  { role: 'ready', dash: [2, 3], point: 'triangle' },
  { role: 'caution', dash: [10, 3, 2, 3], point: 'rectRot' },
] as const;

const colourOf = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--mui-palette-role-${name}`).trim() || '#333';

/** Strength of what is drawn, along the hours, one line a method: read off the traces. */
export function StrengthChart({ rows, marker }: { rows: readonly MethodRow[]; marker: MarkerId }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { mode, systemMode } = useColorScheme();
  // biome-ignore lint/correctness/useExhaustiveDependencies: colours are read anew when day turns to night
  useEffect(() => {
    if (!canvas.current) return;
    const ink = colourOf('inkMuted');
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        datasets: rows.map((row, i) => {
          const style = STYLES[i % STYLES.length]!;
          return {
            label: say(`method.${row.methodId}`),
            data: row.curve.map((p) => ({ x: p.atMin / 60, y: p.gPerL[marker] ?? 0 })),
            borderColor: colourOf(style.role),
            backgroundColor: colourOf(style.role),
            borderDash: [...style.dash],
            borderWidth: 2.5,
            pointStyle: style.point,
            pointRadius: row.curve.map((_, at) => (at === row.curve.length - 1 ? 5 : 0)),
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
          x: {
            type: 'linear',
            min: 0,
            title: { display: true, text: 'hours since the start', color: ink },
            ticks: { color: ink },
            grid: { color: colourOf('hairline') },
          },
          y: {
            beginAtZero: true,
            title: { display: true, text: `${say(`marker.${marker}`)}, g/L`, color: ink },
            ticks: { color: ink },
            grid: { color: colourOf('hairline') },
          },
        },
        plugins: {
          legend: { labels: { color: colourOf('ink'), usePointStyle: true, boxWidth: 34 } },
          tooltip: {
            callbacks: {
              title: (items) => `after ${num(items[0]?.parsed.x ?? 0, 1)} h`,
              label: (item) => `${item.dataset.label}: ${num(item.parsed.y ?? 0, 1)} g/L`,
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [rows, marker, mode, systemMode]);
  const said = rows
    .map((r) => `${say(`method.${r.methodId}`)} ends at ${num(r.curve.at(-1)?.gPerL[marker] ?? 0, 1)} g/L`)
    .join('; ');
  return (
    <Box sx={{ height: 260, position: 'relative' }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Strength in ${say(`marker.${marker}`)} over the hours. ${said}.`}
      />
    </Box>
  );
}
