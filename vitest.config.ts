import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    maxWorkers: availableParallelism(),
    projects: [
      {
        test: {
          name: 'calculation and server',
          include: [
            'core/src/**/*.test.ts',
            'server/src/**/*.test.ts',
            'web/src/**/*.test.ts',
            'scripts/**/*.test.ts',
          ],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          // The core holds no state between tests: read in once for each worker, not once for each file.
          isolate: false,
          pool: 'threads',
        },
      },
      {
        test: {
          name: 'components',
          include: ['web/src/**/*.test.tsx'],
          environment: 'jsdom',
          setupFiles: ['web/src/testing/setup.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          pool: 'threads',
        },
      },
    ],
  },
});
