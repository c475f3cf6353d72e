import '../../../words/places/pages.ts';
import { EMPTY_KITCHEN } from '@big-ladle/core/documents';
import { keepingOfMix, lifeOf, surroundingsOf } from '@big-ladle/core/keeping';
import { foldItem } from '@big-ladle/core/log';
import { type BottleItem, type LeftoverItem, leftoverLife } from '@big-ladle/core/shelf';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLANTS } from '../../../shared/drawings/plants/plants.ts';
import { placesOnSheet } from '../../../shared/labels/paper.ts';
import { matrixOf } from '../../../shared/labels/pdf.ts';
import { type LabelPart, type Measure, wrapped } from '../../../shared/labels/setLines.ts';
import { type CodeMatrix, codeOf } from '../../../shared/squareCode.ts';
import { type LabelText, setLabel } from './layout.ts';
import { SHEETS } from './sheets.ts';
import { batchCode, bottleLabel, byHandLine, leftoverLabel, type Printed, within } from './texts.ts';

/** Every letter half as wide as it is high; bold ones a tenth wider. */
const measure: Measure = (text, sizeMm, bold) => text.length * sizeMm * (bold ? 0.55 : 0.5);

const label = (change: Partial<LabelText> = {}): LabelText => ({
  plants: ['hibiscus', 'ginger', 'clove'],
  itemId: 'x',
  name: 'Deep hibiscus & ginger',
  under: 'sweetened',
  made: 'Fri, 20 Nov',
  until: 'Drink by Thu, 26 Nov',
  onceOpen: 'Once open 5 days',
  keepCold: 'keep cold, at most 5 °C',
  taken: null,
  alcohol: null,
  cautions: [],
  contains: 'hibiscus, ginger, clove, raw cane sugar',
  code: '1120-ELF',
  url: 'http://127.0.0.1:4817/shelf/x',
  ...change,
});
const code: CodeMatrix = { size: 33, dark: (row, column) => (row * 7 + column * 3) % 5 < 2 };
const set = (text: LabelText, w: number, h: number) => setLabel(text, w, h, code, measure);
const textsOf = (parts: readonly LabelPart[]) => parts.flatMap((p) => (p.kind === 'text' ? [p] : []));
const codeIn = (parts: readonly LabelPart[]) => parts.find((p) => p.kind === 'code')!;

describe('what it contains', () => {
  const contains =
    'hibiscus, ginger, clove, orange, pineapple, cinnamon, star anise, cardamom, lemon, honey, raw cane sugar';
  it.each(SHEETS)('is never cut: $name', ({ labelW, labelH }) => {
    const printed = textsOf(set(label({ contains }), labelW, labelH))
      .map((p) => p.text)
      .join(' ');
    expect(printed).toContain(`Contains ${contains}.`);
  });
});

describe('plants on a label', () => {
  const plantsIn = (w: number, h: number) => set(label(), w, h).filter((p) => p.kind === 'plant');
  it('stand above the code where there is room, the first ones, and nothing lies on them', () => {
    // 38 mm high: a code of 26 mm, 2.5 mm free at each side, 7 mm are left.
    const plants = plantsIn(99, 38);
    expect(plants.map((p) => p.plant)).toEqual(['hibiscus', 'ginger']);
    const square = codeIn(set(label(), 99, 38));
    for (const plant of plants) {
      expect(plant.sizeMm).toBeCloseTo(7, 9);
      expect(plant.y + plant.sizeMm).toBeLessThanOrEqual(square.y);
      expect(plant.x + plant.sizeMm).toBeLessThanOrEqual(99 - 2.5 + 1e-9);
    }
  });
  it('are left out where there is none', () => {
    expect(plantsIn(62, 29)).toEqual([]);
  });
  it('are turned on paper as on the screen', () => {
    // (1, 0) turned by a quarter is (0, 1), moved by (10, 20): (10, 21).
    const [a, b, , , e, f] = matrixOf('translate(10 20) rotate(90)');
    expect([a + e, b + f]).toEqual([expect.closeTo(10, 9), expect.closeTo(21, 9)]);
    expect(matrixOf('scale(-1 1)')).toEqual([-1, 0, 0, 1, 0, 0]);
    for (const strokes of Object.values(PLANTS))
      for (const stroke of strokes)
        if (typeof stroke !== 'string') expect(matrixOf(stroke[1]).every(Number.isFinite)).toBe(true);
  });
});

describe('sheets', () => {
  it.each(SHEETS)('$name: all labels lie on the page, none over another', (sheet) => {
    const all = placesOnSheet(sheet, sheet.columns * sheet.rows, 0);
    for (const [i, a] of all.entries()) {
      expect(a.x).toBeGreaterThanOrEqual(-1e-9);
      expect(a.y).toBeGreaterThanOrEqual(-1e-9);
      expect(a.x + sheet.labelW).toBeLessThanOrEqual(sheet.pageW + 1e-9);
      expect(a.y + sheet.labelH).toBeLessThanOrEqual(sheet.pageH + 1e-9);
      for (const b of all.slice(i + 1))
        expect(Math.abs(a.x - b.x) >= sheet.labelW - 1e-9 || Math.abs(a.y - b.y) >= sheet.labelH - 1e-9).toBe(
          true,
        );
    }
  });
  it('goes on to the next page, and leaves free what was used', () => {
    const sheet = SHEETS.find((s) => s.id === 'a4-3x8')!;
    expect(
      placesOnSheet(sheet, 25, 0)
        .map((p) => p.page)
        .filter((p) => p === 1),
    ).toHaveLength(1);
    const skipped = placesOnSheet(sheet, 2, 23);
    expect(skipped.map((p) => p.page)).toEqual([0, 1]);
    // The last place of a sheet of 3 × 8 labels of 70 × 36 mm, 4.5 mm from the top.
    expect(skipped[0]).toMatchObject({ x: 140, y: 4.5 + 7 * 36 });
    expect(skipped[1]).toMatchObject({ x: 0, y: 4.5 });
    const roll = SHEETS.find((s) => s.rows === 1)!;
    expect(placesOnSheet(roll, 3, 5).map((p) => p.page)).toEqual([0, 1, 2]);
  });
});

describe('a label set in millimetres', () => {
  it.each(SHEETS)('$name: nothing hangs over, the code is large enough for a phone', (sheet) => {
    const parts = set(
      label({ alcohol: 'Contains alcohol, 4.0 %', cautions: ['not for children', 'not before driving'] }),
      sheet.labelW,
      sheet.labelH,
    );
    for (const t of textsOf(parts)) {
      expect(t.x).toBeGreaterThan(0);
      expect(t.y).toBeLessThanOrEqual(sheet.labelH);
      expect(t.y - t.sizeMm).toBeGreaterThan(-1);
      expect(t.x + measure(t.text, t.sizeMm, t.bold)).toBeLessThanOrEqual(codeIn(parts).x + 1e-9);
    }
    const c = codeIn(parts);
    if (c.kind !== 'code') throw new Error('no code');
    expect(c.moduleMm).toBeGreaterThanOrEqual(0.3);
    expect(c.x + c.side).toBeLessThanOrEqual(sheet.labelW);
    expect(c.y + c.side).toBeLessThanOrEqual(sheet.labelH);
  });
  it('the date, the cold, alcohol and the cautions are on every label, however small', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 110 }),
        fc.integer({ min: 34, max: 70 }),
        fc.subarray(['not for children', 'ask first in pregnancy', 'never under one year']),
        fc.boolean(),
        (w, h, cautions, alcohol) => {
          const parts = set(label({ cautions, alcohol: alcohol ? 'Contains alcohol, 4.0 %' : null }), w, h);
          const said = textsOf(parts)
            .map((t) => t.text)
            .join(' ');
          expect(said).toContain('Drink by Thu, 26 Nov');
          expect(said).toContain('keep cold');
          for (const c of cautions) for (const word of c.split(' ')) expect(said).toContain(word);
          if (alcohol) expect(said).toContain('alcohol');
        },
      ),
      { numRuns: 60 },
    );
  });
  it('lines stand below one another, larger where there is more room', () => {
    const small = textsOf(set(label(), 62, 40));
    const large = textsOf(set(label(), 99, 67));
    for (const texts of [small, large])
      for (const [i, t] of texts.entries()) if (i > 0) expect(t.y).toBeGreaterThan(texts[i - 1]!.y);
    expect(large[0]!.sizeMm).toBeGreaterThan(small[0]!.sizeMm);
  });
  it('a text that does not fit ends in an ellipsis, words stay whole', () => {
    // 20 mm at size 2: twenty letters a line.
    expect(wrapped('one two three four five six', 20, 2, 2, false, measure)).toEqual([
      'one two three four',
      'five six',
    ]);
    const cut = wrapped('one two three four five six seven eight nine ten', 20, 2, 2, false, measure);
    expect(cut).toHaveLength(2);
    expect(cut[1]!.endsWith('…')).toBe(true);
    expect(measure(cut[1]!, 2, false)).toBeLessThanOrEqual(20);
    expect(wrapped('', 20, 2, 2, false, measure)).toEqual([]);
  });
  it('runs of the code are its dark modules, each once', () => {
    const c = codeIn(set(label(), 99, 38));
    if (c.kind !== 'code') throw new Error('no code');
    const dark = new Set(
      c.runs.flatMap((r) => Array.from({ length: r.to - r.from }, (_, i) => `${r.row}:${r.from + i}`)),
    );
    let count = 0;
    for (let row = 0; row < code.size; row++)
      for (let column = 0; column < code.size; column++) {
        if (code.dark(row, column)) count++;
        expect(dark.has(`${row}:${column}`)).toBe(code.dark(row, column));
      }
    expect(dark.size).toBe(count);
  });
  it('a real code has its three corner squares', () => {
    const real = codeOf('http://192.168.7.20:4817/shelf/demo-bottle-1');
    for (const [row, column] of [
      [0, 0],
      [0, real.size - 7],
      [real.size - 7, 0],
    ] as const) {
      expect(real.dark(row, column)).toBe(true);
      expect(real.dark(row + 1, column + 1)).toBe(false);
      expect(real.dark(row + 3, column + 3)).toBe(true);
    }
  });
});

describe('what stands on it', () => {
  const filledMs = Date.UTC(2026, 10, 20, 18);
  const { keeping } = keepingOfMix([{ id: 'lemon-juice', volumeMl: 500 }], SHIPPED_TABLES, 'sterilised', {
    pH: 3,
    by: 'meter',
  });
  const facts: BottleItem = {
    itemId: 'one',
    batchId: 'batch-elf',
    recipeId: 'deep-calyx-ginger',
    sizeName: 'Tall',
    sizeMl: 750,
    material: 'glass',
    form: 'bottle',
    closure: 'metalLid',
    colour: '#700',
    brix: 10,
    abvPct: 0,
    strongGPerL: {},
    tags: ['sweetened'],
    itemIds: ['hibiscus-dried', 'ginger-bruised', 'ginger-grated', 'water', 'sugar-cane-raw'],
    glass: {
      servingMl: 250,
      sugarG: 20,
      freeSugarG: 20,
      addedSugarG: 20,
      kcal: 80,
      shareOfCeiling: 0.4,
      shareOfAim: 0.8,
      ethanolG: 0,
      noAddedSugar: false,
    },
    longer: [],
    bottle: {
      filledMs,
      clockStartMs: filledMs,
      filledC: 4,
      volumeMl: 720,
      diameterCm: 8,
      keeping: { ...keeping, sealedDays: 7, uncutDays: 7, openDays: 5 },
    },
  };
  const to: Printed = {
    zone: 'UTC',
    nowMs: filledMs,
    origin: 'http://192.168.7.20:4817',
    tables: SHIPPED_TABLES,
    smallMlOf: () => null,
  };
  const around = surroundingsOf(EMPTY_KITCHEN, null);
  const life = (change: Partial<BottleItem> = {}, ask = {}) =>
    lifeOf({ ...facts, ...change }.bottle, foldItem(filledMs, []), around, filledMs, ask);
  const set_ = (change: Partial<BottleItem> = {}, printed: Partial<Printed> = {}, ask = {}) =>
    bottleLabel({ ...facts, ...change }, life(change, ask), { ...to, ...printed });

  it('name, date, what is in it each once, the address of its page', () => {
    const l = set_();
    expect(l.name).toBe('Deep hibiscus & ginger');
    // Seven days from Friday evening: until Friday evening, so Thursday is its last whole day.
    expect(l.until).toMatch(/^Drink by Thu/);
    expect(l.until).toMatch(/26/);
    expect(l.made).toMatch(/Fri/);
    expect(l.contains.split(', ').filter((c) => c.includes('ginger'))).toHaveLength(1);
    expect(l.contains).not.toContain('water');
    expect(l.url).toBe('http://192.168.7.20:4817/shelf/one');
    expect(l.onceOpen).toBe('Once open 5 days');
  });
  it('sweetened or not, alcohol with its figure, lot, for whom', () => {
    expect(set_().under).toBe('sweetened');
    expect(set_({ tags: ['noAddedSugar'] }).under).toBe('no added sugar');
    const rum = set_({
      tags: ['alcohol'],
      abvPct: 4.2,
      lot: { id: 'a', kind: 'spirits', name: 'With spirits' },
      forWhom: 'No. 14',
    });
    expect(rum.alcohol).toBe('Contains alcohol, 4.2 %');
    expect(rum.name).toBe('Deep hibiscus & ginger, with spirits');
    expect(rum.under).toContain('for No. 14');
    expect(rum.cautions).toContain('not for children');
    expect(set_({ tags: ['honey'] }).cautions).toContain('never under one year');
  });
  it('a small glass a day: until the jar is empty, or its date comes first', () => {
    // 720 mL by 60 mL a day: twelve days; the date comes after six.
    expect(set_({}, { smallMlOf: () => 60 }).taken).toMatch(/^A small glass of 60 mL a day, until Thu.*26/);
    // By 240 mL: three days, until Monday.
    expect(set_({}, { smallMlOf: () => 240 }).taken).toMatch(/until Mon.*23/);
  });
  it("a longer rule of one's own is said on the label as well; a bottle that is over says so", () => {
    expect(set_({}, {}, { ownDays: 20 }).under).toContain('date by the maker’s own rule');
    const over = bottleLabel(facts, { ...life(), verdict: 'throwOut' }, to);
    expect(over.until).toBe('Not to be kept');
    expect(bottleLabel(facts, { ...life(), verdict: 'drinkToday' }, to).until).toMatch(
      /^Drink today, Fri.*20/,
    );
  });
  it('a code of the batch that a pen can write', () => {
    expect(batchCode('batch-elf', filledMs, 'UTC')).toBe('1120-ELF');
  });
  it('by hand: few words', () => {
    const line = byHandLine(set_());
    expect(line).toMatch(/^Deep hibiscus & ginger · drink by Thu/);
    expect(line).toContain('1120-ELF');
    expect(line.length).toBeLessThan(90);
    expect(within('Once open 5 days')).toBe('once open 5 days');
  });
  it('a bag of what is left over: portions, strength, use by', () => {
    const item: LeftoverItem = {
      itemId: 'bag',
      batchId: 'batch-elf',
      recipeId: 'deep-calyx-ginger',
      leftover: {
        kind: 'root',
        ingredientIds: ['ginger-bruised'],
        massG: 120,
        portions: 2,
        madeMs: filledMs,
        heldMl: 30,
        boiled: true,
        strengthShare: 0.4,
        sugarPct: 0,
        alcohol: false,
      },
    };
    const there = leftoverLife(item.leftover, foldItem(filledMs, [], 'freezer'), around, filledMs);
    const l = leftoverLabel(item, there, 'medium', to);
    expect(l.under).toMatch(/^60 g a portion/);
    expect(l.until).toMatch(/^Use by/);
    expect(l.keepCold).toBe('keep frozen');
    expect(l.contains).toContain('ginger');
  });
});
