import { act, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { begunDoc, EVENING_MS, kitchenServer, plannedDoc, planOf } from '../../testing/kitchen.ts';
import { show } from '../../testing/render.tsx';
import { usePlans } from '../batchQueries.ts';
import { record } from '../outbox.ts';
import { useOutbox } from '../outboxStore.ts';
import { useBatchState, useBoard } from './state.ts';

const folds = vi.hoisted(() => ({ count: 0 }));
vi.mock('@big-ladle/core/log', async (original) => {
  const core = await original<typeof import('@big-ladle/core/log')>();
  return {
    ...core,
    readBatch: (...args: Parameters<typeof core.readBatch>) => {
      folds.count++;
      return core.readBatch(...args);
    },
  };
});

/** What the stove's home and the stove itself say of one batch. */
function Both({ id }: { id: string }) {
  const { state, unreadable } = useBatchState(id);
  const board = useBoard();
  const onBoard = board.on.find((s) => s.batch.id === id);
  return (
    <>
      <p data-testid="stove">{state?.step?.kind ?? unreadable}</p>
      <p data-testid="board">{onBoard?.step?.kind ?? '-'}</p>
      <p data-testid="broken">{board.unreadable.map((b) => b.id).join()}</p>
      <p data-testid="same">{String(state !== null && onBoard === state)}</p>
    </>
  );
}

const read = (id: string) => screen.getByTestId(id).textContent;

describe('how a batch stands', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: EVENING_MS + 60_000, toFake: ['Date'] });
    useOutbox.setState({ pending: [], stored: [], held: {}, offline: false });
  });

  it('is the same on every screen, worked out once', async () => {
    kitchenServer([begunDoc('one', 'boil')]);
    folds.count = 0;
    show(<Both id="one" />);
    await vi.waitFor(() => expect(read('board')).toBe('boil'));
    expect(read('stove')).toBe('boil');
    expect(read('same')).toBe('true');
    expect(folds.count).toBe(1);
  });

  it('is as it was last tapped, also while nobody answers', async () => {
    const doc = begunDoc('one', 'boil');
    const server = kitchenServer([doc]);
    show(<Both id="one" />);
    await vi.waitFor(() => expect(read('board')).toBe('boil'));
    server.down = true;
    const boil = doc.batch.pins!.program.steps.find((s) => s.kind === 'boil')!;
    const next = doc.batch.pins!.program.steps[doc.batch.pins!.program.steps.indexOf(boil) + 1]!;
    await act(() => record({ kind: 'batch', id: 'one' }, [{ kind: 'stepEnded', body: { stepId: boil.id } }]));
    expect(useOutbox.getState().pending).toHaveLength(1);
    expect(read('stove')).toBe(next.kind);
    expect(read('board')).toBe(next.kind);
  });

  it('of one that cannot be read is said, and takes no other with it', async () => {
    const broken = begunDoc('broken', 'boil');
    broken.batch.pins = { ...broken.batch.pins!, kitchen: { ...broken.batch.pins!.kitchen, pots: [] } };
    kitchenServer([broken, begunDoc('one', 'boil')]);
    show(<Both id="one" />);
    await vi.waitFor(() => {
      expect(read('board')).toBe('boil');
      expect(read('broken')).toBe('broken');
    });
  });
});

function Plans() {
  return <p data-testid="plans">{usePlans().data?.length ?? '-'}</p>;
}

it('the fifty-first plan is there as well', async () => {
  const docs = Array.from({ length: 51 }, (_, i) => plannedDoc(`plan-${i}`, planOf(9)));
  const server = kitchenServer(docs);
  const entries = docs.map(({ batch: { pins: _, ...batch } }) => ({ batch, now: null }));
  server.answers.batches = ({ query }) =>
    query.before === undefined
      ? { batches: entries.slice(0, 50), next: '0-plan-49' }
      : { batches: entries.slice(50), next: null };
  show(<Plans />);
  await vi.waitFor(() => expect(read('plans')).toBe('51'));
});
