import type { LogEvent } from '@big-ladle/core/log';
import { act, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useOutbox } from '../../../shared/outboxStore.ts';
import type { FakeServer } from '../../../testing/fakeServer.ts';
import { begunDoc, EVENING_MS, kitchenServer } from '../../../testing/kitchen.ts';
import { show } from '../../../testing/render.tsx';
import { StovePage } from './StovePage.tsx';

/** The stove at the beginning of a step, a minute later. */
async function atStove(step: string, heading: string): Promise<FakeServer> {
  const server = kitchenServer([begunDoc('one', step)]);
  show(
    <Routes>
      <Route path="/batches/:id/stove" element={<StovePage />} />
    </Routes>,
    '/batches/one/stove',
  );
  await vi.waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(heading), 10_000);
  return server;
}

/** What was said so far, by kind. */
const said = (server: FakeServer): LogEvent[] =>
  server.askedOf('events').flatMap((a) => (a.body as { events: LogEvent[] }).events);

/** Lets so many seconds go by. */
const pass = (seconds: number) => act(() => vi.advanceTimersByTimeAsync(seconds * 1000));

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

describe('the forms at the stove', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: EVENING_MS + 60_000, toFake: ['Date', 'setInterval', 'clearInterval'] });
    useOutbox.setState({ pending: [], stored: [], held: {}, offline: false });
  });

  it('a step is ended with the wide button, and taken back', async () => {
    const server = await atStove('boil', 'Boil gently');
    await userEvent.click(screen.getByTestId('done'));
    await vi.waitFor(() => expect(said(server).map((e) => e.kind)).toEqual(['stepEnded']));
    expect(screen.getByRole('heading', { level: 1 }).textContent).not.toBe('Boil gently');
    await press(/^Undo/);
    await vi.waitFor(() => expect(said(server).map((e) => e.kind)).toEqual(['stepEnded', 'undone']));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Boil gently');
  });

  it('a large loss is asked about, and the question stands while the pot cools', async () => {
    const server = await atStove('strain', 'Strain');
    for (let jug = 0; jug < 6; jug++) await press('One jug more');
    await press(/^hot, about/);
    await press('Enter it');
    expect(screen.getByTestId('loss-slip')).toBeTruthy();
    expect(said(server)).toEqual([]);
    await pass(11);
    expect(screen.getByTestId('loss-slip')).toBeTruthy();
    await press('It is so, enter it');
    await vi.waitFor(() => expect(said(server).map((e) => e.kind)).toEqual(['measured']));
  });

  it('by taste: a dose and a word on it, each said with its step', async () => {
    const server = await atStove('sweeten', 'Sweeten by taste');
    await userEvent.click(screen.getByTestId('dose'));
    await vi.waitFor(() => expect(said(server).map((e) => e.kind)).toEqual(['added']));
    await press('not sweet enough');
    await vi.waitFor(() => expect(said(server).map((e) => e.kind)).toEqual(['added', 'tasted']));
    expect(said(server).every((e) => 'stepId' in e.body && e.body.stepId === 'sweeten')).toBe(true);
  });
});
