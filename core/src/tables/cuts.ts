/** How things are cut or broken before they go in, as a recipe says it; minutes for the usual kilogram. */
export const CUT_ROWS = [
  { code: 'slice', minutes: 5 },
  { code: 'bruise', minutes: 4 },
  { code: 'grate', minutes: 10 },
  { code: 'chop', minutes: 6 },
  { code: 'cube', minutes: 8 },
  { code: 'quarter', minutes: 5 },
  { code: 'peel', minutes: 8 },
  { code: 'strip', minutes: 5 },
  { code: 'core', minutes: 10 },
  { code: 'stone', minutes: 10 },
  { code: 'crack', minutes: 2 },
  { code: 'crush', minutes: 4 },
  { code: 'tear', minutes: 3 },
  { code: 'squeeze', minutes: 6 },
  { code: 'loosen', minutes: 8 },
  { code: 'open', minutes: 12 },
] as const;
export type CutCode = (typeof CUT_ROWS)[number]['code'];

export const isCut = (code: string): code is CutCode => CUT_ROWS.some((row) => row.code === code);
