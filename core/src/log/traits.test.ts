import { describe, expect, it } from 'vitest';
import { customRow, ownRows, withCustom } from '../program/model/ownIngredient.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { Step } from '../program/model/steps.ts';
import { tagsOf, traitsOf } from '../program/model/tags.ts';
import { withLabels } from '../tables/labels.ts';
import { pinnedTables, pinRows } from '../tables/pinned.ts';
import { ASKED_TRAITS, TRAITS, type Trait } from '../tables/traits.ts';
import type { Tables } from '../tables/types.ts';
import { KITCHEN, programOf, TABLES } from '../testKitchen.ts';
import { MINUTE_MS } from '../units/time.ts';
import { batchAt, itemsOf } from './batchAt.ts';
import type { EventBody } from './events/table.ts';
import { toldAt } from './told.fixtures.ts';

const START = 1_800_000_000_000;
const NOW = START + 200 * MINUTE_MS;

/** A root, a juice and a syrup that are nothing but one trait, beside the shipped tables. */
function tablesWithOnly(trait: Trait): Tables {
  const traits = [trait];
  const root = { ...TABLES.ingredients.get('ginger-sliced')!, id: 'the-root', traits };
  const juice = { ...TABLES.liquids.get('lime-juice')!, id: 'the-juice', traits };
  const syrup = { ...TABLES.sweeteners.get('agave-syrup')!, id: 'the-syrup', traits };
  return {
    ...TABLES,
    ingredients: new Map(TABLES.ingredients).set(root.id, root),
    liquids: new Map(TABLES.liquids).set(juice.id, juice),
    sweeteners: new Map(TABLES.sweeteners).set(syrup.id, syrup),
  };
}

const PLAIN = 'salt';
const STEPS: (Partial<Step> & { kind: Step['kind'] })[] = [
  { kind: 'combine', from: ['bowl'], lines: ['water', 'solid'] },
  { kind: 'boil', burnerId: 'gas', level: 'gentle', lid: 'ajar', until: { kind: 'duration', minutes: 10 } },
  { kind: 'strain', to: ['tub'], press: 'press', cloth: false, keepSolids: false },
  { kind: 'mix', from: ['tub'], to: ['tub'], lines: ['liquid'] },
  { kind: 'bottle', from: ['tub'], to: ['bottles'], hygiene: 'sterilised' },
];

/** What the bottles of a small batch are, with these lines, and with what was said at the stove. */
function tagsInBottles(tables: Tables, lines: { solid?: string; liquid?: string }, said: EventBody[] = []) {
  const program = programOf(
    [
      { id: 'water', kind: 'liquid', itemId: 'water', massG: 3000 },
      { id: 'solid', itemId: lines.solid ?? PLAIN, massG: 100 },
      { id: 'liquid', kind: 'liquid', itemId: lines.liquid ?? 'water', massG: 100 },
    ],
    STEPS,
  );
  return tagsAfter(program, tables, said);
}

function tagsAfter(program: PlannedProgram, tables: Tables, said: EventBody[]) {
  const deeds: EventBody[] = [
    { kind: 'stepStarted', body: { stepId: program.steps[0]!.id } },
    ...said,
    ...program.steps
      .filter((s) => !said.some((d) => d.kind === 'skipped' && d.body.stepId === s.id))
      .map((s): EventBody => ({ kind: 'stepEnded', body: { stepId: s.id } })),
  ];
  const events = deeds.map((deed, i) => toldAt(START + i * MINUTE_MS, i, deed));
  const now = batchAt(program, KITCHEN, tables, events, NOW);
  const filled = now.forecast.trace.find((t) => t.kind === 'bottle')!;
  return tagsOf(filled.after.liquor, itemsOf(now.log, filled.after.liquor), tables);
}

describe.each(TRAITS)('%s', (trait) => {
  const tables = tablesWithOnly(trait);
  it('comes with an ingredient, a juice stirred in, a swap and an addition', () => {
    expect(tagsInBottles(tables, {})).not.toContain(trait === 'water' ? 'nut' : trait);
    expect(tagsInBottles(tables, { solid: 'the-root' })).toContain(trait);
    expect(tagsInBottles(tables, { liquid: 'the-juice' })).toContain(trait);
    const swapped: EventBody = { kind: 'swapped', body: { lineId: 'solid', itemId: 'the-root', massG: 100 } };
    expect(tagsInBottles(tables, {}, [swapped])).toContain(trait);
    for (const [lineKind, itemId] of [
      ['solid', 'the-root'],
      ['liquid', 'the-juice'],
      ['sweetener', 'the-syrup'],
    ] as const) {
      const added: EventBody = {
        kind: 'added',
        body: { stepId: 'combine-0', vesselId: 'pot', lineKind, itemId, lineId: 'extra-1', massG: 20 },
      };
      expect(tagsInBottles(tables, {}, [added]), lineKind).toContain(trait);
    }
  });
  it('comes with a product that is like it', () => {
    const label = { sugarPer100: 5, brix: null, taGPerL: null, abvPct: null, sweetened: false };
    const labelled = withLabels(tables, [
      { ...label, id: 'jar', name: 'A jar', like: 'the-syrup' },
      { ...label, id: 'carton', name: 'A carton', like: 'the-juice' },
    ]);
    expect(traitsOf(['jar'], labelled)).toContain(trait);
    expect(traitsOf(['carton'], labelled)).toContain(trait);
    expect(tagsInBottles(labelled, { liquid: 'carton' })).toContain(trait);
  });
  it('stays with what a batch has pinned, whatever the tables say later', () => {
    const rows = pinRows(tables, ['the-root', 'the-juice', 'the-syrup']);
    const pinned = pinnedTables(TABLES, { rows, kitchen: { labels: [] } });
    for (const id of ['the-root', 'the-juice', 'the-syrup']) expect(traitsOf([id], pinned)).toContain(trait);
  });
});

describe('a sweetening that ended', () => {
  const program = programOf(
    [
      { id: 'water', kind: 'liquid', itemId: 'water', massG: 3000 },
      { id: 'sweet', kind: 'sweetener', itemId: 'honey', massG: 0, rule: { kind: 'toTarget' } },
    ],
    [
      { kind: 'combine', from: ['bowl'], to: ['tub'], lines: ['water'] },
      { kind: 'sweeten', from: ['tub'], to: ['tub'], lines: ['sweet'], targetSweetnessPct: 6 },
      { kind: 'bottle', from: ['tub'], to: ['bottles'], hygiene: 'sterilised' },
    ],
  );
  const stepId = program.steps[1]!.id;
  const noted = (itemId: string): EventBody => ({
    kind: 'added',
    body: { stepId, vesselId: 'tub', lineKind: 'sweetener', itemId, lineId: `x-${itemId}`, massG: 100 },
  });
  it('without a word about the honey counts as with it', () => {
    expect(tagsAfter(program, TABLES, [])).toContain('honey');
  });
  it('with sugar noted in its place is without', () => {
    expect(tagsAfter(program, TABLES, [noted('sugar-white')])).not.toContain('honey');
    expect(tagsAfter(program, TABLES, [noted('honey')])).toContain('honey');
  });
  it('by being left out is without', () => {
    expect(tagsAfter(program, TABLES, [{ kind: 'skipped', body: { stepId } }])).not.toContain('honey');
  });
});

describe('an ingredient of the cook’s own', () => {
  const facts = { id: 'own-1', name: 'Moonroot', role: 'other', dried: true } as const;
  const with_ = (answers: object) => {
    const row = customRow({ ...facts, answers });
    return { ...TABLES, ingredients: new Map(TABLES.ingredients).set(row.id, row) };
  };
  it.each(ASKED_TRAITS)('%s: yes, no, and unanswered counts as yes', (trait) => {
    expect(tagsInBottles(with_({ [trait]: true }), { solid: 'own-1' })).toContain(trait);
    expect(tagsInBottles(with_({}), { solid: 'own-1' })).toContain(trait);
    expect(tagsInBottles(with_({ [trait]: false }), { solid: 'own-1' })).not.toContain(trait);
  });
  it('is also what it was said to be', () => {
    const row = (role: Parameters<typeof customRow>[0]['role'], dried = false) =>
      customRow({ ...facts, role, dried }).traits;
    expect(row('citrus')).toEqual(expect.arrayContaining(['citrus', 'skinWaxed', 'bitterPips']));
    expect(row('spice', true)).toContain('hardSpice');
    expect(row('botanical', true)).toEqual(expect.arrayContaining(['leaf', 'dusty', 'asFood']));
    // Dried it has no skin that is washed, and goes soft no more.
    expect(row('fruit', true)).not.toContain('soft');
  });
  it('a drink, a milk and a sweetener stand in their tables, and nothing of them shows that a drink keeps', () => {
    const tables = withCustom(
      TABLES,
      ownRows([
        {
          ...facts,
          id: 'own-wine',
          name: 'Plum wine',
          kind: 'drink',
          sugarPer100: 8,
          sourGPerL: 6,
          abvPct: 12,
        },
        {
          ...facts,
          id: 'own-cream',
          name: 'Oat cream',
          kind: 'milk',
          sugarPer100: 4,
          answers: { milk: false },
        },
        { ...facts, id: 'own-syrup', name: 'Palm syrup', kind: 'sweetener', sugarPer100: 80 },
        { ...facts, id: 'own-dust', name: 'Leaf powder', kind: 'powder' },
      ]),
    );
    const wine = tables.liquids.get('own-wine')!;
    // 8 g of sugar in 100 mL of about 1.015 g/mL.
    expect(wine.sugarGPer100g).toBeCloseTo(8 / 1.015, 1);
    expect(wine).toMatchObject({ abvPct: 12, taGPerL: 6, treatment: 'bought', unknown: true });
    expect(tables.liquids.get('own-cream')).toMatchObject({ treatment: 'rawMilk' });
    // What goes in as milk keeps as milk does, whatever is answered.
    expect(tables.liquids.get('own-cream')!.traits).toContain('milk');
    expect(tables.sweeteners.get('own-syrup')).toMatchObject({ sugarPct: 80, relativeSweetness: 0.8 });
    expect(tables.ingredients.get('own-dust')).toMatchObject({ form: 'ground', floats: false });
    expect(tables.ingredients.get('own-dust')!.traits).toContain('powder');
  });
});
