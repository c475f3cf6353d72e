import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { ROLE_WORDS } from './rules.fixtures.ts';
import { SHIPPED_TABLES } from './tables/index.ts';

const ROOT = path.resolve(import.meta.dirname, '../..');
/** Where ids are data: the tables, the book, the demo's made-up kitchen, sentences, pictures. */
const DATA = [
  'core/src/tables/',
  'core/src/program/book/book.ts',
  'core/src/testKitchen.ts',
  'core/src/keeping/fixtures.ts',
  'core/src/keeping/law/',
  'server/src/demo/',
  'web/src/words/',
];
const IDS: ReadonlySet<string> = new Set([
  ...SHIPPED_TABLES.ingredients.keys(),
  ...SHIPPED_TABLES.liquids.keys(),
  ...SHIPPED_TABLES.sweeteners.keys(),
]);

function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const full = path.join(folder, name);
    if (statSync(full).isDirectory()) return filesIn(full);
    return /\.tsx?$/.test(name) && !/\.(?:test|fixtures)\.tsx?$/.test(name) ? [full] : [];
  });
}

const sources = ['core/src', 'server/src', 'web/src']
  .flatMap((folder) => filesIn(path.join(ROOT, folder)))
  .map((file) => ({ name: path.relative(ROOT, file), text: readFileSync(file, 'utf8') }))
  .filter(({ name }) => !DATA.some((data) => name.startsWith(data)));

/** Every place in the rules that a pattern finds, as "file:line: text". */
function found(pattern: RegExp, isBad: (match: RegExpMatchArray) => boolean = () => true): string[] {
  return sources.flatMap(({ name, text }) =>
    text.split('\n').flatMap((line, i) => {
      if (/^\s*(?:\/\/|\*|\/\*)/.test(line)) return [];
      return [...line.matchAll(pattern)].some(isBad) ? [`${name}:${i + 1}: ${line.trim()}`] : [];
    }),
  );
}

describe('rules hang on traits', () => {
  it('reads enough files to mean something', () => expect(sources.length).toBeGreaterThan(200));
  it('no rule names an item by its id', () => {
    expect(found(/'([a-z][a-z0-9-]*)'/g, (m) => IDS.has(m[1]!) && !ROLE_WORDS.has(m[1]!))).toEqual([]);
  });
  it('nor compares an id with a word, where an id is a word of another kind as well', () => {
    expect(
      found(
        /\b(?:itemId|ingredientId|itemIds|ingredientIds|sourId|fruitId)\b[^=<>&|?]*(?:===|!==)\s*'([^']+)'/g,
        (m) => IDS.has(m[1]!),
      ),
    ).toEqual([]);
    expect(
      found(/\b(?:itemIds|ingredientIds)\.(?:has|includes)\('([^']+)'\)/g, (m) => IDS.has(m[1]!)),
    ).toEqual([]);
  });
  it('nor reads the spelling of an id', () => {
    expect(found(/\b(?:itemId|ingredientId)\.(?:startsWith|endsWith|includes|match|search)\(/g)).toEqual([]);
    expect(found(/\/[^/\n]+\/[a-z]*\.test\((?:id|itemId|ingredientId|row\.id)\)/g)).toEqual([]);
    expect(found(/\b(?:row|r|item)\.id\.(?:startsWith|endsWith|includes)\('([a-z-]+)'\)/g)).toEqual([]);
  });
});
