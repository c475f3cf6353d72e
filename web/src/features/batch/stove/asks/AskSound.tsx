import '../../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { ringOnce, unlockSound, useSound } from '../../../../shared/alarms.ts';
import { CAPABILITIES, useSignals } from '../../../../shared/signals.ts';
import { role, thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';

/** Asked once a device, when its first clock runs: whether it may call, and how that sounds. */
export function AskSound() {
  const { on: asked, set: setSound } = useSound();
  const { set } = useSignals();
  if (asked !== null) return null;
  const answer = (on: boolean) => {
    if (on) unlockSound();
    setSound(on);
    if (on && CAPABILITIES.notify)
      void Notification.requestPermission().then((given) => set({ notify: given === 'granted' }));
  };
  return (
    <Box
      component="section"
      aria-label={say('askSound.ask')}
      data-testid="ask-sound"
      sx={{ borderTop: `2.5px solid ${role('rim')}`, bgcolor: role('enamel'), p: 1.5 }}
    >
      <Box>{say('askSound.ask')}</Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
        <Button variant="contained" sx={thumb} onClick={() => answer(true)}>
          {say('askSound.yes')}
        </Button>
        <Button variant="outlined" color="inherit" sx={thumb} onClick={() => ringOnce()}>
          {say('askSound.try')}
        </Button>
        <Button color="inherit" sx={thumb} onClick={() => answer(false)}>
          {say('askSound.no')}
        </Button>
      </Box>
    </Box>
  );
}
