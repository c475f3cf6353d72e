import '../../words/places/batch.ts';
import { bottledMl, fillMl, massG, type Simulation } from '@big-ladle/core';
import { duration, grams, litres, say } from '../../words/say.ts';

/** What a batch is going to be, as far as one change may move it. */
export interface Outcome {
  litres: number;
  sweetG: number;
  endMin: number;
  bottles: number;
}

export function outcomeOf(
  sim: Pick<Simulation, 'vessels' | 'flows' | 'endMin'>,
  sizes: readonly { volumeMl: number }[],
): Outcome {
  const mls = bottledMl(sim);
  const ml = mls.reduce((sum, each) => sum + each, 0);
  const largest = Math.max(0, ...sizes.map((b) => b.volumeMl));
  return {
    litres: ml / 1000,
    // What is in already and what is still to come.
    sweetG: sim.flows.reduce((sum, f) => sum + (f.code === 'sweetener' ? massG(f.comp) : 0), 0),
    endMin: sim.endMin,
    bottles: largest > 0 ? mls.reduce((sum, each) => sum + Math.floor(each / fillMl(largest)), 0) : 0,
  };
}

/** "8.3 instead of 8.9 L: sweetener 60 g less, 1 bottle fewer." */
export function differenceOf(a: Outcome, b: Outcome): string {
  const parts: string[] = [];
  const sweet = b.sweetG - a.sweetG;
  if (Math.abs(sweet) >= 1)
    parts.push(say('outcome.sweetenerTrueOther', { sweet: grams(Math.abs(sweet)), sweetLow: sweet < 0 }));
  const bottles = b.bottles - a.bottles;
  if (bottles !== 0)
    parts.push(
      say(bottles < 0 ? 'outcome.bottlesFewer' : 'outcome.bottlesMore', { count: Math.abs(bottles) }),
    );
  const later = b.endMin - a.endMin;
  if (Math.abs(later) >= 2)
    parts.push(say(later > 0 ? 'outcome.later' : 'outcome.sooner', { time: duration(Math.abs(later)) }));
  const litresText =
    Math.abs(b.litres - a.litres) >= 0.02
      ? say('outcome.insteadOf', { litres: litres(b.litres), litres2: litres(a.litres) })
      : say('outcome.asManyLitresAs');
  return parts.length || Math.abs(b.litres - a.litres) >= 0.02
    ? `${litresText}${parts.length ? `: ${parts.join(', ')}` : ''}.`
    : say('outcome.asExpectedNothingOf');
}
