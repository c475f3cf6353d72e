import { create } from 'zustand';

/** The figures that the screens speak of, in the order in which a cook meets them. */
export const TERMS = [
  'sweetness',
  'brix',
  'sourness',
  'ph',
  'strength',
  'freeSugar',
  'litres',
  'work',
  'keeps',
  'cooling',
  'likely',
] as const;
export type Term = (typeof TERMS)[number];

/** What lies over the page: the search, the help at one of its terms, or what waits. */
export const useOverlay = create<{
  open: 'find' | 'help' | 'waiting' | null;
  term: Term | null;
  find: () => void;
  help: (term?: Term) => void;
  /** What has been entered here and is not stored yet. */
  waiting: () => void;
  close: () => void;
}>()((set) => ({
  open: null,
  term: null,
  find: () => set({ open: 'find', term: null }),
  help: (term) => set({ open: 'help', term: term ?? null }),
  waiting: () => set({ open: 'waiting', term: null }),
  close: () => set({ open: null, term: null }),
}));
