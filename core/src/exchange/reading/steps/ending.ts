import type { StepBuilder } from './builder.ts';
import type { Piece } from './piece.ts';

export function doFreeze(b: StepBuilder, c: Piece): void {
  const { span } = c;
  b.add('freeze', span);
}

export function doDivide(b: StepBuilder, c: Piece): void {
  const { span } = c;
  b.add('split', span).doubts.add('meaningGuessed');
}

export function doBottle(b: StepBuilder, c: Piece): void {
  const { words, span } = c;
  const step = b.last?.kind === 'bottle' ? b.last : b.add('bottle', span);
  b.extend(step, span);
  step.sterilised ||= / (?:sterilised|sterilized|boiled) /.test(words);
  b.bottled = true;
  if (/ (?:freezer|freeze) /.test(words)) b.add('freeze', span);
}
