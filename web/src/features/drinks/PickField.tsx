import '../../words/places/drinks.ts';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { say } from '../../words/say.ts';

/** One of a few things said of a step or a line: read out with its name, for the label alone would not tell which. */
export function PickField(props: {
  label: string;
  /** What it is said of. */
  name: string;
  value: string;
  options: readonly (readonly [id: string, text: string])[];
  onPick: (value: string) => void;
  minWidth?: number;
}) {
  return (
    <TextField
      select
      label={props.label}
      value={props.value}
      onChange={(e) => props.onPick(e.target.value)}
      sx={{ minWidth: props.minWidth ?? 110 }}
      slotProps={{
        select: {
          displayEmpty: true,
          SelectDisplayProps: {
            'aria-label': say('stepFields.of', { label: props.label, name: props.name }),
            'aria-labelledby': undefined,
          },
        },
        inputLabel: { shrink: true },
      }}
    >
      {props.options.map(([id, text]) => (
        <MenuItem key={id} value={id}>
          {text}
        </MenuItem>
      ))}
    </TextField>
  );
}
