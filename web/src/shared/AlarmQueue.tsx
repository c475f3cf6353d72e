import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { heading, role, thumb } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import { type AlarmMoment, useAlarmState } from './alarms.ts';

/** What calls now, the most urgent first; each says what to do, and is put off with a tap. */
export function AlarmQueue({ due }: { due: readonly AlarmMoment[] }) {
  const acknowledge = useAlarmState((s) => s.acknowledge);
  return (
    <>
      {due.map((alarm, i) => (
        <Box
          key={alarm.key}
          role="alert"
          data-testid="alarm"
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1.5,
            bgcolor: role('cautionGround'),
            border: `${i === 0 ? 3 : 1.5}px solid ${role(alarm.urgency === 'late' ? 'danger' : 'caution')}`,
            borderRadius: 2,
            p: i === 0 ? 1.5 : 0.75,
          }}
        >
          <Box sx={{ flex: 1, ...(i === 0 ? { ...heading, fontSize: '1.35rem' } : {}) }}>
            {due.length > 1 && (
              <Box component="span" sx={{ color: role('inkMuted'), mr: 1 }}>
                {say('alarmQueue.of', { at: i + 1, count: due.length })}
              </Box>
            )}
            {alarm.text}
          </Box>
          <Button variant="outlined" color="inherit" sx={thumb} onClick={() => acknowledge(alarm.key)}>
            {say('alarmQueue.heard')}
          </Button>
        </Box>
      ))}
    </>
  );
}
