import { describe, expect, it } from 'vitest';
import { massG, sweetnessPct, titratableGPerL, volumeMl } from '../../liquor/composition.ts';
import { BLENDING } from '../../tables/constants.ts';
import { TABLES } from '../../testKitchen.ts';
import { CALYX, expectConserved, line, made, step, WATER_4L } from './ownSteps.fixtures.ts';

const DRAWN = [
  step('combine', ['water', 'calyx']),
  step('heat'),
  step('boil', [], { minutes: 10 }),
  step('strain'),
  // Cold, hardly anything of it goes into the air while it is divided.
  step('cool'),
];
const inVessel = (sim: ReturnType<typeof made>['sim'], id: string) =>
  volumeMl(sim.vessels[id]!.liquor) / 1000;

describe('an end in lots', () => {
  it('half is left plain, a stated cup of sugar goes into the other half', () => {
    const { sim, entries, program } = made(
      [WATER_4L, CALYX, line('sugar', 'sugar-white', 200, 'sweetener')],
      [
        ...DRAWN,
        step('split', [], { lots: [{ id: 'a', kind: 'sweet', share: 0.5 }] }),
        step('sweeten', ['sugar'], { lot: 'a' }),
        step('bottle', [], { lot: 'a' }),
        step('bottle'),
      ],
    );
    const there = entries('cool')[0]!.now;
    // Half of it stays as it is; the other half gains what 200 g of sugar take up, about 0.62 mL a gram.
    expect(inVessel(sim, 'bottles')).toBeCloseTo(there.volumeL / 2, 2);
    expect(inVessel(sim, 'bottles-a')).toBeCloseTo(there.volumeL / 2 + 0.2 * 0.62, 2);
    const half = (there.massG / 2) * (there.sweetnessPct / 100);
    expect(sweetnessPct(sim.vessels['bottles-a']!.liquor)).toBeCloseTo(
      (100 * (half + 200)) / (there.massG / 2 + 200),
      1,
    );
    expect(program.vessels.find((v) => v.id === 'bottles-a')?.lot).toEqual({ kind: 'sweet' });
    expectConserved(sim);
  });
  it('thirds by share, one after the other, are thirds; litres come off first', () => {
    const lots = ['a', 'b', 'c'].map((id) => ({ id, kind: 'trial' as const, share: 1 / 3 }));
    const { sim, entries } = made([WATER_4L, CALYX], [...DRAWN, step('split', [], { lots })]);
    const eachL = entries('cool')[0]!.now.volumeL / 3;
    for (const { id } of lots) expect(inVessel(sim, `bottles-${id}`)).toBeCloseTo(eachL, 2);
    // Nothing is left to be bottled as the drink itself.
    expect(inVessel(sim, 'bottles')).toBe(0);
    expect(entries('bottle')).toHaveLength(3);
    expectConserved(sim);
  });
  it('litres come off first, whatever order they are written in: the share is of what they leave', () => {
    const lots = [
      { id: 'half', kind: 'sweet' as const, share: 0.5 },
      { id: 'litre', kind: 'children' as const, volumeL: 1 },
    ];
    const { sim, entries } = made([WATER_4L, CALYX], [...DRAWN, step('split', [], { lots })]);
    const there = entries('cool')[0]!.now.volumeL;
    expect(inVessel(sim, 'bottles-litre')).toBeCloseTo(1, 2);
    expect(inVessel(sim, 'bottles-half')).toBeCloseTo((there - 1) / 2, 2);
    expect(inVessel(sim, 'bottles')).toBeCloseTo((there - 1) / 2, 2);
  });
  it('a litre of it grows with the batch: half the recipe has half of it', () => {
    const steps = [...DRAWN, step('split', [], { lots: [{ id: 'a', kind: 'children', volumeL: 1 }] })];
    expect(inVessel(made([WATER_4L, CALYX], steps).sim, 'bottles-a')).toBeCloseTo(1, 2);
    // Written for 8 L and made as half of it.
    const half = made([WATER_4L, CALYX], steps, { basisL: 8 }, {}, 4);
    expect(inVessel(half.sim, 'bottles-a')).toBeCloseTo(0.5, 2);
  });
  it('a lot may be sweetened to a sweetness of its own, heated and frozen', () => {
    const { sim, program, entries } = made(
      [WATER_4L, CALYX, { ...line('sugar', 'sugar-white', 0, 'sweetener'), rule: { kind: 'toTarget' } }],
      [
        ...DRAWN,
        step('split', [], { lots: [{ id: 'a', kind: 'sweet', share: 0.5 }] }),
        step('heat', [], { lot: 'a' }),
        step('cool', [], { lot: 'a' }),
        step('sweeten', ['sugar'], { lot: 'a', sweetPct: 14 }),
        step('freeze', [], { lot: 'a', portionMl: 250 }),
        step('sweeten', ['sugar']),
        step('bottle'),
      ],
    );
    // Heated in the pot, which is free since the straining.
    expect(entries('heat').map((t) => t.vesselId)).toEqual(['pot', 'pot']);
    expect(sweetnessPct(sim.vessels['bottles-a']!.liquor)).toBeCloseTo(14, 1);
    expect(sweetnessPct(sim.vessels.bottles!.liquor)).toBeCloseTo(6, 1);
    expect(program.steps.find((s) => s.to[0] === 'bottles-a')).toMatchObject({
      frozen: true,
      portionMl: 250,
    });
    expectConserved(sim);
  });
});

describe('two runs', () => {
  it('half of the second is poured to the first, half goes into bottles of its own', () => {
    const { sim, entries } = made(
      [WATER_4L, CALYX, line('more', 'water', 1500, 'liquid')],
      [
        ...DRAWN.slice(0, 3),
        step('strain', [], { keepSolids: true, to: 'tub' }),
        step('cool', [], { from: ['tub'], to: 'tub' }),
        step('combine', ['more'], { to: 'pot' }),
        step('heat', [], { from: ['pot'], to: 'pot' }),
        step('strain', [], { from: ['pot'], to: 'jug' }),
        step('cool', [], { from: ['jug'], to: 'jug' }),
        step('split', [], { from: ['jug'], lots: [{ id: 'pale', kind: 'plain', share: 0.5 }] }),
        step('bottle', [], { lot: 'pale' }),
        step('mix', [], { from: ['tub', 'jug'], to: 'tub' }),
        step('bottle', [], { from: ['tub'] }),
      ],
    );
    const [first, second] = entries('cool').map((t) => t.after.liquor);
    const calyx = (liquor: { markerG: { calyx?: number } }) => liquor.markerG.calyx ?? 0;
    const bottles = sim.vessels.bottles!.liquor;
    const pale = sim.vessels['bottles-pale']!.liquor;
    // a + b / 2 and b / 2, in litres and in what was drawn.
    expect(volumeMl(bottles)).toBeCloseTo(volumeMl(first!) + volumeMl(second!) / 2, -1);
    expect(volumeMl(pale)).toBeCloseTo(volumeMl(second!) / 2, -1);
    expect(calyx(bottles)).toBeCloseTo(calyx(first!) + calyx(second!) / 2, 6);
    expect(calyx(pale)).toBeCloseTo(calyx(second!) / 2, 6);
    expectConserved(sim);
  });
  it('down to a mark: 5 cm in a pot 30 cm wide are 3.5 L with what lies in it', () => {
    const { entries } = made(
      [line('water', 'water', 6000, 'liquid'), CALYX],
      [
        step('combine', ['water', 'calyx']),
        step('heat'),
        step('boil', [], { lid: 'off', level: 'rolling', downToCm: 5 }),
        step('strain'),
      ],
    );
    const { now } = entries('boil')[0]!;
    expect(now.levelCm).toBeCloseTo(5, 1);
    // π × 0.15² × 0.05 m³ = 3.53 L.
    expect(now.hotVolumeL + now.solidsL).toBeCloseTo(3.53, 1);
  });
});

describe('spirits that are stated', () => {
  const lines = [WATER_4L, CALYX, line('rum', 'spirit-40', 400, 'liquid')];
  const steps = [...DRAWN, step('fortify', ['rum']), step('bottle')];
  /** 400 g of spirit at 40 % by volume, 0.789 g/mL of alcohol, 0.949 g/mL of spirit. */
  const ALCOHOL_G = ((400 / 0.949) * 0.4 * 0.789) / 1;
  const noted = (massG: number, ended: boolean) => {
    const planned = made(lines, steps);
    const at = planned.sim.trace.find((t) => t.kind === 'fortify')!;
    return made(
      lines,
      steps,
      {},
      {
        actuals: {
          [at.stepId]: {
            startMin: at.startMin,
            ...(ended ? { endMin: at.endMin } : {}),
            adjustments: [
              {
                kind: 'added',
                atMin: at.startMin + 1,
                vesselId: 'tub',
                lineKind: 'liquid',
                itemId: 'spirit-40',
                lineId: 'rum',
                massG,
              },
            ],
          },
        },
      },
    ).sim.vessels.bottles!.liquor.ethanolG;
  };
  it('go in as stated where nothing is noted', () => {
    expect(made(lines, steps).sim.vessels.bottles!.liquor.ethanolG / ALCOHOL_G).toBeCloseTo(1, 2);
  });
  it('noted by the spoon they are not doubled: the rest is to come, and at the end what was noted counts', () => {
    expect(noted(100, false) / ALCOHOL_G).toBeCloseTo(1, 2);
    expect(noted(400, false) / ALCOHOL_G).toBeCloseTo(1, 2);
    expect(noted(100, true) / ALCOHOL_G).toBeCloseTo(0.25, 2);
  });
  it('spoon by spoon only what is noted is in it now', () => {
    const planned = made(lines, steps);
    const at = planned.sim.trace.find((t) => t.kind === 'fortify')!;
    const stopAt = { stepId: at.stepId, atMin: at.startMin + 2 };
    expect(made(lines, steps, {}, { stopAt }).sim.vessels.tub!.liquor.ethanolG).toBe(0);
  });
});

describe('what else a cook does', () => {
  it('sweetened in the glass: the bottles stay without, and say what goes into each glass', () => {
    const { sim, program } = made(
      [WATER_4L, CALYX, { ...line('honey', 'honey', 0, 'sweetener'), rule: { kind: 'toTarget' } }],
      [...DRAWN, step('sweeten', ['honey'], { inGlass: true }), step('bottle')],
    );
    const { liquor } = sim.vessels.bottles!;
    expect(liquor.addedSugarG).toBe(0);
    // For all the glasses together: s grams of honey, r times as sweet as sugar, in m grams that hold h already:
    // (h + r s) / (m + s) = 6 %.
    const r = TABLES.sweeteners.get('honey')!.relativeSweetness;
    expect(sim.dosedG.honey).toBeCloseTo((0.06 * massG(liquor) - liquor.sweetG) / (r - 0.06), 3);
    expect(program.steps.some((s) => s.kind === 'sweeten')).toBe(false);
    expect(program.steps.at(-1)).toMatchObject({
      kind: 'bottle',
      inGlass: { lineIds: ['honey'], targetSweetnessPct: 6 },
    });
  });
  it('ground spices give at once what whole ones give slowly', () => {
    const cloves = line('cloves', 'clove-whole', 20);
    const into = step('combine', ['cloves']);
    const start = [step('combine', ['water']), step('mill', ['cloves']), into, step('bottle')];
    const { sim } = made([WATER_4L, cloves], start);
    const row = TABLES.ingredients.get('clove-whole')!;
    const whole = made([WATER_4L, cloves], [start[0]!, into, step('bottle')]);
    // Cold, without a minute to draw: the share that broken cells give of 20 g, and nothing of whole ones.
    expect(sim.vessels.bottles!.liquor.markerG[row.marker]).toBeCloseTo(
      20 * row.potency * BLENDING.drawnShare,
      1,
    );
    expect(whole.sim.vessels.bottles!.liquor.markerG[row.marker] ?? 0).toBeLessThan(0.5);
    expectConserved(sim);
  });
  it('soured by taste to so much acid; a stated juice goes in as stated beside it', () => {
    const { sim, entries } = made(
      [
        WATER_4L,
        line('lime', 'lime-juice', 50, 'liquid'),
        { ...line('lemon', 'lemon-juice', 0, 'liquid'), rule: { kind: 'toTarget' } },
      ],
      [step('combine', ['water']), step('sour', ['lime', 'lemon'], { sourGPerL: 6 }), step('bottle')],
    );
    expect(entries('mix')[0]!.now.volumeL).toBeGreaterThan(4.04);
    expect(titratableGPerL(sim.vessels.bottles!.liquor)).toBeCloseTo(6, 1);
    expectConserved(sim);
  });
  it('an offered branch grows with the batch, and changes nothing of what is planned', () => {
    const branch = { afterMin: 60, waterL: 1, boilMin: 10 };
    const steps = (says: object) => [
      step('combine', ['water', 'calyx']),
      step('heat'),
      step('steep', [], { minutes: 240, place: 'fridge', ...says }),
      step('strain'),
    ];
    const half = made([WATER_4L, CALYX], steps({ branch }), {}, {}, 2);
    // Half of the recipe: half of the litre.
    expect(half.program.steps.find((s) => s.kind === 'steep')).toMatchObject({
      branch: { afterMin: 60, waterL: 0.5, boilMin: 10 },
    });
    const [withIt, without] = [
      made([WATER_4L, CALYX], steps({ branch })),
      made([WATER_4L, CALYX], steps({})),
    ];
    expect(withIt.bottledL).toBe(without.bottledL);
    expect(withIt.sim.endMin).toBe(without.sim.endMin);
  });
  it('what settles or matures stands; it draws nothing new from what was strained off', () => {
    const { sim, program } = made(
      [WATER_4L, CALYX],
      [
        ...DRAWN,
        step('settle', [], { place: 'fridge', minutes: 90 }),
        step('skim'),
        step('mature', [], { place: 'fridge', minutes: 2880, everyMin: 720 }),
      ],
    );
    const stood = sim.trace.filter((t) => t.kind === 'steep');
    expect(stood.map((t) => t.endMin - t.startMin)).toEqual([90, 2880]);
    expect(stood[1]!.after.liquor.markerG.calyx).toBeLessThanOrEqual(stood[0]!.before.liquor.markerG.calyx!);
    expect(program.steps.filter((s) => s.kind === 'steep')).toMatchObject([
      { purpose: 'settling' },
      { purpose: 'maturing', everyMin: 720 },
    ]);
  });
});
