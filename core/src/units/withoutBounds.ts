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
}

/**
 * A schema with its shape alone: which fields there are and of what type, but no limits to them and no tidying up. For
 * what was written under other limits, by an older version or into an archive: it is read as it stands.
 */
export function withoutBounds<S extends Schema>(schema: S): v.GenericSchema<unknown, v.InferOutput<S>> {
  return bare(schema as unknown as Inner) as unknown as v.GenericSchema<unknown, v.InferOutput<S>>;
}

function bare(schema: Inner): Schema {
  if (schema.pipe) return bare({ ...schema.pipe[0], pipe: undefined } as unknown as Inner);
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
      return v.optional(bare(schema.wrapped!));
    case 'nullable':
      return v.nullable(bare(schema.wrapped!));
    default:
      return schema as unknown as Schema;
  }
}
