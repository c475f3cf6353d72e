import '../../words/places/pages.ts';
import '../../words/places/stove.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { Panel } from '../../shared/ui.tsx';
import { say } from '../../words/say.ts';

const useHowItWorks = create<{ closed: boolean; close: () => void }>()(
  persist((set) => ({ closed: false, close: () => set({ closed: true }) }), {
    name: 'big-ladle-how-it-works',
    storage: createJSONStorage(() => localStorage),
  }),
);

const STEPS = ['choose', 'cook', 'keep'] as const;

/** In three lines how this works, until it is closed for good. */
export function HowItWorks() {
  const { closed, close } = useHowItWorks();
  if (closed) return null;
  return (
    <Panel title={say('howItWorks.title')} testId="how-it-works">
      <Box component="ol" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.5 }}>
        {STEPS.map((s) => (
          <li key={s}>{say(`howItWorks.${s}`)}</li>
        ))}
      </Box>
      <Button sx={{ mt: 1 }} onClick={close}>
        {say('howItWorks.close')}
      </Button>
    </Panel>
  );
}
