import { type ComponentProps, lazy, Suspense } from 'react';

/** Photos come when they are looked at: what they need is no part of the pages that they stand on. */
const LazyPhotos = lazy(() => import('./Photos.tsx').then((m) => ({ default: m.Photos })));
const LazySpoon = lazy(() => import('./SpoonPhotos.tsx').then((m) => ({ default: m.SpoonPhotos })));
const LazyLast = lazy(() => import('./LastSpoon.tsx').then((m) => ({ default: m.LastSpoon })));

export const Photos = (props: ComponentProps<typeof LazyPhotos>) => (
  <Suspense>
    <LazyPhotos {...props} />
  </Suspense>
);

export const SpoonPhotos = (props: ComponentProps<typeof LazySpoon>) => (
  <Suspense>
    <LazySpoon {...props} />
  </Suspense>
);

export const LastSpoon = (props: ComponentProps<typeof LazyLast>) => (
  <Suspense>
    <LazyLast {...props} />
  </Suspense>
);
