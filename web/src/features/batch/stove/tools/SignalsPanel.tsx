import '../../../../words/places/batch.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ringOnce, unlockSound, useSound } from '../../../../shared/alarms.ts';
import { useScheme } from '../../../../shared/scheme.ts';
import {
  CAPABILITIES,
  KEY_DEEDS,
  type KeyDeed,
  speak,
  useSignals,
  useVoices,
} from '../../../../shared/signals.ts';
import { role, thumb } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';

/** How this device calls: sound, voice, shaking, notices, a lit screen, and four keys. */
export function SignalsPanel() {
  const signals = useSignals();
  const { on, set: setSound } = useSound();
  const sound = on === true;
  const { word: schemeWord, next: nextScheme } = useScheme();
  const { set } = signals;
  const voices = useVoices();
  const langs = [...new Set([signals.lang, ...voices.map((v) => v.lang)])].sort();
  const toggle = (label: string, on: boolean, offered: boolean, change: () => void, why = '') => (
    <Button
      variant={on && offered ? 'contained' : 'outlined'}
      color={on && offered ? 'primary' : 'inherit'}
      sx={thumb}
      aria-pressed={on && offered}
      disabled={!offered}
      onClick={change}
    >
      {label}
      {offered
        ? on
          ? say('signalsPanel.on')
          : say('signalsPanel.off')
        : `: ${why || say('signalsPanel.notInThisBrowser')}`}
    </Button>
  );
  const picked = {
    font: 'inherit',
    minHeight: 56,
    px: 1.5,
    borderRadius: 2,
    border: `1.5px solid ${role('line')}`,
    bgcolor: role('enamel'),
    color: role('ink'),
    maxWidth: '100%',
  };
  const unsafe = window.isSecureContext ? '' : say('signalsPanel.onlyOverASafe');
  return (
    <Box
      component="section"
      aria-label={say('signalsPanel.signals')}
      data-testid="signals"
      sx={{ display: 'grid', gap: 1.25 }}
    >
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {toggle(say('signalsPanel.sound'), sound, true, () => {
          unlockSound();
          setSound(!sound);
        })}
        <Button variant="outlined" color="inherit" sx={thumb} onClick={() => ringOnce()}>
          {say('askSound.try')}
        </Button>
        {toggle(say('signalsPanel.spoken'), signals.speech, CAPABILITIES.speech, () => {
          set({ speech: !signals.speech });
          speak(say('signals.hello'));
        })}
        {toggle(say('signalsPanel.shaking'), signals.vibrate, CAPABILITIES.vibrate, () =>
          set({ vibrate: !signals.vibrate }),
        )}
        {toggle(
          say('signalsPanel.notices'),
          signals.notify,
          CAPABILITIES.notify,
          () => {
            if (signals.notify) set({ notify: false });
            else
              void Notification.requestPermission().then((answer) => set({ notify: answer === 'granted' }));
          },
          unsafe,
        )}
        {toggle(
          say('signalsPanel.screenKeptOn'),
          signals.awake,
          CAPABILITIES.awake,
          () => set({ awake: !signals.awake }),
          unsafe,
        )}
        <Button variant="outlined" color="inherit" sx={thumb} onClick={nextScheme}>
          {schemeWord}
        </Button>
        {toggle(say('signalsPanel.fourKeys'), signals.keysOn, true, () => set({ keysOn: !signals.keysOn }))}
      </Box>
      <Box sx={{ color: role('inkMuted') }}>
        {say('signalsPanel.alarmsShowHereAnd', { noIsOffline: !CAPABILITIES.offline })}
      </Box>
      {signals.speech && CAPABILITIES.speech && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Box
            component="select"
            aria-label={say('signalsPanel.languageItSpeaks')}
            value={signals.lang}
            onChange={(e: React.ChangeEvent<HTMLSelectElement>) => set({ lang: e.target.value, voice: null })}
            sx={picked}
          >
            {langs.map((l) => (
              <option key={l}>{l}</option>
            ))}
          </Box>
          <Box
            component="select"
            aria-label={say('signalsPanel.voice')}
            value={signals.voice ?? ''}
            onChange={(e: React.ChangeEvent<HTMLSelectElement>) => set({ voice: e.target.value || null })}
            sx={picked}
          >
            <option value="">{say('signalsPanel.theBrowserSOwn')}</option>
            {voices
              .filter((v) => v.lang === signals.lang)
              .map((v) => (
                <option key={v.name}>{v.name}</option>
              ))}
          </Box>
        </Box>
      )}
      {signals.keysOn && (
        <Box sx={{ display: 'grid', gap: 1 }}>
          {KEY_DEEDS.map((deed) => (
            <KeyChoice key={deed} deed={deed} />
          ))}
        </Box>
      )}
    </Box>
  );
}

/** "Press the key for it": the next key that goes down is taken. */
function KeyChoice({ deed }: { deed: KeyDeed }) {
  const { keys, set } = useSignals();
  const [asking, setAsking] = useState(false);
  return (
    <Button
      variant="outlined"
      color="inherit"
      sx={{ ...thumb, justifyContent: 'space-between' }}
      onClick={() => setAsking(true)}
      onBlur={() => setAsking(false)}
      onKeyDown={(event) => {
        if (!asking || event.key === 'Tab' || event.key === 'Escape') {
          setAsking(false);
          return;
        }
        event.preventDefault();
        event.stopPropagation();
        const other = KEY_DEEDS.find((d) => d !== deed && keys[d] === event.key);
        // Two deeds on one key would be one too many: they change places.
        set({ keys: { ...keys, [deed]: event.key, ...(other ? { [other]: keys[deed] } : {}) } });
        setAsking(false);
      }}
    >
      <span>{say(`key.${deed}`)}</span>
      <strong>
        {asking ? say('signalsPanel.pressAKey') : keys[deed] === ' ' ? say('signalsPanel.space') : keys[deed]}
      </strong>
    </Button>
  );
}
