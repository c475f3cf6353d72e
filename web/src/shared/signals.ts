import { useEffect, useRef, useState } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { AlarmMoment } from './alarms.ts';

/** What four keys do, so that a foot pedal or a key pad with four buttons is enough at the stove. */
export const KEY_DEEDS = ['next', 'back', 'start', 'quiet'] as const;
export type KeyDeed = (typeof KEY_DEEDS)[number];

interface Signals {
  speech: boolean;
  /** Name of the browser's voice; null: its own choice for the language. */
  voice: string | null;
  lang: string;
  vibrate: boolean;
  notify: boolean;
  awake: boolean;
  keysOn: boolean;
  keys: Readonly<Record<KeyDeed, string>>;
  set: (change: Partial<Omit<Signals, 'set'>>) => void;
}

/** How this device calls its cook; each device has its own ways. */
export const useSignals = create<Signals>()(
  persist(
    (set) => ({
      speech: false,
      voice: null,
      lang: 'en-GB',
      vibrate: true,
      notify: false,
      awake: true,
      keysOn: false,
      keys: { next: 'ArrowRight', back: 'ArrowLeft', start: 'ArrowUp', quiet: 'ArrowDown' },
      set: (change) => set(change),
    }),
    { name: 'big-ladle-signals', storage: createJSONStorage(() => localStorage) },
  ),
);

/** What this browser offers here; some of it only over a safe connection. */
export const CAPABILITIES = {
  speech: 'speechSynthesis' in window,
  vibrate: 'vibrate' in navigator,
  notify: 'Notification' in window && window.isSecureContext,
  awake: 'wakeLock' in navigator && window.isSecureContext,
  offline: 'serviceWorker' in navigator,
};

export function speak(text: string): void {
  const { speech, voice, lang } = useSignals.getState();
  if (!speech || !CAPABILITIES.speech || !text) return;
  const said = new SpeechSynthesisUtterance(text);
  said.lang = lang;
  const chosen = speechSynthesis.getVoices().find((v) => v.name === voice);
  if (chosen) said.voice = chosen;
  speechSynthesis.speak(said);
}

/** The voices come after a while in some browsers. */
export function useVoices(): readonly SpeechSynthesisVoice[] {
  const [voices, setVoices] = useState<readonly SpeechSynthesisVoice[]>(() =>
    CAPABILITIES.speech ? speechSynthesis.getVoices() : [],
  );
  useEffect(() => {
    if (!CAPABILITIES.speech) return;
    const read = () => setVoices(speechSynthesis.getVoices());
    speechSynthesis.addEventListener('voiceschanged', read);
    return () => speechSynthesis.removeEventListener('voiceschanged', read);
  }, []);
  return voices;
}

const SHAKES: Record<AlarmMoment['urgency'], number[]> = {
  soft: [120],
  due: [250, 120, 250],
  late: [500, 150, 500, 150, 500],
};

/** Says, shakes and notifies each alarm once, and a step when it comes. */
export function useCalls(due: readonly AlarmMoment[], stepText: string): void {
  const called = useRef(new Set<string>());
  useEffect(() => {
    speak(stepText);
  }, [stepText]);
  useEffect(() => {
    const { vibrate, notify } = useSignals.getState();
    for (const alarm of due) {
      if (called.current.has(alarm.key)) continue;
      called.current.add(alarm.key);
      speak(alarm.text);
      if (vibrate && CAPABILITIES.vibrate && navigator.userActivation.hasBeenActive)
        navigator.vibrate(SHAKES[alarm.urgency]);
      if (notify && CAPABILITIES.notify && Notification.permission === 'granted' && document.hidden)
        new Notification('Big Ladle', { body: alarm.text, tag: alarm.key });
    }
  }, [due]);
}

/** Keeps the screen on while the page is looked at. */
export function useAwake(): void {
  const awake = useSignals((s) => s.awake);
  useEffect(() => {
    if (!awake || !CAPABILITIES.awake) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock
        .request('screen')
        .then((given) => {
          lock = given;
          if (over) void given.release();
        })
        // Refused with a low battery, for one: the screen then goes dark as it always does.
        .catch(() => undefined);
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [awake]);
}

const TYPED_IN =
  'input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"], [role="slider"]';

/** Four keys for the whole stove. A key that is typed into a field is not for the stove. */
export function useStoveKeys(deeds: Readonly<Record<KeyDeed, () => void>>): void {
  const { keysOn, keys } = useSignals();
  const latest = useRef(deeds);
  latest.current = deeds;
  useEffect(() => {
    if (!keysOn) return;
    const pressed = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if ((event.target as Element | null)?.closest?.(TYPED_IN)) return;
      const deed = KEY_DEEDS.find((d) => keys[d] === event.key);
      if (!deed) return;
      event.preventDefault();
      latest.current[deed]();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [keysOn, keys]);
}
