import { archiveOf } from '../server/src/archive/testArchive.ts';
import { violations } from './axe.ts';
import { KITCHEN, planFor } from './begun.ts';
import { expect, test } from './fixtures.ts';

const file = (sections: Record<string, readonly unknown[]>) => ({
  name: 'big-ladle.jsonl',
  mimeType: 'application/x-ndjson',
  buffer: Buffer.from(archiveOf(sections)),
});
const planned = (id: string) => ({
  id,
  status: 'planned',
  plan: planFor(4),
  version: 1,
  pins: null,
  createdMs: 1,
  updatedMs: 1,
});

test('a file brought in is looked over first: left, added, or put in the place of everything', async ({
  page,
  server,
}) => {
  await server.api('PUT', '/kitchen', { version: 0, kitchen: KITCHEN });
  await server.api('POST', '/batches', { id: 'here', plan: planFor(5) });
  const ids = async () =>
    (await server.api<{ batches: { batch: { id: string } }[] }>('GET', '/batches')).batches
      .map((b) => b.batch.id)
      .sort();
  await page.goto(`${server.url}/kitchen?part=data`);
  const panel = page.getByTestId('archive');
  const choose = (sections: Record<string, readonly unknown[]>) =>
    page.getByTestId('archive-file').setInputFiles(file(sections));

  // What is wrong is said with its line, and can be put away.
  await choose({ batches: [planned('new'), { ...planned('wrong'), version: 'two' }] });
  await expect(panel.getByRole('alert')).toContainText(
    'Line 4 of this file has something wrong in batches (version)',
  );
  await choose({ batches: [planned('here'), planned('new')] });
  await expect(panel.getByRole('alert')).toBeHidden();
  await expect(panel.getByTestId('what-would-come')).toContainText('Batches 1 new here2');
  // A reload loses nothing of it; left, nothing has changed.
  await page.reload();
  await panel.getByRole('button', { name: 'Leave it' }).click();
  await expect(panel.getByTestId('what-would-come')).toBeHidden();
  expect(await ids()).toEqual(['here']);

  await choose({ batches: [planned('here'), planned('new')] });
  await panel.getByRole('button', { name: 'Add what is new' }).click();
  await expect(panel).toContainText('Taken in: 1 batch. 1 was here already and stayed as it is.');
  expect(await ids()).toEqual(['here', 'new']);

  await choose({ kitchen: [{ ...KITCHEN, roomC: 26 }], batches: [planned('other')] });
  await panel.getByRole('button', { name: 'Put it in place of everything here' }).click();
  await expect(panel).toContainText('Everything that is here goes: 2 batches');
  expect(await violations(page)).toEqual([]);
  await panel.getByRole('button', { name: 'Yes, replace everything' }).click();
  await expect(panel).toContainText('The kitchen is now as the file has it');
  expect(await ids()).toEqual(['other']);
  await page.reload();
  await expect(page.getByTestId('backups')).toContainText('before an import');
});
