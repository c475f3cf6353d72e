import type { StepBuilder } from './builder.ts';
import type { Piece } from './piece.ts';

export function doFreeze(b: StepBuilder, c: Piece): void {
  const { clause, words, span } = c;
  const step = b.add('freeze', span);
  const portion = / (?:portions?|cubes?|trays?) /.test(words)
    ? clause.amounts.find((q) => q.measure?.id === 'mL')
    : undefined;
  if (!portion) return;
  step.portionMl = portion.value;
  b.uses(portion);
}

export function doDivide(b: StepBuilder, c: Piece): void {
  const { span } = c;
  b.add('split', span).doubts.add('meaningGuessed');
}

export function doBottle(b: StepBuilder, c: Piece): void {
  const { words, span } = c;
  const step = b.last?.kind === 'bottle' && b.last.lot === b.lot ? b.last : b.add('bottle', span);
  b.extend(step, span);
  step.sterilised ||= / (?:sterilised|sterilized|boiled) /.test(words);
  b.bottled = true;
  if (/ (?:freezer|freeze) /.test(words)) b.add('freeze', span);
}
