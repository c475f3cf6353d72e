import path from 'node:path';
import { defineConfig } from 'vite';

/** Bundles the core's benchmark the way the server is bundled. */
export default defineConfig({
  root: path.resolve(import.meta.dirname, '../..'),
  build: {
    ssr: 'scripts/bench/core.ts',
    outDir: '.cache/bench',
    target: 'node20',
    emptyOutDir: true,
    rollupOptions: { output: { entryFileNames: 'core.js' } },
  },
  ssr: { noExternal: [/^@big-ladle\//, /^culori/, /^valibot/] },
});
