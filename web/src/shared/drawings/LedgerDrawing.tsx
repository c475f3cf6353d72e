import type { Ledger, LedgerRow } from '@big-ladle/core';
import Box from '@mui/material/Box';
import { area, curveBumpX } from 'd3-shape';
import { useState } from 'react';
import { role } from '../../theme/theme.ts';
import { litres, say, volume } from '../../words/say.ts';
import { Row } from '../ui.tsx';

type Side = 'in' | 'out' | 'finished';
interface Ribbon {
  key: string;
  row: LedgerRow | null;
  side: Side;
  litres: number;
  label: string;
  why: string;
}

const keyOf = (row: LedgerRow): string => `${row.code}-${row.lineId ?? ''}`;

function label(row: LedgerRow, side: Side, itemOf: (lineId: string) => string): string {
  if (row.code === 'measured') return say(`flow.measured.${side}`);
  return say(`flow.${row.code}`, { item: row.lineId ? say(`item.${itemOf(row.lineId)}`) : '' });
}

/** Rows of both sides with words, biggest first, and what is left at the end. */
function ribbonsOf(ledger: Ledger, itemOf: (lineId: string) => string, finishedWord: string): Ribbon[] {
  const side = (rows: LedgerRow[], which: Side): Ribbon[] =>
    [...rows]
      .sort((a, b) => b.litres - a.litres)
      .map((row) => ({
        key: `${which}-${keyOf(row)}`,
        row,
        side: which,
        litres: row.litres,
        label: label(row, which, itemOf),
        why: say(`flow.why.${row.code}`),
      }));
  return [
    ...side(ledger.in, 'in'),
    ...side(ledger.out, 'out'),
    {
      key: 'finished',
      row: null,
      side: 'finished',
      litres: ledger.finishedL,
      label: finishedWord,
      why: `${say('flow.why.finished')} ${litres(ledger.inL, 2)} − ${litres(ledger.outL, 2)} = ${litres(ledger.finishedL, 2)}`,
    },
  ];
}

const W = 560;
const TRUNK_L = 220;
const TRUNK_R = 330;
const GAP = 9;
const MIN_H = 1.5;

const ribbonPath = area<{ x: number; y0: number; y1: number }>()
  .x((d) => d.x)
  .y0((d) => d.y0)
  .y1((d) => d.y1)
  .curve(curveBumpX);

/** Litres flowing in at the left and out at the right, each ribbon to scale; the rows beside say the same and open their sums. */
export function LedgerDrawing(props: {
  ledger: Ledger;
  itemOf: (lineId: string) => string;
  colour: string;
  finishedWord?: string;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const ribbons = ribbonsOf(props.ledger, props.itemOf, props.finishedWord ?? say('flow.finished'));
  const into = ribbons.filter((r) => r.side === 'in');
  const outOf = [...ribbons.filter((r) => r.side === 'finished'), ...ribbons.filter((r) => r.side === 'out')];
  const total = Math.max(1e-6, props.ledger.inL);
  const scale = 108 / total;
  const h = (l: number) => Math.max(MIN_H, l * scale);
  const height = Math.max(into.length, outOf.length) * GAP + 132;

  // Ends stand apart, the trunk is one piece: both stacks have the same sum, so the ribbons join cleanly.
  const stack = (rows: Ribbon[]): { ribbon: Ribbon; endY: number; trunkY: number; high: number }[] => {
    let endY = 10;
    let trunkY = 10 + (rows.length * GAP) / 3;
    return rows.map((ribbon) => {
      const high = h(ribbon.litres);
      const placed = { ribbon, endY, trunkY, high };
      endY += high + GAP;
      trunkY += ribbon.litres * scale;
      return placed;
    });
  };
  const trunkTop = 10 + (Math.max(into.length, outOf.length) * GAP) / 3;
  const shift = (rows: Ribbon[]) => trunkTop - (10 + (rows.length * GAP) / 3);
  const inShift = shift(into);
  const outShift = shift(outOf);

  const fillOf = (r: Ribbon): string =>
    r.side === 'finished'
      ? props.colour
      : r.side === 'in'
        ? r.row?.code === 'poured'
          ? role('rimSoft')
          : role('line')
        : role('line');

  return (
    <Box>
      <svg
        viewBox={`0 0 ${W} ${height}`}
        width="100%"
        aria-hidden="true"
        style={{ display: 'block', maxHeight: 190 }}
      >
        <rect
          x={TRUNK_L}
          y={trunkTop}
          width={TRUNK_R - TRUNK_L}
          height={total * scale}
          fill={role('rimSoft')}
          opacity={0.65}
        />
        {stack(into).map(({ ribbon, endY, trunkY, high }) => (
          <path
            key={ribbon.key}
            d={
              ribbonPath([
                { x: 96, y0: endY, y1: endY + high },
                { x: TRUNK_L, y0: trunkY + inShift, y1: trunkY + inShift + ribbon.litres * scale },
              ]) ?? ''
            }
            fill={fillOf(ribbon)}
            opacity={open === null || open === ribbon.key ? 0.9 : 0.3}
          />
        ))}
        {stack(outOf).map(({ ribbon, endY, trunkY, high }) => (
          <path
            key={ribbon.key}
            d={
              ribbonPath([
                { x: TRUNK_R, y0: trunkY + outShift, y1: trunkY + outShift + ribbon.litres * scale },
                { x: 452, y0: endY, y1: endY + high },
              ]) ?? ''
            }
            fill={fillOf(ribbon)}
            opacity={open === null || open === ribbon.key ? 0.9 : 0.3}
          />
        ))}
        <text x={88} y={24} textAnchor="end" fontSize={15} fontWeight={700} fill={role('ink')}>
          {litres(props.ledger.inL)}
        </text>
        <text x={88} y={41} textAnchor="end" fontSize={13} fill={role('inkMuted')}>
          in
        </text>
        <text x={460} y={24} fontSize={15} fontWeight={700} fill={role('ink')}>
          {litres(props.ledger.finishedL)}
        </text>
        <text x={460} y={41} fontSize={13} fill={role('inkMuted')}>
          {props.finishedWord ?? say('flow.finished')}
        </text>
      </svg>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
          columnGap: 3,
          mt: 1,
          fontSize: '0.9rem',
        }}
      >
        {(['in', 'out'] as const).map((side) => (
          <Box key={side}>
            <Box sx={{ color: role('inkMuted') }}>
              {side === 'in' ? 'comes in' : 'goes out, and what is left'}
            </Box>
            {ribbons
              .filter((r) => (side === 'in' ? r.side === 'in' : r.side !== 'in'))
              .map((r) => (
                <Box key={r.key}>
                  <Box
                    component="button"
                    type="button"
                    aria-expanded={open === r.key}
                    onClick={() => setOpen(open === r.key ? null : r.key)}
                    sx={{
                      all: 'unset',
                      display: 'block',
                      width: '100%',
                      cursor: 'pointer',
                      minHeight: 30,
                      '&:focus-visible': { outline: `3px solid ${role('rim')}` },
                    }}
                  >
                    <Row label={r.label} testId={`ledger-${r.key}`}>
                      <span data-litres={r.litres}>
                        {r.litres >= 0.995 ? litres(r.litres, 2) : volume(r.litres)}
                      </span>
                    </Row>
                  </Box>
                  {open === r.key && <Box sx={{ color: role('inkMuted'), py: 0.5 }}>{r.why}</Box>}
                </Box>
              ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
