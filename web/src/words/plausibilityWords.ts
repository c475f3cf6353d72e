import type { PlausibilityWarning } from '@big-ladle/core/compare';
import { sayItem } from './names.ts';
import { grams, litres } from './quantities.ts';
import { duration, say } from './say.ts';

/**
 * A slip, asked about: what was said, and what is usual.
 * @param forL the litres that an amount is for.
 */
export function sayWarning(slip: PlausibilityWarning, forL: number): string {
  switch (slip.kind) {
    case 'much':
    case 'little':
      return say(`slip.${slip.kind}`, {
        amount: grams(slip.massG),
        litres: litres(forL),
        low: grams(slip.lowG),
        high: grams(slip.highG),
      });
    case 'long':
    case 'short':
      return say(`slip.${slip.kind}`, {
        minutes: duration(slip.minutes),
        low: duration(slip.lowMin),
        high: duration(slip.highMin),
      });
    case 'lossUnexplained':
      return say('slip.lossUnexplained', { lost: litres(slip.lostL), most: litres(slip.mostL) });
  }
}

/** What a slip is about: the thing, or the step. */
export function sayWarningSubject(slip: PlausibilityWarning): string {
  if ('itemId' in slip) return sayItem(slip.itemId);
  return 'stepKind' in slip ? say(`step.${slip.stepKind}`) : say('slip.loss');
}
