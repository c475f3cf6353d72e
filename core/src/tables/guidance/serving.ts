import type { GuidanceRow } from './types.ts';

/** Before a glass is poured, and before the pulp is put by. */
export const SERVING_ROWS: readonly GuidanceRow[] = [
  { code: 'serve.table', severity: 'check', at: ['serve'], when: [] },
  { code: 'serve.ice', severity: 'check', at: ['serve'], when: [] },
  { code: 'serve.warm', severity: 'caution', at: ['serve'], when: [] },
  { code: 'serve.look', severity: 'check', at: ['serve'], when: [] },
  { code: 'serve.settled', severity: 'hint', at: ['serve'], when: ['powder'] },
  { code: 'serve.acid', severity: 'hint', at: ['serve'], when: ['acid'] },
  { code: 'aside.chill', severity: 'caution', at: ['setAside'], when: [] },
  { code: 'aside.hardSpice', severity: 'caution', at: ['setAside'], when: ['hardSpice'] },
  { code: 'aside.garlicOil', severity: 'danger', at: ['setAside'], when: ['garlic'] },
  { code: 'choose.noClaims', severity: 'check', at: ['choose'], when: [] },
];
