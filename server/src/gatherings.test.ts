import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SUPPER } from './gatherings.fixtures.ts';
import { TestServer } from './testServer.ts';

let k: TestServer;
beforeEach(async () => {
  k = await new TestServer().open();
});
afterEach(async () => {
  expect(k.reports).toEqual([]);
  await k.dispose();
});

describe('gatherings', () => {
  it('are kept with a version, listed by when they are served, and dropped', async () => {
    expect((await k.api('GET', '/gatherings')).body).toEqual({ gatherings: [] });
    const later = { ...SUPPER, servesAtMs: SUPPER.servesAtMs + 1e9, untilMs: SUPPER.untilMs + 1e9 };
    const made = await k.api('PUT', '/gatherings/later', { version: 0, gathering: later });
    expect(made).toMatchObject({ status: 201, body: { id: 'later', version: 1 } });
    await k.api('PUT', '/gatherings/supper', { version: 0, gathering: SUPPER });
    const { gatherings } = (await k.api('GET', '/gatherings')).body;
    expect(gatherings.map((g: { id: string }) => g.id)).toEqual(['supper', 'later']);
    expect(gatherings[0].gathering).toEqual(SUPPER);
    expect((await k.api('DELETE', '/gatherings/later?version=1')).status).toBe(204);
    expect((await k.api('DELETE', '/gatherings/later?version=1')).status).toBe(404);
  });

  it('changed in two windows: the second sees both, nothing is overwritten; the same again is the same', async () => {
    await k.api('PUT', '/gatherings/supper', { version: 0, gathering: SUPPER });
    expect((await k.api('PUT', '/gatherings/supper', { version: 0, gathering: SUPPER })).body.version).toBe(
      1,
    );
    const here = { ...SUPPER, name: 'Here' };
    const there = { ...SUPPER, name: 'There' };
    expect((await k.api('PUT', '/gatherings/supper', { version: 1, gathering: here })).body.version).toBe(2);
    expect(await k.api('PUT', '/gatherings/supper', { version: 1, gathering: there })).toMatchObject({
      status: 409,
      body: { title: 'changedElsewhere', stored: { name: 'Here' }, sent: { name: 'There' } },
    });
    expect((await k.api('DELETE', '/gatherings/supper?version=1')).status).toBe(409);
  });

  it('hours that were found are kept beside it, and its version stays', async () => {
    const place = { drinkId: 'red', jobId: 'shop', startMs: SUPPER.servesAtMs - 1e7, by: 'cook' };
    const timetable = { basis: 'x', places: [place], joined: [], agreed: [place] };
    expect((await k.api('PUT', '/gatherings/supper/timetable', timetable)).status).toBe(404);
    await k.api('PUT', '/gatherings/supper', { version: 0, gathering: SUPPER });
    expect((await k.api('GET', '/gatherings')).body.gatherings[0].timetable).toBeNull();
    expect((await k.api('PUT', '/gatherings/supper/timetable', timetable)).body).toMatchObject({
      version: 1,
      timetable,
    });
    // What is settled anew leaves them: what moves is told by them.
    await k.api('PUT', '/gatherings/supper', { version: 1, gathering: { ...SUPPER, name: 'Other' } });
    expect((await k.api('GET', '/gatherings')).body.gatherings[0]).toMatchObject({ version: 2, timetable });
    const wrong = { ...timetable, places: [{ ...place, startMs: 'soon' }] };
    expect((await k.api('PUT', '/gatherings/supper/timetable', wrong)).status).toBe(422);
  });

  it('what cannot be is refused, and said where', async () => {
    const wrong = (change: object) =>
      k.api('PUT', '/gatherings/supper', { version: 0, gathering: { ...SUPPER, ...change } });
    expect(await wrong({ untilMs: SUPPER.servesAtMs })).toMatchObject({ status: 422 });
    expect(await wrong({ assurance: 2 })).toMatchObject({
      status: 422,
      body: { fields: [{ field: 'gathering.assurance' }] },
    });
    expect(await wrong({ groups: [{ ...SUPPER.groups[0], least: 9, most: 3 }] })).toMatchObject({
      status: 422,
    });
    expect(await wrong({ drinks: [SUPPER.drinks[0], SUPPER.drinks[0]] })).toMatchObject({ status: 422 });
    expect((await k.api('GET', '/gatherings')).body).toEqual({ gatherings: [] });
  });
});
