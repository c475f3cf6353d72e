import { useColorScheme } from '@mui/material/styles';
import { say } from '../words/say.ts';

const NEXT = { system: 'light', light: 'dark', dark: 'system' } as const;
const WORD = { system: 'scheme.system', light: 'scheme.light', dark: 'scheme.dark' } as const;

/** Day, night, or as the device has it; and the button's word for it. */
export function useScheme(): { night: boolean; word: string; next: () => void } {
  const { mode, systemMode, setMode } = useColorScheme();
  const now = mode ?? 'system';
  return {
    night: (now === 'system' ? systemMode : now) === 'dark',
    word: say(WORD[now]),
    next: () => setMode(NEXT[now]),
  };
}
