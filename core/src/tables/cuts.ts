/** How things are cut or broken before they go in, as a recipe says it; minutes for the usual kilogram. */
export const CUT_ROWS = [
  { code: 'prep.slice', minutes: 5 },
  { code: 'prep.bruise', minutes: 4 },
  { code: 'prep.grate', minutes: 10 },
  { code: 'prep.chop', minutes: 6 },
  { code: 'prep.cube', minutes: 8 },
  { code: 'prep.quarter', minutes: 5 },
  { code: 'prep.peel', minutes: 8 },
  { code: 'prep.strip', minutes: 5 },
  { code: 'prep.core', minutes: 10 },
  { code: 'prep.stone', minutes: 10 },
  { code: 'prep.crack', minutes: 2 },
  { code: 'prep.crush', minutes: 4 },
  { code: 'prep.tear', minutes: 3 },
  { code: 'prep.squeeze', minutes: 6 },
  { code: 'prep.loosen', minutes: 8 },
  { code: 'prep.open', minutes: 12 },
] as const;
export type CutCode = (typeof CUT_ROWS)[number]['code'];

export const isCut = (code: string): code is CutCode => CUT_ROWS.some((row) => row.code === code);
