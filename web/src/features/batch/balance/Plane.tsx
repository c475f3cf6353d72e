import '../../../words/places/batch.ts';
import type { Candidate, LikedRegion } from '@big-ladle/core/balance';
import type { Composition } from '@big-ladle/core/liquor';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type KeyboardEvent, memo, type PointerEvent, useMemo, useRef } from 'react';
import { heading, role } from '../../../theme/theme.ts';
import { num, say } from '../../../words/say.ts';
import { keyStep, mostUnits, type PlanePoint, pointOf, type Scale, unitsAt, withUnits } from './arrows.ts';

/** Drawn wide at the table, narrow in the hand: words keep their size. */
const SIZES = { wide: { W: 640, H: 560 }, narrow: { W: 370, H: 440 } };
const EDGE = { left: 50, right: 16, top: 16, bottom: 54 };

/** Lines of equal proportion, sweet g/L to sour g/L. */
const RATIOS = [
  { ratio: 26, word: 'plane.soft' },
  { ratio: 14, word: 'plane.even' },
  { ratio: 6, word: 'plane.sharp' },
] as const;
/** Arrows are told apart by dash and by the word at their tip, not by colour. */
const DASHES = ['', '9 5', '3 5', '14 4 3 4', '6 3 1 3', '2 3'];
/** A handle begins so far from the dot, so that it can be taken hold of where nothing is added yet. */
const STUB = 60;
/** A little room below the axis, for a drink that is not sweet at all, g in 100 g. */
const BELOW = 1.6;

export interface Arrow {
  candidate: Candidate;
  name: string;
  /** The amount in words: "860 g", "2". */
  amount: string;
}

/** A tidy step between figures on an axis. */
const tickStep = (most: number): number => (most > 24 ? 8 : most > 12 ? 4 : most > 6 ? 2 : 1);
const ticks = (most: number): number[] => {
  const step = tickStep(most);
  return Array.from({ length: Math.floor(most / step) }, (_, i) => (i + 1) * step);
};

const KEYS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

/**
 * The balance plane: sour across, sweet up. The drink is a dot, what may be added are arrows whose length is dragged, the
 * target is a ring that is dragged. Everything that is dragged is moved by the arrow keys as well.
 */
export function Plane(props: {
  drink: Composition;
  arrows: readonly Arrow[];
  units: Readonly<Record<string, number>>;
  onUnits: (id: string, units: number) => void;
  target: PlanePoint;
  onTarget: (target: PlanePoint) => void;
  /** With everything that is shown added; served over ice. */
  together: PlanePoint;
  iced: PlanePoint | null;
  liked: LikedRegion | null;
}) {
  const { drink, arrows, units, onUnits, target, onTarget, together, iced, liked } = props;
  const narrow = useMediaQuery('(max-width: 600px)');
  const { W, H } = narrow ? SIZES.narrow : SIZES.wide;
  const svg = useRef<SVGSVGElement>(null);
  /** What is held, and where the drawing lay when it was taken hold of: asking again would lay the page out each time. */
  const held = useRef<{ id: string; box: DOMRect } | null>(null);
  const now = pointOf(drink);
  // The axes stand still while something is dragged: they follow the drink and the target in whole steps.
  const mostSour = Math.max(8, Math.ceil((Math.max(now.sour, target.sour) * 1.45) / 2) * 2);
  const mostSweet = Math.max(16, Math.ceil((Math.max(now.sweet, target.sweet) * 1.4) / 4) * 4);
  const most = useMemo(() => ({ sour: mostSour, sweet: mostSweet }), [mostSour, mostSweet]);
  const scale = useMemo((): Scale => {
    const w = W - EDGE.left - EDGE.right;
    const h = H - EDGE.top - EDGE.bottom;
    return {
      x: (sour) => EDGE.left + (sour / most.sour) * w,
      y: (sweet) => H - EDGE.bottom - ((sweet + BELOW) / (most.sweet + BELOW)) * h,
      sourOf: (x) => ((x - EDGE.left) / w) * most.sour,
      sweetOf: (y) => ((H - EDGE.bottom - y) / h) * (most.sweet + BELOW) - BELOW,
    };
  }, [most, W, H]);
  const dot = { x: scale.x(now.sour), y: scale.y(now.sweet) };
  const pointer = (event: PointerEvent, box: DOMRect) => {
    return {
      x: ((event.clientX - box.left) / box.width) * W,
      y: ((event.clientY - box.top) / box.height) * H,
    };
  };
  const hold = (id: string) => (event: PointerEvent<SVGGElement>) => {
    held.current = { id, box: svg.current!.getBoundingClientRect() };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const drag = (event: PointerEvent) => {
    if (!held.current) return;
    const { id, box } = held.current;
    const at = pointer(event, box);
    if (id === 'target') {
      onTarget({
        sour: Math.min(most.sour, Math.max(0, scale.sourOf(at.x))),
        sweet: Math.min(most.sweet, Math.max(0, scale.sweetOf(at.y))),
      });
      return;
    }
    const arrow = arrows.find((a) => a.candidate.id === id);
    if (!arrow) return;
    const way = directionOf(arrow.candidate, drink, scale);
    onUnits(id, unitsAt(arrow.candidate, drink, scale, { x: at.x - way.x * STUB, y: at.y - way.y * STUB }));
  };
  const letGo = () => {
    held.current = null;
  };
  const byKey = (c: Candidate) => (event: KeyboardEvent) => {
    const step = KEYS[event.key];
    const home = event.key === 'Home' ? 0 : event.key === 'End' ? mostUnits(c, drink) : null;
    if (step === undefined && home === null) return;
    event.preventDefault();
    const next = home ?? (units[c.id] ?? 0) + (step ?? 0) * keyStep(c, drink);
    onUnits(c.id, Math.min(mostUnits(c, drink), Math.max(0, next)));
  };
  const targetByKey = (event: KeyboardEvent) => {
    const by: Record<string, PlanePoint> = {
      ArrowUp: { sour: 0, sweet: 0.2 },
      ArrowDown: { sour: 0, sweet: -0.2 },
      ArrowRight: { sour: 0.1, sweet: 0 },
      ArrowLeft: { sour: -0.1, sweet: 0 },
    };
    const move = by[event.key];
    if (!move) return;
    event.preventDefault();
    onTarget({
      sour: Math.max(0, target.sour + move.sour),
      sweet: Math.max(0, target.sweet + move.sweet),
    });
  };
  const shown = arrows.map((a) => a.candidate);
  const ids = shown.map((c) => c.id).join();
  // Which way each points follows from the drink, not from how much is added.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same arrows by their ids
  const directions = useMemo(
    () => new Map(shown.map((c) => [c.id, directionOf(c, drink, scale)])),
    [ids, drink, scale],
  );
  const drawn = layOut(arrows, drink, units, scale, dot, directions);
  return (
    <Box
      component="svg"
      ref={svg}
      viewBox={`0 0 ${W} ${H}`}
      role="group"
      aria-label={say('plane.balanceSweetnessGIn', { sweet: num(now.sweet, 1), sour: num(now.sour, 1) })}
      data-testid="plane"
      onPointerMove={drag}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      sx={{
        width: '100%',
        height: 'auto',
        display: 'block',
        // What moves in it moves nothing else of the page.
        contain: 'layout paint style',
        touchAction: 'none',
        userSelect: 'none',
        '& text': { fontFamily: 'inherit', fill: role('ink') },
        '& .quiet': { fill: role('inkMuted'), fontSize: 13 },
        '& [role="slider"]': { cursor: 'grab', outline: 'none' },
        '& [role="slider"]:focus-visible .ring': { stroke: role('rim'), strokeWidth: 4 },
      }}
    >
      <Grid scale={scale} most={most} W={W} H={H} liked={liked} />
      {drawn.map((a) => (
        <g key={a.id}>
          {a.moved && (
            <line
              x1={dot.x}
              y1={dot.y}
              x2={a.tip.x}
              y2={a.tip.y}
              stroke={role('ink')}
              strokeWidth={4}
              strokeDasharray={a.dash}
            />
          )}
          <line
            x1={a.tip.x}
            y1={a.tip.y}
            x2={a.handle.x}
            y2={a.handle.y}
            stroke={role('ink')}
            strokeWidth={1.5}
            strokeDasharray="2 3"
          />
          <g
            role="slider"
            tabIndex={0}
            aria-label={a.name}
            aria-valuemin={0}
            aria-valuemax={Math.round(a.most)}
            aria-valuenow={Math.round(a.units)}
            aria-valuetext={a.amount}
            data-testid={`arrow-${a.id}`}
            onPointerDown={hold(a.id)}
            onKeyDown={byKey(a.candidate)}
          >
            <circle cx={a.handle.x} cy={a.handle.y} r={27} fill="transparent" />
            <circle
              className="ring"
              cx={a.handle.x}
              cy={a.handle.y}
              r={10}
              fill={role('enamel')}
              stroke={role('ink')}
              strokeWidth={2.5}
            />
            <path
              d="M -4 4 L 0 -5 L 4 4"
              fill="none"
              stroke={role('ink')}
              strokeWidth={2.2}
              transform={`translate(${a.handle.x} ${a.handle.y}) rotate(${a.angle})`}
            />
          </g>
          <text
            x={a.label.x}
            y={a.label.y}
            textAnchor={a.label.anchor}
            style={{ ...heading, fontSize: 15, pointerEvents: 'none' }}
          >
            {a.name} {a.units > 0 ? a.amount : ''}
          </text>
        </g>
      ))}

      {iced && (
        <g>
          <circle
            cx={scale.x(iced.sour)}
            cy={scale.y(iced.sweet)}
            r={7}
            fill={role('enamel')}
            stroke={role('rim')}
            strokeWidth={2}
          />
          <text className="quiet" x={scale.x(iced.sour) - 12} y={scale.y(iced.sweet) + 4} textAnchor="end">
            {say('plane.inTheGlass')}
          </text>
        </g>
      )}
      <circle
        cx={scale.x(together.sour)}
        cy={scale.y(together.sweet)}
        r={6}
        fill={role('rim')}
        data-testid="together"
      />
      <circle cx={dot.x} cy={dot.y} r={12} fill={role('ink')} />
      <text x={dot.x} y={dot.y + 30} textAnchor="middle" style={{ ...heading, fontSize: 15 }}>
        {say('common.now')}
      </text>
      <g
        role="slider"
        tabIndex={0}
        aria-label={say('plane.target')}
        aria-valuemin={0}
        aria-valuemax={most.sweet}
        aria-valuenow={Math.round(target.sweet * 10) / 10}
        aria-valuetext={say('plane.sweetnessSourness', {
          sweet: num(target.sweet, 1),
          sour: num(target.sour, 1),
        })}
        data-testid="target"
        onPointerDown={hold('target')}
        onKeyDown={targetByKey}
      >
        <circle cx={scale.x(target.sour)} cy={scale.y(target.sweet)} r={27} fill="transparent" />
        <circle
          className="ring"
          cx={scale.x(target.sour)}
          cy={scale.y(target.sweet)}
          r={13}
          fill="none"
          stroke={role('ink')}
          strokeWidth={3}
          strokeDasharray="4 3"
        />
        <text
          x={scale.x(target.sour) - 20}
          y={scale.y(target.sweet) - 12}
          textAnchor="end"
          style={{ ...heading, fontSize: 15, pointerEvents: 'none' }}
        >
          {say('plane.target2')}
        </text>
      </g>
    </Box>
  );
}

/** What stands still while something is dragged: axes, proportions, what the house likes. */
const Grid = memo(function Grid(props: {
  scale: Scale;
  most: { sour: number; sweet: number };
  W: number;
  H: number;
  liked: LikedRegion | null;
}) {
  const { scale, most, W, H, liked } = props;
  return (
    <>
      {ticks(most.sour).map((t) => (
        <g key={`x${t}`}>
          <line
            x1={scale.x(t)}
            x2={scale.x(t)}
            y1={H - EDGE.bottom}
            y2={scale.y(most.sweet)}
            stroke={role('hairline')}
          />
          <text className="quiet" x={scale.x(t)} y={H - EDGE.bottom + 18} textAnchor="middle">
            {t}
          </text>
        </g>
      ))}
      {ticks(most.sweet).map((t) => (
        <g key={`y${t}`}>
          <line
            x1={scale.x(0)}
            x2={scale.x(most.sour)}
            y1={scale.y(t)}
            y2={scale.y(t)}
            stroke={role('hairline')}
          />
          <text className="quiet" x={scale.x(0) - 8} y={scale.y(t) + 4} textAnchor="end">
            {t}
          </text>
        </g>
      ))}
      {RATIOS.map(({ ratio, word }) => {
        // Sweet g/L is ten times g in 100 g, near enough at a drink's density.
        const endSour = Math.min(most.sour, (most.sweet * 10) / ratio);
        const endSweet = (endSour * ratio) / 10;
        return (
          <g key={word}>
            <line
              x1={scale.x(0)}
              y1={scale.y(0)}
              x2={scale.x(endSour)}
              y2={scale.y(endSweet)}
              stroke={role('rimSoft')}
              strokeWidth={1.5}
            />
            <text className="quiet" x={scale.x(endSour) - 6} y={scale.y(endSweet) + 16} textAnchor="end">
              {say(word)}
            </text>
          </g>
        );
      })}
      {liked && (
        <g>
          <ellipse
            cx={scale.x(liked.sourGPerL)}
            cy={scale.y(liked.sweetPct)}
            rx={scale.x(liked.sourSpread) - scale.x(0)}
            ry={scale.y(0) - scale.y(liked.sweetSpread)}
            fill={role('ready')}
            fillOpacity={0.12}
            stroke={role('ready')}
            strokeWidth={2}
            strokeDasharray="5 4"
          />
          <text
            x={scale.x(liked.sourGPerL)}
            y={scale.y(liked.sweetPct + liked.sweetSpread) - 8}
            textAnchor="middle"
            fontSize={14}
          >
            {say('plane.whatThisHouseLikes', { batches: num(liked.batches) })}
          </text>
        </g>
      )}
      <path
        d={`M ${scale.x(0)} ${scale.y(most.sweet)} V ${scale.y(0)} H ${scale.x(most.sour)}`}
        fill="none"
        stroke={role('rim')}
        strokeWidth={2.5}
      />
      <text className="quiet" x={(W + EDGE.left) / 2} y={H - 8} textAnchor="middle">
        {say('plane.sourGLAs')}
      </text>
      <text className="quiet" transform={`translate(15 ${H / 2}) rotate(-90)`} textAnchor="middle">
        {say('plane.sweetGOfSugar')}
      </text>
    </>
  );
});

/** Where an arrow points, as a unit of pixels. */
function directionOf(c: Candidate, drink: Composition, scale: Scale): { x: number; y: number } {
  const from = pointOf(drink);
  const to = pointOf(withUnits(drink, [c], { [c.id]: Math.max(1, mostUnits(c, drink) / 20) }));
  const x = scale.x(to.sour) - scale.x(from.sour);
  const y = scale.y(to.sweet) - scale.y(from.sweet);
  const length = Math.hypot(x, y) || 1;
  return { x: x / length, y: y / length };
}

/** Nearer to the edge than this a word on the left would be cut off. */
const LEFT_EDGE = 120;

/** Whether two arrows point nearly the same way. */
const near = (a: { x: number; y: number }, b: { x: number; y: number }): boolean =>
  Math.abs(a.x - b.x) + Math.abs(a.y - b.y) < 0.35;

/** Tips, handles and words of the arrows; words that would lie on one another stand below. */
function layOut(
  arrows: readonly Arrow[],
  drink: Composition,
  units: Readonly<Record<string, number>>,
  scale: Scale,
  dot: { x: number; y: number },
  directions: ReadonlyMap<string, { x: number; y: number }>,
) {
  const taken: { x: number; y: number }[] = [];
  return arrows.map(({ candidate, name, amount }, i) => {
    const amountUnits = units[candidate.id] ?? 0;
    const p = pointOf(withUnits(drink, [candidate], units));
    const way = directions.get(candidate.id) ?? { x: 0, y: -1 };
    const tip = { x: scale.x(p.sour), y: scale.y(p.sweet) };
    // Arrows that point the same way stand beside one another.
    const beside = taken.filter((t) => near(t, way)).length;
    taken.push(way);
    const reach = STUB + beside * 4;
    const handle = {
      x: tip.x + way.x * reach - way.y * 26 * beside,
      y: tip.y + way.y * reach + way.x * 26 * beside,
    };
    // Of several that point the same way the first has its word on the left, out of the way of the others.
    const alone = ![...directions].some(([id, d]) => id !== candidate.id && near(d, way));
    const left = way.x < -0.25 || (beside === 0 && !alone && Math.abs(way.x) < 0.35);
    return {
      id: candidate.id,
      candidate,
      name,
      amount,
      units: amountUnits,
      most: mostUnits(candidate, drink),
      dash: DASHES[i % DASHES.length]!,
      moved: Math.hypot(tip.x - dot.x, tip.y - dot.y) > 2,
      tip,
      handle,
      angle: (Math.atan2(way.y, way.x) * 180) / Math.PI + 90,
      label:
        left && handle.x < LEFT_EDGE
          ? // No room beside it: below.
            { x: handle.x - 12, y: handle.y + 30, anchor: 'start' as const }
          : {
              x: handle.x + (left ? -16 : 16),
              y: handle.y + 5 + beside * 18,
              anchor: left ? ('end' as const) : ('start' as const),
            },
    };
  });
}
