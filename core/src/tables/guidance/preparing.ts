import type { GuidanceRow } from './types.ts';

/** Before the fire: picking over, washing, cutting, soaking. */
export const PREPARING_ROWS: readonly GuidanceRow[] = [
  { code: 'pick.look', severity: 'check', at: ['pick'], when: ['dusty', 'calyx'] },
  { code: 'pick.fruit', severity: 'check', at: ['pick'], when: ['soft'] },
  { code: 'pick.asFood', severity: 'caution', at: ['pick', 'wash', 'combine', 'choose'], when: ['asFood'] },
  { code: 'pick.lookAlike', severity: 'danger', at: ['pick', 'combine', 'choose'], when: ['lookAlike'] },

  { code: 'wash.cold', severity: 'check', at: ['wash'], when: ['calyx'] },
  { code: 'wash.clear', severity: 'check', at: ['wash'], when: ['dusty'] },
  { code: 'wash.insects', severity: 'check', at: ['wash'], when: ['insects'] },
  { code: 'wash.colour', severity: 'hint', kind: 'choice', at: ['wash'], when: ['calyx'] },
  { code: 'wash.rough', severity: 'check', at: ['wash'], when: ['skinRough'] },
  { code: 'wash.waxed', severity: 'check', at: ['wash'], when: ['skinWaxed'] },
  { code: 'wash.smooth', severity: 'check', at: ['wash'], when: ['skinSmooth'] },
  { code: 'wash.soft', severity: 'check', at: ['wash'], when: ['skinSoft'] },
  { code: 'wash.root', severity: 'check', at: ['wash'], when: ['skinRoot'] },
  { code: 'wash.leaf', severity: 'check', at: ['wash'], when: ['skinLeaf'] },
  { code: 'wash.rinse', severity: 'check', at: ['wash'], when: ['skinRough', 'skinWaxed', 'skinSmooth'] },
  {
    code: 'wash.beforeKnife',
    severity: 'check',
    at: ['wash'],
    when: ['skinRough', 'skinWaxed', 'skinSmooth', 'skinRoot'],
  },
  {
    code: 'wash.label',
    severity: 'hint',
    at: ['wash'],
    when: ['skinRough', 'skinWaxed', 'skinSmooth', 'skinSoft', 'skinRoot', 'skinLeaf'],
  },

  { code: 'prep.knife', severity: 'caution', at: ['prep'], when: ['tough', 'zest'] },
  { code: 'prep.smash', severity: 'caution', at: ['prep'], when: ['smashed'] },
  { code: 'prep.pith', severity: 'check', at: ['prep'], when: ['zest'] },
  { code: 'citrus.seeds', severity: 'check', at: ['prep'], when: ['bitterPips'] },
  { code: 'fruit.core', severity: 'caution', at: ['prep', 'blend', 'juice'], when: ['cored'] },
  { code: 'fruit.taste', severity: 'check', at: ['prep'], when: ['fruit'], only: 'ownFruit' },
  { code: 'date.stone', severity: 'caution', at: ['prep', 'blend'], when: ['stoned'] },
  { code: 'coconut.open', severity: 'caution', at: ['prep'], when: ['shell'] },
  { code: 'spice.open', severity: 'hint', kind: 'choice', at: ['prep', 'combine'], when: ['hardSpice'] },
  { code: 'ginger.form', severity: 'hint', kind: 'choice', at: ['prep'], when: ['skinRoot'] },
  { code: 'chilli.gloves', severity: 'caution', at: ['prep', 'combine', 'blend'], when: ['burns'] },
  { code: 'stain', severity: 'caution', at: ['wash', 'prep', 'blend', 'strain'], when: ['stains'] },

  { code: 'soak.place', severity: 'hint', kind: 'choice', at: ['soak'], when: [] },
  { code: 'soak.keep', severity: 'check', at: ['soak'], when: [] },
  { code: 'soak.thrown', severity: 'check', at: ['soak'], when: [], only: 'thrown' },
];
