import {
  EVIDENCE_V,
  type Evidence,
  evidenceOf,
  type LearningChoices,
  type LearningDoc,
  type LearningRow,
  learnFrom,
  madeBatchOf,
  readResiduals,
  USUAL_LEARNING,
  type WhatIsLearnt,
  writeResiduals,
} from '@big-ladle/core/learn';
import { readBatch } from '@big-ladle/core/log';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { isOfFile } from '../db/dataFileError.ts';
import type { Db } from '../db/db.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem } from '../problems.ts';
import { samePlan } from './samePlan.ts';
import { type Spent, spentOn } from './spent.ts';
import { batchOf, eventsOf, streamKindOf, tablesOf } from './streams.ts';

type Told = Omit<WhatIsLearnt, 'learnt'>;
const NOTHING_TOLD: Told = { beliefs: [], notApart: [], letGo: 0 };

export interface LearningDbRow {
  version: number;
  at_ms: number;
  by: LearningRow['by'];
  choices: string;
  factors: string;
  spreads: string;
  batches: number;
  /** What is said of it; null in all but the newest. */
  told: string | null;
}

/** So many of all that was ever believed are kept. */
const KEPT = 200;
/** So many batches, the newest, are read: two years of a house that makes five or six a week. */
const READ = 600;
/** So many are named. */
const NAMED = 50;

export const learningFrom = (r: LearningDbRow): LearningRow => ({
  version: r.version,
  atMs: r.at_ms,
  by: r.by,
  choices: JSON.parse(r.choices),
  factors: JSON.parse(r.factors),
  spreads: JSON.parse(r.spreads),
  batches: r.batches,
});

export const learningToRow = (l: LearningRow): Omit<LearningDbRow, 'told'> => ({
  version: l.version,
  at_ms: l.atMs,
  by: l.by,
  choices: JSON.stringify(l.choices),
  factors: JSON.stringify(l.factors),
  spreads: JSON.stringify(l.spreads),
  batches: l.batches,
});

const newest = (db: Db): Promise<LearningDbRow | undefined> =>
  db('learning').orderBy('version', 'desc').first();

const choicesOf = (row: LearningDbRow | undefined): LearningChoices =>
  row ? JSON.parse(row.choices) : USUAL_LEARNING;

const over = (db: Db, practice: boolean) =>
  db('batch')
    .join('batch_now', 'batch.id', 'batch_now.batch_id')
    .where('batch_now.done', 1)
    .whereNull('batch.away_ms')
    .where((q) => (practice ? q : q.whereNull('batch.rehearsal')));

/** Batches that are over and may count: the newest of them. */
const made = (db: Db, practice: boolean) =>
  over(db, practice).whereIn(
    'batch.id',
    over(db, practice).orderBy('batch.created_ms', 'desc').limit(READ).select('batch.id'),
  );

/** Those of them of which it is not kept yet what they tell. */
const unread = (db: Db, practice: boolean) =>
  made(db, practice)
    .leftJoin('batch_evidence', function () {
      this.on('batch_evidence.batch_id', 'batch.id').andOnVal('batch_evidence.v', EVIDENCE_V);
    })
    .whereNull('batch_evidence.batch_id');

type Tells = Pick<Evidence, 'atMs' | 'residuals'> & { spent: Spent | null };
const TELLS_NOTHING: Tells = { atMs: 0, residuals: [], spent: null };

/** What a batch tells of the kitchen, and what went into it; one that was stopped on its way tells only the latter. */
async function tellsOf(db: Db, batchId: string): Promise<Tells> {
  const batch = await batchOf(db, batchId);
  if (!batch?.pins) return TELLS_NOTHING;
  const nothing = { ...TELLS_NOTHING, atMs: batch.createdMs };
  const { kitchen } = batch.pins;
  const events = await eventsOf(db, streamKindOf(batch), batch.id);
  const tables = tablesOf(batch.pins);
  const lastMs = events.reduce((latest, e) => Math.max(latest, e.atMs), 0);
  const read = readBatch(batch.pins, () => tables, events, lastMs);
  if (!read.ok) return nothing;
  const { log, forecast } = read.value;
  const made = madeBatchOf(batch.id, log);
  const { program, ...around } = samePlan(batch.pins, log.program);
  const told = made ? evidenceOf({ made: { ...made, program }, ...around }) : nothing;
  return { ...told, spent: spentOn(log.program.lines, forecast, log.startedMs ?? lastMs, kitchen.zone) };
}

/**
 * Reads the newest batch of which it is not kept yet what it tells: in one step, so that what is said of it meanwhile is
 * read after it.
 * @param report hears of a batch that cannot be read; it tells nothing, and keeps no other from being read.
 * @returns whether there was one.
 */
export async function readOneBatch(db: Db, report: (error: unknown) => void): Promise<boolean> {
  return db.transaction(async (trx) => {
    const { practice } = choicesOf(await newest(trx));
    const row = await unread(trx, practice).orderBy('batch.created_ms', 'desc').first('batch.id as id');
    if (!row) return false;
    const told = await tellsOf(trx, row.id).catch((error: unknown) => {
      // What the file says is the file's; all else is met in what is stored of this batch.
      if (isOfFile(error)) throw error;
      report(error);
      return TELLS_NOTHING;
    });
    await keepEvidence(trx, row.id, told);
    return true;
  });
}

async function keepEvidence(db: Db, batchId: string, { atMs, residuals, spent }: Tells): Promise<void> {
  await db('batch_evidence')
    .insert({
      batch_id: batchId,
      v: EVIDENCE_V,
      at_ms: atMs,
      readings: residuals.length,
      residuals: writeResiduals({ residuals }),
      spent: spent && JSON.stringify(spent),
    })
    .onConflict('batch_id')
    .merge();
  await markStale(db);
}

/** What was believed does not stand on all that is known any more. */
export async function markStale(db: Db): Promise<void> {
  await db('meta').insert({ key: 'learning', value: 'stale' }).onConflict('key').merge();
}

/** A log has changed: what its batch tells is to be read again. */
export async function forgetEvidence(db: Db, batchId: string): Promise<void> {
  if ((await db('batch_evidence').where({ batch_id: batchId }).del()) > 0) await markStale(db);
}

async function evidenceKept(db: Db, practice: boolean): Promise<Evidence[]> {
  const rows = (await made(db, practice)
    .join('batch_evidence', 'batch_evidence.batch_id', 'batch.id')
    .where('batch_evidence.v', EVIDENCE_V)
    .select('batch.id as id', 'batch_evidence.at_ms as at_ms', 'residuals')) as {
    id: string;
    at_ms: number;
    residuals: string;
  }[];
  return rows.map((r) => ({ batchId: r.id, atMs: r.at_ms, residuals: readResiduals(r.residuals) }));
}

/**
 * Solves all that was read together, where it has changed.
 * @returns the version of what is believed now; null: the same as before.
 */
export async function believeAnew(db: Db, nowMs: number): Promise<number | null> {
  return db.transaction(async (trx) => {
    if (!(await trx('meta').where({ key: 'learning', value: 'stale' }).first())) return null;
    const before = await newest(trx);
    const version = await solveAll(trx, before, choicesOf(before), 'batches', nowMs);
    await trx('meta').where({ key: 'learning' }).del();
    return version;
  });
}

async function solveAll(
  trx: Db,
  before: LearningDbRow | undefined,
  choices: LearningChoices,
  by: LearningRow['by'],
  nowMs: number,
): Promise<number | null> {
  const evidence = await evidenceKept(trx, choices.practice);
  const { learnt, ...told } = learnFrom(evidence, choices, SHIPPED_TABLES, nowMs);
  const next = learningToRow({
    version: (before?.version ?? 0) + 1,
    atMs: nowMs,
    by,
    choices,
    ...learnt,
    batches: new Set(told.beliefs.flatMap((b) => b.batchIds)).size,
  });
  const isAsBefore =
    before?.factors === next.factors &&
    before.spreads === next.spreads &&
    before.choices === next.choices &&
    before.batches === next.batches;
  const isNothing = before === undefined && evidence.every((e) => e.residuals.length === 0);
  if (isNothing && by === 'batches') return null;
  await trx('learning').update({ told: null });
  // Nothing else is believed, but what is said of it may stand on other batches, or have come without it.
  if (isAsBefore) {
    await trx('learning')
      .where({ version: before.version })
      .update({ told: JSON.stringify(told) });
    return null;
  }
  await trx('learning').insert({ ...next, told: JSON.stringify(told) });
  await trx('learning')
    .where('version', '<=', next.version - KEPT)
    .del();
  return next.version;
}

/** What is believed of this kitchen, and what it stands on. */
export async function learningDoc(db: Db): Promise<LearningDoc> {
  const rows = (await db('learning').orderBy('version', 'desc').limit(NAMED)) as LearningDbRow[];
  const row = rows[0];
  const choices = choicesOf(row);
  const before = rows.find((r) => r.choices !== row!.choices);
  const [{ count }] = (await unread(db, choices.practice).count({ count: '*' })) as [{ count: number }];
  const batches = (await made(db, choices.practice)
    .join('batch_evidence', 'batch_evidence.batch_id', 'batch.id')
    .where('batch_evidence.v', EVIDENCE_V)
    .orderBy('batch_evidence.at_ms', 'desc')
    .select('batch.id as id', 'batch_evidence.at_ms as atMs', 'readings')) as LearningDoc['batches'];
  return {
    version: row?.version ?? 0,
    choices,
    choicesBefore: before ? choicesOf(before) : row && row.by === 'choices' ? USUAL_LEARNING : null,
    told: row?.told ? (JSON.parse(row.told) as Told) : NOTHING_TOLD,
    waiting: count,
    batches,
    versions: rows.map((r) => ({ version: r.version, atMs: r.at_ms, by: r.by, batches: r.batches })),
  };
}

/**
 * Keeps what the cook has settled, and believes by it from now on. Nothing that was begun before is changed.
 * @throws 409 with both when it was changed meanwhile.
 */
export async function saveChoices(
  db: Db,
  sent: { version: number; choices: LearningChoices },
  nowMs: number,
): Promise<Outcome<LearningDoc>> {
  return db.transaction(async (trx) => {
    const before = await newest(trx);
    if (JSON.stringify(sent.choices) !== JSON.stringify(choicesOf(before))) {
      if ((before?.version ?? 0) !== sent.version)
        throw new HttpProblem('changedElsewhere', {
          params: { what: 'learning' },
          stored: choicesOf(before),
          sent: sent.choices,
        });
      await solveAll(trx, before, sent.choices, 'choices', nowMs);
    }
    const answer = await learningDoc(trx);
    return { answer, changed: learningChanged(answer.version) };
  });
}

/** What windows are told when something else is believed: plans count with it. */
export const learningChanged = (version: number) =>
  [
    { doc: 'learning', id: 'learning', version },
    { doc: 'kitchen', id: 'kitchen', version },
  ] as const;
