import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Drinks that the cook at this device likes to find first. */
export const useFavourites = create<{ ids: readonly string[]; toggle: (id: string) => void }>()(
  persist(
    (set) => ({
      ids: [],
      toggle: (id) =>
        set((s) => ({ ids: s.ids.includes(id) ? s.ids.filter((i) => i !== id) : [...s.ids, id] })),
    }),
    { name: 'big-ladle-favourites', storage: createJSONStorage(() => localStorage) },
  ),
);
