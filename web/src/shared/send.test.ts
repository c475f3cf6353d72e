import { ROUTES } from '@big-ladle/core/contract';
import { expect, it } from 'vitest';
import { CHANGES } from './send.ts';

it('every route that changes something says what it makes old', () => {
  const changing = Object.entries(ROUTES)
    .filter(([, route]) => route.method !== 'GET')
    .map(([name]) => name);
  expect([...CHANGES].sort()).toEqual(changing.sort());
});
