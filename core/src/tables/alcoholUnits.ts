/** One standard unit or drink of pure alcohol, as countries count it, g. */
export interface AlcoholUnitRow {
  id: string;
  ethanolG: number;
  source: string;
}

const SOURCE = 'Public health guidance of the country, as commonly published';

// biome-ignore format: a table reads by rows
export const ALCOHOL_UNIT_ROWS: readonly AlcoholUnitRow[] = [
  { id: 'g8', ethanolG: 8, source: SOURCE },
  { id: 'g10', ethanolG: 10, source: SOURCE },
  { id: 'g12', ethanolG: 12, source: SOURCE },
  { id: 'g13', ethanolG: 13.45, source: SOURCE },
  { id: 'g14', ethanolG: 14, source: SOURCE },
  { id: 'g20', ethanolG: 20, source: SOURCE },
];
