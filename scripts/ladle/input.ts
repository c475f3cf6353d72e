import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import * as v from 'valibot';
import { InputProblem, UsageProblem } from './problems.ts';

/** The text of a file, or of standard input. @throws InputProblem where it cannot be read. */
export function textOf(file: string | undefined): string {
  try {
    return readFileSync(file === undefined || file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    throw new InputProblem(`${file ?? 'standard input'}: ${(error as Error).message}`);
  }
}

/** A JSON document. @throws InputProblem where it is none. */
export function jsonOf(file: string | undefined): unknown {
  const text = textOf(file);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new InputProblem(`${file ?? 'standard input'} is no JSON: ${(error as Error).message}`);
  }
}

/** A value by a schema. @throws InputProblem that names the first thing that is wrong, and where. */
export function checked<S extends v.GenericSchema>(
  schema: S,
  value: unknown,
  what: string,
): v.InferOutput<S> {
  const parsed = v.safeParse(schema, value);
  if (parsed.success) return parsed.output;
  const [issue] = parsed.issues;
  const path = issue.path?.map((p) => String(p.key)).join('.') ?? '';
  throw new InputProblem(`${what}${path ? `, at ${path}` : ''}: ${issue.message}`);
}

type Options = NonNullable<Parameters<typeof parseArgs>[0]>['options'];

/** Options and one file. @throws UsageProblem for an option that is not known, or a file too many. */
export function argsOf<O extends NonNullable<Options>>(args: readonly string[], options: O) {
  try {
    const parsed = parseArgs({ args: [...args], options, allowPositionals: true, strict: true });
    if (parsed.positionals.length > 1) throw new UsageProblem(`one file, not ${parsed.positionals.length}`);
    return { values: parsed.values, file: parsed.positionals[0] };
  } catch (error) {
    throw error instanceof UsageProblem ? error : new UsageProblem((error as Error).message);
  }
}

/** A positive number of an option. @throws UsageProblem where it is none. */
export function numberOf(value: string | boolean | undefined, name: string): number | undefined {
  if (value === undefined) return undefined;
  const n = Number(value);
  if (!Number.isFinite(n) || n <= 0)
    throw new UsageProblem(`--${name} wants a positive number, not "${value}"`);
  return n;
}
