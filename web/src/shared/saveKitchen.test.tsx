import { type KitchenDoc, ROUTES } from '@big-ladle/core/contract';
import { EMPTY_KITCHEN, type Kitchen } from '@big-ladle/core/documents';
import { beforeEach, expect, it, vi } from 'vitest';
import { FakeServer, Refusal } from '../testing/fakeServer.ts';
import { ask } from './api.ts';
import { keys, queryClient, takeKitchen } from './queries.ts';
import { saveKitchenWith } from './saveKitchen.ts';

const shown = () => queryClient.getQueryData<KitchenDoc>(keys.kitchen)!;
let stored: KitchenDoc;
let problems: string[];
/** Answers that are held back, the first asked first. */
let held: (() => void)[];
let refuseNext: boolean;
const save = saveKitchenWith((text) => text !== null && problems.push(text));

beforeEach(() => {
  stored = { version: 4, kitchen: EMPTY_KITCHEN };
  problems = [];
  held = [];
  refuseNext = false;
  queryClient.setQueryData(keys.kitchen, takeKitchen(stored));
  new FakeServer({
    kitchen: () => stored,
    saveKitchen: ({ body }) => {
      const { version, kitchen } = body as { version: number; kitchen: Kitchen };
      return new Promise((resolve, reject) =>
        held.push(() => {
          if (refuseNext || version !== stored.version) reject(new Refusal(409, 'changedElsewhere'));
          else {
            stored = { version: version + 1, kitchen };
            resolve(stored);
          }
        }),
      );
    },
  });
});
const answer = async () => {
  await vi.waitFor(() => expect(held.length).toBeGreaterThan(0));
  held.shift()!();
};

it('what is set while another change is on its way shows at once, and both are stored', async () => {
  const room = save({ roomC: 26 });
  const fridge = save((k) => ({ fridgeC: k.fridgeC + 2 }));
  expect(shown().kitchen).toMatchObject({ roomC: 26, fridgeC: EMPTY_KITCHEN.fridgeC + 2 });
  await answer();
  expect(await room).toBe(true);
  expect(shown().kitchen).toMatchObject({ roomC: 26, fridgeC: EMPTY_KITCHEN.fridgeC + 2 });
  await answer();
  expect(await fridge).toBe(true);
  expect(stored).toMatchObject({ version: 6, kitchen: { roomC: 26, fridgeC: EMPTY_KITCHEN.fridgeC + 2 } });
});

it('a change that is refused goes back, and the one after it stays', async () => {
  const room = save({ roomC: 26 });
  const fridge = save({ fridgeC: 7 });
  refuseNext = true;
  await answer();
  refuseNext = false;
  expect(await room).toBe(false);
  expect(problems).toHaveLength(1);
  expect(shown().kitchen).toMatchObject({ roomC: EMPTY_KITCHEN.roomC, fridgeC: 7 });
  await answer();
  expect(await fridge).toBe(true);
  expect(stored.kitchen).toMatchObject({ roomC: EMPTY_KITCHEN.roomC, fridgeC: 7 });
});

it('what cannot be is told and changes nothing', async () => {
  expect(await save({ fridgeC: 900 })).toBe(false);
  expect(problems).toHaveLength(1);
  expect(shown().kitchen.fridgeC).toBe(EMPTY_KITCHEN.fridgeC);
  expect((await ask(ROUTES.kitchen, {})).version).toBe(4);
});
