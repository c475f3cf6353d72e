import type { HeatStep, Step } from './steps.ts';

/** What a heating goes to: the boil, small bubbles at the rim, or a temperature that nothing but a thermometer tells. */
export const heatManner = (step: HeatStep): 'boil' | 'rim' | 'degrees' =>
  step.until.kind !== 'temp' || step.until.targetC === null ? 'boil' : step.byDegrees ? 'degrees' : 'rim';

/** It stands to draw, and is at its best at a moment: not what is kept hot, settles or matures. */
export const drawsStanding = (step: Step): boolean =>
  step.kind === 'steep' && step.purpose === undefined && step.holdC === undefined;

/** What lies in it gives to a drink that is kept: it may be strained before its time, and shows by its colour. */
export const draws = (step: Step): boolean =>
  step.kind === 'boil' || (step.kind === 'soak' && !step.thrown) || drawsStanding(step);
