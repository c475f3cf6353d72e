import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { ARCHIVE_SECTIONS, outsideToday } from './archive.ts';
import { FINAL_PROBLEMS, PROBLEMS } from './problems.ts';
import { addressOf, type Sent } from './route.ts';
import { ROUTES } from './routes.ts';

describe('an address', () => {
  it('has its params and its query in it, written so that nothing breaks it', () => {
    expect(addressOf(ROUTES.startBatch, { params: { id: 'b1' } })).toBe('/batches/b1/start');
    expect(addressOf(ROUTES.item, { params: { id: 'a/b ?' } })).toBe('/items/a%2Fb%20%3F');
    expect(
      addressOf(ROUTES.batches, { query: { status: 'on', before: '12-a', rehearsals: undefined } }),
    ).toBe('/batches?status=on&before=12-a');
  });
  it('is given by types: what a route needs must be there, what it has not must not', () => {
    const asked: Sent<typeof ROUTES.savePlan>[] = [];
    // @ts-expect-error The path has an id, and a plan is sent.
    asked.push({});
    // @ts-expect-error It takes a plan and a version.
    asked.push({ params: { id: 'b' }, body: { plan: 3 } });
    const nothing: Sent<typeof ROUTES.kitchen> = {};
    expect([asked.length, nothing]).toEqual([2, {}]);
  });
});

describe('routes', () => {
  const all = Object.values(ROUTES);
  it('are each one: no two have the same method and shape', () => {
    const shapes = all.map((r) => `${r.method} ${r.path.replace(/:\w+/g, ':')}`);
    expect(new Set(shapes).size).toBe(all.length);
  });
  it('with a fixed word stand before those with an id in its place', () => {
    const index = (path: string) => all.findIndex((r) => r.method === 'GET' && r.path === path);
    expect(index('/items/gone')).toBeLessThan(index('/items/:id'));
    expect(index('/items/use')).toBeLessThan(index('/items/:id'));
  });
});

describe('problems', () => {
  it('are answered as what they are: never as done', () => {
    for (const status of Object.values(PROBLEMS)) expect(status).toBeGreaterThanOrEqual(400);
    for (const code of FINAL_PROBLEMS) expect(PROBLEMS).toHaveProperty(code);
  });
});

describe('an older archive', () => {
  const recipe = {
    id: 'mine',
    version: 1,
    name: 'Bell\u0007 drink',
    family: 'own',
    serve: 'cold',
    lines: [
      {
        id: 'w',
        kind: 'liquid',
        itemId: 'water',
        massG: 900_000,
        rule: { kind: 'toVolume' },
        stream: 'pot',
        wash: 'none',
        prep: null,
      },
    ],
    basisL: 4,
    methods: ['own'],
    press: 'press',
    cloth: false,
    targetSweetnessPct: 0,
    times: {},
  };
  const { row, today } = ARCHIVE_SECTIONS.recipes;
  const archived = (more: object) => ({
    recipeId: 'mine',
    version: 1,
    parent: null,
    createdMs: 0,
    recipe: { ...recipe, ...more },
  });
  it('is read by its shape: what is outside of today’s limits stays as it stands, and is named', () => {
    const read = v.parse(row, archived({}));
    expect(read.recipe).toEqual(recipe);
    expect(outsideToday(today, read)).toMatchObject({ field: 'recipe.name' });
    expect(outsideToday(today, archived({ name: 'Plain' }))).toEqual({
      field: 'recipe.lines.0.massG',
      code: 'between:0:200000',
    });
  });
  it('with two lines of one id, or a field of another type, is no archive of ours', () => {
    expect(v.safeParse(row, archived({ lines: [...recipe.lines, ...recipe.lines] })).success).toBe(false);
    expect(v.safeParse(row, archived({ basisL: 'four' })).success).toBe(false);
  });
});
