import { isDeepStrictEqual } from 'node:util';
import type { BottleFacts, Filling } from '@big-ladle/core/keeping';
import type { Said } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';

/**
 * What a filling gave to its bottles by the rules it was filled under: it stands with the stored event, and every
 * rebuild copies it from there.
 */
export interface Frozen extends Filling {
  /** The log that it was worked out from: when that changes, it is worked out again. */
  key: string;
  /** What would have made it keep longer. */
  longer: readonly Said[];
}

/** What stands with a filling's event, where it is still of this log; else what was worked out now, which then stands. */
export async function freeze(db: Db, eventId: string, computed: Frozen): Promise<Frozen> {
  const row = (await db('event').where({ id: eventId }).first('kept')) as { kept: string | null } | undefined;
  const stored = row?.kept ? (JSON.parse(row.kept) as Frozen) : null;
  if (stored?.key === computed.key) return stored;
  await db('event')
    .where({ id: eventId })
    .update({ kept: JSON.stringify(computed) });
  return computed;
}

/** As it is once it has been stored: what is undefined is not there. */
const plain = (value: object): unknown => JSON.parse(JSON.stringify(value));

/** What today's rules would give, where it is not what stands: the bottle then goes by the earlier of the two. */
export function newerOf(frozen: Frozen, computed: Frozen): Pick<BottleFacts, 'newer'> {
  const figures = ({ clockStartMs, filledC, keeping }: Frozen) => ({ clockStartMs, filledC, keeping });
  const newer = figures(computed);
  return isDeepStrictEqual(plain(newer), plain(figures(frozen))) ? {} : { newer };
}
