import type { Batch, BatchStatus, Pins, Rehearsal } from '@big-ladle/core/contract';
import { EMPTY_KITCHEN, type Kitchen, kitchenSchema, type PlanDoc } from '@big-ladle/core/documents';
import type { Learnt } from '@big-ladle/core/learn';
import { type LogEvent, readStored } from '@big-ladle/core/log';
import type { Closure, ContainerForm, ContainerMaterial } from '@big-ladle/core/shelf';
import * as v from 'valibot';
import { byText } from './byText.ts';
import type { Db } from './db.ts';

export interface BatchRow {
  id: string;
  status: BatchStatus;
  plan: string;
  version: number;
  pins: string | null;
  created_ms: number;
  updated_ms: number;
  rehearsal?: string | null;
  away_ms?: number | null;
  /** From its projection; null while there is none. */
  done?: number | null;
}

const joined = (db: Db) =>
  db('batch').leftJoin('batch_now', 'batch.id', 'batch_now.batch_id').select('batch_now.done');

/** Batches with what their projections say of them: whether they are over. */
export const batchRows = (db: Db) => joined(db).select('batch.*');

/** The same without what they have pinned, which is most of a batch: for lists. */
export const batchRowsInShort = (db: Db) =>
  joined(db).select(
    ...['id', 'status', 'plan', 'version', 'created_ms', 'updated_ms', 'rehearsal', 'away_ms'].map(
      (c) => `batch.${c}`,
    ),
    db.raw('null as pins'),
  );

/** Pins as stored; what an older kitchen was not asked for takes its usual value. */
const pinsFrom = byText(32, (text): Pins => {
  const pins = JSON.parse(text) as Pins;
  return { ...pins, kitchen: { ...EMPTY_KITCHEN, ...pins.kitchen } };
});

const readEvent = byText(4000, (text) => ({ event: readStored(JSON.parse(text)) }));
/** An entry as stored; null: it is of a kind that is not known. */
export const eventFrom = (text: string): LogEvent | null => readEvent(text).event;

export const batchFromRow = (row: BatchRow): Batch => ({
  id: row.id,
  status: row.status === 'planned' ? 'planned' : row.done ? 'done' : 'on',
  plan: JSON.parse(row.plan) as PlanDoc,
  version: row.version,
  pins: row.pins === null ? null : pinsFrom(row.pins),
  createdMs: row.created_ms,
  updatedMs: row.updated_ms,
  ...(row.rehearsal ? { rehearsal: JSON.parse(row.rehearsal) as Rehearsal } : {}),
  ...(row.away_ms ? { awayMs: row.away_ms } : {}),
});

export const batchToRow = (batch: Batch): Omit<BatchRow, 'done'> => ({
  id: batch.id,
  // Whether it is over is said by its log.
  status: batch.status === 'planned' ? 'planned' : 'on',
  plan: JSON.stringify(batch.plan),
  version: batch.version,
  pins: batch.pins === null ? null : JSON.stringify(batch.pins),
  created_ms: batch.createdMs,
  updated_ms: batch.updatedMs,
  rehearsal: batch.rehearsal ? JSON.stringify(batch.rehearsal) : null,
  away_ms: batch.awayMs ?? null,
});

export const eventToRow = (event: LogEvent, receivedMs: number) => ({
  id: event.id,
  stream_kind: event.stream.kind,
  stream_id: event.stream.id,
  kind: event.kind,
  at_ms: event.atMs,
  device_id: event.deviceId,
  device_seq: event.deviceSeq,
  body: JSON.stringify(event),
  received_ms: receivedMs,
});

/** What of a kitchen has a table of its own. */
const TABLED = ['pots', 'burners', 'bottles', 'measures', 'cupWeights'] as const satisfies (keyof Kitchen)[];
type Tabled = (typeof TABLED)[number];
type Setting = Exclude<keyof Kitchen, Tabled | 'learnt'>;

/** All else that is kept with a kitchen are single values, as the schema names them. */
const SETTINGS = v.keyof(v.omit(kitchenSchema, [...TABLED, 'learnt'])).options satisfies readonly Setting[];

interface VesselRow {
  id: string;
  kind: 'pot' | 'bottle';
  position: number;
  name: string;
  diameter_cm: number;
  height_cm: number | null;
  volume_ml: number | null;
  material: string;
  lid: number;
  mass_g: number | null;
  shape_guessed: number | null;
  count: number | null;
  form: string | null;
  closure: string | null;
}

/** What the batches have told of the kitchen; null: nothing yet. */
async function believedNow(db: Db): Promise<Learnt | null> {
  const row = (await db('learning').orderBy('version', 'desc').first('version', 'factors', 'spreads')) as
    | { version: number; factors: string; spreads: string }
    | undefined;
  if (!row || row.factors === '{}') return null;
  return { version: row.version, factors: JSON.parse(row.factors), spreads: JSON.parse(row.spreads) };
}

/** The kitchen with its version, put together from its tables; an empty one before the first save. */
export async function readKitchen(db: Db): Promise<{ version: number; kitchen: Kitchen }> {
  const settings = new Map(
    ((await db('setting').select('key', 'value')) as { key: string; value: string }[]).map((r) => [
      r.key,
      JSON.parse(r.value),
    ]),
  );
  const vessels = (await db('vessel').orderBy('position')) as VesselRow[];
  const burners = (await db('burner').orderBy('position')) as {
    id: string;
    name: string;
    kind: 'gas';
    power_w: number;
  }[];
  const measures = (await db('measure').orderBy('position')) as {
    id: string;
    name: string;
    volume_ml: number;
  }[];
  const factors = (await db('factor').where('kind', 'cupWeight')) as {
    subject_id: string;
    measure_id: string;
    value: number;
  }[];
  const learnt = await believedNow(db);
  const values = Object.fromEntries(SETTINGS.filter((k) => settings.has(k)).map((k) => [k, settings.get(k)]));
  return {
    version: (settings.get('kitchenVersion') as number | undefined) ?? 0,
    kitchen: {
      ...EMPTY_KITCHEN,
      ...values,
      ...(learnt ? { learnt } : {}),
      pots: vessels
        .filter((r) => r.kind === 'pot')
        .map((r) => ({
          id: r.id,
          name: r.name,
          diameterCm: r.diameter_cm,
          heightCm: r.height_cm ?? 0,
          material: r.material as Kitchen['pots'][number]['material'],
          lid: r.lid === 1,
          massG: r.mass_g,
          ...(r.shape_guessed ? { shapeGuessed: true } : {}),
        })),
      bottles: vessels
        .filter((r) => r.kind === 'bottle')
        .map((r) => ({
          id: r.id,
          name: r.name,
          volumeMl: r.volume_ml ?? 0,
          diameterCm: r.diameter_cm,
          material: r.material as ContainerMaterial,
          ...(r.form ? { form: r.form as ContainerForm } : {}),
          ...(r.closure ? { closure: r.closure as Closure } : {}),
          count: r.count ?? 0,
        })),
      burners: burners.map((r) => ({ id: r.id, name: r.name, kind: r.kind, powerW: r.power_w })),
      measures: measures.map((r) => ({ id: r.id, name: r.name, volumeMl: r.volume_ml })),
      cupWeights: factors.map((r) => ({
        ingredientId: r.subject_id,
        measureId: r.measure_id,
        massG: r.value,
      })),
    },
  };
}

/** Replaces the kitchen's rows. Call inside a transaction. */
export async function writeKitchen(db: Db, version: number, kitchen: Kitchen): Promise<void> {
  for (const table of ['vessel', 'burner', 'measure', 'factor', 'setting']) await db(table).del();
  const rows: VesselRow[] = [
    ...kitchen.pots.map(
      (p, position): VesselRow => ({
        id: p.id,
        kind: 'pot',
        position,
        name: p.name,
        diameter_cm: p.diameterCm,
        height_cm: p.heightCm,
        volume_ml: null,
        material: p.material,
        lid: p.lid ? 1 : 0,
        mass_g: p.massG,
        shape_guessed: p.shapeGuessed ? 1 : null,
        count: null,
        form: null,
        closure: null,
      }),
    ),
    ...kitchen.bottles.map(
      (b, position): VesselRow => ({
        id: b.id,
        kind: 'bottle',
        position,
        name: b.name,
        diameter_cm: b.diameterCm,
        height_cm: null,
        volume_ml: b.volumeMl,
        material: b.material,
        lid: 0,
        mass_g: null,
        shape_guessed: null,
        count: b.count,
        form: b.form ?? null,
        closure: b.closure ?? null,
      }),
    ),
  ];
  for (const row of rows) await db('vessel').insert(row);
  for (const [position, b] of kitchen.burners.entries()) {
    await db('burner').insert({ id: b.id, position, name: b.name, kind: b.kind, power_w: b.powerW });
  }
  for (const [position, m] of kitchen.measures.entries()) {
    await db('measure').insert({ id: m.id, position, name: m.name, volume_ml: m.volumeMl });
  }
  for (const w of kitchen.cupWeights) {
    await db('factor').insert({
      kind: 'cupWeight',
      subject_id: w.ingredientId,
      measure_id: w.measureId,
      value: w.massG,
    });
  }
  for (const key of SETTINGS) await db('setting').insert({ key, value: JSON.stringify(kitchen[key]) });
  await db('setting').insert({ key: 'kitchenVersion', value: JSON.stringify(version) });
}
