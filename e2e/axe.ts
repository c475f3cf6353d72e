import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type { RunOptions } from 'axe-core';

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** The rules that a page is held to. */
export const ALL_RULES: RunOptions['runOnly'] = {
  type: 'tag',
  values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
};
/** What a change of colours alone can break. */
export const COLOUR_RULES: RunOptions['runOnly'] = {
  type: 'rule',
  values: ['color-contrast', 'link-in-text-block'],
};

/** What less room alone can break: the narrowest screen shows what a phone shows in the same colours, closer together. */
export const ROOM_RULES: RunOptions['runOnly'] = {
  type: 'rule',
  values: ['target-size', 'scrollable-region-focusable'],
};

/** What a page has against it, each with where it stands. The checker is read in once for each page that is opened. */
export async function violations(
  page: Page,
  runOnly = ALL_RULES,
  /** Rules that are left out. */
  without: readonly string[] = [],
): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(SOURCE);
  return page.evaluate(
    async ({ rules, off }) => {
      const { axe } = window as unknown as { axe: typeof import('axe-core') };
      const { violations: found } = await axe.run(document, {
        runOnly: rules,
        rules: Object.fromEntries(off.map((id) => [id, { enabled: false }])),
        resultTypes: ['violations'],
        // Style sheets are asked for again by rules that are not among these; there are no frames.
        preload: false,
        iframes: false,
      });
      return found.map(
        (v) =>
          `${v.id} ${v.nodes
            .slice(0, 3)
            .map((n) => `${n.target.join(' ')} ${n.failureSummary?.split('\n')[1] ?? ''}`)
            .join(' | ')}`,
      );
    },
    { rules: runOnly, off: without },
  );
}
