/** What kind of thing is looked at. */
export const CHECK_KINDS = ['still', 'raw', 'live', 'leftover'] as const;
export type CheckKind = (typeof CHECK_KINDS)[number];

/** What may be seen, heard or smelt. Nothing is ever tasted to find out. */
export const SIGNS = [
  'gas',
  'bulge',
  'haze',
  'mould',
  'film',
  'smell',
  'leak',
  'slime',
  'colour',
  'settled',
] as const;
export type Sign = (typeof SIGNS)[number];

export interface SignRow {
  sign: Sign;
  /** What it means, by kind: thrown out, let off and looked at again, or nothing to worry about. */
  means: Readonly<Record<CheckKind, 'throwOut' | 'vent' | 'fine' | 'notAsked'>>;
  source: string;
}

const SOURCE = 'Common household guidance on spoilage: in doubt, throw out; never taste to find out';

export const SIGN_ROWS: readonly SignRow[] = [
  {
    sign: 'gas',
    means: { still: 'throwOut', raw: 'throwOut', live: 'vent', leftover: 'throwOut' },
    source: SOURCE,
  },
  {
    sign: 'bulge',
    means: { still: 'throwOut', raw: 'throwOut', live: 'throwOut', leftover: 'throwOut' },
    source: SOURCE,
  },
  {
    sign: 'haze',
    means: { still: 'throwOut', raw: 'fine', live: 'fine', leftover: 'notAsked' },
    source: SOURCE,
  },
  {
    sign: 'mould',
    means: { still: 'throwOut', raw: 'throwOut', live: 'throwOut', leftover: 'throwOut' },
    source: SOURCE,
  },
  {
    sign: 'film',
    means: { still: 'throwOut', raw: 'throwOut', live: 'throwOut', leftover: 'throwOut' },
    source: SOURCE,
  },
  {
    sign: 'smell',
    means: { still: 'throwOut', raw: 'throwOut', live: 'throwOut', leftover: 'throwOut' },
    source: SOURCE,
  },
  {
    sign: 'leak',
    means: { still: 'throwOut', raw: 'throwOut', live: 'throwOut', leftover: 'notAsked' },
    source: SOURCE,
  },
  {
    sign: 'slime',
    means: { still: 'throwOut', raw: 'throwOut', live: 'throwOut', leftover: 'throwOut' },
    source: SOURCE,
  },
  {
    sign: 'colour',
    means: { still: 'fine', raw: 'fine', live: 'fine', leftover: 'notAsked' },
    source: SOURCE,
  },
  {
    sign: 'settled',
    means: { still: 'fine', raw: 'fine', live: 'fine', leftover: 'notAsked' },
    source: SOURCE,
  },
];

/** How often things are looked at, and live ones let off, days. Source: as above. */
export const LOOK_EVERY_DAYS: Readonly<Record<CheckKind, number>> = {
  still: 3,
  raw: 1,
  live: 1,
  leftover: 2,
};
