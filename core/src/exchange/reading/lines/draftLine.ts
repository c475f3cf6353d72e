import type { FamilyRow } from '../../../tables/families.ts';
import type { ReadAmount, Span } from '../types.ts';

/** How much of a line goes in at one of its steps: an amount, a share of all, or what is left. */
export type Portion = { amount: ReadAmount } | { share: number } | 'rest';

/** A line while the text is read: what is known of it so far. */
export interface DraftLine {
  id: string;
  familyId: string | null;
  family: FamilyRow | undefined;
  /** What the text calls it. */
  name: string;
  part: string | null;
  forms: string[];
  meantFor: string | null;
  falseFriend?: string;
  amount: ReadAmount | null;
  listed: boolean;
  /** Each row of the list that has some of it: how much, for which part of the drink, how warm. */
  rows: { amount: ReadAmount; part?: string; forms: readonly string[] }[];
  optional: boolean;
  misspelled: boolean;
  toTaste: boolean;
  unknown: boolean;
  differs: boolean;
  /** A part of another line's fruit. */
  copyOf?: string;
  spans: Span[];
  words: string;
  /** It went through a juicer, whole. */
  juiced?: boolean;
  /** Nobody said where it goes in. */
  placeGuessed: boolean;
  /** Steps that name it, in their order. */
  at: { stepId: string; weak: boolean; portion?: Portion }[];
}

export function addForms(line: DraftLine, forms: readonly string[]): void {
  for (const form of forms) if (!line.forms.includes(form)) line.forms.push(form);
}
