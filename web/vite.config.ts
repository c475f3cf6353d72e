import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const api = `http://127.0.0.1:${process.env.LADLE_PORT ?? 4817}`;

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: { target: 'es2023', chunkSizeWarningLimit: 900, manifest: true },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': { target: api, changeOrigin: true } } },
});
