import type { Trait } from './traits.ts';
import type { Confidence } from './types.ts';

/** What a bath before the rinses is made with. */
export type Bath = 'salt' | 'vinegar';
/** Said when things go into a bath: from then on they need its rinses. */
export const bathCue = (bath: Bath): string => `bath.${bath}`;

/** How one kind of skin, leaf or dust is washed: a bath where it needs one or takes one, and rinses that are counted. */
export interface WashRow {
  trait: Trait;
  /** Turned over half-way. `needed`: always; else only where the cook wants one. */
  bath: { what: Bath; minutes: number; needed: boolean } | null;
  /** Without a bath. */
  rinses: number;
  /** Salt and vinegar go down the sink with these. */
  rinsesAfterBath: number;
  source: string;
  confidence: Confidence;
}

const FOOD_RULES = 'Advice of food-safety offices on washing produce: running water, a brush, no soap';
const VINEGAR = 'Kitchen practice: one part of vinegar to three of water, five minutes, then clear water';
const SALT =
  'Kitchen practice: two spoons of salt to a litre of cold water, two to three minutes, then clear water';

export const WASH_ROWS: readonly WashRow[] = [
  {
    trait: 'insects',
    bath: { what: 'salt', minutes: 3, needed: true },
    rinses: 2,
    rinsesAfterBath: 2,
    source: SALT,
    confidence: 'm',
  },
  {
    trait: 'skinRough',
    bath: { what: 'vinegar', minutes: 5, needed: false },
    rinses: 1,
    rinsesAfterBath: 3,
    source: VINEGAR,
    confidence: 'm',
  },
  {
    trait: 'skinWaxed',
    bath: { what: 'vinegar', minutes: 5, needed: false },
    rinses: 1,
    rinsesAfterBath: 3,
    source: VINEGAR,
    confidence: 'm',
  },
  {
    trait: 'skinSmooth',
    bath: { what: 'vinegar', minutes: 5, needed: false },
    rinses: 1,
    rinsesAfterBath: 3,
    source: VINEGAR,
    confidence: 'm',
  },
  { trait: 'skinRoot', bath: null, rinses: 2, rinsesAfterBath: 2, source: FOOD_RULES, confidence: 'h' },
  { trait: 'skinSoft', bath: null, rinses: 2, rinsesAfterBath: 2, source: FOOD_RULES, confidence: 'h' },
  { trait: 'skinLeaf', bath: null, rinses: 2, rinsesAfterBath: 2, source: FOOD_RULES, confidence: 'h' },
];
