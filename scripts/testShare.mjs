/** How much of the code is tests, tables and catalogues left out. */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './lib.mjs';

const HOUSES = ['core/src', 'server/src', 'web/src', 'e2e', 'scripts'];
/** Rows and sentences: nothing in them is to be tested line by line. */
const TABLES = ['core/src/tables/', 'core/src/program/book/book.ts', 'web/src/words/en/', 'server/src/demo/'];
const isTest = (file) =>
  /\.(?:test|spec|fixtures)\.tsx?$/.test(file) ||
  /^e2e\/|^web\/src\/testing\/|\/(?:fixtures?|law)\//.test(file) ||
  /\/(?:test[A-Z]\w*|fixtures)\.ts$/.test(file);

const filesIn = (folder) =>
  readdirSync(path.join(ROOT, folder)).flatMap((name) => {
    const full = `${folder}/${name}`;
    if (name === 'node_modules') return [];
    return statSync(path.join(ROOT, full)).isDirectory()
      ? filesIn(full)
      : /\.(?:tsx?|mjs)$/.test(name)
        ? [full]
        : [];
  });

/** @returns lines of code and of tests. */
export function linesOfTests() {
  const lines = { code: 0, tests: 0 };
  for (const file of HOUSES.flatMap(filesIn)) {
    const count = readFileSync(path.join(ROOT, file), 'utf8').split('\n').length - 1;
    if (isTest(file)) lines.tests += count;
    else if (!TABLES.some((table) => file.startsWith(table))) lines.code += count;
  }
  return lines;
}
