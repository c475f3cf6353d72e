import type { Problem } from '@big-ladle/core/contract';
import { sayField } from './fields.ts';
import { has, say, sayCode } from './say.ts';

/** Why the server refused, in words: by its code, and where that is about a document, by which. */
export function sayProblem(problem: Partial<Problem>): string {
  const { title, params } = problem;
  const [field] = problem.fields ?? [];
  if (title === 'invalid' && field)
    return say('problem.invalid', { field: field.field, why: sayField(field.message) ?? say('field.other') });
  const of = params?.what === undefined ? null : `problem.${title}.${params.what}`;
  if (of && has(of)) return sayCode(of, strings(params ?? {}));
  return title && has(`problem.${title}`)
    ? say(`problem.${title}`, strings(params ?? {}))
    : say('problem.unknown');
}

const strings = (params: Readonly<Record<string, string | number>>): Record<string, string> =>
  Object.fromEntries(Object.entries(params).map(([key, value]) => [key, String(value)]));
