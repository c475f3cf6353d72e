import TextField from '@mui/material/TextField';

/** One of a few: the browser's own list, of which a long form may have many. */
export function OneOf<T extends string | number>(props: {
  label: string;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
}) {
  const { label, value, options, onChange } = props;
  return (
    <TextField
      select
      label={label}
      value={String(value)}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
      onChange={(e) => {
        const chosen = options.find((o) => String(o.value) === e.target.value);
        if (chosen) onChange(chosen.value);
      }}
    >
      {options.map((o) => (
        <option key={o.value} value={String(o.value)}>
          {o.text}
        </option>
      ))}
    </TextField>
  );
}
