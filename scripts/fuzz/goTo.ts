import type { Page } from '@playwright/test';

/**
 * Opens a page of the application as a link in it does, without loading everything anew; from nowhere, or from another
 * address of the same page, it is loaded.
 */
export async function goTo(page: Page, url: string, path: string): Promise<void> {
  const to = new URL(path, url);
  const from = new URL(page.url());
  const heading = page.locator('[data-page-title]');
  if (from.origin !== to.origin || from.pathname === to.pathname || (await heading.count()) === 0) {
    await page.goto(to.href);
    return;
  }
  await page.evaluate(`
    for (const old of document.querySelectorAll('[data-page-title]')) old.setAttribute('data-left', '');
    history.pushState(null, '', ${JSON.stringify(to.pathname + to.search)});
    dispatchEvent(new PopStateEvent('popstate'));
  `);
  await page.locator('[data-page-title]:not([data-left])').first().waitFor();
}
