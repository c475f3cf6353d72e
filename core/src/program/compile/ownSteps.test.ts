import { describe, expect, it } from 'vitest';
import type { RecipeLine, RecipeStep } from '../../documents/recipe.ts';
import { volumeMl } from '../../liquor/composition.ts';
import { expansion } from '../../liquor/water.ts';
import { TABLES } from '../../testKitchen.ts';
import { heatManner } from '../model/stepFacts.ts';
import { cuesFor } from '../simulate/guidance.ts';

import { CALYX, expectConserved, line, made, step, WATER_4L } from './ownSteps.fixtures.ts';

describe('where a step happens', () => {
  it('a second boil: more water onto the solids that were kept, in the pot; then it joins what was strained', () => {
    const { entries, sim, bottledL } = made(
      [WATER_4L, CALYX],
      [
        step('combine', ['water', 'calyx'], { shares: [{ lineId: 'water', share: 0.6 }] }),
        step('heat'),
        step('boil', [], { minutes: 10 }),
        step('strain', [], { press: 'press', keepSolids: true }),
        step('combine', ['water']),
        step('heat'),
        step('boil', [], { minutes: 10 }),
        step('strain', [], { press: 'press' }),
        step('cool'),
      ],
    );
    expect(entries('heat').map((t) => t.vesselId)).toEqual(['pot', 'pot']);
    expect(entries('strain').map((t) => t.vesselId)).toEqual(['tub', 'tub']);
    // 40 % of 4 L onto 100 g that hold 3.2 mL a gram: 1.6 + 0.32 = 1.92 L.
    expect(entries('combine')[1]!.now.volumeL).toBeCloseTo(1.92, 2);
    // 4 L and what the calyx gives, less two times 50 mL of the sieve, 0.32 L held, and the steam.
    const steamL = sim.flows.filter((f) => f.code === 'steam').reduce((sum, f) => sum + f.volumeL, 0);
    const givenL = sim.flows
      .filter((f) => f.code === 'drawn' || f.code === 'ownWater')
      .reduce((sum, f) => sum + f.volumeL, 0);
    expect(bottledL).toBeCloseTo(4 + givenL - 0.1 - 0.32 - steamL, 2);
    expectConserved(sim);
  });
  it('what is strained goes back into the pot to be heated', () => {
    const { program, entries, sim } = made(
      [WATER_4L, CALYX],
      [
        step('combine', ['water', 'calyx']),
        step('heat'),
        step('boil', [], { minutes: 5 }),
        step('strain'),
        step('boil', [], { minutes: 5 }),
      ],
    );
    const [, again] = entries('boil');
    expect(again!.vesselId).toBe('pot');
    expect(program.steps.at(-1)!.from).toEqual(['pot']);
    expectConserved(sim);
  });
  it('what was rinsed again and is in hand is handled; what lies in the pot already is not laid out a second time', () => {
    const fruit = line('fruit', 'pineapple-flesh', 600);
    const { sim } = made(
      [WATER_4L, fruit],
      [
        step('combine', ['water']),
        step('mix', ['fruit'], { shares: [{ lineId: 'fruit', share: 0.4 }] }),
        step('soak', ['fruit'], { minutes: 10, thrown: true }),
        step('pick', ['fruit']),
        step('combine', ['fruit']),
        step('bottle'),
      ],
    );
    const lies = Object.values(sim.vessels)
      .flatMap((vessel) => vessel.solids)
      .reduce((sum, s) => sum + s.massG, 0);
    expect(lies).toBeCloseTo(600, 6);
  });
  it('lifted out of little, two things hold no more between them than there was', () => {
    const fruit = line('fruit', 'pineapple-flesh', 600);
    const { sim } = made(
      [WATER_4L, CALYX, fruit],
      [
        step('combine', ['water', 'calyx', 'fruit']),
        step('heat'),
        step('soak', [], { minutes: 20, thrown: true }),
        // It runs together again and stands open: some of it goes into the air.
        step('settle', ['water'], { minutes: 600, lid: 'off' }),
        step('lift', ['calyx', 'fruit']),
        step('combine', ['calyx', 'fruit']),
      ],
    );
    expectConserved(sim);
  });
  it('boiled in the kettle and poured over: 1.5 L from 12 °C take five and a half minutes at 1.7 kW', () => {
    const { program, entries, bottledL } = made(
      [line('water', 'water', 1500 * 0.9982, 'liquid'), line('leaf', 'mint-leaf', 40)],
      [
        step('combine', ['water'], { to: 'kettle' }),
        step('heat', [], { from: ['kettle'], to: 'kettle' }),
        step('combine', ['leaf']),
        step('steep', [], { minutes: 8 }),
        step('strain'),
        step('bottle'),
      ],
      { basisL: 1.4 },
    );
    const [heat] = entries('heat');
    // 1497 g by 4.19 J and 88 K in 1700 W: 325 s, and a little for what the kettle loses.
    expect(heat!.endMin - heat!.startMin).toBeGreaterThan(5.4);
    expect(heat!.endMin - heat!.startMin).toBeLessThan(6.2);
    expect(program.steps.map((s) => [s.kind, s.to[0]])).toEqual([
      ['combine', 'kettle'],
      ['heat', 'kettle'],
      ['combine', 'pot'],
      ['steep', 'pot'],
      ['strain', 'tub'],
      ['bottle', 'bottles'],
    ]);
    // Onto the leaves it is still hot.
    expect(entries('steep')[0]!.before.liquor.tempC).toBeGreaterThan(85);
    expect(bottledL).toBeGreaterThan(1.2);
  });
  it('a line that is named twice goes in once', () => {
    const { bottledL } = made(
      [WATER_4L],
      [step('combine', ['water']), step('combine', ['water']), step('cool')],
    );
    expect(bottledL).toBeCloseTo(4, 2);
  });
  it('fruit lifted out, blended with water and strained joins the rest, and nothing is lost or doubled', () => {
    const { sim, entries } = made(
      [WATER_4L, line('fruit', 'pineapple-flesh', 1000), line('more', 'water', 500, 'liquid')],
      [
        step('combine', ['water', 'fruit']),
        step('heat'),
        step('boil', [], { minutes: 10 }),
        step('lift', ['fruit']),
        step('strain'),
        step('blend', ['fruit', 'more']),
        step('strain', [], { press: 'wring' }),
        step('cool'),
      ],
    );
    const blended = entries('blend')[0]!;
    expect(blended.after.solids.map((s) => [s.lineId, s.massG])).toEqual([['fruit', 1000]]);
    expect(sim.vessels.pot!.solids).toEqual([]);
    expect(sim.flows.filter((f) => f.code === 'ownWater')).toHaveLength(1);
    expectConserved(sim);
  });
  it('what is blended out of the pot is blended with all that lies in it', () => {
    const { sim, entries } = made(
      [WATER_4L, line('fruit', 'pineapple-flesh', 1000)],
      [
        step('combine', ['water', 'fruit']),
        step('heat'),
        step('boil', [], { minutes: 10 }),
        step('blend'),
        step('strain', [], { press: 'wring' }),
      ],
    );
    expect(entries('blend')[0]!.after.solids.map((s) => s.massG)).toEqual([1000]);
    expect(sim.vessels.pot!.solids).toEqual([]);
    expectConserved(sim);
  });
  it('what is put aside when it is strained is blended again with water', () => {
    const { sim, entries } = made(
      [WATER_4L, line('ginger', 'ginger-sliced', 400), line('more', 'water', 1000, 'liquid')],
      [
        step('blend', ['water', 'ginger']),
        step('strain', [], { press: 'wring', asideSolids: true }),
        step('blend', ['ginger', 'more']),
        step('strain', [], { press: 'wring' }),
      ],
    );
    const again = entries('blend')[1]!;
    expect(again.after.solids.map((s) => s.massG)).toEqual([400]);
    // A litre more, and what clung to the pulp; of the pulp's own water nothing a second time.
    const heldMl = TABLES.ingredients.get('ginger-sliced')!.holdMlPerG.wring * 400;
    expect(again.now.volumeL).toBeCloseTo(1 + heldMl / 1000, 2);
    expectConserved(sim);
  });
});

describe('heat as it is said', () => {
  const pot = [step('combine', ['water'])];
  it('to 70 °C, and twenty minutes so hot: it never boils', () => {
    const { program, sim, entries } = made([WATER_4L], [...pot, step('heat', [], { toC: 70, minutes: 20 })]);
    const hottest = Math.max(...sim.trace.flatMap((t) => t.curve.map((p) => p.tempC)));
    expect(hottest).toBeCloseTo(70, 6);
    // No bubbles tell when it is there.
    const heat = program.steps.find((s) => s.kind === 'heat')!;
    expect(heatManner(heat)).toBe('degrees');
    expect(cuesFor(program, heat, TABLES)).toEqual([]);
    const [held] = entries('steep');
    expect(held!.endMin - held!.startMin).toBeCloseTo(20, 9);
    expect(held!.now.tempC).toBeCloseTo(70, 6);
  });
  it('down to a half: 2 L at 22 L/h and m², half of it under a lid ajar, from a pot of 30 cm take two hours and a half', () => {
    const { entries } = made(
      [WATER_4L],
      [
        ...pot,
        step('heat', [], { lid: 'on' }),
        step('boil', [], { downToShare: 0.5, level: 'gentle', lid: 'ajar' }),
      ],
    );
    const [boil] = entries('boil');
    const beforeL = volumeMl(boil!.before.liquor) / 1000;
    expect(volumeMl(boil!.after.liquor) / 1000).toBeCloseTo(beforeL / 2, 4);
    // 22 × 0.5 × π/4 × 0.3² = 0.7775 L/h: half of 4 L take 154 min.
    expect(beforeL).toBeCloseTo(4, 1);
    expect(boil!.endMin - boil!.startMin).toBeCloseTo(((beforeL / 2) * 0.9982 * 60) / 0.7775, 0);
  });
  it('down to three litres, as they stand hot in the pot', () => {
    const { entries } = made(
      [WATER_4L],
      [...pot, step('heat'), step('boil', [], { downToL: 3, lid: 'off' })],
    );
    const { after } = entries('boil')[0]!;
    expect((volumeMl(after.liquor) / 1000) * expansion(100)).toBeCloseTo(3, 3);
  });
});

describe('washed as it asks for it', () => {
  const rinses = (line: RecipeLine, says: Partial<RecipeStep> = {}) => {
    const { program } = made(
      [WATER_4L, line],
      [step('wash', [line.id], says), step('combine', ['water', line.id])],
    );
    const [wash] = program.steps;
    if (wash?.kind !== 'wash') throw new Error('not washed');
    return [wash.rinses, wash.minutesPerRinse];
  };
  it('dried hibiscus floats: four rinses; a root is scrubbed twice; anything else once', () => {
    expect(rinses(CALYX)).toEqual([4, 1.5]);
    expect(rinses(line('ginger', 'ginger-sliced', 100))).toEqual([2, 2]);
    expect(rinses(line('mint', 'mint-leaf', 50))).toEqual([1, 1.5]);
  });
  it('as the cook says: two rinses, or six minutes in all', () => {
    expect(rinses(CALYX, { rinses: 2 })).toEqual([2, 1.5]);
    expect(rinses(CALYX, { minutes: 6 })).toEqual([4, 1.5]);
  });
});

describe('strained as it is said', () => {
  const boiled = [step('combine', ['water', 'calyx']), step('heat'), step('boil', [], { minutes: 10 })];
  it('colander, sieve twice, cloth: 50 + 100 + 100 mL are lost, 200 more than with one sieve', () => {
    const lossL = (says: Partial<RecipeStep>) =>
      made([WATER_4L, CALYX], [...boiled, step('strain', [], says)]).sim.flows.find(
        (f) => f.code === 'strainLoss',
      )!.volumeL;
    const passes = [
      { by: 'colander' as const, times: 1 },
      { by: 'sieve' as const, times: 2 },
      { by: 'cloth' as const, times: 1 },
    ];
    expect(lossL({ passes })).toBeCloseTo(0.25, 6);
    expect(lossL({ passes }) - lossL({})).toBeCloseTo(0.2, 6);
  });
  it('half a litre over what stays in the sieve: so much more comes through, thinned by what clung there', () => {
    const strained = (says: Partial<RecipeStep>) =>
      made([WATER_4L, CALYX], [...boiled, step('strain', [], { press: 'press', ...says })]);
    const plain = strained({}).entries('strain')[0]!;
    const rinsed = strained({ rinseMl: 500 });
    const after = rinsed.entries('strain')[0]!;
    expect(after.now.volumeL - plain.now.volumeL).toBeCloseTo(0.5, 1);
    // 320 mL cling to the calyx; 500 mL more make 820, of which 500 run off: 500/820 of what clung comes along.
    const clung = 0.32 * plain.now.taGPerL;
    const expected = (plain.now.volumeL * plain.now.taGPerL + (clung * 500) / 820) / after.now.volumeL;
    expect(after.now.taGPerL).toBeCloseTo(expected, 1);
    expectConserved(rinsed.sim);
  });
});

describe('a stated sugar', () => {
  const sweet = [
    WATER_4L,
    line('sugar', 'sugar-white', 200, 'sweetener'),
    { ...line('honey', 'honey', 0, 'sweetener'), rule: { kind: 'toTarget' as const } },
  ];
  const steps = [step('combine', ['water']), step('sweeten', ['sugar', 'honey'])];
  it('goes in as stated; what is by taste makes up the rest of the sweetness', () => {
    const { sim } = made(sweet, steps);
    expect(sim.dosedG.sugar).toBe(200);
    // 6 % of 4 L and what is stirred in: 200 g of sugar are not enough for it, so there is honey too.
    expect(sim.dosedG.honey).toBeGreaterThan(20);
    expect(sim.trace.at(-1)!.now.sweetnessPct).toBeCloseTo(6, 2);
  });
  it('two by taste: a quarter of the sweetness from honey, the rest from sugar', () => {
    const byTaste = (id: string, itemId: string) => ({
      ...line(id, itemId, 0, 'sweetener'),
      rule: { kind: 'toTarget' as const },
    });
    const two = [WATER_4L, byTaste('sugar', 'sugar-white'), byTaste('honey', 'honey')];
    const shares = [
      { lineId: 'honey', share: 0.25 },
      { lineId: 'sugar', share: 0.75 },
    ];
    const { sim } = made(two, [step('combine', ['water']), step('sweeten', ['sugar', 'honey'], { shares })]);
    const honeySweet = sim.dosedG.honey! * TABLES.sweeteners.get('honey')!.relativeSweetness;
    // Sugar is one: three times as much sweetness from it.
    expect(sim.dosedG.sugar! / honeySweet).toBeCloseTo(3, 6);
    expect(sim.trace.at(-1)!.now.sweetnessPct).toBeCloseTo(6, 2);
    // Said of one only, the other brings the rest; said of none, each as much.
    const half = made(two, [
      step('combine', ['water']),
      step('sweeten', ['sugar', 'honey'], { shares: shares.slice(0, 1) }),
    ]).sim;
    expect(half.dosedG.honey).toBeCloseTo(sim.dosedG.honey!, 6);
  });
  it('of which 120 g are in has 80 g to come, no more', () => {
    const actuals = {
      sweeten: {
        startMin: 4,
        adjustments: [
          {
            kind: 'added' as const,
            atMin: 5,
            vesselId: 'pot',
            lineKind: 'sweetener' as const,
            itemId: 'sugar-white',
            lineId: 'sugar',
            massG: 120,
          },
        ],
      },
    };
    const { sim } = made(sweet, steps, {}, { actuals });
    expect(sim.dosedG.sugar).toBeCloseTo(80, 9);
    expect(sim.trace.at(-1)!.now.sweetnessPct).toBeCloseTo(6, 2);
  });
});

describe('a cleaning soak', () => {
  it('of what goes in later is in a bowl of its own; what was in it goes on with what clings to it', () => {
    const { sim, entries, program } = made(
      [WATER_4L, CALYX, line('bath', 'water', 1000, 'liquid'), line('fruit', 'pineapple-flesh', 500)],
      [
        step('soak', ['bath', 'fruit'], { minutes: 20, thrown: true, everyMin: 10 }),
        step('combine', ['water', 'calyx', 'fruit']),
        step('heat'),
        step('strain'),
      ],
    );
    expect(entries('soak')[0]!.vesselId).toBe('tub');
    expect(program.steps.find((s) => s.kind === 'soak')).toMatchObject({ thrown: true, everyMin: 10 });
    // In the pot: both solids, and of the bath only what drips from the fruit.
    expect(
      entries('combine')
        .at(-1)!
        .after.solids.map((s) => s.lineId)
        .sort(),
    ).toEqual(['calyx', 'fruit']);
    expect(sim.vessels.tub!.solids).toEqual([]);
    const { drain } = TABLES.ingredients.get('pineapple-flesh')!.holdMlPerG;
    const thrown = sim.flows.filter((f) => f.code === 'thrown').reduce((sum, f) => sum + f.volumeL, 0);
    // A litre and the fruit's own water (85 %), less what drains slowly from 500 g.
    expect(thrown).toBeCloseTo(1 + 0.5 * 0.85 - (drain * 500) / 1000, 1);
    expectConserved(sim);
  });
});
