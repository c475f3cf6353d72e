import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { role } from '../theme/theme.ts';

/** A few ways, all in sight. */
export function Choice(props: {
  label: string;
  value: string;
  options: readonly { value: string; text: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <Box>
      <Box sx={{ fontSize: '0.95em', color: role('inkMuted'), mb: 0.5 }}>{props.label}</Box>
      <ToggleButtonGroup
        exclusive
        value={props.value}
        onChange={(_, value: string | null) => value !== null && props.onChange(value)}
        aria-label={props.label}
        sx={{ flexWrap: 'wrap' }}
      >
        {props.options.map((o) => (
          <ToggleButton key={o.value} value={o.value}>
            {o.text}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
