import '../../../words/places/kitchen.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { valibotResolver } from '@hookform/resolvers/valibot';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { type ReactNode, useId, useState } from 'react';
import {
  type DefaultValues,
  type FieldValues,
  type Path,
  type UseFormReturn,
  useController,
  useForm,
} from 'react-hook-form';
import type { GenericSchema } from 'valibot';
import { heading } from '../../../theme/theme.ts';
import { sayField } from '../../../words/fields.ts';
import { typedIn, unitOfField } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';

/** What every dialog of a row of the kitchen is given. */
export interface RowDialogInput {
  kitchen: Kitchen;
  save: (change: Partial<Kitchen>) => Promise<boolean>;
  onClose: () => void;
}

interface RowDialogProps<T extends FieldValues> {
  title: string;
  schema: GenericSchema<T, T>;
  /** The row as it is when the dialog opens. */
  start: T;
  /** The kitchen with the row in it. */
  withRow: (row: T) => Partial<Kitchen>;
  /** The kitchen without it; undefined: it must stay. */
  without?: (() => Partial<Kitchen>) | undefined;
  save: RowDialogInput['save'];
  onClose: () => void;
  children: (form: UseFormReturn<T>) => ReactNode;
}

/** One row of the kitchen in a dialog: its fields, put it in, take it out. It closes once that is stored. */
export function RowDialog<T extends FieldValues>(props: RowDialogProps<T>) {
  const { title, schema, start, withRow: kept, without, save, onClose } = props;
  const id = useId();
  const form = useForm<T, unknown, T>({
    resolver: valibotResolver(schema),
    mode: 'onTouched',
    defaultValues: start as DefaultValues<T>,
  });
  const store = async (change: Partial<Kitchen>) => {
    if (await save(change)) onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby={id} fullWidth maxWidth="xs">
      <Box component="form" noValidate onSubmit={form.handleSubmit((row) => store(kept(row)))}>
        <DialogTitle id={id} sx={heading}>
          {title}
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2, pt: '8px !important' }}>
          {props.children(form)}
        </DialogContent>
        <DialogActions>
          {without && (
            <Button color="error" onClick={() => void store(without())} sx={{ mr: 'auto' }}>
              {say('dialogs.takeItOut')}
            </Button>
          )}
          <Button onClick={onClose}>{say('common.leaveIt')}</Button>
          <Button type="submit" variant="contained" disabled={form.formState.isSubmitting}>
            {say('dialogs.save')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

/** What a figure's field holds as the form sees it: "8,5" reads as 8.5, empty as not a number (null where it may be). */
const figureFrom =
  (mayBeEmpty: boolean) =>
  (value: unknown): number | null => {
    if (value === null || String(value).trim() === '') return mayBeEmpty ? null : Number.NaN;
    return Number(String(value).replace(',', '.'));
  };

interface FieldProps<T extends FieldValues> {
  form: UseFormReturn<T>;
  name: Path<T>;
  label: string;
  figure?: boolean;
  /** It is a figure of this unit, shown and typed in those of the kitchen. */
  unit?: string;
  mayBeEmpty?: boolean;
  options?: readonly { value: string; text: string }[];
  helper?: string;
  onChoose?: (value: string) => void;
}

/** A field of a row: a word, a figure, or one of several. */
export function Field<T extends FieldValues>({ unit, ...props }: FieldProps<T>) {
  return unit === undefined ? <PlainField {...props} /> : <AmountField {...props} unit={unit} />;
}

/** Millimetres of a pot are worth having; nobody weighs a pot to less than a gram. */
const DECIMALS: Readonly<Record<string, number>> = { cm: 1, L: 2, '°C': 1 };

function AmountField<T extends FieldValues>(props: FieldProps<T> & { unit: string }) {
  const { form, name, mayBeEmpty = false } = props;
  const { field, fieldState } = useController({ control: form.control, name });
  const unit = unitOfField(props.unit, DECIMALS[props.unit] ?? 0);
  const held = field.value as number | null;
  const [text, setText] = useState(() =>
    held === null || Number.isNaN(held) ? '' : String(Number(unit.shown(held).toFixed(unit.decimals))),
  );
  const { error } = fieldState;
  return (
    <TextField
      label={props.label}
      value={text}
      error={error !== undefined}
      helperText={sayField(error?.message, unit) ?? props.helper}
      inputRef={field.ref}
      onBlur={field.onBlur}
      onChange={({ target: { value } }) => {
        setText(value);
        field.onChange(value.trim() === '' && mayBeEmpty ? null : typedIn(value, props.unit, unit));
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          autoComplete: 'off',
          'aria-label': unit.symbol ? `${props.label}, ${unit.symbol}` : props.label,
        },
        input: { endAdornment: <InputAdornment position="end">{unit.symbol}</InputAdornment> },
      }}
    />
  );
}

function PlainField<T extends FieldValues>(props: Omit<FieldProps<T>, 'unit'>) {
  const { form, name } = props;
  const error = form.formState.errors[name];
  const message = typeof error?.message === 'string' ? error.message : undefined;
  return (
    <TextField
      label={props.label}
      error={error !== undefined}
      helperText={sayField(message) ?? props.helper}
      select={props.options !== undefined}
      slotProps={{
        htmlInput: props.figure ? { inputMode: 'decimal', autoComplete: 'off' } : { autoComplete: 'off' },
        select: { native: true },
      }}
      {...form.register(name, {
        ...(props.figure ? { setValueAs: figureFrom(props.mayBeEmpty ?? false) } : {}),
        onChange: (event: { target: { value: string } }) => props.onChoose?.(event.target.value),
      })}
    >
      {props.options?.map((o) => (
        <option key={o.value} value={o.value}>
          {o.text}
        </option>
      ))}
    </TextField>
  );
}

/** The row with that id changed, or put at the end. */
export const withRow = <T extends { id: string }>(rows: readonly T[], row: T): T[] =>
  rows.some((r) => r.id === row.id) ? rows.map((r) => (r.id === row.id ? row : r)) : [...rows, row];
export const withoutRow = <T extends { id: string }>(rows: readonly T[], id: string): T[] =>
  rows.filter((r) => r.id !== id);
