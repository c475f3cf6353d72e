import type { MovesWithPurchases, Residual } from './sensitivities.ts';
import type { Evidence } from './solve.ts';

/** Raise it when batches are read otherwise, or the model foretells otherwise: what was kept of them is read again. */
export const EVIDENCE_V = '3';

type Moved = MovesWithPurchases extends ReadonlyMap<infer K, number> ? K : never;
type StoredResidual = Omit<Residual, 'moves'> & { moves: [Moved, number][] };

/** What a batch tells, as text to be kept: reading its log again takes many runs. */
export const writeResiduals = ({ residuals }: Pick<Evidence, 'residuals'>): string =>
  JSON.stringify(residuals.map((r): StoredResidual => ({ ...r, moves: [...r.moves] })));

/** @throws SyntaxError where it is no such text. */
export const readResiduals = (text: string): Residual[] =>
  (JSON.parse(text) as StoredResidual[]).map((r) => ({ ...r, moves: new Map(r.moves) }));
