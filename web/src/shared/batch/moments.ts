import type { Step } from '@big-ladle/core/program';
import { has, say, sayCode } from '../../words/say.ts';
import type { AlarmMoment } from '../alarms.ts';
import type { RunningClock } from './clocks.ts';

/** More often than this nobody is called in one step. */
const MOST_TURNS = 60;

/** A prediction of the boil calls so long before: the first minute is when it boils over. */
const BEFORE_THE_BOIL_MS = 5 * 60_000;

/** What is to be done now, said with the alarm: "turn the flame down". */
function thenDo(next: Step | null, now: RunningClock['stepKind']): string {
  if (!next) return '';
  const onFire = now === 'heat' || now === 'boil';
  const exact = next.kind === 'boil' ? `then.boil.${next.level}` : `then.${next.kind}${onFire ? '' : '.off'}`;
  const code = has(exact) ? exact : `then.${next.kind}`;
  return has(code) ? `, ${sayCode(code)}` : '';
}

/** The moments of a clock at which it calls, each with what to do. */
export function momentsOf(clock: RunningClock): AlarmMoment[] {
  const moments: AlarmMoment[] = [];
  const stand = (name: string, atMs: number | null, text: string, urgency: AlarmMoment['urgency']) => {
    if (atMs !== null)
      moments.push({
        key: `${clock.key}:${name}:${atMs}`,
        clock: clock.key,
        atMs,
        text: `${clock.label}: ${text}`,
        urgency,
      });
  };
  const then = thenDo(clock.next, clock.stepKind);
  const { limitMs } = clock;
  // Past its limit nothing is at its best, and nobody is led on as if it were.
  const inTime = (atMs: number) => limitMs === null || atMs < limitMs;
  stand('limit', limitMs, say('stove.limit'), 'late');
  if (clock.kind === 'expected') {
    // A prediction calls before it is due: that is when the pot wants an eye.
    if (clock.stepKind === 'heat')
      stand('soon', clock.endMs - BEFORE_THE_BOIL_MS, say('moments.stayByThePot'), 'soft');
    else
      stand(
        'due',
        clock.endMs,
        inTime(clock.endMs) ? say('moments.shouldBeThere', { then }) : say('stove.pastLimit'),
        inTime(clock.endMs) ? 'due' : 'late',
      );
    return moments;
  }
  const stands = clock.stepKind === 'steep' || clock.stepKind === 'soak';
  if (stands && clock.minMs !== null && inTime(clock.minMs))
    stand(
      'least',
      clock.minMs,
      clock.draws ? say('moments.longEnoughToStrain') : say('moments.longEnough'),
      'soft',
    );
  if (clock.everyMin !== null) {
    const everyMs = clock.everyMin * 60_000;
    const turns = Math.min(MOST_TURNS, Math.ceil((clock.endMs - clock.startMs) / everyMs) - 1);
    const text = say(clock.stepKind === 'soak' ? 'moments.turnItOver' : 'moments.shakeIt');
    for (let turn = 1; turn <= turns; turn++)
      stand(`turn${turn}`, clock.startMs + turn * everyMs, text, 'soft');
  }
  if (clock.branchMin !== null) {
    const atMs = clock.startMs + clock.branchMin * 60_000;
    if (atMs < clock.endMs && inTime(atMs)) stand('branch', atMs, say('moments.mayBeStrained'), 'soft');
  }
  const best = clock.draws ? say('moments.atItsBestNow') : say('moments.timeIsUp');
  stand(
    'due',
    clock.endMs,
    inTime(clock.endMs) ? `${best}${then}` : say('stove.pastLimit'),
    inTime(clock.endMs) ? 'due' : 'late',
  );
  if (clock.stepKind !== 'own' && clock.maxMs !== null && inTime(clock.maxMs))
    stand('latest', clock.maxMs, say('moments.latestGoOnNow', { then }), 'late');
  return moments;
}
