import type { PlanDoc } from '@big-ladle/core/documents';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** The parts of `plan` that differ from `from`, laid over the draft as it is now. */
function onto(draft: PlanDoc | undefined, plan: PlanDoc, from: PlanDoc): PlanDoc {
  if (!draft || draft === from) return plan;
  const changed = Object.entries(plan).filter(([key, value]) => value !== from[key as keyof PlanDoc]);
  return { ...draft, ...Object.fromEntries(changed) };
}

/** Plans that are being made and not kept yet, by drink; they survive a reload of this window. */
export const usePlanDrafts = create<{
  drafts: Record<string, PlanDoc>;
  /**
   * Takes a change. One that was made from what the screen showed a moment ago, `from`, leaves what was changed of the
   * draft meanwhile.
   */
  put: (key: string, plan: PlanDoc, from?: PlanDoc) => void;
  drop: (key: string) => void;
}>()(
  persist(
    (set) => ({
      drafts: {},
      put: (key, plan, from) =>
        set((s) => ({ drafts: { ...s.drafts, [key]: from ? onto(s.drafts[key], plan, from) : plan } })),
      drop: (key) =>
        set((s) => {
          const { [key]: _, ...rest } = s.drafts;
          return { drafts: rest };
        }),
    }),
    { name: 'big-ladle-plans', storage: createJSONStorage(() => sessionStorage) },
  ),
);
