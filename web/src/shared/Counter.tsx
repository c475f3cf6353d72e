import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

/** Counts by taps: fewer, how many, more. Large enough for a wet thumb. */
export function Counter(props: {
  count: number;
  /** What is shown between the two, e.g. "5 jugs". */
  text: string;
  fewer: string;
  more: string;
  onChange: (count: number) => void;
  testId?: string;
}) {
  const knob = { minWidth: 56, minHeight: 56, fontSize: '1.5rem' };
  return (
    <>
      <Button
        variant="outlined"
        aria-label={props.fewer}
        sx={knob}
        onClick={() => props.onChange(Math.max(0, props.count - 1))}
      >
        −
      </Button>
      <Box
        data-testid={props.testId}
        aria-live="polite"
        sx={{ fontSize: '1.5rem', fontWeight: 700, minWidth: 34, textAlign: 'center' }}
      >
        {props.text}
      </Box>
      <Button
        variant="outlined"
        aria-label={props.more}
        sx={knob}
        onClick={() => props.onChange(props.count + 1)}
      >
        +
      </Button>
    </>
  );
}
