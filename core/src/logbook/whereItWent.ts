import type { ItemLog } from '../log/itemLog.ts';

/** What became of a bottle. */
export const FATES = ['there', 'drunk', 'given', 'thrownOut'] as const;
export type Fate = (typeof FATES)[number];

export const fateOf = ({
  discarded,
  given,
  finishedMs,
}: Pick<ItemLog, 'discarded' | 'given' | 'finishedMs'>): Fate =>
  discarded ? 'thrownOut' : given ? 'given' : finishedMs !== null ? 'drunk' : 'there';

/** Bottles of one fate: what was filled into them, and what had not been poured when they went, or has not yet, L. */
export interface FilledShare {
  fate: Fate;
  /** They stand in a freezer. */
  frozen: boolean;
  filledL: number;
  leftL: number;
}

/** Where all that was filled went, L. */
export interface WhereItWent {
  drunkL: number;
  givenL: number;
  thrownOutL: number;
  /** Of what is still there, what is frozen; the rest of it. */
  frozenL: number;
  thereL: number;
}

/** What is poured is drunk, whatever became of the rest; of a bottle that is empty nothing is left. */
export function whereItWent(shares: readonly FilledShare[]): WhereItWent {
  const went = { drunkL: 0, givenL: 0, thrownOutL: 0, frozenL: 0, thereL: 0 };
  for (const { fate, frozen, filledL, leftL } of shares) {
    const rest = fate === 'drunk' ? 0 : leftL;
    went.drunkL += filledL - rest;
    if (fate === 'given') went.givenL += rest;
    if (fate === 'thrownOut') went.thrownOutL += rest;
    if (fate === 'there') went[frozen ? 'frozenL' : 'thereL'] += rest;
  }
  return went;
}
