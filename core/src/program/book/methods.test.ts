import { describe, expect, it } from 'vitest';
import type { Choices } from '../../documents/recipe.ts';
import { keepingOf } from '../../keeping/shelfLife.ts';
import { volumeMl } from '../../liquor/composition.ts';
import { solvePlan } from '../../plan/solve.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../../testKitchen.ts';
import { unwrap } from '../../units/result.ts';
import type { Program } from '../model/program.ts';
import type { Step } from '../model/steps.ts';
import { jarOf } from '../model/vessels.ts';
import { ledgerOf } from '../simulate/ledger.ts';
import { simulateBatch } from '../simulate/simulate.ts';
import { BOOK } from './book.ts';
import { defaultChoices } from './recipe.ts';

const drink = (id: string) => BOOK.find((r) => r.id === id)!;
const calyx = drink('deep-calyx-ginger');
const peel = drink('peel-core-infusion');

function made(
  change: Partial<Choices> = {},
  options: { fills?: number; recipe?: typeof calyx; litres?: number } = {},
) {
  const recipe = options.recipe ?? calyx;
  const choices = { ...defaultChoices(recipe, change.methodId ?? 'straightBoil'), ...change };
  const solution = unwrap(
    solvePlan({
      recipe,
      choices,
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: options.litres ?? 6 }, fills: options.fills ?? 1 },
    }),
  );
  return { ...solution, sim: simulateBatch(solution.program, KITCHEN, TABLES) };
}
const kinds = (program: Program): Step['kind'][] => program.steps.map((s) => s.kind);

describe('methods as programs', () => {
  it('straight boil: washed, cut, boiled, strained, cooled, sweetened, bottled', () => {
    expect(kinds(made().program)).toEqual([
      'pick',
      'wash',
      'wash',
      'prep',
      'combine',
      'heat',
      'boil',
      'strain',
      'cool',
      'sweeten',
      'bottle',
    ]);
  });
  it('short boil, long steep: cooled in ice and steeped in the fridge before it is strained', () => {
    expect(kinds(made({ methodId: 'shortBoilLongSteep' }).program)).toEqual([
      'pick',
      'wash',
      'wash',
      'prep',
      'combine',
      'heat',
      'boil',
      'cool',
      'steep',
      'strain',
      'sweeten',
      'bottle',
    ]);
  });
  it('a steep on the counter is not cooled first, but after', () => {
    const { program } = made({ methodId: 'shortBoilLongSteep', steepPlace: 'counter' });
    expect(kinds(program).slice(6)).toEqual(['boil', 'steep', 'strain', 'cool', 'sweeten', 'bottle']);
  });
  it('raw juice goes in when it is cool, before the sugar', () => {
    const { program, sim } = made({}, { recipe: peel });
    expect(kinds(program).slice(-4)).toEqual(['cool', 'mix', 'sweeten', 'bottle']);
    expect(sim.trace.find((t) => t.kind === 'mix')!.before.liquor.tempC).toBeLessThan(12);
  });
  it('left plain there is nothing to sweeten', () => {
    expect(kinds(made({ targetSweetnessPct: 0 }).program)).not.toContain('sweeten');
  });
  it('every step says from where to where, and has an id of its own', () => {
    for (const fills of [1, 2, 3]) {
      const { program } = made({}, { fills });
      const vessels = new Set(program.vessels.map((v) => v.id));
      expect(new Set(program.steps.map((s) => s.id)).size).toBe(program.steps.length);
      for (const step of program.steps) {
        expect(step.from.length > 0 && step.to.length > 0, step.id).toBe(true);
        for (const id of [...step.from, ...step.to]) expect(vessels.has(id), `${step.id} ${id}`).toBe(true);
      }
    }
  });
  it('several fills are unrolled steps that each take their equal part', () => {
    const { program, sim } = made({}, { fills: 3 });
    expect(program.steps.filter((s) => s.kind === 'boil').map((s) => s.fill)).toEqual([1, 2, 3]);
    const solids = sim.trace
      .filter((t) => t.kind === 'boil')
      .map((t) => t.after.solids.find((s) => s.lineId === 'calyx')!.massG);
    // 200 g for 6 L, a third in each
    for (const grams of solids) expect(grams).toBeCloseTo(200 / 3, 6);
    expect(volumeMl(sim.vessels.bottles!.liquor) / 1000).toBeCloseTo(6, 1);
  });
});

describe('a part that stands ready on the shelf', () => {
  const withParts = BOOK.flatMap((recipe) =>
    (recipe.parts ?? []).map((part) => [recipe.id, part.id, recipe, part] as const),
  );
  it.each(withParts)('%s with its %s ready: the same drink with less work', (_, partId, recipe) => {
    const options = { recipe, litres: 5 };
    const methodId = recipe.methods[0]!;
    const all = made({ methodId }, options);
    const ready = made({ methodId, shelfParts: [partId] }, options);
    const own = recipe.lines.filter((l) => l.stream === 'part' && l.partId === partId).map((l) => l.id);
    expect(own.length).toBeGreaterThan(0);
    for (const id of own) expect(ready.program.lines.map((l) => l.id)).not.toContain(id);
    expect(ready.program.steps.flatMap((s) => s.lines).filter((id) => own.includes(id))).toEqual([]);
    expect(ready.litres).toBeCloseTo(5, 2);
    expect(ready.sim.endMin).toBeLessThan(all.sim.endMin);
    // What came from the shelf is counted as flowing in, and the jar is emptied into the drink.
    const shelf = ready.program.vessels.find((v) => v.id === jarOf(partId))!.holds!;
    const flowed = ready.sim.flows.filter((f) => f.code === 'onHand').reduce((sum, f) => sum + f.volumeL, 0);
    expect(flowed).toBeCloseTo(volumeMl(shelf) / 1000, 9);
    expect(volumeMl(ready.sim.vessels[jarOf(partId)]!.liquor)).toBeLessThan(1);
    // The same strength in the bottle: only what the heat draws on the way may differ a little.
    const per = (sim: typeof all.sim) => {
      const { liquor } = sim.vessels.bottles!;
      return Object.fromEntries(
        Object.entries(liquor.markerG).map(([id, g]) => [id, (1000 * g) / volumeMl(liquor)]),
      );
    };
    const [a, b] = [per(all.sim), per(ready.sim)];
    for (const [id, strength] of Object.entries(a))
      expect(Math.abs((b[id] ?? 0) - strength), id).toBeLessThan(0.03 * strength + 0.01);
  });
  it('is asked for by name only: another id changes nothing', () => {
    const recipe = drink('melon-calyx');
    const plain = made({}, { recipe });
    expect(made({ shelfParts: ['no-such-part'] }, { recipe }).program).toEqual(plain.program);
  });
});

describe('what a choice costs and gives', () => {
  const held = (press: Choices['press']) =>
    ledgerOf(made({ press }).sim).out.find((r) => r.code === 'held')!.litres;
  it('wringing leaves less behind than pressing, pressing less than draining', () => {
    expect(held('wring')).toBeLessThan(held('press'));
    expect(held('press')).toBeLessThan(held('drain'));
  });
  it('a closer lid keeps more water; a longer boil loses more and draws more', () => {
    const steam = (change: Partial<Choices>) =>
      ledgerOf(made(change).sim).out.find((r) => r.code === 'steam')!.litres;
    expect(steam({ lid: 'on' })).toBeLessThan(steam({ lid: 'off' }));
    expect(steam({ boilMin: 60 })).toBeGreaterThan(steam({ boilMin: 10 }));
    const ginger = (boilMin: number) =>
      made({ boilMin }).sim.trace.find((t) => t.kind === 'boil')!.drawn.ginger!;
    expect(ginger(60)).toBeGreaterThan(ginger(10));
  });
  it('more rinses carry more of the calyx away, and what is lost stands in the flows', () => {
    const lost = (rinses: number) =>
      made({ rinses })
        .sim.flows.filter((f) => f.code === 'bowl' && f.lineId === 'calyx')
        .reduce((sum, f) => sum + (f.comp.markerG.calyx ?? 0), 0);
    expect(lost(6)).toBeGreaterThan(lost(1));
    // four rinses of 1.5 min at 12 °C: 0.25·exp(−4811·(1/285.15 − 1/373.15)) = 0.00469/min, · 6 = 2.8 % of 200 g
    expect(lost(4)).toBeCloseTo(200 * 0.0278, 0);
  });
  it('hours on the counter cost days; ice costs none', () => {
    const days = (change: Partial<Choices>) => {
      const { sim } = made({ methodId: 'shortBoilLongSteep', ...change });
      return keepingOf({ liquor: sim.vessels.bottles!.liquor, hygiene: 'sterilised' }).sealedDays;
    };
    expect(days({})).toBe(7);
    expect(days({ steepPlace: 'counter' })).toBeLessThan(7);
  });
  it('the sweetness aimed at is the sweetness there is', () => {
    for (const target of [4, 9.5, 13]) {
      const { sim } = made({ targetSweetnessPct: target });
      expect(sim.trace.find((t) => t.kind === 'sweeten')!.now.sweetnessPct).toBeCloseTo(target, 6);
    }
  });
  it('water boils cooler higher up, and takes the gentler boil with it', () => {
    const kitchen = { ...KITCHEN, altitudeM: 1800 };
    const { program } = made();
    const boil = simulateBatch(program, kitchen, TABLES).trace.find((t) => t.kind === 'boil')!;
    expect(boil.now.tempC).toBeCloseTo(94, 9);
    expect(boil.drawn.ginger!).toBeLessThan(
      simulateBatch(program, KITCHEN, TABLES).trace.find((t) => t.kind === 'boil')!.drawn.ginger!,
    );
  });
});

describe('looking into a batch at a moment', () => {
  const { program, sim } = made({ methodId: 'shortBoilLongSteep' });
  it('at the end of a step it is as the whole run has it', () => {
    for (const kind of ['boil', 'cool', 'steep'] as const) {
      const whole = sim.trace.find((t) => t.kind === kind)!;
      const cut = simulateBatch(program, KITCHEN, TABLES, {
        stopAt: { stepId: whole.stepId, atMin: whole.endMin },
      });
      expect(cut.trace).toHaveLength(sim.trace.indexOf(whole) + 1);
      expect(cut.trace.at(-1)!.now.volumeL).toBeCloseTo(whole.now.volumeL, 6);
      expect(cut.trace.at(-1)!.now.tempC).toBeCloseTo(whole.now.tempC, 4);
    }
  });
  it('while it heats, the pot is on its way', () => {
    const heat = sim.trace.find((t) => t.kind === 'heat')!;
    const temps = [0.25, 0.5, 0.75].map((share) => {
      const atMin = heat.startMin + share * (heat.endMin - heat.startMin);
      return simulateBatch(program, KITCHEN, TABLES, { stopAt: { stepId: heat.stepId, atMin } }).trace.at(-1)!
        .now.tempC;
    });
    expect(temps[0]!).toBeGreaterThan(heat.before.liquor.tempC);
    expect(temps[0]! < temps[1]! && temps[1]! < temps[2]! && temps[2]! < 100).toBe(true);
  });
  it('past its end a heating pot stays at the boil', () => {
    const heat = sim.trace.find((t) => t.kind === 'heat')!;
    const late = simulateBatch(program, KITCHEN, TABLES, {
      stopAt: { stepId: heat.stepId, atMin: heat.endMin + 30 },
    });
    expect(late.trace.at(-1)!.now.tempC).toBeCloseTo(100, 6);
  });
});

describe('things that happen on the way', () => {
  const { program, sim } = made();
  const boil = program.steps.find((s) => s.kind === 'boil')!;
  const strain = program.steps.find((s) => s.kind === 'strain')!;
  it('a splash of water thins and cools, and stands in the ledger', () => {
    const litre = {
      kind: 'added' as const,
      atMin: 1e9,
      vesselId: 'pot',
      lineKind: 'liquid' as const,
      itemId: 'water',
      lineId: 'splash',
      massG: 998.2,
    };
    const next = simulateBatch(program, KITCHEN, TABLES, {
      actuals: { [boil.id]: { adjustments: [litre] } },
    });
    const at = (s: typeof sim) => s.trace.find((t) => t.kind === 'boil')!.now;
    expect(at(next).volumeL - at(sim).volumeL).toBeCloseTo(1, 2);
    expect(at(next).tempC).toBeLessThan(at(sim).tempC - 5);
    expect(at(next).brix).toBeLessThan(at(sim).brix);
    expect(ledgerOf(next).in.find((r) => r.lineId === 'splash')!.litres).toBeCloseTo(1, 2);
  });
  it('a spill takes litres and keeps the strength', () => {
    const spill = { kind: 'removed' as const, atMin: 1e9, vesselId: 'tub', volumeL: 0.4 };
    const next = simulateBatch(program, KITCHEN, TABLES, {
      actuals: { [strain.id]: { adjustments: [spill] } },
    });
    const at = (s: typeof sim) => s.trace.find((t) => t.kind === 'strain')!.now;
    expect(at(sim).volumeL - at(next).volumeL).toBeCloseTo(0.4, 6);
    expect(at(next).brix).toBeCloseTo(at(sim).brix, 9);
    expect(ledgerOf(next).out.find((r) => r.code === 'spill')!.litres).toBeCloseTo(0.4, 6);
  });
  it('more cannot be spilt than there is', () => {
    const spill = { kind: 'removed' as const, atMin: 1e9, vesselId: 'tub', volumeL: 40 };
    expect(
      simulateBatch(program, KITCHEN, TABLES, { actuals: { [strain.id]: { adjustments: [spill] } } }).problem
        ?.kind,
    ).toBe('badReading');
  });
  it('an extra spice is drawn from when it went in', () => {
    const late = {
      kind: 'added' as const,
      atMin: 1e9,
      vesselId: 'pot',
      lineKind: 'solid' as const,
      itemId: 'cinnamon-stick',
      lineId: 'extra',
      massG: 8,
    };
    const heat = program.steps.find((s) => s.kind === 'heat')!;
    const early = simulateBatch(program, KITCHEN, TABLES, {
      actuals: { [heat.id]: { adjustments: [late] } },
    });
    const none = simulateBatch(program, KITCHEN, TABLES, { actuals: { [boil.id]: { adjustments: [late] } } });
    const drawn = (s: typeof sim) => s.trace.find((t) => t.kind === 'boil')!.drawn.extra!;
    expect(drawn(early)).toBeGreaterThan(0.2);
    expect(drawn(none)).toBe(0);
  });
  it('a skipped step takes no time and does nothing', () => {
    const next = simulateBatch(program, KITCHEN, TABLES, {
      actuals: { sweeten: { skipped: true, adjustments: [] } },
    });
    expect(next.trace.find((t) => t.kind === 'sweeten')!.dosedG).toEqual({});
    expect(next.trace.at(-1)!.now.volumeL).toBeLessThan(sim.trace.at(-1)!.now.volumeL);
  });
});
