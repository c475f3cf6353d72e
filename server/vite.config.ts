import { defineConfig } from 'vite';

/**
 * The server with its packages inside it: it starts in half the time. Outside stay the database's driver, which is
 * compiled, and Knex, which asks for its dialects by name. Beside the program stands what tests serve a kitchen with.
 */
export default defineConfig({
  root: import.meta.dirname,
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
    sourcemap: true,
    rollupOptions: {
      input: { main: 'src/main.ts', embedded: 'src/embedded.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: 'shared.js' },
    },
  },
  ssr: { noExternal: true, external: ['better-sqlite3', 'knex'] },
});
