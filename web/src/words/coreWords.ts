import type { StepProblem } from '@big-ladle/core/program';
import type { Said } from '@big-ladle/core/units';
import { num } from './numbers.ts';
import { celsius, kilograms, litres } from './quantities.ts';
import { days, duration, say, sayCode } from './say.ts';

/** A reason of the keeping model, its figures in words. */
export function sayReason(reason: Said): string {
  const p = reason.params;
  const out: Record<string, string> = {};
  for (const [key, value] of Object.entries(p)) {
    if (key === 'days' || key === 'open') out[key] = days(Number(value));
    else if (key === 'hours' || key === 'limitH') out[key] = duration(Number(value) * 60);
    else if (key === 'tempC') out[key] = celsius(Number(value));
    // Two figures: one would round what is over a limit down to it.
    else if (key === 'pH') out[key] = num(Number(value), 2);
    else out[key] = String(value);
  }
  return sayCode(reason.code, out);
}

/** A note of the trace, its figures in words. */
export function sayNote(note: Said): string {
  const p = note.params;
  const out: Record<string, string | number> = {};
  if (p.minutes !== undefined) out.minutes = duration(Number(p.minutes));
  if (p.percent !== undefined) out.percent = `${p.percent} %`;
  if (p.loads !== undefined) out.loads = Number(p.loads);
  if (p.iceKg !== undefined) out.iceKg = kilograms(Number(p.iceKg));
  return sayCode(`note.${note.code}`, out);
}

/** A problem of the interpreter in words. */
export function sayStepProblem(
  problem: StepProblem,
  names: { burner?: string; vessel?: string } = {},
): string {
  const vessel = names.vessel ?? say('problem.vessel');
  switch (problem.kind) {
    case 'neverBoils':
      return say('problem.neverBoils', {
        burner: names.burner ?? say('problem.ring'),
        temp: celsius(problem.reachesC),
      });
    case 'neverCools':
      return say('problem.neverCools', { temp: celsius(problem.targetC) });
    case 'neverDown':
      return say('problem.neverDown', { litres: litres(problem.toL) });
    case 'measuredTooMuch':
      return say('problem.measuredTooMuch', {
        value: litres(problem.valueL),
        vessel,
        capacity: litres(problem.capacityL),
      });
    case 'moreThanMade':
      return say('problem.moreThanMade', {
        value: litres(problem.valueL),
        expected: litres(problem.expectedL),
      });
    default:
      return say(`problem.${problem.kind}`, { vessel });
  }
}
