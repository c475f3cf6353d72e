import '../../../../words/places/batch.ts';
import { massG, volumeMl } from '@big-ladle/core/liquor';
import { bottledMl, fillMl } from '@big-ladle/core/plan';
import { finishedLiquor, type Liquor, type Simulation } from '@big-ladle/core/program';
import { grams, litres } from '../../../../words/quantities.ts';
import { duration, percent, say } from '../../../../words/say.ts';

/** What a batch is going to be, as far as one change may move it. */
export interface Outcome {
  litres: number;
  sweetG: number;
  endMin: number;
  bottles: number;
  /** Strength in the bottles: grams drawn from the plants in each litre. */
  gPerL: number;
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
    gPerL: drawnGPerL(finishedLiquor(sim)),
    bottles: largest > 0 ? mls.reduce((sum, each) => sum + Math.floor(each / fillMl(largest)), 0) : 0,
  };
}

/** All that was drawn, without the red that is a part of it. */
const drawnGPerL = (liquor: Liquor | undefined): number =>
  liquor && volumeMl(liquor) > 0
    ? Object.entries(liquor.markerG).reduce((sum, [id, g]) => sum + (id === 'red' ? 0 : (g ?? 0)), 0) /
      (volumeMl(liquor) / 1000)
    : 0;

/** Less than this nobody tastes, as a share. */
const LEAST_STRENGTH = 0.02;

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
  const stronger = a.gPerL > 0 ? b.gPerL / a.gPerL - 1 : 0;
  if (Math.abs(stronger) >= LEAST_STRENGTH)
    parts.push(say('outcome.strength', { share: percent(Math.abs(stronger)), isWeaker: stronger < 0 }));
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
