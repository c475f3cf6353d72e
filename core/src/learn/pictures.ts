import type { BatchLog } from '../log/batchLog.ts';
import type { Belief } from './solve.ts';

/** From so many batches on a house's pictures tell how strong a drink is; before, only whether it is paler or darker. */
const BATCHES = 3;

/** How much redder than the drink a house's pictures are; null: too few batches have told. */
export function picturesAreOff(beliefs: readonly Pick<Belief, 'id' | 'mean' | 'batchIds'>[]): number | null {
  const told = beliefs.find((b) => b.id === 'pictures');
  return told && told.batchIds.length >= BATCHES ? Math.exp(told.mean) : null;
}

/** How strong a batch was by its last picture, g of calyx in a litre by the colour table; null: by none. */
export function redByPicture({ program, actuals }: Pick<BatchLog, 'program' | 'actuals'>): number | null {
  const read = program.steps
    .flatMap((step) => actuals[step.id]?.adjustments ?? [])
    .findLast((a) => a.kind === 'measured' && a.reading.what === 'red');
  return read?.kind === 'measured' && read.reading.what === 'red' ? read.reading.redGPerL : null;
}
