import { type Burner, EMPTY_KITCHEN, type Kitchen, type Pot } from './documents/kitchen.ts';
import type { RecipeLine } from './documents/recipe.ts';
import type { PlannedProgram, ProgramLine } from './program/model/program.ts';
import type { Step } from './program/model/steps.ts';
import type { VesselSpec } from './program/model/vessel.ts';
import { SHIPPED_TABLES } from './tables/index.ts';
import type { Tables } from './tables/types.ts';

/** A kitchen for tests: three pots, two rings, a 22 °C room. */
export const POTS: Pot[] = [
  { id: 'wide', name: 'Wide', diameterCm: 36, heightCm: 22, material: 'stainless', lid: true, massG: null },
  { id: 'blue', name: 'Blue', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
  {
    id: 'small',
    name: 'Small',
    diameterCm: 20,
    heightCm: 16,
    material: 'stainless',
    lid: false,
    massG: null,
  },
];
export const BURNERS: Burner[] = [
  { id: 'gas', name: 'Gas', kind: 'gas', powerW: 3000 },
  { id: 'induction', name: 'Induction', kind: 'induction', powerW: 2000 },
];
export const KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  pots: POTS,
  burners: BURNERS,
  roomC: 22,
  fridgeFreeL: 60,
};
export const TABLES = SHIPPED_TABLES;

/** The shipped tables with one ingredient changed. */
export function tablesWith(id: string, change: object): Tables {
  const row = TABLES.ingredients.get(id)!;
  return { ...TABLES, ingredients: new Map(TABLES.ingredients).set(id, { ...row, ...change }) };
}

/** A line of a recipe that grows with the litres and needs nothing done to it. */
export const recipeLine = (
  id: string,
  itemId: string,
  massG: number,
  kind: RecipeLine['kind'] = 'solid',
): RecipeLine => ({
  id,
  itemId,
  massG,
  kind,
  rule: { kind: 'linear' },
  stream: 'pot',
  wash: 'none',
  prep: null,
});
/** The same as a program has it, in the amount of the recipe. */
export const programLine = ({ id, kind, itemId, massG, rule }: RecipeLine): ProgramLine => ({
  id,
  kind,
  itemId,
  massG,
  rule,
});

const VESSELS: VesselSpec[] = [
  { id: 'pot', kind: 'pot', shape: { diameterM: 0.3, heightM: 0.24 }, massG: 0 },
  { id: 'bowl', kind: 'bowl', shape: null, massG: 0 },
  { id: 'tub', kind: 'tub', shape: null, massG: 0 },
  { id: 'bottles', kind: 'bottles', shape: null, massG: 0 },
  { id: 'spent', kind: 'spent', shape: null, massG: 0 },
];

/** A program of bare steps over the usual vessels. */
export function programOf(
  lines: readonly Partial<ProgramLine>[],
  steps: readonly (Partial<Step> & { kind: Step['kind'] })[],
): PlannedProgram {
  return {
    recipeId: 'test',
    recipeVersion: 1,
    methodId: 'straightBoil',
    potId: 'blue',
    burnerId: 'gas',
    fills: 1,
    vessels: VESSELS,
    lines: lines.map(
      (l) => ({ kind: 'solid', rule: { kind: 'linear' }, massG: 0, itemId: l.id ?? '', ...l }) as ProgramLine,
    ),
    steps: steps.map(
      (s, i) =>
        ({
          id: `${s.kind}-${i}`,
          from: ['pot'],
          to: ['pot'],
          lines: [],
          fill: 0,
          until: { kind: 'duration', minutes: 0 },
          attention: 'handsOn',
          ...s,
        }) as unknown as Step,
    ),
  };
}
