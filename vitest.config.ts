import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: [
      'core/src/**/*.test.ts',
      'server/src/**/*.test.ts',
      'web/src/**/*.test.ts',
      'scripts/**/*.test.ts',
    ],
    testTimeout: 30_000,
    // The core holds no state between tests: read in once for each worker, not once for each file.
    isolate: false,
    pool: 'threads',
    maxWorkers: availableParallelism(),
  },
});
