/** One standard unit or drink of pure alcohol, as countries count it, g. */
export interface AlcoholUnitRow {
  id: string;
  name: string;
  ethanolG: number;
  source: string;
}

const SOURCE = 'Public health guidance of the country, as commonly published';

// biome-ignore format: a table reads by rows
export const ALCOHOL_UNIT_ROWS: readonly AlcoholUnitRow[] = [
  { id: 'g8', name: 'United Kingdom, unit of 8 g', ethanolG: 8, source: SOURCE },
  { id: 'g10', name: 'Australia, France, Ireland, Spain and others, 10 g', ethanolG: 10, source: SOURCE },
  { id: 'g12', name: 'Denmark, Germany, Italy, South Africa and others, 12 g', ethanolG: 12, source: SOURCE },
  { id: 'g13', name: 'Canada, 13.45 g', ethanolG: 13.45, source: SOURCE },
  { id: 'g14', name: 'United States, 14 g', ethanolG: 14, source: SOURCE },
  { id: 'g20', name: 'Japan, 20 g', ethanolG: 20, source: SOURCE },
];
