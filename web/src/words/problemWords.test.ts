import './places/pages.ts';
import './places/dataProblems.ts';
import './places/photos.ts';
import { PROBLEMS } from '@big-ladle/core/contract';
import { describe, expect, it } from 'vitest';
import { sayProblem } from './problemWords.ts';
import { has } from './say.ts';

describe('what the server refuses', () => {
  it.each(Object.keys(PROBLEMS))('%s has a sentence', (code) => {
    expect(has(`problem.${code}`)).toBe(true);
  });
  it('is told of which document, and with its figures', () => {
    expect(sayProblem({ title: 'changedElsewhere', params: { what: 'plan' } })).toBe(
      'This plan was changed in another window. Nothing was overwritten.',
    );
    expect(sayProblem({ title: 'notFound', params: { what: 'batch', id: 'none' } })).toBe(
      'There is no batch with the id none.',
    );
    expect(sayProblem({ title: 'unknownPlace', params: { id: 'attic' } })).toContain('attic');
  });
  it('of a field says which and why', () => {
    const fields = [{ field: 'kitchen.roomC', message: 'between:5:45' }];
    expect(sayProblem({ title: 'invalid', fields })).toMatch(/kitchen\.roomC.*5.*45/);
  });
  it('of something that is not ours is told plainly', () => {
    expect(sayProblem({})).toBe('The server could not do that.');
    expect(sayProblem({ title: 'odd' as never, params: {} })).toBe('The server could not do that.');
  });
});
