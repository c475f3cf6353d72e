import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { kitchenServer, said } from '../testing/kitchen.ts';
import { show } from '../testing/render.tsx';
import { takeEvents, useItems } from './queries.ts';

function Shelf() {
  return <p data-testid="shelf">{useItems().data?.items.length ?? '-'}</p>;
}

it('a first answer that set out before something was stored does not pass for new', async () => {
  const server = kitchenServer([]);
  const answers: ((items: unknown[]) => void)[] = [];
  server.answers.items = () =>
    new Promise((resolve) => answers.push((items) => resolve({ items, leftovers: [] })));
  show(<Shelf />);
  await vi.waitFor(() => expect(answers).toHaveLength(1));
  // Meanwhile a bottle is filled: what is on its way does not know of it.
  takeEvents(
    [said('one', 1, { kind: 'finished', body: {} } as never)].map(
      (e) => ({ ...e, kind: 'bottled' }) as never,
    ),
  );
  await vi.waitFor(() => expect(answers).toHaveLength(2));
  answers[0]!([]);
  answers[1]!([{}]);
  await vi.waitFor(() => expect(screen.getByTestId('shelf').textContent).toBe('1'));
});
