import path from 'node:path';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** The page that ours are measured beside. */
export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: {
    target: 'es2023',
    outDir: path.resolve(import.meta.dirname, '../../../.cache/bench-empty'),
    emptyOutDir: true,
  },
});
