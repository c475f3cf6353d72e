import Box from '@mui/material/Box';
import { role } from '../../../theme/theme.ts';

/** One of several, in words. */
export function SelectField(props: {
  label: string;
  value: string;
  options: readonly { value: string; text: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <Box
      component="label"
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0,1fr)',
        gap: 0.5,
        fontSize: '0.9rem',
        color: role('inkMuted'),
        minWidth: 0,
        maxWidth: '100%',
      }}
    >
      {props.label}
      <Box
        component="select"
        value={props.value}
        onChange={(e: React.ChangeEvent<HTMLSelectElement>) => props.onChange(e.target.value)}
        sx={{
          font: 'inherit',
          fontSize: '1rem',
          minHeight: 44,
          px: 1,
          borderRadius: 1.5,
          border: `1px solid ${role('line')}`,
          bgcolor: role('enamel'),
          color: role('ink'),
          maxWidth: '100%',
        }}
      >
        {props.options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.text}
          </option>
        ))}
      </Box>
    </Box>
  );
}
