import { defineConfig } from 'vite';

/** The server in one file, the core inside it, its packages outside. */
export default defineConfig({
  root: import.meta.dirname,
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
    sourcemap: true,
    rollupOptions: { output: { entryFileNames: 'main.js' } },
  },
  ssr: { noExternal: [/^@big-ladle\//, /^culori/] },
});
