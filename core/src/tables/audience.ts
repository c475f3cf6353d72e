import type { Tag } from './traits.ts';

/**
 * Who may want to know before they drink, by what is in it. Usual cautions, not medical advice; each says no more than
 * to ask a pharmacist or a doctor.
 */
export interface CautionRow {
  code: string;
  /** What of a drink brings it in. */
  when: readonly Tag[];
  who: Audience;
  /** Printed on a label, with these few words; others stand on the screens. */
  onLabel: boolean;
  source: string;
}

/** People who may want to know before they drink. */
export const AUDIENCES = [
  'children',
  'underOne',
  'pregnancy',
  'noAlcohol',
  'drivers',
  'medicine',
  'bloodThinner',
  'diabetes',
  'kidney',
  'gallstones',
  'stomach',
  'teeth',
  'iron',
  'liver',
  'allergy',
  'weakened',
  'mildOnly',
] as const;
export type Audience = (typeof AUDIENCES)[number];

const SOURCE = 'Usual cautions of public food and medicine guidance';

// biome-ignore format: a table reads by rows
export const CAUTION_ROWS: readonly CautionRow[] = [
  { code: 'who.honey', when: ['honey'], who: 'underOne', onLabel: true, source: SOURCE },
  { code: 'who.lookAlike.infants', when: ['lookAlike'], who: 'underOne', onLabel: true, source: SOURCE },
  { code: 'who.alcohol.children', when: ['alcohol', 'littleAlcohol'], who: 'children', onLabel: true, source: SOURCE },
  { code: 'who.alcohol.pregnancy', when: ['alcohol', 'littleAlcohol'], who: 'pregnancy', onLabel: true, source: SOURCE },
  { code: 'who.alcohol.drivers', when: ['alcohol'], who: 'drivers', onLabel: true, source: SOURCE },
  { code: 'who.alcohol.abstain', when: ['alcohol', 'littleAlcohol'], who: 'noAlcohol', onLabel: false, source: SOURCE },
  { code: 'who.calyx.medicine', when: ['bloodPressure'], who: 'medicine', onLabel: false, source: SOURCE },
  { code: 'who.calyx.pregnancy', when: ['notInPregnancy'], who: 'pregnancy', onLabel: true, source: SOURCE },
  { code: 'who.thinner', when: ['bloodThinner'], who: 'bloodThinner', onLabel: false, source: SOURCE },
  { code: 'who.gallstones', when: ['gallstones'], who: 'gallstones', onLabel: false, source: SOURCE },
  { code: 'who.bloodSugar', when: ['bloodSugar'], who: 'diabetes', onLabel: false, source: SOURCE },
  { code: 'who.iron', when: ['iron'], who: 'iron', onLabel: false, source: SOURCE },
  { code: 'who.liver', when: ['liver'], who: 'liver', onLabel: false, source: SOURCE },
  { code: 'who.kidney', when: ['kidney'], who: 'kidney', onLabel: false, source: SOURCE },
  { code: 'who.grapefruit.medicine', when: ['grapefruit'], who: 'medicine', onLabel: true, source: SOURCE },
  { code: 'who.cranberry.thinner', when: ['cranberry'], who: 'bloodThinner', onLabel: false, source: SOURCE },
  { code: 'who.unknown.medicine', when: ['medicines'], who: 'medicine', onLabel: true, source: SOURCE },
  { code: 'who.unknown.pregnancy', when: ['medicines'], who: 'pregnancy', onLabel: false, source: SOURCE },
  { code: 'who.sugar.diabetes', when: ['sweetened'], who: 'diabetes', onLabel: false, source: SOURCE },
  { code: 'who.gut', when: ['gut'], who: 'stomach', onLabel: false, source: SOURCE },
  { code: 'who.stomach', when: ['stomach', 'acid'], who: 'stomach', onLabel: false, source: SOURCE },
  { code: 'who.teeth', when: ['acid'], who: 'teeth', onLabel: false, source: SOURCE },
  { code: 'who.coconut.allergy', when: ['coconut'], who: 'allergy', onLabel: true, source: SOURCE },
  { code: 'who.milk.allergy', when: ['milk'], who: 'allergy', onLabel: true, source: SOURCE },
  { code: 'who.nut.allergy', when: ['nut'], who: 'allergy', onLabel: true, source: SOURCE },
  { code: 'who.allergen', when: ['allergen'], who: 'allergy', onLabel: true, source: SOURCE },
  { code: 'who.raw.weakened', when: ['raw', 'live'], who: 'weakened', onLabel: true, source: SOURCE },
  { code: 'who.raw.pregnancy', when: ['raw', 'live'], who: 'pregnancy', onLabel: false, source: SOURCE },
  { code: 'who.raw.children', when: ['raw', 'live'], who: 'children', onLabel: false, source: SOURCE },
  { code: 'who.hot.children', when: ['hot'], who: 'children', onLabel: false, source: SOURCE },
  { code: 'who.hot.mild', when: ['hot'], who: 'mildOnly', onLabel: false, source: SOURCE },
  { code: 'who.caffeine.children', when: ['caffeine'], who: 'children', onLabel: false, source: SOURCE },
  { code: 'who.caffeine.pregnancy', when: ['caffeine'], who: 'pregnancy', onLabel: false, source: SOURCE },
  { code: 'who.concentrated', when: ['concentrated'], who: 'children', onLabel: false, source: SOURCE },
];
