import * as v from 'valibot';

type Schema = v.GenericSchema;
interface Inner {
  type: string;
  pipe?: readonly [Inner, ...unknown[]];
  entries?: Record<string, Inner>;
  key?: string;
  options?: readonly Inner[];
  item?: Inner;
  wrapped?: Inner;
  default?: unknown;
}

/**
 * A schema with its shape alone: which fields there are and of what type, but no limits to them and no tidying up: what must hold for a document to be one at all (a zone that exists, ids that are told apart) stays. For
 * what was written under other limits, by an older version or into an archive: it is read as it stands.
 */
export function withoutBounds<S extends Schema>(schema: S): v.GenericSchema<unknown, v.InferOutput<S>> {
  return bare(schema as unknown as Inner) as unknown as v.GenericSchema<unknown, v.InferOutput<S>>;
}

/** What says how much, how long and how written; what must hold for a document to be one at all stays. */
const BOUNDS = new Set(['min_value', 'max_value', 'min_length', 'max_length', 'regex', 'integer', 'trim']);

function bare(schema: Inner): Schema {
  if (schema.pipe) {
    const [root, ...actions] = schema.pipe;
    const kept = actions.filter((action) => !BOUNDS.has((action as Inner).type));
    const shape = bare({ ...root, pipe: undefined } as unknown as Inner);
    return kept.length ? (v.pipe as unknown as (...parts: unknown[]) => Schema)(shape, ...kept) : shape;
  }
  switch (schema.type) {
    case 'object':
    case 'strict_object':
    case 'loose_object':
      return v.looseObject(
        Object.fromEntries(Object.entries(schema.entries ?? {}).map(([key, s]) => [key, bare(s)])),
      );
    case 'variant':
      return v.variant(
        schema.key ?? 'kind',
        (schema.options ?? []).map(bare) as unknown as Parameters<typeof v.variant>[1],
      );
    case 'union':
      return v.union((schema.options ?? []).map(bare));
    case 'array':
      return v.array(bare(schema.item!));
    case 'optional':
      return v.optional(bare(schema.wrapped!), schema.default as never);
    case 'nullable':
      return v.nullable(bare(schema.wrapped!));
    default:
      return schema as unknown as Schema;
  }
}
