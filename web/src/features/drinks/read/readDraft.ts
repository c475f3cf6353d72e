import type { LineFix, ReadLine, StepFix } from '@big-ladle/core/exchange';
import type { UnitSystem } from '@big-ladle/core/units';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/**
 * A text being read, with what the cook has set right; it survives a reload of this window. What was set right hangs on
 * the words it is about, so that it stays when the text around them changes.
 */
interface ReadDraft {
  text: string;
  system: UnitSystem | null;
  /** Which of several drinks is in sight. */
  drink: number;
  lines: Readonly<Record<string, LineFix>>;
  steps: Readonly<Record<string, StepFix>>;
  /** Lines put in by hand, by drink. */
  added: Readonly<Record<number, readonly ReadLine[]>>;
  /** Words that nobody understood and that were settled: left out, or put in by hand. */
  settled: readonly string[];
  /** Questions about the whole that are meant so. */
  meant: readonly string[];
}

const EMPTY: ReadDraft = {
  text: '',
  system: null,
  drink: 0,
  lines: {},
  steps: {},
  added: {},
  settled: [],
  meant: [],
};

export const useReadDraft = create<
  ReadDraft & {
    set: (change: Partial<ReadDraft>) => void;
    fixLine: (key: string, fix: LineFix) => void;
    fixStep: (key: string, fix: StepFix) => void;
    add: (drink: number, line: ReadLine, words: string) => void;
    settle: (words: string) => void;
    clear: () => void;
  }
>()(
  persist(
    (set) => ({
      ...EMPTY,
      set: (change) => set(change),
      fixLine: (key, fix) => set((s) => ({ lines: { ...s.lines, [key]: { ...s.lines[key], ...fix } } })),
      fixStep: (key, fix) => set((s) => ({ steps: { ...s.steps, [key]: { ...s.steps[key], ...fix } } })),
      add: (drink, line, words) =>
        set((s) => ({
          added: { ...s.added, [drink]: [...(s.added[drink] ?? []), line] },
          settled: [...s.settled, words],
        })),
      settle: (words) => set((s) => ({ settled: [...s.settled, words] })),
      clear: () => set(EMPTY),
    }),
    { name: 'big-ladle-reading', storage: createJSONStorage(() => sessionStorage) },
  ),
);

/** What a fix hangs on: the drink, and the words of the fact. */
export const keyOf = (drink: number, words: string): string => `${drink}:${words}`;
