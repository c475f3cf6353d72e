import '../../../words/places/batch.ts';
import type { Candidate, LikedRegion } from '@big-ladle/core/balance';
import type { Composition } from '@big-ladle/core/liquor';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef } from 'react';
import { heading, role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { say } from '../../../words/say.ts';
import type { Arrow } from './arrows.ts';
import { keyStep, mostUnits, type PlanePoint, pointOf, type Scale, unitsAt } from './arrows.ts';
import { EDGE, Grid } from './planeGrid.tsx';
import { BELOW, directionOf, KEYS, layOut, SIZES, STUB } from './planeLayout.ts';

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
