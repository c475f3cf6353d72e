import type { Kitchen } from '@big-ladle/core/documents';
import { lazy, Suspense } from 'react';
import { useGatherings } from '../../shared/gatherings/list.ts';

/** Fetched where a gathering is coming. */
const FeastNext = lazy(() => import('./FeastNext.tsx').then((m) => ({ default: m.FeastNext })));

/** A gathering comes to the stove four days before it is served. */
const AHEAD_MS = 4 * 86_400_000;

/** The jobs of the gathering that comes first, where one is near. */
export function FeastSoon({ kitchen, nowMs }: { kitchen: Kitchen; nowMs: number }) {
  const near = useGatherings().data?.gatherings.find(
    ({ gathering: g }) => g.untilMs > nowMs && g.servesAtMs < nowMs + AHEAD_MS && g.drinks.length > 0,
  );
  return (
    near && (
      <Suspense>
        <FeastNext key={near.id} coming={near} kitchen={kitchen} />
      </Suspense>
    )
  );
}
