import { readFile, stat } from 'node:fs/promises';
import {
  ARCHIVE_SECTIONS,
  ARCHIVE_V,
  type ArchiveRow,
  type ArchiveSectionName,
  archiveEndSchema,
  archiveHeadSchema,
  archiveV1Schema,
  sectionHeadSchema,
  TOLD_SECTIONS,
} from '@big-ladle/core/exchange';
import * as v from 'valibot';
import { fieldsOf, HttpProblem, invalid } from '../problems.ts';
import { linesOf } from './lines.ts';

/** A row of a section that is read, checked. */
export type ReadRow = {
  [Name in ArchiveSectionName]: { section: Name; row: ArchiveRow<Name> };
}[ArchiveSectionName];

/** What an archive holds, one after another: its head, rows, and lines of sections that are kept as they stand. */
export type Entry = { bytes: number } & (
  | { kind: 'head'; writtenMs: number | null }
  | ({ kind: 'row' } & ReadRow)
  | { kind: 'kept'; head: string; section: string; line: string | null }
);

/** The most bytes of a line; the first may be a whole archive of old. */
const LINE_BYTES = 16 * 1024 * 1024;
const OLD_BYTES = 64 * 1024 * 1024;
const longestOf = (no: number): number => (no === 1 ? OLD_BYTES : LINE_BYTES);

const isRead = (name: string): name is ArchiveSectionName => Object.hasOwn(ARCHIVE_SECTIONS, name);

/**
 * Reads an archive of any version from a file, in pieces.
 * @throws HttpProblem that says what is wrong, and in which line.
 */
export async function* readArchive(file: string): AsyncGenerator<Entry> {
  const lines = linesOf(file, longestOf);
  const first = await lines.next();
  if (first.done) throw new HttpProblem('notAnArchive');
  const head = parsed(first.value.text);
  if (isHead(head) && head.v === ARCHIVE_V) {
    yield { kind: 'head', writtenMs: momentOf(head), bytes: first.value.bytes };
    yield* rowsOf(lines);
    return;
  }
  await lines.return(undefined);
  yield* readOld(head ?? (await wholeOf(file)), first.value.bytes);
}

const isHead = (value: unknown): value is v.InferOutput<typeof archiveHeadSchema> =>
  v.is(archiveHeadSchema, value);
const momentOf = (head: object): number | null =>
  'writtenMs' in head && typeof head.writtenMs === 'number' ? head.writtenMs : null;

/** No document of ours is nested deeper; what is cannot be written out again. */
const MOST_LEVELS = 200;

/** Whether a JSON text is nested too deeply. */
function isTooDeep(text: string): boolean {
  let level = 0;
  let inString = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inString) {
      if (c === 92) i++;
      else if (c === 34) inString = false;
    } else if (c === 34) inString = true;
    else if (c === 123 || c === 91) {
      if (++level > MOST_LEVELS) return true;
    } else if (c === 125 || c === 93) level--;
  }
  return false;
}

/** @returns undefined: it is no JSON that we take. */
function parsed(text: string): unknown {
  if (isTooDeep(text)) return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** A file that is one JSON document over many lines. */
async function wholeOf(file: string): Promise<unknown> {
  if ((await stat(file)).size > OLD_BYTES) throw new HttpProblem('notAnArchive');
  return parsed(await readFile(file, 'utf8'));
}

/** Sections and their rows, up to the end that counts them. */
async function* rowsOf(
  lines: AsyncGenerator<{ no: number; text: string; bytes: number }>,
): AsyncGenerator<Entry> {
  let section: { name: string; head: string; read: boolean; lines: number } | null = null;
  let ended = false;
  for await (const { no, text, bytes } of lines) {
    const wrong = (why: string) => new HttpProblem('archiveLine', { params: { line: no, why } });
    if (ended) throw wrong('afterEnd');
    const value = parsed(text);
    if (value === undefined) throw wrong('noJson');
    if (isOf(value, 'end')) {
      if (!v.is(archiveEndSchema, value) || value.lines !== no - 1) throw new HttpProblem('archiveCutShort');
      ended = true;
    }
    const begins = isOf(value, 'section');
    if ((begins || ended) && section && !section.read && section.lines === 0)
      yield { kind: 'kept', head: section.head, section: section.name, line: null, bytes };
    if (ended) continue;
    if (begins) {
      if (!v.is(sectionHeadSchema, value)) throw wrong('noSection');
      const name = value.section;
      const read = TOLD_SECTIONS.has(name) || (isRead(name) && ARCHIVE_SECTIONS[name].v === value.v);
      section = { name, head: text, read, lines: 0 };
      continue;
    }
    if (!section) throw wrong('noSection');
    section.lines++;
    if (!section.read) yield { kind: 'kept', head: section.head, section: section.name, line: text, bytes };
    else if (isRead(section.name)) yield { kind: 'row', ...rowOf(section.name, value, no), bytes };
  }
  if (!ended) throw new HttpProblem('archiveCutShort');
}

const isOf = (value: unknown, key: string): value is object =>
  typeof value === 'object' && value !== null && Object.hasOwn(value, key) && Object.keys(value)[0] === key;

/** A row as its section wants it. @throws HttpProblem with the line, the section and the field. */
function rowOf(section: ArchiveSectionName, value: unknown, line: number): ReadRow {
  const read = v.safeParse(ARCHIVE_SECTIONS[section].row as v.GenericSchema, value, { abortPipeEarly: true });
  if (read.success) return { section, row: read.output } as ReadRow;
  const fields = fieldsOf(read.issues as readonly v.BaseIssue<unknown>[]);
  const field = fields[0]?.field || section;
  throw new HttpProblem('archiveLine', { params: { line, section, why: 'field', field }, fields });
}

/** An archive that is one JSON document: its fields are the sections. */
function* readOld(value: unknown, bytes: number): Generator<Entry> {
  if (!isHead(value)) throw new HttpProblem('notAnArchive');
  if (value.v > ARCHIVE_V) throw new HttpProblem('archiveNewer');
  const read = v.safeParse(archiveV1Schema, value);
  if (!read.success) throw invalid(read.issues as readonly v.BaseIssue<unknown>[]);
  const { kitchen, recipes, ingredients, stock, batches, events } = read.output;
  yield { kind: 'head', writtenMs: momentOf(value), bytes };
  const sections: [ArchiveSectionName, readonly unknown[]][] = [
    ['kitchen', kitchen === undefined ? [] : [kitchen]],
    ['ingredients', ingredients],
    ['stock', stock],
    ['recipes', recipes],
    ['batches', batches],
    ['events', events],
  ];
  for (const [section, rows] of sections)
    for (const [i, row] of rows.entries()) yield { kind: 'row', ...oldRow(section, row, i), bytes };
}

/** A row of an old archive: what is wrong is told by its place, `batches.3.plan`. */
function oldRow(section: ArchiveSectionName, value: unknown, i: number): ReadRow {
  try {
    return rowOf(section, value, 0);
  } catch (error) {
    const { fields = [] } = (error as HttpProblem).extra;
    const place = section === 'kitchen' ? section : `${section}.${i}`;
    throw new HttpProblem('invalid', {
      fields: fields.map((f) => ({ ...f, field: f.field ? `${place}.${f.field}` : place })),
    });
  }
}
