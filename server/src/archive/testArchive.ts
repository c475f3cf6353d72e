/** Archives in tests: taken apart and put together. */

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
