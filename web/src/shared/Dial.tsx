import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { num } from '../words/numbers.ts';
import { say } from '../words/say.ts';

/** As many decimals as a step has: 1, 0.1, 0.05. */
const decimalsOf = (step: number): number => [0, 1].find((d) => Number(step.toFixed(d)) === step) ?? 2;

/** A figure by taps, for wet thumbs: small and large steps from where the model expects it. */
export function Dial(props: {
  name: string;
  value: number | null;
  /** Where it begins: what the model expects. */
  start: number;
  small: number;
  large: number;
  min: number;
  max: number;
  decimals: number;
  onChange: (value: number) => void;
}) {
  const { name, value, start, small, large, min, max, decimals, onChange } = props;
  const at = value ?? Number(start.toFixed(decimals));
  const move = (step: number) => {
    const next = Math.min(max, Math.max(min, at + step));
    onChange(Number(next.toFixed(decimals)));
  };
  return (
    <Box
      role="group"
      aria-label={say('dial.byTaps', { name })}
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}
    >
      {[-large, -small, small, large].map((step) => (
        <Button
          key={step}
          variant="outlined"
          color="inherit"
          sx={{ minWidth: 64, minHeight: 56, fontSize: '1.2rem' }}
          aria-label={say('dial.step', { name, step: num(Math.abs(step), decimals), less: step < 0 })}
          onClick={() => move(step)}
        >
          {step < 0 ? '−' : '+'}
          {num(Math.abs(step), decimalsOf(step))}
        </Button>
      ))}
      {value === null && (
        <Button
          variant="outlined"
          color="inherit"
          sx={{ minHeight: 56, fontSize: '1.1rem' }}
          onClick={() => onChange(at)}
        >
          {say('dial.asExpected', { at: num(at, decimals) })}
        </Button>
      )}
    </Box>
  );
}
