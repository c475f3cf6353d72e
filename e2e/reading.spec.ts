import { toTheBottles } from './begun.ts';
import { expect, test } from './fixtures.ts';

const MESSAGE = `hey for the lantern supper, the red one. You want two good mugs of the dried sorrel, washed till the sand is gone,
and a hand of ginger bashed up. Peel of two oranges. A few cloves. Cover with 8 litres of cold water and leave it on the
counter all night. In the morning strain it through the old curtain, squeeze well. Sugar i use about three cups. Juice of
six limes. Add the green bottle but go easy. Makes 7 litres.`;

test('a messy message: three facts mended in place, one left out, one put in by hand, then made', async ({
  page,
  server,
}) => {
  await server.stop();
  await server.start(true);
  await page.goto(`${server.url}/drinks/paste`);
  await page.getByTestId('paste-text').fill(MESSAGE);
  const lines = page.getByTestId('pasted-line');
  const line = (name: string) => lines.filter({ hasText: name });
  await expect(lines).toHaveCount(7);
  // Told over the end of a row.
  await expect(line('Lime juice')).toContainText('178 g');
  // The words are in sight, each piece with what became of it; nothing is called clear.
  await expect(page.getByTestId('marked-text').locator('[data-mark="notUnderstood"]')).toContainText(
    'Add the green bottle',
  );
  await expect(page.getByTestId('count-notUnderstood')).toContainText('1');
  // Three are mended: how big the hand was, the grams of the mugs, the time of the night.
  await expect(line('Ginger')).toHaveAttribute('data-sure', 'false');
  await line('Ginger')
    .getByRole('button', { name: /^small, 108 g/ })
    .click();
  await expect(line('Ginger')).toHaveAttribute('data-sure', 'true');
  await line('hibiscus')
    .getByLabel(/^Weight of/)
    .fill('110');
  await line('hibiscus')
    .getByLabel(/^Weight of/)
    .blur();
  await expect(line('hibiscus')).toHaveAttribute('data-sure', 'true');
  const steep = page.locator('[data-testid="read-step"][data-kind="steep"]');
  await steep.getByLabel('Minutes of Steep').fill('600');
  await steep.getByLabel('Minutes of Steep').blur();
  await expect(steep).toContainText('10 h');
  // A cup weighed once: three of 200 g.
  await line('sugar').getByRole('button', { name: 'Weigh one cup' }).click();
  await line('sugar').getByLabel('One level cup of white sugar').fill('200');
  await line('sugar').getByRole('button', { name: 'Keep it' }).click();
  await expect(line('sugar')).toContainText('600 g');
  await expect(line('sugar').getByRole('button', { name: /^Weigh one/ })).toHaveCount(0);
  // One is left out; it stays in sight and can come back.
  await line('Clove').getByRole('button', { name: 'Leave it out' }).click();
  await expect(line('Clove').getByRole('button', { name: 'Take it in again' })).toBeVisible();
  // What nobody understood is said in other words.
  await page.getByTestId('lost').getByRole('button', { name: 'Put it in by hand' }).click();
  await page.getByLabel('In other words, as 200 g honey').fill('200 ml pineapple juice');
  await page.getByTestId('not-understood').getByRole('button', { name: 'Add' }).click();
  await expect(page.getByTestId('count-notUnderstood')).toContainText('0');
  await expect(line('Pineapple juice')).toContainText('210 g');
  // It survives a reload.
  await page.reload();
  await expect(line('hibiscus')).toContainText('110 g');
  await page.getByTestId('read-checks').getByRole('button', { name: 'Yes, that is meant' }).click();
  await page.getByRole('button', { name: 'Take it to the editor' }).click();
  await page.getByLabel('Its name').fill('Red for the lantern supper');
  await expect(page.getByTestId('step-combine').first()).toContainText('Ginger');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByTestId('recipe-text')).toContainText('Red for the lantern supper');
  await page.getByRole('link', { name: 'Start' }).click();
  await expect(page.getByTestId('ingredient-list')).toContainText('Ginger, bruised');
  await expect(page.getByTestId('ingredient-list')).not.toContainText('Clove');
  // Cooked: what was put in by hand stands among what goes in, what was left out does not.
  await page.getByRole('button', { name: 'Start now' }).click();
  await page.getByTestId('ready').click();
  const id = /batches\/([^/]+)/.exec(page.url())![1]!;
  await toTheBottles(server, () => true, id);
  await page.getByRole('button', { name: 'Bottled, onto the cold shelf' }).click();
  await expect(page.getByTestId('stove-end')).toBeVisible();
  await page.goto(`${server.url}/shelf`);
  await expect(page.locator('main')).toContainText('Red for the lantern supper');
});

test('two drinks in one text: each with its own lines; a drink that is never heated says so', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/drinks/paste`);
  await page.getByTestId('paste-text').fill(`Two for the terrace

RED ICED TEA
100 g dried hibiscus
2 l water
150 g sugar
Bring the water to a boil, take it off the heat and add the hibiscus. Steep 20 minutes, covered. Strain and stir in the sugar.

COLD GINGER COOLER
80 g ginger, grated
3 l cold water
120 g honey
Put the ginger and the water in a jug and leave in the fridge for 10 to 12 hours. Strain. Stir in the honey.`);
  const choice = page.getByRole('group', { name: '2 drinks are in it' });
  await expect(choice.getByRole('button')).toHaveText(['RED ICED TEA', 'COLD GINGER COOLER']);
  await expect(page.getByTestId('pasted-line')).toHaveCount(3);
  await expect(page.getByTestId('check-neverHeated')).toHaveCount(0);
  await choice.getByRole('button', { name: 'COLD GINGER COOLER' }).click();
  await expect(page.getByTestId('pasted-line').first()).toContainText('Ginger, grated');
  await expect(page.getByTestId('check-neverHeated')).toBeVisible();
  await expect(page.locator('[data-testid="read-step"][data-kind="boil"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'No, boil it ten minutes' }).click();
  await expect(page.getByTestId('check-neverHeated')).toHaveCount(0);
  await expect(page.locator('[data-testid="read-step"][data-kind="boil"]')).toHaveCount(1);
});
