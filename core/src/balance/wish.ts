import type { Composition } from '../liquor/composition.ts';
import type { Candidate } from './candidates.ts';

/** Where a drink is wanted on the plane. */
export interface BalanceWish {
  /** Sugar-equivalent g in 100 g. */
  sweetPct: number;
  /** Titratable acidity as it is shown, g/L as citric; null: sourness may go where it goes. */
  sourGPerL: number | null;
}

export interface BalanceLimits {
  /** What the vessel may hold in all, mL; infinite where nothing bounds it. */
  roomMl: number;
  /** Free sugars in a glass, g; null: no limit. */
  freeSugarGPerGlass: number | null;
  servingMl: number;
  /** What must be left of the strength that there is, 0..1; 0: thin it as you like. */
  leastStrength: number;
}

export const NO_LIMITS: BalanceLimits = {
  roomMl: Number.POSITIVE_INFINITY,
  freeSugarGPerGlass: null,
  servingMl: 250,
  leastStrength: 0,
};

/** `leastAdded`: as little as possible goes in; `leastSugar`: as little sugar. */
export type BalanceAim = 'leastAdded' | 'leastSugar';

export type BalanceBinding =
  | { kind: 'room' }
  | { kind: 'sugar' }
  | { kind: 'strength' }
  /** Whole fruit only: a part of one would be needed. */
  | { kind: 'whole' }
  /** There is no more of it. */
  | { kind: 'onHand'; id: string }
  /** More of it turns bitter, thick or crystallises. */
  | { kind: 'cap'; id: string }
  /** Nothing that is allowed moves it there. */
  | { kind: 'nothing'; lacks: 'sweeter' | 'lessSweet' | 'sourer' | 'lessSour' };

export interface AddedPart {
  id: string;
  kind: Candidate['kind'];
  massG: number;
  volumeMl: number;
  /** Whole fruit. */
  pieces: number | null;
}

export interface BalanceAnswer {
  parts: AddedPart[];
  result: Composition;
  /** Within 1 % of the wish (5 % of the sourness where whole fruit went in). */
  met: boolean;
  missSweetPct: number;
  missSourGPerL: number;
  /** What keeps it from the wish; null where it is met. */
  binding: BalanceBinding | null;
}
