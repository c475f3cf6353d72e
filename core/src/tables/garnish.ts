import type { Confidence } from './types.ts';

/** What lies on a glass of a drink: a little of what is in it, put on when it is poured. */
export interface GarnishRow {
  familyId: string;
  garnish: 'sprig' | 'slice' | 'wedge' | 'stick' | 'thinSlice' | 'star' | 'stalk';
  /** Only on what is served warm, or only on what is cold; both where it is left out. */
  only?: 'warm' | 'cold';
  confidence: Confidence;
  source: string;
}

const CUSTOM = 'What cooks put on a glass; a matter of taste';

/** The first ones that a drink has are shown first. */
export const GARNISH_ROWS: readonly GarnishRow[] = [
  { familyId: 'mint', garnish: 'sprig', confidence: 'l', source: CUSTOM },
  { familyId: 'basil', garnish: 'sprig', only: 'cold', confidence: 'l', source: CUSTOM },
  { familyId: 'thyme', garnish: 'sprig', confidence: 'l', source: CUSTOM },
  { familyId: 'lime', garnish: 'slice', only: 'cold', confidence: 'l', source: CUSTOM },
  { familyId: 'lemon', garnish: 'slice', confidence: 'l', source: CUSTOM },
  { familyId: 'orange', garnish: 'slice', confidence: 'l', source: CUSTOM },
  { familyId: 'grapefruit', garnish: 'slice', only: 'cold', confidence: 'l', source: CUSTOM },
  { familyId: 'pineapple', garnish: 'wedge', only: 'cold', confidence: 'l', source: CUSTOM },
  { familyId: 'watermelon', garnish: 'wedge', only: 'cold', confidence: 'l', source: CUSTOM },
  { familyId: 'apple', garnish: 'thinSlice', confidence: 'l', source: CUSTOM },
  { familyId: 'cucumber', garnish: 'thinSlice', only: 'cold', confidence: 'l', source: CUSTOM },
  { familyId: 'lemongrass', garnish: 'stalk', confidence: 'l', source: CUSTOM },
  { familyId: 'cinnamon', garnish: 'stick', only: 'warm', confidence: 'l', source: CUSTOM },
  { familyId: 'starAnise', garnish: 'star', only: 'warm', confidence: 'l', source: CUSTOM },
  { familyId: 'ginger', garnish: 'thinSlice', confidence: 'l', source: CUSTOM },
  { familyId: 'beetroot', garnish: 'thinSlice', only: 'cold', confidence: 'l', source: CUSTOM },
];
