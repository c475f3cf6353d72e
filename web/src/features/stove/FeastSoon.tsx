import type { Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import { lazy, Suspense } from 'react';
import { useGatherings } from '../../shared/gatherings/list.ts';
import { Panel } from '../../shared/ui.tsx';
import { WIDE_ONLY } from './wideOnly.ts';

/** Fetched where a gathering is coming. */
const FeastNext = lazy(() => import('./FeastNext.tsx').then((m) => ({ default: m.FeastNext })));

/** So high its jobs stand beside one another. */
const HIGH_PX = 220;

/** A gathering comes to the stove four days before it is served. */
const AHEAD_MS = 4 * 86_400_000;

/** The jobs of the gathering that comes first, where one is near. */
export function FeastSoon({ kitchen, nowMs }: { kitchen: Kitchen; nowMs: number }) {
  const near = useGatherings().data?.gatherings.find(
    ({ gathering: g }) => g.untilMs > nowMs && g.servesAtMs < nowMs + AHEAD_MS && g.drinks.length > 0,
  );
  // The room that it will take: nothing jumps when it comes.
  const room = <Box sx={{ minHeight: HIGH_PX }} />;
  return (
    near && (
      <Suspense fallback={<Box sx={WIDE_ONLY}>{<Panel>{room}</Panel>}</Box>}>
        <FeastNext key={near.id} coming={near} kitchen={kitchen} />
      </Suspense>
    )
  );
}
