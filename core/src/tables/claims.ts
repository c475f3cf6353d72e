/**
 * What is commonly said of how long such drinks keep, and why this tool is shorter. Folk rules, none of them shown to
 * hold: they stand beside the tool's own figure, are never counted with, and are never printed.
 */
export interface ClaimRow {
  code: string;
  /** Days that are claimed, from and to. */
  fromDays: number;
  toDays: number;
  /** Of which drinks it is said; empty: of any. */
  when: readonly ('alcohol' | 'plain' | 'sweet' | 'vinegar' | 'spiced' | 'boiled' | 'raw')[];
  source: string;
}

const SOURCE = 'Sayings in common circulation; no test of them is known to us';

export const CLAIM_ROWS: readonly ClaimRow[] = [
  { code: 'claim.week', fromDays: 5, toDays: 7, when: ['boiled'], source: SOURCE },
  { code: 'claim.fewDays', fromDays: 2, toDays: 5, when: ['raw'], source: SOURCE },
  { code: 'claim.splash', fromDays: 10, toDays: 21, when: ['alcohol'], source: SOURCE },
  { code: 'claim.plain', fromDays: 10, toDays: 30, when: ['plain'], source: SOURCE },
  { code: 'claim.sugar', fromDays: 14, toDays: 30, when: ['sweet'], source: SOURCE },
  { code: 'claim.clove', fromDays: 10, toDays: 14, when: ['spiced'], source: SOURCE },
  { code: 'claim.rice', fromDays: 14, toDays: 30, when: [], source: SOURCE },
  { code: 'claim.boiledMonth', fromDays: 14, toDays: 60, when: ['boiled'], source: SOURCE },
  { code: 'claim.vinegarYears', fromDays: 180, toDays: 730, when: ['vinegar'], source: SOURCE },
];
