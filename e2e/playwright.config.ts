import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  // The built server is run as it is.
  build: { external: ['**/server/dist/**'] },
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: 2,
  // A test that fails once has found something.
  retries: 0,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: process.env.LADLE_E2E_REPORT ?? '../.cache/e2e.json' }]],
  outputDir: '../test-results',
  use: {
    actionTimeout: 15_000,
    // Paths that need the kept page allow it themselves: elsewhere every request goes to the server.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    launchOptions: {
      executablePath: process.env.LADLE_CHROMIUM ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // A camera that shows a test picture, for whoever asks for one.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});
