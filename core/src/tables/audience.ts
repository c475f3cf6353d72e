import type { MarkerId } from './types.ts';

/**
 * Who may want to know before they drink, by what is in it. Usual cautions, not medical advice; each says no more than
 * to ask a pharmacist or a doctor.
 */
export interface CautionRow {
  code: string;
  /** Ids of items, markers or marks of a lot that bring it in. */
  when: readonly (MarkerId | string)[];
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
  'allergy',
  'weakened',
  'mildOnly',
] as const;
export type Audience = (typeof AUDIENCES)[number];

const SOURCE = 'Usual cautions of public food and medicine guidance';

export const CAUTION_ROWS: readonly CautionRow[] = [
  { code: 'who.honey', when: ['honey'], who: 'underOne', onLabel: true, source: SOURCE },
  {
    code: 'who.alcohol.children',
    when: ['alcohol', 'littleAlcohol'],
    who: 'children',
    onLabel: true,
    source: SOURCE,
  },
  {
    code: 'who.alcohol.pregnancy',
    when: ['alcohol', 'littleAlcohol'],
    who: 'pregnancy',
    onLabel: true,
    source: SOURCE,
  },
  { code: 'who.alcohol.drivers', when: ['alcohol'], who: 'drivers', onLabel: true, source: SOURCE },
  {
    code: 'who.alcohol.abstain',
    when: ['alcohol', 'littleAlcohol'],
    who: 'noAlcohol',
    onLabel: false,
    source: SOURCE,
  },
  { code: 'who.calyx.medicine', when: ['calyx'], who: 'medicine', onLabel: false, source: SOURCE },
  { code: 'who.calyx.pregnancy', when: ['calyx'], who: 'pregnancy', onLabel: true, source: SOURCE },
  {
    code: 'who.root.thinner',
    when: ['ginger', 'turmeric'],
    who: 'bloodThinner',
    onLabel: false,
    source: SOURCE,
  },
  {
    code: 'who.root.gallstones',
    when: ['ginger', 'turmeric'],
    who: 'gallstones',
    onLabel: false,
    source: SOURCE,
  },
  { code: 'who.root.diabetes', when: ['turmeric'], who: 'diabetes', onLabel: false, source: SOURCE },
  {
    code: 'who.grapefruit.medicine',
    when: ['grapefruit', 'grapefruit-whole', 'grapefruit-juice'],
    who: 'medicine',
    onLabel: true,
    source: SOURCE,
  },
  {
    code: 'who.cranberry.thinner',
    when: ['cranberry-fresh', 'cranberry-juice'],
    who: 'bloodThinner',
    onLabel: false,
    source: SOURCE,
  },
  {
    code: 'who.cassia.often',
    when: ['cinnamon-stick', 'cinnamon-ground'],
    who: 'medicine',
    onLabel: false,
    source: SOURCE,
  },
  {
    code: 'who.kidney.often',
    when: ['calyx', 'turmeric', 'date'],
    who: 'kidney',
    onLabel: false,
    source: SOURCE,
  },
  { code: 'who.sugar.diabetes', when: ['sweetened'], who: 'diabetes', onLabel: false, source: SOURCE },
  { code: 'who.sweetener.stomach', when: ['erythritol'], who: 'stomach', onLabel: false, source: SOURCE },
  {
    code: 'who.acid.stomach',
    when: ['calyx', 'citrus', 'acid'],
    who: 'stomach',
    onLabel: false,
    source: SOURCE,
  },
  { code: 'who.coconut.allergy', when: ['coconut'], who: 'allergy', onLabel: true, source: SOURCE },
  { code: 'who.raw.weakened', when: ['raw', 'live'], who: 'weakened', onLabel: true, source: SOURCE },
  { code: 'who.raw.pregnancy', when: ['raw', 'live'], who: 'pregnancy', onLabel: false, source: SOURCE },
  { code: 'who.raw.children', when: ['raw', 'live'], who: 'children', onLabel: false, source: SOURCE },
  { code: 'who.hot.children', when: ['hot'], who: 'children', onLabel: false, source: SOURCE },
  { code: 'who.hot.mild', when: ['hot'], who: 'mildOnly', onLabel: false, source: SOURCE },
];
