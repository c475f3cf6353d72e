import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import type { Recipe, RecipeStep } from '../documents/recipe.ts';
import { recipeSchema } from '../documents/recipe.ts';
import { planned as plannedHere } from '../plannedDrink.fixtures.ts';
import { BOOK } from '../program/book/book.ts';
import { checkRecipe } from '../program/book/checkRecipe.ts';
import { measuringKit } from '../program/model/kitchen.ts';
import { ownRows, withCustom } from '../program/model/ownIngredient.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { ALIAS_ROWS, findByName } from '../tables/aliases.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { type CaptureEntry, captureToRecipe, unseenKey, unseenOf } from './capture.ts';
import { exchangeName } from './names.ts';
import { readText } from './reading/read.ts';
import { isoLength, minutesOfIso, readRecipeLd, toRecipeLd } from './schemaOrg.ts';

const kit = { ...measuringKit(KITCHEN), system: 'metric' as const };
const planned = (
  recipe: Recipe,
  methodId: 'own' | 'straightBoil',
  litres: number,
  fills: number | 'asNeeded' = 'asNeeded',
) => {
  const solution = plannedHere(recipe, methodId, litres, fills);
  return { ...solution, sim: simulateBatch(solution.program, KITCHEN, TABLES) };
};

describe('names in many tongues', () => {
  it('every alias names a family that is there, every family has an English name', () => {
    for (const row of ALIAS_ROWS)
      expect(
        FAMILY_ROWS.some((f) => f.id === row.family),
        row.text,
      ).toBe(true);
    for (const f of FAMILY_ROWS)
      expect(
        ALIAS_ROWS.some((a) => a.family === f.id && a.lang === 'en'),
        f.id,
      ).toBe(true);
  });
  it('finds by name, without accents or case, and points out a false friend', () => {
    expect(findByName('KARKADE')[0]!.row.family).toBe('hibiscus');
    expect(findByName('jengibre')[0]!.row.family).toBe('ginger');
    expect(findByName('piña')[0]!.row.family).toBe('pineapple');
    expect(findByName('pina')[0]!.row.family).toBe('pineapple');
    expect(findByName('sorrel')[0]!.row).toMatchObject({ family: 'hibiscus', falseFriend: 'sorrelLeaf' });
    expect(findByName('x')).toEqual([]);
    expect(findByName('nothing of the kind')).toEqual([]);
  });
  it('every item that goes out under a name is read back as itself, with its grams', () => {
    for (const f of FAMILY_ROWS) {
      for (const { itemId } of f.forms) {
        const name = exchangeName(itemId)!;
        const liquid = TABLES.liquids.get(itemId);
        const [line] = readText(`Ingredients\n${liquid ? '250 ml' : '120 g'} ${name}`, TABLES, kit).drinks[0]!
          .lines;
        expect(line?.itemId, name).toBe(itemId);
        expect(line?.massG?.likely, name).toBeCloseTo(liquid ? 250 * liquid.densityGPerMl : 120, 3);
      }
    }
  });
});

describe('the open recipe vocabulary', () => {
  it('lengths as ISO 8601, there and back', () => {
    expect(isoLength(80)).toBe('PT1H20M');
    expect(isoLength(0)).toBe('PT0M');
    expect(isoLength(1440 * 2 + 60)).toBe('P2DT1H');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), (m) => {
        expect(minutesOfIso(isoLength(m))).toBe(m);
      }),
    );
    expect(minutesOfIso('soon')).toBeNull();
  });
  it('goes out and comes back with name, yield, every ingredient and its grams, every step, and the time', () => {
    for (const recipe of BOOK) {
      const { program, sim } = planned(
        recipe,
        recipe.methods[0] as 'straightBoil',
        Math.min(recipe.basisL, 5),
      );
      const dosed: Record<string, number> = Object.assign({}, ...sim.trace.map((t) => t.dosedG));
      const solvedG = Object.fromEntries(program.lines.map((l) => [l.id, l.massG || (dosed[l.id] ?? 0)]));
      // What is to be minded goes along, and is no step of its own.
      const minded = ['Freeze what is left for 3 hours.'];
      const steps = ['Wash it.', 'Boil it for 10 minutes.', 'Strain it.'].map((text, i) => ({
        text,
        cautions: i === 1 ? minded : [],
      }));
      const ld = toRecipeLd(
        recipe,
        { name: `The ${recipe.id}`, about: 'A line about it & more', steps, solvedG, customNames: {} },
        TABLES,
        { handsOnMin: 90, totalMin: 800 },
      );
      expect(ld.recipeInstructions[1]!.itemListElement!.map((tip) => tip.text)).toEqual(minded);
      const back = unwrap(readRecipeLd(JSON.stringify(ld), TABLES, kit));
      expect(back.name).toBe(`The ${recipe.id}`);
      expect(back.about).toBe('A line about it & more');
      expect(back.totalMin).toBe(800);
      const [drink] = back.reading.drinks;
      expect(drink!.yield!.litres).toBeCloseTo(recipe.basisL, 3);
      for (const line of recipe.lines) {
        const wanted = line.massG || (solvedG[line.id] ?? 0);
        const read = drink!.lines.filter((l) => l.itemId === line.itemId);
        const same = recipe.lines.filter((l) => l.itemId === line.itemId);
        const all = same.reduce((sum, l) => sum + (l.massG || (solvedG[l.id] ?? 0)), 0);
        expect(read.length, `${recipe.id} ${line.itemId}`).toBeGreaterThan(0);
        if (wanted > 0)
          expect(
            read.reduce((s, l) => s + (l.massG?.likely ?? 0), 0) / all,
            `${recipe.id} ${line.itemId}`,
          ).toBeCloseTo(1, 2);
      }
      expect(drink!.steps.filter((s) => !s.implied).map((s) => s.kind)).toEqual(['wash', 'boil', 'strain']);
    }
  });
  it('is found in the source of a page, in a graph, with sections and tags', () => {
    const page = `<html><script type="application/ld+json">{"@context":"https://schema.org","@graph":[{"@type":"WebPage"},
      {"@type":["Recipe","NewsArticle"],"name":"Red &amp; tart","recipeIngredient":["100 g dried hibiscus","2 l water"],
      "recipeInstructions":[{"@type":"HowToSection","itemListElement":[{"@type":"HowToStep","text":"<p>Boil the hibiscus in the water for 10 minutes.</p>"}]}]}]}</script></html>`;
    const read = unwrap(readRecipeLd(page, TABLES, kit));
    expect(read.name).toBe('Red & tart');
    expect(read.reading.drinks[0]!.lines.map((l) => l.itemId)).toEqual(['hibiscus-dried', 'water']);
    expect(read.reading.drinks[0]!.steps.at(-1)).toMatchObject({ kind: 'boil' });
  });
  it('says what is wrong with a file that is none', () => {
    expect(readRecipeLd('{"half": ', TABLES, kit)).toMatchObject({ ok: false, problem: { kind: 'notJson' } });
    expect(readRecipeLd('{"@type":"Person"}', TABLES, kit)).toMatchObject({ problem: { kind: 'noRecipe' } });
    expect(readRecipeLd('{"@type":"Recipe","name":"Air"}', TABLES, kit)).toMatchObject({
      problem: { kind: 'noIngredients', name: 'Air' },
    });
  });
});

describe('written down while somebody cooks', () => {
  const at = (min: number) => min * 60_000;
  const entries: CaptureEntry[] = [
    { kind: 'weighed', atMs: at(0), itemId: 'hibiscus-dried', beforeG: 500, afterG: 350 },
    { kind: 'counted', atMs: at(1), itemId: 'cinnamon-stick', pieces: 2 },
    { kind: 'poured', atMs: at(2), itemId: 'water', ml: 5000 },
    { kind: 'deed', atMs: at(5), deed: 'heat' },
    { kind: 'deed', atMs: at(40), deed: 'boil' },
    { kind: 'deed', atMs: at(52), deed: 'strain' },
    { kind: 'poured', atMs: at(60), itemId: 'lime-juice', ml: 100 },
    { kind: 'weighed', atMs: at(62), itemId: 'sugar-white', beforeG: 1000, afterG: 640 },
    { kind: 'made', atMs: at(70), litres: 4.2 },
  ];
  it('becomes a recipe with grams, minutes and ratios', () => {
    const recipe = unwrap(captureToRecipe(entries, { id: 'seen', name: 'Seen' }, TABLES));
    expect(recipe.basisL).toBe(4.2);
    expect(recipe.lines.map((l) => [l.itemId, Math.round(l.massG)])).toEqual([
      ['hibiscus-dried', 150],
      ['cinnamon-stick', 8],
      // As it was poured: 5 L at 0.9982 g/mL.
      ['water', 4991],
      ['lime-juice', 103],
      ['sugar-white', 360],
    ]);
    expect(recipe.steps!.map((s) => s.kind)).toEqual([
      'combine',
      'heat',
      'boil',
      'strain',
      'mix',
      'sweeten',
      'bottle',
    ]);
    // From the boil to the straining: 52 − 40 minutes.
    expect(recipe.steps!.find((s) => s.kind === 'boil')!.minutes).toBe(12);
    expect(checkRecipe(recipe, TABLES).filter((p) => p.severity === 'error')).toEqual([]);
    expect(v.safeParse(recipeSchema, recipe).success).toBe(true);
  });
  it('what was said stands with the step that was on; said before anything was done, with what comes first', () => {
    const said = (min: number, text: string): CaptureEntry => ({ kind: 'said', atMs: at(min), text });
    const spoken = [
      said(-5, 'My mother used a clay pot.'),
      ...entries,
      said(41, 'Only so that it trembles.'),
      said(45, 'When it smells of tea it is done.'),
      said(80, 'Never in the sun.'),
    ];
    const recipe = unwrap(captureToRecipe(spoken, { id: 'seen', name: 'Seen' }, TABLES));
    const words = Object.fromEntries(recipe.steps!.flatMap((s) => (s.text ? [[s.kind, s.text]] : [])));
    expect(words).toEqual({
      combine: 'My mother used a clay pot.',
      boil: 'Only so that it trembles.\nWhen it smells of tea it is done.',
      sweeten: 'Never in the sun.',
    });
    expect(v.safeParse(recipeSchema, recipe).success).toBe(true);
    // It is no thing that went in, and asks nothing at the end.
    expect(unseenOf(spoken, TABLES).map(unseenKey)).toEqual(
      expect.arrayContaining(unseenOf(entries, TABLES).slice(1).map(unseenKey)),
    );
  });
  it('planned at double size keeps its ratios within 1 %', () => {
    const recipe = unwrap(captureToRecipe(entries, { id: 'seen', name: 'Seen' }, TABLES));
    const { program, litres } = planned(recipe, 'own', 8.4);
    expect(litres / 8.4).toBeCloseTo(1, 2);
    const factors = recipe.lines.map(
      (line) => program.lines.find((l) => l.id === line.id)!.massG / line.massG,
    );
    for (const factor of factors) expect(factor / factors[0]!).toBeCloseTo(1, 6);
    // About twice as much: what came out was less than the model expects of so much water.
    expect(factors[0]! / 2).toBeGreaterThan(0.85);
    expect(factors[0]! / 2).toBeLessThan(1.05);
  });
  it('asks at the end for what nobody saw, and lays the answers into the steps', () => {
    const unseen = unseenOf(entries, TABLES);
    expect(unseen.map((u) => u.kind)).toEqual(['washed', 'lid', 'through', 'pressed']);
    const say = { washed: 'yes', lid: 'ajar', through: 'cloth', pressed: 'wring' } as Record<string, string>;
    const answers = Object.fromEntries(unseen.map((u) => [unseenKey(u), say[u.kind]!]));
    const recipe = unwrap(captureToRecipe(entries, { id: 'seen', name: 'Seen' }, TABLES, answers));
    expect(recipe.steps![0]).toMatchObject({ kind: 'wash', lineIds: ['l1', 'l2'] });
    expect(recipe.steps!.find((s) => s.kind === 'boil')).toMatchObject({ lid: 'ajar' });
    expect(recipe.steps!.find((s) => s.kind === 'strain')).toMatchObject({
      passes: [{ by: 'cloth', times: 1 }],
      press: 'wring',
    });
    expect(v.safeParse(recipeSchema, recipe).success).toBe(true);
    // What was seen is not asked, and what is left unsaid stays unsaid.
    const washed: CaptureEntry[] = [{ kind: 'deed', atMs: at(0) - 1, deed: 'wash' }, ...entries];
    expect(unseenOf(washed, TABLES).map((u) => u.kind)).not.toContain('washed');
    const plain = unwrap(captureToRecipe(entries, { id: 'seen', name: 'Seen' }, TABLES));
    expect(plain.steps!.find((s) => s.kind === 'boil')!.lid).toBeUndefined();
  });
  it('says what is missing or cannot be', () => {
    const of = (e: CaptureEntry[]) => captureToRecipe(e, { id: 'x', name: 'x' }, TABLES);
    expect(of(entries.slice(0, 3))).toMatchObject({ problem: { kind: 'noLitres' } });
    expect(of([entries.at(-1)!])).toMatchObject({ problem: { kind: 'nothingIn' } });
    expect(
      of([{ kind: 'weighed', atMs: 0, itemId: 'salt', beforeG: 5, afterG: 9 }, entries.at(-1)!]),
    ).toMatchObject({
      problem: { kind: 'moreAfter', index: 0 },
    });
    expect(of([{ kind: 'counted', atMs: 0, itemId: 'salt', pieces: 3 }, entries.at(-1)!])).toMatchObject({
      problem: { kind: 'noPiece' },
    });
    expect(of([{ kind: 'poured', atMs: 0, itemId: 'moon', ml: 3 }, entries.at(-1)!])).toMatchObject({
      problem: { kind: 'unknownItem' },
    });
  });
});

const step = (
  kind: RecipeStep['kind'],
  minutes: number,
  lineIds: string[] = [],
  extra: Partial<RecipeStep> = {},
): RecipeStep => ({
  id: `${kind}-${lineIds.join('')}-${minutes}`,
  kind,
  minutes,
  lineIds,
  ...extra,
});
const mine = (steps: RecipeStep[], change: Partial<Recipe> = {}): Recipe => ({
  ...BOOK[0]!,
  id: 'mine',
  name: 'Mine',
  methods: ['own'],
  parts: [],
  lines: [
    { ...BOOK[0]!.lines.find((l) => l.id === 'water')! },
    { ...BOOK[0]!.lines.find((l) => l.id === 'calyx')! },
    { ...BOOK[0]!.lines.find((l) => l.id === 'ginger')! },
    { ...BOOK.find((r) => r.id === 'calyx-apple-mint')!.lines.find((l) => l.id === 'mint')! },
    { ...BOOK[0]!.lines.find((l) => l.id === 'sugar')! },
  ],
  steps,
  basisL: 5,
  ...change,
});
const GOOD = [
  step('wash', 5, ['calyx', 'ginger', 'mint']),
  step('prep', 5, ['ginger']),
  step('combine', 4, ['water', 'calyx', 'ginger']),
  step('heat', 0),
  step('boil', 12),
  step('steep', 10, ['mint']),
  step('strain', 15, [], { press: 'press' }),
  step('cool', 0, [], { place: 'iceBath' }),
  step('sweeten', 15, ['sugar']),
  step('bottle', 20),
];

describe('steps that a cook wrote', () => {
  it('behave like a shipped method: the wish is met, all adds up, the bottles are dated', () => {
    const { litres, sim, program } = planned(mine(GOOD), 'own', 6);
    expect(sim.problem).toBeNull();
    expect(litres / 6).toBeCloseTo(1, 2);
    expect(program.steps.map((s) => s.kind)).toEqual([
      'wash',
      'prep',
      'combine',
      'heat',
      'boil',
      'combine',
      'steep',
      'strain',
      'cool',
      'sweeten',
      'bottle',
    ]);
  });
  it('are unrolled for several fills, each with its equal part', () => {
    const { program, sim } = planned(mine(GOOD), 'own', 12, 3);
    expect(program.steps.filter((s) => s.kind === 'boil').map((s) => s.fill)).toEqual([1, 2, 3]);
    expect(sim.problem).toBeNull();
  });
  it('blended without heat, a soak thrown away, a second water', () => {
    const lines = mine([]).lines.filter((l) => l.id !== 'mint');
    const raw = planned(
      mine(
        [
          step('blend', 10, ['water', 'ginger', 'calyx']),
          step('strain', 15, [], { press: 'wring' }),
          step('sweeten', 10, ['sugar']),
          step('bottle', 10),
        ],
        { lines },
      ),
      'own',
      4,
    );
    expect(raw.sim.problem).toBeNull();
    expect(raw.sim.vessels.bottles!.liquor.origins.every((o) => o.heatedMin === 0)).toBe(true);
    const second = { ...lines[0]!, id: 'more', rule: { kind: 'linear' as const }, massG: 4000 };
    const soaked = planned(
      mine(
        [
          step('soak', 20, ['more', 'calyx'], { thrown: true, place: 'counter' }),
          step('combine', 3, ['water', 'ginger']),
          step('heat', 0),
          step('boil', 10),
          step('strain', 10),
          step('sweeten', 10, ['sugar']),
          step('bottle', 10),
        ],
        { lines: [...lines, second] },
      ),
      'own',
      4,
    );
    expect(soaked.sim.problem).toBeNull();
    expect(soaked.sim.flows.some((f) => f.code === 'thrown' && f.volumeL > 0.5)).toBe(true);
  });
  it('are looked over: each trouble is told where it is', () => {
    const codes = (steps: RecipeStep[], change: Partial<Recipe> = {}) =>
      checkRecipe(mine(steps, change), TABLES).map((p) => p.code);
    expect(codes(GOOD)).toEqual([]);
    expect(codes(GOOD.filter((s) => s.kind !== 'sweeten'))).toContain('neverUsed');
    expect(codes([...GOOD.slice(0, 2), step('boil', 10), ...GOOD.slice(2)])).toContain('boilsEmpty');
    expect(codes([GOOD[1]!, GOOD[0]!, ...GOOD.slice(2)])).toContain('peeledBeforeWashed');
    expect(
      codes([
        step('combine', 4, ['water', 'calyx', 'ginger', 'mint']),
        step('heat', 0),
        step('boil', 30),
        ...GOOD.slice(6),
      ]),
    ).toContain('tenderBoiled');
    expect(codes([...GOOD, step('steep', 10, [])])).toContain('stepAfterBottles');
    expect(codes(GOOD.map((s) => (s.kind === 'boil' ? { ...s, minutes: 240 } : s)))).toContain('manyMinutes');
    expect(codes(GOOD.filter((s) => s.kind !== 'strain'))).toContain('notStrained');
    expect(codes([...GOOD.slice(0, 5), step('mix', 3, ['calyx']), ...GOOD.slice(5)])).toContain('usedTwice');
    expect(
      codes(GOOD, {
        lines: mine([]).lines.map((l) => ({ ...l, itemId: l.id === 'calyx' ? 'moon' : l.itemId })),
      }),
    ).toContain('unknownItem');
  });
  it('ingredients of the cook’s own are taken on the safe side', () => {
    const tables = withCustom(
      TABLES,
      ownRows([{ id: 'own-1', name: 'Moon berries', role: 'fruit', dried: true }]),
    );
    expect(tables.ingredients.get('own-1')).toMatchObject({
      rate100PerMin: null,
      acidPct: 0,
      sugarPct: 0,
      foam: 'foamy',
    });
    expect(TABLES.ingredients.has('own-1')).toBe(false);
    expect(withCustom(TABLES, ownRows([]))).toBe(TABLES);
  });
});
