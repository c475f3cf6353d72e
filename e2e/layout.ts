import type { Page } from '@playwright/test';

/** Texts that are cut off by their box, and texts that lie on one another. */
export const clashes = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const boxes: { text: string; node: Element; rect: DOMRect }[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const isApart = (element: Element) => {
      // What floats above the page on purpose, and drawings, whose words are placed one by one.
      for (let e: Element | null = element; e; e = e.parentElement) {
        if (e.tagName.toLowerCase() === 'svg') return true;
        const { position } = getComputedStyle(e);
        if (position === 'fixed' || position === 'sticky') return true;
      }
      return false;
    };
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement!;
      if (
        !node.textContent?.trim() ||
        !element.checkVisibility({ visibilityProperty: true, opacityProperty: true })
      )
        continue;
      if (isApart(element)) continue;
      const style = getComputedStyle(element);
      // Read out, not shown.
      if (style.clipPath !== 'none' || element.clientWidth === 1) continue;
      if (
        /hidden|clip/.test(style.overflowX) &&
        element.scrollWidth > element.clientWidth + 1 &&
        element.clientWidth > 1
      )
        found.push(`cut off: ${node.textContent.trim().slice(0, 60)}`);
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const whole of range.getClientRects()) {
        // What is scrolled out of its box is not there.
        let { left, right, top, bottom } = whole;
        for (let e: Element | null = element; e; e = e.parentElement) {
          const { overflowX, overflowY } = getComputedStyle(e);
          if (overflowX === 'visible' && overflowY === 'visible') continue;
          const box = e.getBoundingClientRect();
          left = Math.max(left, box.left);
          right = Math.min(right, box.right);
          top = Math.max(top, box.top);
          bottom = Math.min(bottom, box.bottom);
        }
        const rect = new DOMRect(left, top, right - left, bottom - top);
        if (rect.width > 1 && rect.height > 1)
          boxes.push({ text: node.textContent.trim(), node: element, rect });
      }
    }
    // From the top: what begins below a text's end is not looked at for it.
    boxes.sort((a, b) => a.rect.top - b.rect.top);
    for (const [i, a] of boxes.entries())
      for (let j = i + 1; j < boxes.length && boxes[j]!.rect.top < a.rect.bottom; j++) {
        const b = boxes[j]!;
        const x = Math.min(a.rect.right, b.rect.right) - Math.max(a.rect.left, b.rect.left);
        const y = Math.min(a.rect.bottom, b.rect.bottom) - Math.max(a.rect.top, b.rect.top);
        // Line boxes of neighbouring lines may touch; letters on letters may not.
        if (!(x > 2 && y > Math.min(a.rect.height, b.rect.height) * 0.45)) continue;
        if (a.node === b.node || a.node.contains(b.node) || b.node.contains(a.node)) continue;
        found.push(`over one another: ${a.text.slice(0, 40)} | ${b.text.slice(0, 40)}`);
      }
    return [...new Set(found)];
  });

/** Units of the laboratory that stand on a page without their meaning a tap away. */
export const unexplained = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const UNITS: [RegExp, string[]][] = [
      [/°Bx/, ['brix']],
      [/\bpH\b/, ['ph']],
      [/\bg\/L\b/, ['sourness', 'strength']],
    ];
    const found: string[] = [];
    const main = document.querySelector('main')!;
    const walker = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent ?? '';
      const element = node.parentElement!;
      // A field says what it asks for beside it, a reason in its sentence, a text for others in its words.
      if (
        !element.checkVisibility({ visibilityProperty: true }) ||
        element.closest('label, li, fieldset, button, pre')
      )
        continue;
      for (const [unit, terms] of UNITS) {
        if (!unit.test(text)) continue;
        const told =
          element.closest('tr')?.querySelector('[aria-expanded]') ??
          main.querySelector(terms.map((t) => `[data-explains="${t}"]`).join());
        if (!told) found.push(text.trim().slice(0, 60));
      }
    }
    return [...new Set(found)];
  });

/** More than this is seen to jump. */
export const MOST_MOVED = 0.05;

/** What moved by itself since the page was opened, as the browser counts it. */
export const shifted = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        let sum = 0;
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries() as (PerformanceEntry & {
            value: number;
            hadRecentInput: boolean;
          })[])
            if (!entry.hadRecentInput) sum += entry.value;
        }).observe({ type: 'layout-shift', buffered: true });
        requestAnimationFrame(() => setTimeout(() => resolve(sum), 0));
      }),
  );
