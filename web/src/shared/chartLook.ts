import { Chart } from 'chart.js';

Chart.defaults.font.family = '"Atkinson Hyperlegible Next", system-ui, sans-serif';
Chart.defaults.font.size = 13;

/** The colours of charts, read where one is drawn: the stove's night holds for them too. */
export function chartLook(canvas: HTMLCanvasElement) {
  const styles = getComputedStyle(canvas);
  const colourOf = (name: string): string =>
    styles.getPropertyValue(`--mui-palette-role-${name}`).trim() || '#333';
  const ink = colourOf('inkMuted');
  return {
    colourOf,
    axis: (title?: string) => ({
      ...(title === undefined ? {} : { title: { display: true, text: title, color: ink } }),
      ticks: { color: ink },
      grid: { color: colourOf('hairline') },
    }),
  };
}
