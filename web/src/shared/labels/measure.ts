import { useEffect, useState } from 'react';
import type { Measure } from './setLines.ts';

export const FONT = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

/** The usual letters and the rest come in files of their own. */
const ONE_OF_EACH = 'aé';

/** Widths by the font that is shipped, which the PDF carries as well. */
function measureWith(context: CanvasRenderingContext2D): Measure {
  return (text, sizeMm, bold) => {
    context.font = `${bold ? 700 : 400} 100px ${FONT}`;
    return (context.measureText(text).width / 100) * sizeMm;
  };
}

/** Waits for the font, so that the first preview is set as the last. */
export function useMeasure(): Measure | null {
  const [measure, setMeasure] = useState<Measure | null>(null);
  useEffect(() => {
    const context = document.createElement('canvas').getContext('2d');
    if (!context) return;
    void Promise.all([400, 700].map((weight) => document.fonts.load(`${weight} 20px ${FONT}`, ONE_OF_EACH)))
      .catch(() => undefined)
      .then(() => setMeasure(() => measureWith(context)));
  }, []);
  return measure;
}
