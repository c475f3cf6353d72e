import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const CORE = import.meta.dirname;
const ROOT = path.resolve(CORE, '../..');
/** Each folder imports only from those named before it. */
const FLOORS = [
  'units',
  'tables',
  'documents',
  'liquor',
  'physics',
  'program',
  'log',
  'plan',
  'balance',
  'instruments',
  'keeping',
  'compare',
  'exchange',
  'jobs',
  'contract',
];

/** The rooms of the program, in the same order. */
const PROGRAM_FLOORS = ['model', 'book', 'simulate', 'compile'];

function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const full = path.join(folder, name);
    return statSync(full).isDirectory() ? filesIn(full) : /\.tsx?$/.test(name) ? [full] : [];
  });
}
const importsOf = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(/from '([^']+)'/g)].map((m) => m[1]!);

describe('rooms and floors', () => {
  const reachUp = (root: string, floors: readonly string[]): string[] => {
    const wrong: string[] = [];
    for (const file of filesIn(root)) {
      if (file.endsWith('.test.ts')) continue;
      const own = floors.indexOf(path.relative(root, file).split(path.sep)[0]!);
      if (own < 0) continue;
      for (const name of importsOf(file)) {
        if (!name.startsWith('.')) continue;
        const other = floors.indexOf(
          path.relative(root, path.resolve(path.dirname(file), name)).split(path.sep)[0]!,
        );
        if (other > own) wrong.push(`${path.relative(root, file)} imports ${name}`);
      }
    }
    return wrong;
  };
  it('every folder of the core imports only from the floors below it', () => {
    expect(reachUp(CORE, FLOORS)).toEqual([]);
    expect(reachUp(path.join(CORE, 'program'), PROGRAM_FLOORS)).toEqual([]);
  });
  it('the core reaches for nothing outside itself but its six packages', () => {
    const packages = new Set(
      filesIn(CORE)
        .filter((f) => !/\.(test|fixtures)\.ts$/.test(f))
        .flatMap(importsOf)
        .filter((n) => !n.startsWith('.')),
    );
    expect([...packages].sort()).toEqual([
      '@date-fns/tz',
      'culori/fn',
      'd3-random',
      'fastest-levenshtein',
      'valibot',
      'yalps',
    ]);
  });
  it('the web reaches the core through its one door, and features do not reach into each other', () => {
    const wrong: string[] = [];
    const web = path.join(ROOT, 'web/src');
    for (const file of filesIn(web)) {
      const own = path.relative(web, file).split(path.sep);
      for (const name of importsOf(file)) {
        // Tests of both floors cook the same drinks in the same kitchen.
        const shared = file.endsWith('.test.ts') && /\/(?:testKitchen|[a-z]+\.fixtures)\.ts$/.test(name);
        if (name.includes('core/src') && !shared) wrong.push(`${own.join('/')} imports ${name}`);
        if (!name.startsWith('.')) continue;
        const other = path.relative(web, path.resolve(path.dirname(file), name)).split(path.sep);
        if (own[0] === 'features' && other[0] === 'features' && own[1] !== other[1])
          wrong.push(`${own.join('/')} imports ${name}`);
        if (own[0] === 'shared' && other[0] === 'features') wrong.push(`${own.join('/')} imports ${name}`);
      }
    }
    expect(wrong).toEqual([]);
  });
});
