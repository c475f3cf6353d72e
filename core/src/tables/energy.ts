import type { Confidence } from './types.ts';

/** Units in which gas is sold. */
export const GAS_UNITS = ['kWh', 'm3', 'therm', 'kg'] as const;
export type GasUnit = (typeof GAS_UNITS)[number];

/** What a unit of gas gives when it burns, kWh, as it is billed (with the heat of its steam). */
export const GAS_UNIT_ROWS: Readonly<
  Record<GasUnit, { kWhPer: number; source: string; confidence: Confidence }>
> = {
  kWh: { kWhPer: 1, source: 'By definition', confidence: 'h' },
  m3: {
    kWhPer: 10.5,
    source: 'Gross heat of natural gas from the mains, 9.8 to 11.5 kWh by where it comes from',
    confidence: 'm',
  },
  therm: { kWhPer: 29.31, source: 'By definition: 100,000 British thermal units', confidence: 'h' },
  kg: { kWhPer: 13.8, source: 'Gross heat of bottled propane and butane, 13.7 to 13.9 kWh', confidence: 'h' },
};
