import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useId, useState } from 'react';
import { boundIn } from '../words/fields.ts';
import { plainUnit, typedIn, unitOfField } from '../words/quantities.ts';
import { say } from '../words/say.ts';

export interface QuantityFieldProps {
  label: string;
  /** What is read out, where the label that is shown is shorter. */
  said?: string;
  /** In `unit`, like its bounds; a kitchen of other units is shown it in theirs, and may type any. */
  value: number | null;
  unit?: string;
  /** Its unit is the same in every kitchen: what a packet says of 100 g, what guidance says of a day. */
  fixedUnit?: boolean;
  min: number;
  max: number;
  decimals?: number;
  /** Each figure that makes sense while it is typed: for what follows at once. */
  onValue?: (value: number) => void;
  /** The figure that was settled on, when the field is left or Enter pressed: for what is stored. */
  onCommit?: (value: number) => void;
  /** Shown instead of the bounds' message, for what only the model can know. */
  problem?: string | undefined;
  helper?: string;
  fullWidth?: boolean;
  width?: number;
  big?: boolean;
  testId?: string;
}

/** What stands in a field beside the figure that its screen holds. */
interface Draft {
  text: string;
  /** The screen's figure that it was left beside; null while it is typed. Once the screen holds another, that one shows. */
  besides: string | null;
  /** Something was to be there. */
  touched: boolean;
}

/**
 * A figure that is typed. What stands in the field is a draft until it makes sense; only then it is handed on, and
 * what was typed is never taken away.
 */
export function QuantityField(props: QuantityFieldProps) {
  const unit = (props.fixedUnit ? plainUnit : unitOfField)(props.unit ?? '', props.decimals ?? 1);
  const inUnit = (figure: number) => Number(unit.shown(figure).toFixed(unit.decimals));
  const asShown = (figure: number) => String(inUnit(figure));
  const read = (text: string) => typedIn(text, props.unit ?? '', unit);
  const shown = props.value === null ? '' : asShown(props.value);
  const [typed, setTyped] = useState<Draft | null>(null);
  const held = typed && (typed.besides === null || typed.besides === shown) ? typed : null;
  const draft = held?.text ?? shown;
  const touched = held?.touched ?? false;
  const id = useId();
  const value = read(draft);
  const wrong = Number.isNaN(value)
    ? draft.trim() === '' && !touched
      ? null
      : say('field.number')
    : value < props.min || value > props.max
      ? say('field.between', {
          low: boundIn(unit, props.min, 'low'),
          high: boundIn(unit, props.max, 'high'),
        })
      : null;
  const message = wrong ?? props.problem ?? null;
  const commit = () => {
    if (!wrong && !Number.isNaN(value) && asShown(value) !== shown) props.onCommit?.(value);
  };

  return (
    <TextField
      id={id}
      label={props.label}
      value={draft}
      error={message !== null}
      helperText={message ?? props.helper}
      fullWidth={props.fullWidth ?? false}
      sx={{ width: props.fullWidth ? undefined : (props.width ?? 150) }}
      onFocus={() => setTyped({ text: draft, besides: null, touched })}
      onChange={(event) => {
        const text = event.target.value;
        setTyped({ text, besides: null, touched });
        const next = read(text);
        if (!Number.isNaN(next) && next >= props.min && next <= props.max) props.onValue?.(next);
      }}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
      onBlur={() => {
        commit();
        const text = wrong || shown === '' ? draft : asShown(value);
        setTyped({ text, besides: shown, touched: true });
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          autoComplete: 'off',
          'data-testid': props.testId,
          'aria-label': props.said,
          style: props.big ? { fontSize: '1.75rem', padding: '14px' } : undefined,
        },
        // Where its unit stands in an empty field, its label stands above it.
        ...(unit.symbol && { inputLabel: { shrink: true } }),
        input: unit.symbol
          ? { endAdornment: <InputAdornment position="end">{unit.symbol}</InputAdornment> }
          : {},
      }}
    />
  );
}
