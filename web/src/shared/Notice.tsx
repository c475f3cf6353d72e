import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { role } from '../theme/theme.ts';
import { say } from '../words/say.ts';

const TONES = {
  error: { line: 'danger', ground: 'dangerGround' },
  warning: { line: 'caution', ground: 'cautionGround' },
  info: { line: 'cold', ground: 'enamel' },
  success: { line: 'ready', ground: 'enamel' },
} as const;

/** Something that is told beside the page: part of the first page, which the library's own is too large for. */
export function Notice(props: {
  severity: keyof typeof TONES;
  children: ReactNode;
  action?: ReactNode;
  onClose?: () => void;
}) {
  const { severity, children, action, onClose } = props;
  const { line, ground } = TONES[severity];
  return (
    <Box
      role="alert"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 2,
        py: 1,
        borderRadius: 2,
        border: `1px solid ${role(line)}`,
        bgcolor: role(ground),
        color: role('ink'),
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>{children}</Box>
      {action}
      {onClose && (
        <Button size="small" color="inherit" onClick={onClose}>
          {say('alarmQueue.heard')}
        </Button>
      )}
    </Box>
  );
}
