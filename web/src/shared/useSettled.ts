import { useEffect, useState } from 'react';

/** A value once it has stood for so long; the first at once. For what is not worth beginning while a figure is typed. */
export function useSettled<T>(value: T, forMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    if (Object.is(value, settled)) return;
    const later = setTimeout(() => setSettled(value), forMs);
    return () => clearTimeout(later);
  }, [value, settled, forMs]);
  return settled;
}
