import type { Gathering } from '@big-ladle/core/contract';
import { type GatheringDoc, newGathering } from '@big-ladle/core/documents';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refusal } from '../../testing/fakeServer.ts';
import { kitchenServer } from '../../testing/kitchen.ts';
import { useNotices } from '../notices.ts';
import { keys, queryClient } from '../queries.ts';
import { changeGathering, sendGatherings } from './gatherings.ts';
import { GATHERINGS_KEY, gatheringsMayWait } from './gatheringsWait.ts';

const SERVES = Date.UTC(2026, 10, 28, 18);
const PIN = { drinkId: 'red', jobId: 'shop', atMs: SERVES - 3_600_000 };

/** A server with one gathering, which other windows change too. */
function house() {
  const server = kitchenServer([]);
  let stored: Gathering = {
    id: 'g',
    version: 1,
    gathering: newGathering('Supper', SERVES, SERVES + 4 * 3_600_000),
    timetable: null,
    createdMs: 0,
    updatedMs: 0,
  };
  /** What is asked for goes on only once it is let go. */
  let gate: Promise<void> = Promise.resolve();
  const put = (change: Partial<GatheringDoc>) => {
    stored = { ...stored, version: stored.version + 1, gathering: { ...stored.gathering, ...change } };
  };
  server.answers.gatherings = () => ({ gatherings: [stored] });
  server.answers.saveGathering = async (asked) => {
    await gate;
    const { version, gathering } = asked.body as { version: number; gathering: GatheringDoc };
    if (version !== stored.version) throw new Refusal(409, 'changedElsewhere');
    stored = { ...stored, version: version + 1, gathering };
    return stored;
  };
  queryClient.setQueryData(keys.gatherings, { gatherings: [stored] });
  return {
    server,
    now: () => stored.gathering,
    put,
    /** Until what is returned is called, what is sent is on its way. */
    hold: () => {
      let done: () => void = () => undefined;
      gate = new Promise<void>((letGo) => {
        done = letGo;
      });
      return () => done();
    },
  };
}
const sent = () => vi.waitFor(() => expect(gatheringsMayWait()).toBe(false), 10_000);

describe('what is changed of a gathering', () => {
  beforeEach(() => {
    localStorage.removeItem(GATHERINGS_KEY);
    useNotices.setState({ notices: [] });
  });

  it('and taken back while it is on its way, is taken back', async () => {
    const { now, hold, server } = house();
    const letGo = hold();
    changeGathering('g', (g) => ({ ...g, pins: [PIN] }));
    await vi.waitFor(() => expect(server.askedOf('saveGathering')).toHaveLength(1));
    changeGathering('g', (g) => ({ ...g, pins: [] }));
    letGo();
    await sent();
    expect(now().pins).toEqual([]);
  });

  it('twice while the first is on its way, is changed twice, beside what another window has settled', async () => {
    const { now, hold, put, server } = house();
    const letGo = hold();
    changeGathering('g', (g) => ({ ...g, notes: 'lanterns' }));
    await vi.waitFor(() => expect(server.askedOf('saveGathering')).toHaveLength(1));
    changeGathering('g', (g) => ({ ...g, name: 'Feast' }));
    put({ yearly: true });
    letGo();
    await sent();
    expect(now()).toMatchObject({ notes: 'lanterns', name: 'Feast', yearly: true });
  });

  it('waits while nobody answers, over a page that is opened again, and is laid over what stands there by then', async () => {
    const { now, put, server } = house();
    server.down = true;
    changeGathering('g', (g) => ({ ...g, assurance: 0.8 }));
    await vi.waitFor(() => expect(gatheringsMayWait()).toBe(true));
    put({ notes: 'from the other window' });
    server.down = false;
    await vi.waitFor(async () => {
      await sendGatherings();
      expect(gatheringsMayWait()).toBe(false);
    });
    expect(now()).toMatchObject({ assurance: 0.8, notes: 'from the other window' });
  });

  it('and refused for what it is, is told and waits no more', async () => {
    const { server } = house();
    server.answers.saveGathering = () => {
      throw new Refusal(422, 'invalid');
    };
    changeGathering('g', (g) => ({ ...g, notes: 'x' }));
    await sent();
    expect(useNotices.getState().notices).toHaveLength(1);
  });

  it('is not taken where it does not fit together', () => {
    house();
    expect(changeGathering('g', (g) => ({ ...g, untilMs: g.servesAtMs }))).toBe(false);
    expect(gatheringsMayWait()).toBe(false);
  });
});
