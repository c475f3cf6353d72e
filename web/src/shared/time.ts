import { useEffect, useState } from 'react';
import { create } from 'zustand';

/** This device's clock against the server's: devices correct themselves by the server's time. */
const useOffset = create<{ offsetMs: number }>(() => ({ offsetMs: 0 }));

export function serverTimeIs(nowMs: number): void {
  useOffset.setState({ offsetMs: nowMs - Date.now() });
}

export const serverNow = (): number => Date.now() + useOffset.getState().offsetMs;

/** The time, again every `everyMs` and as soon as the server corrects it. */
export function useNow(everyMs = 1000): number {
  const offsetMs = useOffset((s) => s.offsetMs);
  const [, again] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => again((n) => n + 1), everyMs);
    const seen = () => again((n) => n + 1);
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [everyMs]);
  return Date.now() + offsetMs;
}
