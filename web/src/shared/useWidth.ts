import { type RefObject, useLayoutEffect, useRef, useState } from 'react';

/** How wide something is drawn, px; 0 until it stands. */
export function useWidth<T extends Element>(): [RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const { current } = ref;
    if (!current) return;
    setWidth(current.getBoundingClientRect().width);
    if (typeof ResizeObserver === 'undefined') return;
    const watch = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    watch.observe(current);
    return () => watch.disconnect();
  }, []);
  return [ref, width];
}
