import { useColorScheme } from '@mui/material/styles';

const NEXT = { system: 'light', light: 'dark', dark: 'system' } as const;
const WORD = { system: 'Light: as the device', light: 'Light: day', dark: 'Light: night' } as const;

/** Day, night, or as the device has it; and the button's word for it. */
export function useScheme(): { night: boolean; word: string; next: () => void } {
  const { mode, systemMode, setMode } = useColorScheme();
  const now = mode ?? 'system';
  return {
    night: (now === 'system' ? systemMode : now) === 'dark',
    word: WORD[now],
    next: () => setMode(NEXT[now]),
  };
}
