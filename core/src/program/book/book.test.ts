import { readFileSync } from 'node:fs';
import path from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { type BookRow, bookRows, bookTable } from '../../../../scripts/bookTable.ts';
import type { Choices, MethodId } from '../../documents/recipe.ts';
import { volumeMl } from '../../liquor/composition.ts';
import { solvePlan } from '../../plan/solve.ts';
import { FAMILY_ROWS } from '../../tables/families.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../../testKitchen.ts';
import { unwrap } from '../../units/result.ts';
import { ledgerOf } from '../simulate/ledger.ts';
import { simulateBatch } from '../simulate/simulate.ts';
import { BOOK } from './book.ts';
import { defaultChoices } from './recipe.ts';

/** A cordial and shots are diluted or taken in small glasses. */
const CONCENTRATED = new Set(['citrus-vinegar-cordial', 'root-lemon-shots']);

const made = (id: string, methodId: MethodId, change: Partial<Choices> = {}, litres = 6) => {
  const recipe = BOOK.find((r) => r.id === id)!;
  const solution = unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, methodId), ...change },
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[0]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres }, fills: 1 },
    }),
  );
  return { ...solution, sim: simulateBatch(solution.program, KITCHEN, TABLES) };
};

describe('the shipped drinks', () => {
  let rows: BookRow[];
  beforeAll(() => {
    rows = bookRows();
    // Every drink by every method: slow where the machine is busy.
  }, 60_000);
  it('stand at 5 and at 15 litres in a sensible pot: at most 92 % full with foam, and come out as wished', () => {
    const pairs = BOOK.reduce((sum, r) => sum + r.methods.length, 0);
    expect(BOOK.length).toBeGreaterThanOrEqual(15);
    expect(pairs).toBeGreaterThanOrEqual(60);
    expect(rows).toHaveLength(pairs * 2);
    for (const row of rows) {
      const at = `${row.recipeId} ${row.methodId} ${row.wishL}`;
      expect(row.fullPct, at).toBeLessThanOrEqual(92.1);
      expect(Math.abs(row.litres / row.wishL - 1), at).toBeLessThan(0.005);
      for (const figure of [row.fullPct, row.litres, row.hours, row.brix, row.sealedDays]) {
        expect(Number.isFinite(figure), at).toBe(true);
        expect(figure, at).toBeGreaterThanOrEqual(0);
      }
    }
  });
  it('drink as they should: 0 to 16 °Bx and 1 to 12 g/L sour, where they are ready to drink', () => {
    for (const row of rows) {
      if (CONCENTRATED.has(row.recipeId)) continue;
      const at = `${row.recipeId} ${row.methodId} ${row.wishL}`;
      expect(row.brix, at).toBeLessThanOrEqual(16);
      expect(row.taGPerL, at).toBeGreaterThanOrEqual(1);
      expect(row.taGPerL, at).toBeLessThanOrEqual(12);
    }
  });
  it('none is thrown out by its own plan', () => {
    expect(rows.filter((r) => r.verdict === 'throwOut')).toEqual([]);
  });
  it('the table in docs/ is the one the script makes', () => {
    const file = path.resolve(import.meta.dirname, '../../../../docs/book.md');
    expect(readFileSync(file, 'utf8')).toBe(bookTable());
  });
  it('methods of one drink differ in their traces, and every one adds up', () => {
    for (const recipe of BOOK) {
      const seen = new Set<string>();
      for (const methodId of recipe.methods) {
        const { sim, program } = made(recipe.id, methodId, {}, Math.min(6, recipe.basisL));
        expect(sim.problem, `${recipe.id} ${methodId}`).toBeNull();
        const ledger = ledgerOf(sim);
        expect(ledger.inL - ledger.outL).toBeCloseTo(ledger.finishedL, 6);
        seen.add(`${program.steps.map((s) => s.kind).join()} ${sim.endMin.toFixed(1)}`);
      }
      expect(seen.size, recipe.id).toBe(recipe.methods.length);
    }
  });
  it('has a form of some family for every thing in it', () => {
    const known = new Set(FAMILY_ROWS.flatMap((f) => f.forms.map((form) => form.itemId)));
    for (const recipe of BOOK)
      for (const l of recipe.lines) expect(known.has(l.itemId), `${recipe.id} ${l.itemId}`).toBe(true);
  });
});

describe('choices of a drink', () => {
  const bottled = (id: string, change: Partial<Choices>) =>
    made(id, 'straightBoil', change).sim.vessels.bottles!.liquor;
  it('light, full and dark change the calyx and leave the ginger; mild and hot the other way', () => {
    const gPerL = (change: Partial<Choices>, marker: 'calyx' | 'ginger') => {
      const l = bottled('deep-calyx-ginger', change);
      return (l.markerG[marker] ?? 0) / (volumeMl(l) / 1000);
    };
    // 0.65 and 1.4 of it goes in; more calyx keeps more of what it gave, so the strength follows a little less.
    const light = gPerL({ strength: 'light' }, 'calyx') / gPerL({}, 'calyx');
    expect(light).toBeGreaterThan(0.65);
    expect(light).toBeLessThan(0.72);
    const dark = gPerL({ strength: 'dark' }, 'calyx') / gPerL({}, 'calyx');
    expect(dark).toBeGreaterThan(1.3);
    expect(dark).toBeLessThan(1.4);
    expect(gPerL({ strength: 'dark' }, 'ginger') / gPerL({}, 'ginger')).toBeCloseTo(1, 1);
    expect(gPerL({ heat: 'mild' }, 'ginger') / gPerL({}, 'ginger')).toBeCloseTo(0.5, 1);
    expect(gPerL({ heat: 'hot' }, 'ginger') / gPerL({}, 'ginger')).toBeCloseTo(1.7, 1);
  });
  it('fruit cooked in is heated through; juiced raw it comes after, cold', () => {
    const raw = made('calyx-pineapple', 'straightBoil', { fruit: 'raw' });
    const cooked = made('calyx-pineapple', 'straightBoil', { fruit: 'cooked' });
    const heated = (m: typeof raw) =>
      m.sim.vessels.bottles!.liquor.origins.find((o) => o.lineId === 'pineapple')!.heatedMin;
    expect(heated(raw)).toBe(0);
    expect(heated(cooked)).toBeGreaterThan(20);
    expect(raw.program.steps.some((s) => s.kind === 'juice')).toBe(true);
    expect(cooked.program.steps.some((s) => s.kind === 'juice')).toBe(false);
  });
  it('equal parts: as much honey and vinegar as juice came out', () => {
    const { sim, program } = made('citrus-vinegar-cordial', 'cordial', {}, 3);
    const juiceMl = sim.trace
      .filter((t) => t.kind === 'juice')
      .reduce((most, t) => Math.max(most, volumeMl(t.after.liquor)), 0);
    const mix = sim.trace.find((t) => t.kind === 'mix')!;
    // Honey at 1.42 g/mL, vinegar at 1.01 g/mL, each once the juice's volume.
    expect(mix.dosedG.honey! / 1.42 / juiceMl).toBeCloseTo(1, 3);
    expect(mix.dosedG.vinegar! / 1.01 / juiceMl).toBeCloseTo(1, 3);
    expect(program.lines.find((l) => l.id === 'honey')!.massG).toBe(0);
  });
  it('herbs off the heat come out again before a long steep', () => {
    const { program, sim } = made('calyx-apple-mint', 'shortBoilLongSteep');
    const lift = program.steps.find((s) => s.kind === 'combine' && s.lift)!;
    expect(lift.lines).toEqual(['mint']);
    const steep = sim.trace.findLast((t) => t.kind === 'steep')!;
    expect(steep.before.solids.some((s) => s.lineId === 'mint')).toBe(false);
  });
  it('parts made aside are poured in: coconut milk after, date syrup before', () => {
    const coconut = made('pineapple-coconut', 'straightBoil', {}, 5);
    expect(coconut.sim.vessels.bottles!.liquor.markerG.coconut).toBeGreaterThan(0);
    const dates = made('calyx-date-orange', 'longSimmer');
    const boil = dates.sim.trace.find((t) => t.kind === 'boil' && t.vesselId === 'pot')!;
    expect(boil.before.liquor.markerG.date).toBeGreaterThan(0);
  });
});
