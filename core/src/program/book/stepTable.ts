import type { OwnStepKind, RecipeStep } from '../../documents/recipe.ts';

/** Something that a step may say, each asked for by a control of its own. */
export type StepField =
  | 'minutes'
  | 'range'
  | 'level'
  | 'lid'
  | 'place'
  | 'heatTo'
  | 'toC'
  | 'downTo'
  | 'press'
  | 'solids'
  | 'passes'
  | 'rinseMl'
  | 'thrown'
  | 'rinses'
  | 'tool'
  | 'hygiene'
  | 'everyMin'
  /** Strained early, the rest boiled again. */
  | 'branch'
  | 'lots'
  | 'lot'
  /** How much of a line goes in here, or which share of the sweetness it brings. */
  | 'shares'
  | 'sweetPct'
  | 'inGlass'
  | 'sourGPerL'
  | 'portionMl'
  | 'vessel'
  /** Which vessels are poured together. */
  | 'together'
  /** Where what is strained goes. */
  | 'into'
  | 'text';

/** What each kind of step may say: what nearly every recipe says of it first, the rest folded away. */
export const STEP_TABLE: Readonly<
  Record<OwnStepKind, { first: readonly StepField[]; more: readonly StepField[] }>
> = {
  pick: { first: ['minutes'], more: ['text'] },
  wash: { first: ['minutes'], more: ['rinses', 'text'] },
  prep: { first: ['minutes'], more: ['text'] },
  combine: { first: ['minutes'], more: ['shares', 'vessel', 'lot', 'text'] },
  lift: { first: ['minutes'], more: ['vessel', 'text'] },
  soak: { first: ['minutes', 'place'], more: ['range', 'everyMin', 'branch', 'lid', 'thrown', 'text'] },
  heat: { first: ['heatTo'], more: ['toC', 'minutes', 'lid', 'vessel', 'lot', 'text'] },
  boil: { first: ['minutes', 'level'], more: ['range', 'downTo', 'lid', 'vessel', 'lot', 'text'] },
  steep: {
    first: ['minutes', 'place'],
    more: ['range', 'everyMin', 'branch', 'lid', 'vessel', 'lot', 'text'],
  },
  strain: {
    first: ['minutes', 'press'],
    more: ['solids', 'passes', 'rinseMl', 'vessel', 'into', 'lot', 'text'],
  },
  blend: { first: ['minutes'], more: ['shares', 'text'] },
  mill: { first: ['minutes'], more: ['text'] },
  juice: { first: ['minutes'], more: ['tool', 'text'] },
  skim: { first: ['minutes'], more: ['vessel', 'text'] },
  settle: { first: ['minutes', 'place'], more: ['range', 'lid', 'vessel', 'lot', 'text'] },
  cool: { first: ['place'], more: ['toC', 'minutes', 'vessel', 'lot', 'text'] },
  mix: { first: ['minutes'], more: ['shares', 'together', 'lot', 'text'] },
  sweeten: { first: ['minutes'], more: ['shares', 'sweetPct', 'inGlass', 'lot', 'text'] },
  sour: { first: ['minutes'], more: ['sourGPerL', 'lot', 'text'] },
  fortify: { first: ['minutes'], more: ['lot', 'text'] },
  split: { first: ['lots'], more: ['minutes', 'vessel', 'text'] },
  mature: { first: ['minutes', 'place'], more: ['range', 'everyMin', 'lot', 'text'] },
  bottle: { first: ['minutes'], more: ['hygiene', 'vessel', 'lot', 'text'] },
  freeze: { first: ['minutes', 'portionMl'], more: ['lot', 'text'] },
};

/** The parts of a step's document that a field stands for. */
const KEYS: Readonly<Record<StepField, readonly (keyof RecipeStep)[]>> = {
  minutes: ['minutes', 'minutesPerL'],
  range: ['minMinutes', 'maxMinutes'],
  level: ['level'],
  lid: ['lid'],
  place: ['place'],
  heatTo: ['heatTo'],
  toC: ['toC'],
  downTo: ['downToL', 'downToShare', 'downToCm'],
  together: ['from', 'to'],
  into: ['to'],
  press: ['press'],
  solids: ['keepSolids', 'asideSolids'],
  passes: ['passes', 'cloth'],
  rinseMl: ['rinseMl'],
  thrown: ['thrown'],
  rinses: ['rinses', 'minutesPerRinse'],
  tool: ['tool'],
  hygiene: ['hygiene'],
  everyMin: ['everyMin'],
  branch: ['branch'],
  lots: ['lots'],
  lot: ['lot'],
  shares: ['shares'],
  sweetPct: ['sweetPct'],
  inGlass: ['inGlass'],
  sourGPerL: ['sourGPerL'],
  portionMl: ['portionMl'],
  vessel: ['from', 'to'],
  text: ['text'],
};

/** Whether a step says something of a field: then it is in sight, wherever it stands. */
export const saysOf = (step: RecipeStep, field: StepField): boolean =>
  KEYS[field].some((key) => step[key] !== undefined);
