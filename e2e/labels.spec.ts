import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures.ts';
import { grid, readPdf } from './pdf.ts';

test.use({ demo: true });

test('labels as a PDF: true millimetres, the words of each bottle, and a code that opens its page', {
  tag: '@dates',
}, async ({ page, server }) => {
  test.slow();
  await page.goto(`${server.url}/shelf/labels?batch=demo-raw`);
  await expect(page.getByTestId('sheet')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ]);
  // Two columns of seven labels of 99 × 38 mm, in the middle of the sheet with 2 mm between them.
  const cells = grid(2, 7, { x: 5, y: 15.5, w: 99, h: 38 }, 2);
  const pages = await readPdf(new Uint8Array(readFileSync(await download.path())), cells);
  expect(pages).toHaveLength(1);
  const [sheet] = pages;
  expect(sheet!.widthMm).toBeCloseTo(210, 1);
  expect(sheet!.heightMm).toBeCloseTo(297, 1);
  // Seven bottles, and the bag of peel that was set aside.
  expect(sheet!.text.match(/Hibiscus & pineapple/g)!.length).toBeGreaterThanOrEqual(7);
  expect(sheet!.text.match(/Drink by/g)).toHaveLength(7);
  expect(sheet!.text).toContain('Peel and core');
  expect(sheet!.text).toContain('Once open 3 days');
  expect(sheet!.text).toContain('not for older or ill people');
  // Nothing of what people say is ever printed.
  expect(sheet!.text).not.toMatch(/rice|splash|claim/i);
  const ids = sheet!.codes.map((c) => c.says.replace(`${server.url}/shelf/`, ''));
  expect(new Set(ids)).toEqual(
    new Set(['demo-peel', ...Array.from({ length: 7 }, (_, i) => `demo-raw-${i + 1}`)]),
  );
  for (const { sideMm } of sheet!.codes) {
    expect(sideMm).toBeGreaterThan(12);
    expect(sideMm).toBeLessThan(27);
  }
  const code = sheet!.codes.find((c) => c.says.endsWith('demo-raw-3'))!;
  await page.goto(code.says);
  await expect(page.getByRole('heading', { name: 'Hibiscus & pineapple', level: 1 })).toBeVisible();
  await expect(page.getByTestId('bottle-reasons')).toContainText('raw juice');
});

test('a roll is one label a page; used places of a sheet stay free; the browser prints the same sheet', {
  tag: '@dates',
}, async ({ page, server }) => {
  test.slow();
  await page.goto(`${server.url}/shelf/labels?ids=demo-raw-1,demo-raw-2&sheet=roll-62x40`);
  await expect(page.getByTestId('sheet')).toHaveCount(2);
  const save = async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as PDF' }).click(),
    ]);
    return readPdf(new Uint8Array(readFileSync(await download.path())), [{ x: 0, y: 0, w: 62, h: 40 }]);
  };
  const roll = await save();
  expect(roll.map((p) => [Math.round(p.widthMm), Math.round(p.heightMm)])).toEqual([
    [62, 40],
    [62, 40],
  ]);
  expect(roll.every((p) => p.codes.length === 1)).toBe(true);
  await page.getByRole('combobox', { name: 'Sheet or roll' }).click();
  await page.getByRole('option', { name: /3 × 8/ }).click();
  await page.getByTestId('skip').fill('23');
  // 24 places to a sheet, 23 used: one label here, the other on the next sheet.
  await expect(page.getByTestId('sheet')).toHaveCount(2);
  await page.getByRole('button', { name: 'true size' }).click();
  // A sheet of 210 mm is 793.7 px wide on a screen where an inch has 96.
  const width = await page
    .getByTestId('sheet')
    .first()
    .evaluate((e) => e.getBoundingClientRect().width);
  expect(width).toBeCloseTo(793.7, 0);
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.sheets > svg')).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeHidden();
  const printed = await page.pdf({ preferCSSPageSize: true });
  // Three columns of eight labels of 70 × 36 mm.
  const sheets = await readPdf(new Uint8Array(printed), grid(3, 8, { x: 0, y: 4.5, w: 70, h: 36 }));
  expect(Math.round(sheets[0]!.widthMm)).toBe(210);
  expect(Math.round(sheets[0]!.heightMm)).toBe(297);
  expect(sheets[0]!.codes.map((c) => c.says)).toEqual([`${server.url}/shelf/demo-raw-1`]);
});

test('by hand: the few words for a pen; labels for leftovers, one a portion', { tag: '@dates' }, async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/shelf/labels?leftovers=1`);
  await expect(page.getByTestId('by-hand')).toContainText('Used hibiscus · use by');
  // Three portions of calyx, two of root, one bag of peel.
  await expect(page.getByRole('heading', { name: 'Labels' }).locator('..')).toContainText('6 on 1 sheet');
  await page.getByRole('button', { name: 'None' }).click();
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeDisabled();
});
