import Box from '@mui/material/Box';
import { codeOf } from '../../../shared/squareCode.ts';

/** Fields of white around a code, so that a camera finds it. */
const QUIET = 4;
const SIZE_PX = 176;

/** A code to be photographed, dark on white by day and by night. */
export function Qr({ text, label }: { text: string; label: string }) {
  const { size, dark } = codeOf(text);
  const side = size + 2 * QUIET;
  const rows = Array.from({ length: size }, (_, i) => i);
  const path = rows
    .flatMap((y) => rows.filter((x) => dark(y, x)).map((x) => `M${x + QUIET} ${y + QUIET}h1v1h-1z`))
    .join('');
  return (
    <Box sx={{ flex: 'none', lineHeight: 0, borderRadius: 1, overflow: 'hidden' }}>
      <svg
        role="img"
        aria-label={label}
        viewBox={`0 0 ${side} ${side}`}
        width={SIZE_PX}
        height={SIZE_PX}
        shapeRendering="crispEdges"
      >
        <rect width={side} height={side} fill="#fff" />
        <path d={path} fill="#000" />
      </svg>
    </Box>
  );
}
