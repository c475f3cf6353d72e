import type { Page } from '@playwright/test';
import { goTo } from './goTo.ts';
import type { Things } from './kitchen.ts';

/** How many things of one kind are opened. */
const EACH = 4;

/** Every screen, over what a kitchen has now. */
export function pathsOver({ planned, on, recipes, items, rehearsals }: Things): string[] {
  const some = <T>(all: readonly T[]): T[] => all.slice(-EACH);
  return [
    '/',
    '/drinks',
    '/drinks/parts',
    '/shopping',
    '/shelf',
    '/logbook',
    '/logbook/learnt',
    '/logbook/year',
    '/shelf?view=place',
    '/shelf?view=leftovers',
    '/shelf?view=gone',
    '/shelf?view=reminders',
    `/shelf/labels?ids=${some(items).join(',')}`,
    ...['pots', 'habits', 'data'].map((part) => `/kitchen?part=${part}`),
    ...some(planned).map(({ id }) => `/batches/${id}`),
    ...some([...on.map(({ id }) => id), ...rehearsals]).flatMap((id) => [
      `/batches/${id}`,
      `/batches/${id}/stove`,
      `/batches/${id}/balance`,
    ]),
    ...some(recipes).flatMap(({ id }) => [
      `/drinks/${encodeURIComponent(id)}`,
      `/new/${encodeURIComponent(id)}`,
    ]),
    ...some(items).map((id) => `/shelf/${encodeURIComponent(id)}`),
  ];
}

/** Opens pages one after another. @returns what is wrong with them. */
export async function openAll(page: Page, url: string, paths: readonly string[]): Promise<string[]> {
  const faults: string[] = [];
  let at = '';
  page.on('pageerror', (error) => faults.push(`${at}: ${error.message}`));
  for (at of paths) {
    await goTo(page, url, at);
    await page.locator('[data-page-title]').first().waitFor();
    await page.getByTestId('loading').first().waitFor({ state: 'detached' });
    if (await page.evaluate<boolean>("'hit' in window")) faults.push(`${at}: what somebody wrote was run`);
    if (await page.getByTestId('broken').isVisible()) faults.push(`${at}: the screen broke`);
  }
  return faults;
}
