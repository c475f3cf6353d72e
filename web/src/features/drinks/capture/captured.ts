import type { CaptureEntry } from '@big-ladle/core/exchange';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** What is being written down; it survives a reload, however long the cooking takes. */
export const useCapture = create<{
  /** Of the recipe that it will be: its pictures are kept with it from the first on. */
  id: string;
  name: string;
  entries: CaptureEntry[];
  /** What was said of what nobody saw. */
  answers: Record<string, string>;
  answer: (key: string, value: string) => void;
  setName: (name: string) => void;
  add: (entry: CaptureEntry) => void;
  undo: () => void;
  clear: () => void;
}>()(
  persist(
    (set) => ({
      id: uuid(),
      name: '',
      entries: [],
      answers: {},
      answer: (key, value) => set((s) => ({ answers: { ...s.answers, [key]: value } })),
      setName: (name) => set({ name }),
      add: (entry) => set((s) => ({ entries: [...s.entries, entry] })),
      undo: () => set((s) => ({ entries: s.entries.slice(0, -1) })),
      clear: () => set({ id: uuid(), name: '', entries: [], answers: {} }),
    }),
    { name: 'big-ladle-capture', storage: createJSONStorage(() => localStorage) },
  ),
);

// Kept at once: a picture that is taken before anything is written down is of the same recipe after a reload.
useCapture.setState(({ id }) => ({ id }));
