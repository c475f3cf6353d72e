import { lazy, type ReactNode, Suspense } from 'react';
import { create } from 'zustand';
import { ApiError } from './api.ts';
import { queryClient } from './queries.ts';
import { Loading } from './ui.tsx';

/** The server has said that this device has not been let in. */
export const usePairing = create<{ wanted: boolean }>(() => ({ wanted: false }));
queryClient.getQueryCache().subscribe((event) => {
  const { error } = event.query.state;
  if (error instanceof ApiError && error.code === 'notPaired') usePairing.setState({ wanted: true });
});

/** Asked for once on each device: not part of the first page. */
const EnterCode = lazy(() => import('./EnterCode.tsx').then((m) => ({ default: m.EnterCode })));

/** Stands before every screen on a device that is not let in yet. */
export function PairingGate({ children }: { children: ReactNode }) {
  const wanted = usePairing((s) => s.wanted);
  if (!wanted) return children;
  return (
    <Suspense fallback={<Loading />}>
      <EnterCode />
    </Suspense>
  );
}
