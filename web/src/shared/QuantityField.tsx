import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useEffect, useId, useRef, useState } from 'react';
import { num, say } from '../words/say.ts';

export interface QuantityFieldProps {
  label: string;
  /** What is read out, where the label that is shown is shorter. */
  said?: string;
  value: number | null;
  unit?: string;
  min: number;
  max: number;
  decimals?: number;
  onCommit: (value: number) => void;
  /** Shown instead of the bounds' message, for what only the model can know. */
  problem?: string | undefined;
  helper?: string;
  fullWidth?: boolean;
  width?: number;
  big?: boolean;
  testId?: string;
}

/** Reads "8,5" and "8.5" alike. */
export const parseFigure = (text: string): number => {
  const clean = text.trim().replace(/\s/g, '').replace(',', '.');
  return clean === '' ? Number.NaN : Number(clean);
};

/**
 * A figure that is typed. What stands in the field is a draft until it makes sense; only then it is handed on, and
 * what was typed is never taken away.
 */
export function QuantityField(props: QuantityFieldProps) {
  const decimals = props.decimals ?? 1;
  const shown = props.value === null ? '' : String(Number(props.value.toFixed(decimals)));
  const [draft, setDraft] = useState(shown);
  const [touched, setTouched] = useState(false);
  const editing = useRef(false);
  const id = useId();
  useEffect(() => {
    if (editing.current) return;
    setDraft(shown);
    // Emptied by the screen, for the next one: nothing is missing yet.
    if (shown === '') setTouched(false);
  }, [shown]);

  const value = parseFigure(draft);
  const wrong = Number.isNaN(value)
    ? draft.trim() === '' && !touched
      ? null
      : say('field.number')
    : value < props.min || value > props.max
      ? say('field.between', {
          low: num(props.min, props.min % 1 ? 1 : 0),
          high: num(props.max, props.max % 1 ? 1 : 0),
        })
      : null;
  const message = wrong ?? props.problem ?? null;

  return (
    <TextField
      id={id}
      label={props.label}
      value={draft}
      error={message !== null}
      helperText={message ?? props.helper}
      fullWidth={props.fullWidth ?? false}
      sx={{ width: props.fullWidth ? undefined : (props.width ?? 150) }}
      onFocus={() => {
        editing.current = true;
      }}
      onChange={(event) => {
        setDraft(event.target.value);
        const next = parseFigure(event.target.value);
        if (!Number.isNaN(next) && next >= props.min && next <= props.max) props.onCommit(next);
      }}
      onBlur={() => {
        editing.current = false;
        setTouched(true);
        if (!wrong) setDraft(shown === '' ? draft : String(Number(value.toFixed(decimals))));
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          autoComplete: 'off',
          'data-testid': props.testId,
          'aria-label': props.said,
          style: props.big ? { fontSize: '1.75rem', padding: '14px' } : undefined,
        },
        input: props.unit
          ? { endAdornment: <InputAdornment position="end">{props.unit}</InputAdornment> }
          : {},
      }}
    />
  );
}
