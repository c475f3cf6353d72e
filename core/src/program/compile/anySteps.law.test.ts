import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import {
  HEATS_TO,
  HYGIENES,
  JUICE_TOOLS,
  OWN_STEP_KINDS,
  type OwnStepKind,
  type Recipe,
  type RecipeLine,
  type RecipeStep,
  recipeSchema,
  SIEVES,
} from '../../documents/recipe.ts';
import { BOIL_LEVEL_IDS, LIDS } from '../../tables/constants.ts';
import { PRESSES } from '../../tables/types.ts';
import { BURNERS, KITCHEN, POTS, programLine, recipeLine, TABLES } from '../../testKitchen.ts';
import { defaultChoices } from '../book/recipe.ts';
import { STEP_TABLE, type StepField } from '../book/stepTable.ts';
import { booksOf } from '../simulate/conserved.fixtures.ts';
import { simulateBatch } from '../simulate/simulate.ts';
import { buildProgram } from './build.ts';

const line = recipeLine;
const LINES: RecipeLine[] = [
  line('water', 'water', 4000, 'liquid'),
  line('calyx', 'hibiscus-dried', 80, 'solid'),
  line('fruit', 'pineapple-flesh', 600, 'solid'),
  line('more', 'water', 1000, 'liquid'),
  line('sugar', 'sugar-white', 200, 'sweetener'),
  line('honey', 'honey', 100, 'sweetener'),
  line('lime', 'lime-juice', 60, 'liquid'),
  { ...line('taste', 'sugar-white', 0, 'sweetener'), rule: { kind: 'toTarget' } },
];

/** What a field may say, drawn at random. */
const FIELDS: Readonly<Record<StepField, fc.Arbitrary<Partial<RecipeStep>>>> = {
  minutes: fc.integer({ min: 0, max: 90 }).map((minutes) => ({ minutes })),
  range: fc.constant({ minMinutes: 5, maxMinutes: 120 }),
  level: fc.constantFrom(...BOIL_LEVEL_IDS).map((level) => ({ level })),
  lid: fc.constantFrom(...LIDS).map((lid) => ({ lid })),
  place: fc
    .constantFrom('fridge' as const, 'counter' as const, 'iceBath' as const)
    .map((place) => ({ place })),
  heatTo: fc.constantFrom(...HEATS_TO).map((heatTo) => ({ heatTo })),
  toC: fc.integer({ min: 30, max: 99 }).map((toC) => ({ toC })),
  downTo: fc.oneof(
    fc.constantFrom(0.5, 0.8).map((downToShare) => ({ downToShare })),
    fc.constantFrom(1, 3).map((downToL) => ({ downToL })),
    fc.constantFrom(2, 5).map((downToCm) => ({ downToCm })),
  ),
  press: fc.constantFrom(...PRESSES).map((press) => ({ press })),
  solids: fc.constantFrom({ keepSolids: true }, { asideSolids: true }),
  passes: fc
    .subarray([...SIEVES], { minLength: 1 })
    .map((by) => ({ passes: by.map((one) => ({ by: one, times: 2 })) })),
  rinseMl: fc.constant({ rinseMl: 300 }),
  thrown: fc.constant({ thrown: true }),
  rinses: fc.integer({ min: 1, max: 5 }).map((rinses) => ({ rinses })),
  tool: fc.constantFrom(...JUICE_TOOLS).map((tool) => ({ tool })),
  hygiene: fc.constantFrom(...HYGIENES).map((hygiene) => ({ hygiene })),
  // A step in a vessel of its own is rare: where nothing is in it, it cannot be done.
  vessel: fc.oneof(
    { weight: 40, arbitrary: fc.constant({}) },
    {
      weight: 1,
      arbitrary: fc
        .constantFrom('pot', 'spicePot', 'kettle', 'blender', 'tub')
        .map((id) => ({ from: [id], to: id })),
    },
  ),
  everyMin: fc.constant({ everyMin: 20 }),
  branch: fc.constant({ branch: { afterMin: 20, waterL: 1, boilMin: 10 } }),
  // A step is of a lot only where the drink was divided into it: the law divides once, before it ends.
  lot: fc.constant({}),
  lots: fc.constant({}),
  shares: fc
    .constantFrom('water', 'fruit', 'sugar', 'taste')
    .map((lineId) => ({ shares: [{ lineId, share: 0.4 }] })),
  sweetPct: fc.constant({ sweetPct: 9 }),
  inGlass: fc.constantFrom({}, {}, { inGlass: true }),
  sourGPerL: fc.constant({ sourGPerL: 7 }),
  portionMl: fc.constant({ portionMl: 250 }),
  together: fc.constantFrom({}, {}, { from: ['tub', 'jug'], to: 'tub' }),
  into: fc.constantFrom({}, {}, { to: 'jug' }),
  text: fc.constant({ text: 'As I do it.' }),
};

/** Only fruit is juiced, only sweeteners sweeten. */
const TAKEN: Partial<Record<OwnStepKind, string[]>> = {
  juice: ['fruit'],
  sweeten: ['sugar', 'honey', 'taste'],
  sour: ['lime'],
};

const stepOf = (kind: OwnStepKind): fc.Arbitrary<Omit<RecipeStep, 'id'>> => {
  const fields = [...STEP_TABLE[kind].first, ...STEP_TABLE[kind].more];
  return fc
    .record({
      lineIds: fc.subarray(TAKEN[kind] ?? LINES.map((l) => l.id)),
      says: fc.tuple(...fields.map((f) => fc.option(FIELDS[f], { nil: {} }))),
    })
    .map(({ lineIds, says }) => ({ kind, lineIds, ...Object.assign({}, ...says) }));
};
/** Steps of every kind, in any order, with anything said of them; something is in the pot first. */
const ENDS: readonly OwnStepKind[] = ['bottle', 'freeze', 'split'];
/** A lot, or none, and what is done with it. */
const anyLot = fc.option(
  fc.record({
    lot: fc.oneof(
      fc.constantFrom(0.3, 0.5, 1).map((share) => ({ id: 'a', kind: 'sweet' as const, share })),
      fc.constant({ id: 'a', kind: 'spirits' as const, volumeL: 0.5 }),
    ),
    steps: fc.array(
      fc
        .constantFrom<OwnStepKind>('sweeten', 'mix', 'boil', 'cool', 'settle', 'fortify', 'sour')
        .chain(stepOf),
      { maxLength: 4 },
    ),
    end: fc.constantFrom<OwnStepKind>('bottle', 'freeze'),
  }),
);
const anySteps = fc
  .record({
    steps: fc.array(fc.constantFrom(...OWN_STEP_KINDS.filter((k) => !ENDS.includes(k))).chain(stepOf), {
      minLength: 3,
      maxLength: 14,
    }),
    lot: anyLot,
  })
  .map(({ steps, lot }): RecipeStep[] =>
    [
      { kind: 'combine' as const, lineIds: ['water', 'calyx'] },
      ...steps,
      ...(lot
        ? [
            { kind: 'split' as const, lineIds: [], lots: [lot.lot] },
            ...lot.steps.map((s) => ({ ...s, lot: 'a', from: undefined, to: undefined })),
            { kind: lot.end, lineIds: [], lot: 'a' },
          ]
        : []),
    ].map((s, i) => JSON.parse(JSON.stringify({ ...s, id: `s${i}` })) as RecipeStep),
  );

function madeOf(steps: RecipeStep[], fills: number) {
  const recipe = v.parse(recipeSchema, {
    id: 'any',
    version: 1,
    name: 'Any',
    family: 'own',
    serve: 'cold',
    lines: LINES,
    steps,
    basisL: 4,
    methods: ['own'],
    press: 'press',
    cloth: false,
    targetSweetnessPct: 6,
    times: {},
  }) as Recipe;
  const program = buildProgram({
    recipe,
    choices: defaultChoices(recipe, 'own'),
    kitchen: KITCHEN,
    tables: TABLES,
    pot: POTS[0]!,
    burner: BURNERS[0]!,
    lines: LINES.map(programLine),
    fills,
    litres: 4,
  });
  return { program, sim: simulateBatch(program, KITCHEN, TABLES) };
}

describe('whatever a cook writes', () => {
  it('law: nothing comes from nowhere, nothing is lost, nothing goes in twice', () => {
    let whole = 0;
    fc.assert(
      fc.property(anySteps, fc.constantFrom(1, 2), (steps, fills) => {
        const { program, sim } = madeOf(steps, fills);
        // Where it cannot be followed to its end it stops in the middle of a step, and says in which.
        if (sim.problem) {
          expect(program.steps.some((step) => step.id === sim.problem!.stepId)).toBe(true);
          return;
        }
        whole++;
        for (const { key, flowed, stands } of booksOf(sim)) {
          // What clings to solids has been booked as held: it stands in no liquor.
          expect(Math.abs(stands - flowed), key).toBeLessThan(1e-6 * Math.max(1, flowed));
        }
        for (const { id, massG } of LINES) {
          const own = new Set(
            program.lines.filter((l) => l.id === id || l.id.startsWith(`${id}-`)).map((l) => l.id),
          );
          const poured = sim.flows
            .filter((f) => f.code === 'poured' && own.has(f.lineId ?? ''))
            .reduce((sum, f) => sum + f.comp.waterG + f.comp.sugarG + f.comp.otherSolublesG, 0);
          const lies = Object.values(sim.vessels)
            .flatMap((vessel) => vessel.solids)
            .filter((s) => own.has(s.lineId))
            .reduce((sum, s) => sum + s.massG, 0);
          expect(poured + lies, id).toBeLessThan(massG * (1 + 1e-6) + 1e-6);
        }
      }),
      { numRuns: 250 },
    );
    // Most of what anybody might write down goes through to its bottles.
    expect(whole).toBeGreaterThan(50);
  });
});
