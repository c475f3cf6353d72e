/** Archives in tests: taken apart and put together. */
import { isDeepStrictEqual } from 'node:util';

type Sections = Record<string, unknown[]>;

/** The rows of an archive by their section. */
export function sectionsOf(text: string): Sections {
  const sections: Sections = {};
  let rows: unknown[] = [];
  for (const line of text.trimEnd().split('\n').slice(1, -1)) {
    const value = JSON.parse(line) as { section?: string };
    if (value.section === undefined) rows.push(value);
    else {
      rows = [];
      sections[value.section] = rows;
    }
  }
  return sections;
}

/** An archive with such sections, each of the version that is read today unless it is said. */
export function archiveOf(sections: Readonly<Record<string, readonly unknown[]>>, v = 1): string {
  const lines = [
    { format: 'big-ladle-archive', v: 2, writtenMs: 0 },
    ...Object.entries(sections).flatMap(([section, rows]) => [{ section, v }, ...rows]),
  ].map((value) => JSON.stringify(value));
  return [...lines, JSON.stringify({ end: true, lines: lines.length }), ''].join('\n');
}

/** Lines of two archives that do not say the same, but for the moment at which they were written; cut to what can be read. */
export function apart(one: string, two: string): string[] {
  const [a, b] = [one, two].map((text) => text.trimEnd().split('\n').slice(1)) as [string[], string[]];
  return Array.from({ length: Math.max(a.length, b.length) }, (_, i) => i)
    .filter((i) => !isDeepStrictEqual(JSON.parse(a[i] ?? 'null'), JSON.parse(b[i] ?? 'null')))
    .flatMap((i) => [a[i], b[i]].map((line) => `${i + 2}: ${line?.slice(0, 120)}`));
}
