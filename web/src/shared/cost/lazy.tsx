import { type ComponentProps, lazy, Suspense } from 'react';

/** What something costs comes when it is asked for: it is no part of the pages that it stands on. */
const LazyCosts = lazy(() => import('./CostTable.tsx').then((m) => ({ default: m.CostTable })));

export const CostTable = (props: ComponentProps<typeof LazyCosts>) => (
  <Suspense>
    <LazyCosts {...props} />
  </Suspense>
);
