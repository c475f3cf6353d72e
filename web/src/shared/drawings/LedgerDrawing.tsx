import '../../words/places/steps.ts';
import type { Ledger, LedgerRow } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { area, curveBumpX } from 'd3-shape';
import { useId, useState } from 'react';
import { heading, role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { litres, volume } from '../../words/quantities.ts';
import { say, sayCode } from '../../words/say.ts';

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
  if (row.code === 'measured') return sayCode(`flow.measured.${side}`);
  const item = row.itemId ?? (row.lineId ? itemOf(row.lineId) : null);
  const name = item ? sayItem(item) : '';
  const words = sayCode(`flow.${row.code}`, { item: row.code === 'juice' ? name.toLowerCase() : name });
  return row.state ? `${words}, ${say(`state.${row.state}`)}` : words;
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
        why: sayCode(`flow.why.${row.code}`),
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

/** Height of the trunk, px, and of a row at its least: three lines of text where the columns are narrow. */
const TRUNK_PX = 76;
const ROW_PX = { wide: 30, narrow: 62 };
const MIN_RIBBON_PX = 1.5;
/** Where the trunk begins and ends, in hundredths of the drawing's width. */
const TRUNK_L = 36;
const TRUNK_R = 64;

const ribbonPath = area<{ x: number; y0: number; y1: number }>()
  .x((d) => d.x)
  .y0((d) => d.y0)
  .y1((d) => d.y1)
  .curve(curveBumpX);

interface Placed {
  ribbon: Ribbon;
  rowPx: number;
  endY: number;
  endH: number;
  trunkY: number;
  trunkH: number;
}

/** Rows of one side under one another, each ribbon from the middle of its row into its own part of the trunk. */
function place(rows: readonly Ribbon[], scale: number, leastPx: number, height: number): Placed[] {
  const total = rows.reduce((sum, r) => sum + r.litres, 0) * scale;
  let rowY = 0;
  let trunkY = (height - total) / 2;
  return rows.map((ribbon) => {
    const trunkH = ribbon.litres * scale;
    const endH = Math.max(MIN_RIBBON_PX, trunkH);
    const rowPx = Math.max(leastPx, endH + 4);
    const placed = { ribbon, rowPx, endY: rowY + (rowPx - endH) / 2, endH, trunkY, trunkH };
    rowY += rowPx;
    trunkY += trunkH;
    return placed;
  });
}

/** Litres flowing in at the left and out at the right, each ribbon to scale; each row opens its sum. */
export function LedgerDrawing(props: {
  ledger: Ledger;
  itemOf: (lineId: string) => string;
  colour: string;
  finishedWord?: string;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const gradient = useId();
  const wide = useMediaQuery('(min-width: 600px)');
  const leastPx = wide ? ROW_PX.wide : ROW_PX.narrow;
  const ribbons = ribbonsOf(props.ledger, props.itemOf, props.finishedWord ?? say('flow.finished'));
  const into = ribbons.filter((r) => r.side === 'in');
  const outOf = [...ribbons.filter((r) => r.side === 'finished'), ...ribbons.filter((r) => r.side === 'out')];
  const scale = TRUNK_PX / Math.max(1e-6, props.ledger.inL);
  const rowsPx = (rows: readonly Ribbon[]) =>
    rows.reduce((sum, r) => sum + Math.max(leastPx, r.litres * scale + 4), 0);
  const height = Math.max(rowsPx(into), rowsPx(outOf));
  const left = place(into, scale, leastPx, height);
  const right = place(outOf, scale, leastPx, height);
  const shown = ribbons.find((r) => r.key === open);

  const fillOf = (r: Ribbon): string =>
    r.side === 'in'
      ? r.row?.code === 'poured'
        ? role('rimSoft')
        : role('line')
      : r.row?.code === 'steam'
        ? role('line')
        : props.colour;
  const opacityOf = (r: Ribbon): number =>
    (open === null || open === r.key ? 1 : 0.35) * (r.side === 'out' ? 0.55 : 1);

  const column = (placed: readonly Placed[], side: 'in' | 'out') => (
    <Box>
      {placed.map(({ ribbon, rowPx }) => (
        <Box
          key={ribbon.key}
          component="button"
          type="button"
          aria-expanded={open === ribbon.key}
          data-testid={`ledger-${ribbon.key}`}
          onClick={() => setOpen(open === ribbon.key ? null : ribbon.key)}
          sx={{
            all: 'unset',
            boxSizing: 'border-box',
            cursor: 'pointer',
            width: '100%',
            height: `${rowPx}px`,
            display: 'flex',
            flexDirection: { xs: 'column', sm: side === 'in' ? 'row' : 'row-reverse' },
            justifyContent: { xs: 'center', sm: 'flex-end' },
            alignItems: { xs: side === 'in' ? 'flex-end' : 'flex-start', sm: 'center' },
            textAlign: side === 'in' ? 'right' : 'left',
            columnGap: 1,
            lineHeight: 1.15,
            fontSize: '0.9rem',
            '&:focus-visible': { outline: `3px solid ${role('rim')}` },
            '&:hover .flow-label': { textDecoration: 'underline' },
          }}
        >
          <Box component="span" className="flow-label" sx={{ color: role('inkMuted') }}>
            {ribbon.label}
          </Box>{' '}
          <Box
            component="span"
            data-litres={ribbon.litres}
            sx={{
              ...heading,
              whiteSpace: 'nowrap',
              fontSize: ribbon.side === 'finished' ? '1.25rem' : undefined,
            }}
          >
            {ribbon.litres >= 0.995 ? litres(ribbon.litres, 1) : volume(ribbon.litres)}
          </Box>
        </Box>
      ))}
    </Box>
  );

  const trunkH = props.ledger.inL * scale;
  return (
    <Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: 'minmax(0,1fr) 52px minmax(0,1fr)',
            sm: 'minmax(0,6fr) minmax(0,7fr) minmax(0,6fr)',
          },
          columnGap: 1,
        }}
      >
        {column(left, 'in')}
        <svg
          viewBox={`0 0 100 ${height}`}
          width="100%"
          height={height}
          preserveAspectRatio="none"
          aria-hidden="true"
          style={{ display: 'block' }}
        >
          <defs>
            <linearGradient id={gradient}>
              <stop offset="0" stopColor={role('rimSoft')} />
              <stop offset="1" stopColor={props.colour} />
            </linearGradient>
          </defs>
          {left.map(({ ribbon, endY, endH, trunkY, trunkH: h }) => (
            <path
              key={ribbon.key}
              d={
                ribbonPath([
                  { x: 0, y0: endY, y1: endY + endH },
                  { x: TRUNK_L, y0: trunkY, y1: trunkY + h },
                ]) ?? ''
              }
              fill={fillOf(ribbon)}
              opacity={opacityOf(ribbon)}
            />
          ))}
          <rect
            x={TRUNK_L - 0.2}
            y={(height - trunkH) / 2}
            width={TRUNK_R - TRUNK_L + 0.4}
            height={trunkH}
            fill={`url(#${gradient})`}
          />
          {right.map(({ ribbon, endY, endH, trunkY, trunkH: h }) => (
            <path
              key={ribbon.key}
              d={
                ribbonPath([
                  { x: TRUNK_R, y0: trunkY, y1: trunkY + h },
                  { x: 100, y0: endY, y1: endY + endH },
                ]) ?? ''
              }
              fill={fillOf(ribbon)}
              opacity={opacityOf(ribbon)}
            />
          ))}
        </svg>
        {column(right, 'out')}
      </Box>
      <Box role="status" sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: shown ? 1 : 0 }}>
        {shown && `${shown.label}, ${volume(shown.litres)}: ${shown.why}`}
      </Box>
    </Box>
  );
}
