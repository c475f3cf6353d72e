import type { Gathering } from '@big-ladle/core/contract';
import type { GatheringDoc } from '@big-ladle/core/documents';
import type { FeastTimetable } from '@big-ladle/core/gathering';
import type { Db } from '../db/db.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem, notFound } from '../problems.ts';

export interface GatheringRow {
  id: string;
  version: number;
  serves_at_ms: number;
  doc: string;
  timetable: string | null;
  created_ms: number;
  updated_ms: number;
}

const gatheringFrom = (r: GatheringRow): Gathering => ({
  id: r.id,
  version: r.version,
  gathering: JSON.parse(r.doc) as GatheringDoc,
  timetable: r.timetable === null ? null : (JSON.parse(r.timetable) as FeastTimetable),
  createdMs: r.created_ms,
  updatedMs: r.updated_ms,
});

export const gatheringToRow = (g: Gathering): GatheringRow => ({
  id: g.id,
  version: g.version,
  serves_at_ms: g.gathering.servesAtMs,
  doc: JSON.stringify(g.gathering),
  timetable: g.timetable && JSON.stringify(g.timetable),
  created_ms: g.createdMs,
  updated_ms: g.updatedMs,
});

/** All of them, the first to be served first. */
export async function gatherings(db: Db): Promise<Gathering[]> {
  const rows = (await db('gathering').orderBy(['serves_at_ms', 'id'])) as GatheringRow[];
  return rows.map(gatheringFrom);
}

/**
 * Stores what was settled of a gathering; the same again is the same.
 * @param sent version 0 where it is new, else the one that was seen. @throws 409 with both when it was changed meanwhile.
 */
export async function saveGathering(
  db: Db,
  id: string,
  sent: { version: number; gathering: GatheringDoc },
  nowMs: number,
): Promise<Outcome<Gathering>> {
  return db.transaction(async (trx) => {
    const row = (await trx('gathering').where({ id }).first()) as GatheringRow | undefined;
    const stored = row && gatheringFrom(row);
    if (stored && JSON.stringify(stored.gathering) === JSON.stringify(sent.gathering))
      return { answer: stored };
    if ((stored?.version ?? 0) !== sent.version) {
      if (!stored) throw notFound('gathering', id);
      throw new HttpProblem('changedElsewhere', {
        params: { what: 'gathering' },
        stored: stored.gathering,
        sent: sent.gathering,
      });
    }
    const next: Gathering = {
      id,
      version: sent.version + 1,
      gathering: sent.gathering,
      timetable: stored?.timetable ?? null,
      createdMs: stored?.createdMs ?? nowMs,
      updatedMs: nowMs,
    };
    await trx('gathering').insert(gatheringToRow(next)).onConflict('id').merge();
    return {
      answer: next,
      changed: [{ doc: 'gathering', id, version: next.version }],
      ...(stored ? {} : { created: `/api/gatherings/${id}` }),
    };
  });
}

/** Keeps hours that a device has found, so that all devices tell the same. @throws 404 when there is no such gathering. */
export async function keepTimetable(
  db: Db,
  id: string,
  timetable: FeastTimetable,
): Promise<Outcome<Gathering>> {
  return db.transaction(async (trx) => {
    const row = (await trx('gathering').where({ id }).first()) as GatheringRow | undefined;
    if (!row) throw notFound('gathering', id);
    const next = { ...row, timetable: JSON.stringify(timetable) };
    if (next.timetable === row.timetable) return { answer: gatheringFrom(row) };
    await trx('gathering').where({ id }).update({ timetable: next.timetable });
    return { answer: gatheringFrom(next), changed: [{ doc: 'gathering', id, version: row.version }] };
  });
}

/** @throws 409 when it was changed meanwhile, 404 when there is none. */
export async function dropGathering(db: Db, id: string, version: number): Promise<Outcome<undefined>> {
  const gone = await db('gathering').where({ id, version }).del();
  if (gone === 0) {
    if (!(await db('gathering').where({ id }).first('id'))) throw notFound('gathering', id);
    throw new HttpProblem('changedElsewhere', { params: { what: 'gathering' } });
  }
  return { answer: undefined, changed: [{ doc: 'gathering', id, version }] };
}
