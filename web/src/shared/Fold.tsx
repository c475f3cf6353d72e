import Box from '@mui/material/Box';
import { type ReactNode, useState } from 'react';
import { role } from '../theme/theme.ts';

/** What is folded away until it is asked for. */
export function Fold(props: {
  summary: ReactNode;
  children: ReactNode;
  testId?: string;
  /** What is in it is worked out only once it is opened. */
  lazily?: boolean;
  onToggle?: (open: boolean) => void;
}) {
  const [opened, setOpened] = useState(false);
  return (
    <Box
      component="details"
      data-testid={props.testId}
      onToggle={(e: React.SyntheticEvent<HTMLDetailsElement>) => {
        const { open } = e.currentTarget;
        if (open) setOpened(true);
        props.onToggle?.(open);
      }}
    >
      <Box
        component="summary"
        sx={{ cursor: 'pointer', minHeight: 56, py: 1.5, color: role('rim'), fontWeight: 700 }}
      >
        {props.summary}
      </Box>
      <div>{(opened || !props.lazily) && props.children}</div>
    </Box>
  );
}
