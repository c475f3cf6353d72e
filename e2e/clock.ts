import type { BrowserContext, Page } from '@playwright/test';
import type { KitchenServer } from './server.ts';

/** What a window has heard of the kitchen's time. */
interface Heard {
  stream?: EventSource;
  timesMs: number[];
}

declare global {
  var heard: Heard | undefined;
}

/** In a page: the device's clock agrees with the kitchen's, whatever the machine's says, and what is heard is kept. */
function setUpWindow(shiftMs: number): void {
  const Machine = Date;
  class Shifted extends Machine {
    constructor(...parts: unknown[]) {
      if (parts.length === 0) super(Machine.now() + shiftMs);
      else super(...(parts as [number]));
    }
    static override now(): number {
      return Machine.now() + shiftMs;
    }
  }
  globalThis.Date = Shifted as DateConstructor;

  const heard: Heard = { timesMs: [] };
  globalThis.heard = heard;
  const Source = globalThis.EventSource;
  globalThis.EventSource = class extends Source {
    constructor(url: string | URL) {
      super(url);
      heard.stream = this;
      this.addEventListener('time', (message: MessageEvent<string>) =>
        heard.timesMs.push((JSON.parse(message.data) as { nowMs: number }).nowMs),
      );
    }
  };
}

/** Gives all pages of a browser context the kitchen's clock, before they are opened. */
export function atTheClock(context: BrowserContext, server: KitchenServer): Promise<unknown> {
  server.windows.push(context);
  return context.addInitScript(setUpWindow, server.nowMs() - Date.now());
}

/** How much later than the moment it is told a window may be told of it, ms. */
const TOLD_WITHIN_MS = 60_000;

/** Sets the clock, and is done when each window that listens has heard of it: what is tapped next is tapped then. */
export async function setAndHeard(
  windows: readonly BrowserContext[],
  atMs: number,
  set: () => Promise<unknown>,
): Promise<void> {
  const pages = windows.flatMap((w) => w.pages());
  const each = (what: (page: Page) => Promise<unknown>) =>
    Promise.all(
      pages.map((page) =>
        what(page).catch((error: Error) => {
          // A window that is closed meanwhile, or goes to another page, asks for the time by itself.
          if (!page.isClosed() && !error.message.includes('context was destroyed')) throw error;
        }),
      ),
    );
  await each((page) =>
    page.evaluate(() => {
      if (globalThis.heard) globalThis.heard.timesMs = [];
    }),
  );
  await set();
  await each((page) =>
    page.waitForFunction(
      ([from, to]) => {
        const stream = globalThis.heard?.stream;
        const listens = stream && stream.readyState === EventSource.OPEN;
        return !listens || globalThis.heard!.timesMs.some((ms) => ms >= from && ms < to);
      },
      [atMs, atMs + TOLD_WITHIN_MS] as const,
      { timeout: 10_000 },
    ),
  );
}
