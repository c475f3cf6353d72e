import { expect, test } from './fixtures.ts';

test('it can be installed: its manifest names icons that are there, one of them to be cut to any shape', async ({
  page,
  server,
}) => {
  await page.goto(server.url);
  const href = await page.locator('link[rel="manifest"]').getAttribute('href');
  const manifest = await page.evaluate(async (url) => (await fetch(url)).json(), href!);
  expect(manifest).toMatchObject({ name: 'Big Ladle', start_url: '/', display: 'standalone' });
  const icons = manifest.icons as { src: string; sizes: string; type: string; purpose?: string }[];
  expect(icons.filter((i) => i.purpose === 'maskable')).toHaveLength(1);
  // As large as they say: a phone refuses what is not.
  const drawn = await page.evaluate(
    (list) =>
      Promise.all(
        list.map(async ({ src }) => {
          const image = new Image();
          image.src = src;
          await image.decode();
          return `${image.naturalWidth}x${image.naturalHeight}`;
        }),
      ),
    icons.filter((i) => i.type === 'image/png'),
  );
  expect(drawn).toEqual(['192x192', '512x512', '512x512']);
  for (const { url } of manifest.shortcuts as { url: string }[]) {
    await page.goto(`${server.url}${url}`);
    await expect(page.locator('[data-page-title]')).toBeVisible();
  }
});

test.describe('shared', () => {
  test.use({ demo: true });
  test('a recipe goes to the system’s own share sheet where there is one, complete', async ({
    page,
    server,
  }) => {
    await page.addInitScript(() => {
      (window as { shared?: unknown }).shared = [];
      navigator.share = async (what) => {
        (window as unknown as { shared: unknown[] }).shared.push(what);
      };
    });
    await page.goto(`${server.url}/drinks/deep-calyx-ginger`);
    await page.getByRole('button', { name: 'Share', exact: true }).click();
    const shared = await page.evaluate(() => (window as unknown as { shared: { text: string }[] }).shared);
    expect(shared).toHaveLength(1);
    expect(shared[0]!.text).toContain('What goes in');
  });
});
