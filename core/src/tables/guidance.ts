/**
 * Prompts, checks and cautions as rows. Screens ask this table; nothing about a fruit or a spice is written into a
 * screen. Wording is in `words/`: usual cautions, no health claims, no medical advice.
 */
export type Severity = 'check' | 'hint' | 'caution' | 'danger';

/** What a row is to the cook: told, asked to look, a way to choose with what it costs, or a warning. */
export type GuidanceKind = 'prompt' | 'check' | 'choice' | 'caution';

export interface GuidanceRow {
  code: string;
  severity: Severity;
  /** Left out: a check is a check, a hint a prompt, anything graver a caution. */
  kind?: GuidanceKind;
  /** Step kinds at which it matters. */
  at: readonly string[];
  /** Ingredient roles, ids or markers that bring it in; empty: always. */
  when: readonly string[];
  /** Further conditions on the step or the kitchen, checked by `guidanceFor`. */
  only?:
    | 'lidOn'
    | 'reactivePot'
    | 'counter'
    | 'fridge'
    | 'cloth'
    | 'iceBath'
    | 'hotLiquor'
    | 'coldCrystals'
    | 'noHeatBefore'
    | 'bigPot'
    | 'wasClean'
    | 'longBoil'
    | 'withAcid'
    | 'thrown'
    | 'ownFruit'
    | 'filledHot';
}

export const GUIDANCE_ROWS: readonly GuidanceRow[] = [
  { code: 'pick.look', severity: 'check', at: ['pick'], when: [] },
  { code: 'wash.cold', severity: 'check', at: ['wash'], when: ['calyx'] },
  { code: 'wash.clear', severity: 'check', at: ['wash'], when: ['calyx'] },
  { code: 'wash.skins', severity: 'check', at: ['wash'], when: ['peel'] },
  { code: 'wash.beforeKnife', severity: 'check', at: ['wash'], when: ['peel', 'ginger'] },
  // Chosen, bought and washed
  { code: 'wash.label', severity: 'hint', at: ['wash'], when: ['peel', 'citrus'] },
  { code: 'wash.colour', severity: 'hint', kind: 'choice', at: ['wash'], when: ['calyx'] },
  { code: 'wash.insects', severity: 'check', at: ['wash'], when: ['hibiscus-fresh'] },
  { code: 'wash.stickers', severity: 'check', at: ['wash'], when: ['peel', 'citrus', 'fruit'] },
  { code: 'fruit.taste', severity: 'check', at: ['prep'], when: ['fruit'], only: 'ownFruit' },
  { code: 'citrus.seeds', severity: 'check', at: ['prep'], when: ['citrus', 'orange-whole'] },
  { code: 'spice.open', severity: 'hint', kind: 'choice', at: ['prep', 'combine'], when: ['spice'] },
  { code: 'ginger.form', severity: 'hint', kind: 'choice', at: ['prep'], when: ['ginger'] },
  { code: 'date.stone', severity: 'caution', at: ['prep'], when: ['date'] },
  { code: 'coconut.open', severity: 'caution', at: ['prep'], when: ['coconut'] },
  // Soaking, boiling, standing
  { code: 'soak.place', severity: 'hint', kind: 'choice', at: ['soak'], when: [] },
  { code: 'soak.keep', severity: 'check', at: ['soak'], when: [] },
  { code: 'soak.thrown', severity: 'check', at: ['soak'], when: [], only: 'thrown' },
  { code: 'boil.long', severity: 'hint', kind: 'choice', at: ['boil'], when: [], only: 'longBoil' },
  {
    code: 'citrus.late',
    severity: 'hint',
    kind: 'choice',
    at: ['combine', 'boil'],
    when: ['citrus', 'orange-whole'],
  },
  { code: 'herb.offHeat', severity: 'check', at: ['combine', 'steep'], when: ['herb'] },
  // Straining
  { code: 'strain.sequence', severity: 'hint', kind: 'choice', at: ['strain'], when: [] },
  { code: 'strain.wait', severity: 'hint', kind: 'choice', at: ['strain'], when: [], only: 'hotLiquor' },
  { code: 'strain.slowCloth', severity: 'hint', at: ['strain'], when: [], only: 'cloth' },
  {
    code: 'strain.metal',
    severity: 'caution',
    at: ['strain'],
    when: ['calyx', 'citrus', 'tamarind', 'rawJuice'],
  },
  // Blending and juicing
  { code: 'blend.hot', severity: 'danger', at: ['blend'], when: [], only: 'hotLiquor' },
  { code: 'blend.load', severity: 'check', at: ['blend'], when: [] },
  { code: 'blend.foam', severity: 'hint', at: ['blend'], when: [] },
  { code: 'blend.rinse', severity: 'hint', kind: 'choice', at: ['blend'], when: [] },
  { code: 'juice.sieved', severity: 'check', at: ['juice'], when: [] },
  { code: 'juice.cold', severity: 'caution', at: ['juice'], when: [] },
  // Stirring in and sweetening
  { code: 'mix.curdle', severity: 'caution', at: ['mix'], when: ['coconut', 'rawMilk'], only: 'withAcid' },
  { code: 'mix.coolFirst', severity: 'check', at: ['mix'], when: ['rawJuice', 'fruit'] },
  { code: 'pair.vinegar', severity: 'hint', at: ['mix'], when: ['vinegar'] },
  { code: 'sweeten.moment', severity: 'hint', kind: 'choice', at: ['sweeten'], when: [] },
  { code: 'shake.daily', severity: 'check', at: ['steep'], when: ['vinegar'] },
  { code: 'bottle.filledHot', severity: 'danger', at: ['bottle'], when: [], only: 'filledHot' },
  { code: 'bottle.notShelfStable', severity: 'caution', at: ['bottle'], when: [], only: 'filledHot' },
  { code: 'shot.small', severity: 'caution', at: ['bottle'], when: ['turmeric', 'chilli'] },
  { code: 'prep.knife', severity: 'caution', at: ['prep'], when: ['peel', 'ginger'] },
  { code: 'prep.pith', severity: 'check', at: ['prep'], when: ['orange-peel'] },
  { code: 'stain', severity: 'caution', at: ['wash', 'strain'], when: ['calyx', 'turmeric'] },
  { code: 'chilli.gloves', severity: 'caution', at: ['prep', 'combine', 'blend'], when: ['chilli'] },
  {
    code: 'pot.reactive',
    severity: 'danger',
    at: ['combine', 'boil', 'steep'],
    when: [],
    only: 'reactivePot',
  },
  { code: 'pot.sound', severity: 'check', at: ['combine'], when: [] },
  { code: 'pot.heavy', severity: 'caution', at: ['combine', 'strain'], when: [], only: 'bigPot' },
  { code: 'heat.stay', severity: 'caution', at: ['heat'], when: [] },
  { code: 'heat.bubbles', severity: 'check', at: ['heat'], when: [] },
  { code: 'boil.over', severity: 'danger', at: ['boil'], when: [] },
  { code: 'boil.lid', severity: 'caution', at: ['boil'], when: [], only: 'lidOn' },
  { code: 'cool.steam', severity: 'caution', at: ['cool'], when: [], only: 'iceBath' },
  { code: 'cool.slow', severity: 'caution', at: ['cool'], when: [], only: 'counter' },
  { code: 'cool.fridge', severity: 'caution', at: ['cool', 'steep'], when: [], only: 'fridge' },
  { code: 'steep.counter', severity: 'caution', at: ['steep', 'soak'], when: [], only: 'counter' },
  { code: 'steep.covered', severity: 'check', at: ['steep', 'soak'], when: [] },
  { code: 'strain.steam', severity: 'danger', at: ['strain'], when: [], only: 'hotLiquor' },
  { code: 'strain.receiver', severity: 'check', at: ['strain'], when: [] },
  { code: 'strain.cloth', severity: 'check', at: ['strain'], when: [], only: 'cloth' },
  { code: 'mix.rawShort', severity: 'caution', at: ['mix'], when: ['rawJuice'] },
  { code: 'sweeten.cold', severity: 'hint', at: ['sweeten'], when: [], only: 'coldCrystals' },
  { code: 'sweeten.spoon', severity: 'check', at: ['sweeten'], when: [] },
  { code: 'sweeten.diabetes', severity: 'caution', at: ['sweeten'], when: [] },
  { code: 'sweeten.honey', severity: 'danger', at: ['sweeten'], when: ['honey'] },
  { code: 'sweeten.erythritol', severity: 'caution', at: ['sweeten'], when: ['erythritol'] },
  { code: 'bottle.hotGlass', severity: 'danger', at: ['bottle'], when: [], only: 'hotLiquor' },
  { code: 'bottle.notShelf', severity: 'caution', at: ['bottle'], when: [] },
  { code: 'bottle.headspace', severity: 'check', at: ['bottle'], when: [] },
  { code: 'bottle.gas', severity: 'caution', at: ['bottle'], when: [] },
  { code: 'bottle.sterilise', severity: 'hint', at: ['bottle'], when: [], only: 'wasClean' },
  { code: 'who.calyx', severity: 'caution', at: ['bottle'], when: ['calyx'] },
  { code: 'who.ginger', severity: 'caution', at: ['bottle'], when: ['ginger', 'turmeric'] },
  { code: 'who.kidney', severity: 'caution', at: ['bottle'], when: ['calyx', 'turmeric', 'date'] },
  { code: 'who.cassia', severity: 'caution', at: ['bottle'], when: ['cinnamon-stick', 'cinnamon-ground'] },
  { code: 'who.raw', severity: 'caution', at: ['mix', 'bottle'], when: ['rawJuice'] },
  { code: 'who.teeth', severity: 'caution', at: ['bottle'], when: ['calyx', 'rawJuice', 'citrus'] },
  {
    code: 'who.grapefruit',
    severity: 'caution',
    at: ['mix', 'bottle'],
    when: ['grapefruit-whole', 'grapefruit-juice'],
  },
  {
    code: 'who.cranberry',
    severity: 'caution',
    at: ['bottle'],
    when: ['cranberry-fresh', 'cranberry-juice'],
  },
  { code: 'who.staranise', severity: 'danger', at: ['combine'], when: ['star-anise'] },
  { code: 'who.allergens', severity: 'caution', at: ['bottle'], when: [] },
  { code: 'garlic.warm', severity: 'danger', at: ['combine', 'steep', 'bottle'], when: ['garlic'] },
  { code: 'water.drinkable', severity: 'caution', at: ['combine'], when: [], only: 'noHeatBefore' },
];
