import { useEffect, useRef } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { say } from '../words/say.ts';

/** A moment of a clock at which something is due. */
export interface AlarmMoment {
  key: string;
  /** The clock it belongs to: its latest moment speaks for those before. */
  clock: string;
  atMs: number;
  text: string;
  urgency: 'soft' | 'due' | 'late';
}

interface AlarmState {
  acknowledged: string[];
  acknowledge: (key: string) => void;
}

/** Which alarms have been put off in this window. */
export const useAlarmState = create<AlarmState>()(
  persist(
    (set) => ({
      acknowledged: [],
      acknowledge: (key) =>
        set((s) => ({ acknowledged: [...s.acknowledged.filter((k) => k !== key).slice(-60), key] })),
    }),
    { name: 'big-ladle-alarms', storage: createJSONStorage(() => sessionStorage) },
  ),
);

/** Whether this device may sound; null until its cook has been asked. */
export const useSound = create<{ on: boolean | null; set: (on: boolean) => void }>()(
  persist((set) => ({ on: null, set: (on) => set({ on }) }), {
    name: 'big-ladle-sound',
    storage: createJSONStorage(() => localStorage),
  }),
);

let audio: AudioContext | null = null;
/** Call in a tap: browsers let a page sound only after one. */
export function unlockSound(): void {
  audio ??= new AudioContext();
  void audio.resume();
}

const TONES: Record<AlarmMoment['urgency'], readonly number[]> = {
  soft: [523],
  due: [659, 880],
  late: [880, 659, 880, 659],
};

function sound(urgency: AlarmMoment['urgency']): void {
  if (audio?.state !== 'running') return;
  const begin = audio.currentTime + 0.02;
  for (const [i, hertz] of TONES[urgency].entries()) {
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = hertz;
    gain.gain.setValueAtTime(0.0001, begin + i * 0.28);
    gain.gain.exponentialRampToValueAtTime(0.4, begin + i * 0.28 + 0.03);
    gain.gain.exponentialRampToValueAtTime(0.0001, begin + i * 0.28 + 0.25);
    tone.connect(gain).connect(audio.destination);
    tone.start(begin + i * 0.28);
    tone.stop(begin + i * 0.28 + 0.27);
  }
}

/** How an alarm sounds, to try it: in a tap. */
export function ringOnce(): void {
  unlockSound();
  void audio?.resume().then(() => sound('due'));
}

/** Older than this an alarm is not rung any more; it still shows. */
const STALE_MS = 10 * 60_000;
const REPEAT_MS = 8000;

/** Of each clock the moment that came last, unless it has been put off; in the order of their queue. */
export function callingNow(
  moments: readonly AlarmMoment[],
  nowMs: number,
  acknowledged: readonly string[],
): AlarmMoment[] {
  const latest = new Map<string, AlarmMoment>();
  for (const m of moments) {
    const before = latest.get(m.clock);
    if (m.atMs <= nowMs && (!before || m.atMs >= before.atMs)) latest.set(m.clock, m);
  }
  return [...latest.values()].filter((m) => !acknowledged.includes(m.key)).sort(inQueue);
}

const URGENCY: readonly AlarmMoment['urgency'][] = ['late', 'due', 'soft'];
/** The most urgent first; of the same urgency, the one that has called longest. */
export const inQueue = (a: AlarmMoment, b: AlarmMoment): number =>
  URGENCY.indexOf(a.urgency) - URGENCY.indexOf(b.urgency) || a.atMs - b.atMs;

/** The alarms that are due and not put off, in the order of their queue; they sound, and show in the tab's title. */
export function useAlarms(moments: readonly AlarmMoment[], nowMs: number, title: string): AlarmMoment[] {
  const { acknowledged } = useAlarmState();
  const { on } = useSound();
  const rung = useRef(new Map<string, number>());
  const due = callingNow(moments, nowMs, acknowledged);
  const first = due[0];
  useEffect(() => {
    document.title = first ? `(!) ${first.text}` : title;
  }, [first, title]);
  useEffect(() => {
    if (!on) return;
    for (const m of due) {
      const before = rung.current.get(m.key) ?? 0;
      if (nowMs - m.atMs > STALE_MS || nowMs - before < REPEAT_MS) continue;
      rung.current.set(m.key, nowMs);
      sound(m.urgency);
    }
  }, [due, nowMs, on]);
  return due;
}

/** Minutes left at which a clock is read out, and only then. */
const THRESHOLDS_MIN = [60, 30, 10, 5, 2, 1, 0];

/** A sentence stands so long after its threshold; older it would say what is not so any more. */
const SAID_FOR_MIN = 1;

/** What a screen reader hears of a clock: a sentence at each threshold, and nothing between them. */
export function announcement(label: string, endMs: number, nowMs: number): string {
  const leftMin = (endMs - nowMs) / 60_000;
  const passed = THRESHOLDS_MIN.filter((t) => leftMin <= t).at(-1);
  if (passed === undefined || (passed > 0 && leftMin < passed - SAID_FOR_MIN)) return '';
  return passed === 0
    ? say('alarms.now', { label })
    : say('alarms.oneOtherLeft', { label, passed, passedCount: passed });
}
