import '../../words/places/gatherings.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import type { FeastTimes, Sized } from '@big-ladle/core/gathering';
import { role } from '../../theme/theme.ts';
import { litres } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { FRIDGE, LABEL } from './laneSizes.ts';
import { lotColour } from './lotColour.ts';

/** Litres in the fridge, drink upon drink; from the serving on they go. */
export function FridgeArea(props: {
  sized: Sized;
  times: FeastTimes;
  kitchen: Kitchen;
  servesAtMs: number;
  /** Litres of cold that are borrowed. */
  borrowedL: number;
  top: number;
  width: number;
  toMs: number;
  x: (ms: number) => number;
}) {
  const { sized, times, kitchen, servesAtMs, borrowedL, top, width, toMs, x } = props;
  const coldL = kitchen.fridgeFreeL + borrowedL;
  const mine = times.booked.filter((b) => b.kind === 'fridge');
  const px = (FRIDGE - 16) / Math.max(1, coldL);
  const foot = top + FRIDGE - 4;
  const edges = [...new Set([...mine.flatMap((b) => [b.fromMs, b.toMs])])].sort((a, b) => a - b);
  const drinks = [...new Set(mine.map((b) => b.drinkId))];
  const amountAt = (drinkId: string, ms: number) =>
    mine.reduce(
      (sum, b) => (b.drinkId === drinkId && b.fromMs <= ms && ms < b.toMs ? sum + b.amount : sum),
      0,
    );
  const under = new Map<number, number>();
  return (
    <g>
      <text x={0} y={top + 34} fontSize={14} fontWeight={700} fill={role('ink')}>
        {say('days.fridge')}
      </text>
      <text x={0} y={top + 52} fontSize={12} fill={role('inkMuted')}>
        {say('days.holds', { litres: litres(coldL, 0) })}
      </text>
      <line
        x1={LABEL}
        x2={width}
        y1={foot - coldL * px}
        y2={foot - coldL * px}
        stroke={role('cold')}
        strokeDasharray="2 4"
        strokeWidth={1.6}
      />
      {drinks.map((drinkId) => (
        <g key={drinkId}>
          {edges.slice(0, -1).map((ms, i) => {
            const amount = amountAt(drinkId, ms);
            const below = under.get(ms) ?? 0;
            under.set(ms, below + amount);
            if (amount <= 0) return null;
            const endMs = edges[i + 1]!;
            return (
              <rect
                key={ms}
                x={x(ms)}
                width={Math.max(1, x(endMs) - x(ms) + 0.5)}
                y={foot - (below + amount) * px}
                height={amount * px}
                fill={lotColour(sized.drinks.find((d) => d.id === drinkId))}
              />
            );
          })}
          <Drunk
            x0={x(servesAtMs)}
            x1={x(toMs)}
            foot={foot}
            below={drinks
              .slice(0, drinks.indexOf(drinkId))
              .reduce((sum, id) => sum + amountAt(id, servesAtMs - 1) * px, 0)}
            high={amountAt(drinkId, servesAtMs - 1) * px}
            colour={lotColour(sized.drinks.find((d) => d.id === drinkId))}
          />
        </g>
      ))}
      <line x1={LABEL} x2={width} y1={foot + 1} y2={foot + 1} stroke={role('rim')} strokeWidth={2} />
    </g>
  );
}

/** It is poured: what stood there goes to a tenth until the last glass. */
function Drunk(props: { x0: number; x1: number; foot: number; below: number; high: number; colour: string }) {
  const { x0, x1, foot, below, high, colour } = props;
  const LEFT = 0.1;
  return (
    <path
      d={`M${x0} ${foot - below}V${foot - below - high}L${x1} ${foot - (below + high) * LEFT}V${foot - below * LEFT}Z`}
      fill={colour}
    />
  );
}
