import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const CORE = import.meta.dirname;
const ROOT = path.resolve(CORE, '../..');
/** Each folder imports only from those named before it. */
const FLOORS = [
  'units',
  'schedule',
  'tables',
  'documents',
  'liquor',
  'physics',
  'program',
  'log',
  'logbook',
  'learn',
  'plan',
  'balance',
  'instruments',
  'keeping',
  'compare',
  'exchange',
  'gathering',
  'jobs',
  'contract',
];

/** The rooms of the program, in the same order. */
const PROGRAM_FLOORS = ['model', 'book', 'simulate', 'compile'];
/** The folders of the server, in the same order. */
const SERVER_FLOORS = [
  'db',
  'services',
  'backup',
  'opening',
  'network',
  'instruments',
  'learning',
  'archive',
  'demo',
  'routes',
];
/** The folders of the screens, in the same order. */
const WEB_FLOORS = ['theme', 'words', 'workers', 'shared', 'features', 'app'];
const WEB = path.join(ROOT, 'web/src');
/** The core is entered through its doors, each wide enough to be worth one and narrow enough to be read. */
const DOOR_NAMES = { least: 20, most: 60 };

const isTest = (file: string): boolean =>
  /\.(?:test|fixtures)\.tsx?$/.test(file) || /(?:^|\/)test[A-Z]\w*\.ts$/.test(file);

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
      if (isTest(file)) continue;
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
  it('the core reaches for nothing outside itself but its nine packages', () => {
    const packages = new Set(
      filesIn(CORE)
        .filter((f) => !/\.(test|fixtures)\.ts$/.test(f))
        .flatMap(importsOf)
        .filter((n) => !n.startsWith('.')),
    );
    expect([...packages].sort()).toEqual([
      '@date-fns/tz',
      '@sindresorhus/fnv1a',
      'culori/fn',
      'd3-random',
      'fastest-levenshtein',
      'gaussian',
      'ml-matrix',
      'valibot',
      'yalps',
    ]);
  });
  it('the core has doors of 20 to 60 names, each name behind one of them', () => {
    const doors = filesIn(path.join(CORE, 'doors')).map((file) => ({
      name: path.basename(file, '.ts'),
      names: [...readFileSync(file, 'utf8').matchAll(/export (?:type )?\{([^}]*)\}/g)].flatMap((m) =>
        m[1]!
          .split(',')
          .map((n) => n.trim())
          .filter((n) => n !== ''),
      ),
    }));
    const all = doors.flatMap((d) => d.names);
    expect(all.filter((n, i) => all.indexOf(n) !== i)).toEqual([]);
    expect(
      doors
        .filter((d) => d.names.length < DOOR_NAMES.least || d.names.length > DOOR_NAMES.most)
        .map((d) => `${d.name}: ${d.names.length}`),
    ).toEqual([]);
  });
  it('every name behind a door is asked for by somebody outside', () => {
    const outside = ['server', 'web', 'e2e', 'scripts']
      .flatMap((folder) => filesIn(path.join(ROOT, folder)))
      .map((file) => readFileSync(file, 'utf8'))
      .join('\n');
    const asked = new Set([...outside.matchAll(/\w+/g)].map((m) => m[0]));
    const names = filesIn(path.join(CORE, 'doors')).flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/(\w+)(?=[,\s]*(?:,|\}))/g)].map((m) => m[1]!),
    );
    expect(names.filter((n) => !asked.has(n))).toEqual([]);
  });
  it('every folder of the screens imports only from those below it, and the core through its doors', () => {
    expect(reachUp(WEB, WEB_FLOORS)).toEqual([]);
    const around = filesIn(WEB).flatMap((file) =>
      importsOf(file)
        // Tests of both floors cook the same drinks in the same kitchen.
        .filter((name) => name.includes('core/src') && !isTest(file))
        .map((name) => `${path.relative(WEB, file)} imports ${name}`),
    );
    expect(around).toEqual([]);
  });
  it('features do not reach into each other, and nobody but a test into what tests stand on', () => {
    const wrong: string[] = [];
    for (const file of filesIn(WEB)) {
      const own = path.relative(WEB, file).split(path.sep);
      for (const name of importsOf(file)) {
        if (!name.startsWith('.')) continue;
        const other = path.relative(WEB, path.resolve(path.dirname(file), name)).split(path.sep);
        const elsewhere = own[0] === 'features' && other[0] === 'features' && own[1] !== other[1];
        const ofTests = other[0] === 'testing' && own[0] !== 'testing' && !isTest(file);
        if (elsewhere || ofTests) wrong.push(`${own.join('/')} imports ${name}`);
      }
    }
    expect(wrong).toEqual([]);
  });
  it('every folder of the server imports only from those below it', () => {
    expect(reachUp(path.join(ROOT, 'server/src'), SERVER_FLOORS)).toEqual([]);
  });
  it('no file imports itself by way of others', () => {
    expect(circleIn(CORE)).toBeNull();
    expect(circleIn(path.join(ROOT, 'server/src'))).toBeNull();
    expect(circleIn(WEB)).toBeNull();
  });
});

/** The first circle of imports among the files of a folder; null: there is none. */
function circleIn(folder: string): string | null {
  const graph = new Map(
    filesIn(folder).map((file) => [
      file,
      importsOf(file)
        .filter((name) => name.startsWith('.'))
        .map((name) => path.resolve(path.dirname(file), name)),
    ]),
  );
  const done = new Set<string>();
  const visit = (file: string, way: readonly string[]): string | null => {
    const again = way.indexOf(file);
    if (again >= 0) return [...way.slice(again), file].map((f) => path.relative(folder, f)).join(' > ');
    if (done.has(file)) return null;
    for (const next of graph.get(file) ?? []) {
      const circle = visit(next, [...way, file]);
      if (circle) return circle;
    }
    done.add(file);
    return null;
  };
  for (const file of graph.keys()) {
    const circle = visit(file, []);
    if (circle) return circle;
  }
  return null;
}
