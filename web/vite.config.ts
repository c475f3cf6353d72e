import { createHash } from 'node:crypto';
import path from 'node:path';
import { gzip } from '@gfx/zopfli';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { type ManifestTransform, VitePWA } from 'vite-plugin-pwa';
import { precompiledMessages } from './build/precompiledMessages.ts';
import { withoutSources } from './build/withoutSources.ts';

const api = `http://127.0.0.1:${process.env.LADLE_PORT ?? 4817}`;

const packTightly = (bytes: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    gzip(bytes, {}, (error, packed) => (error ? reject(error) : resolve(Buffer.from(packed)))),
  );

/** The page itself is made by the server, with its nonce: kept under its address, anew whenever an asset changes. */
const withPage: ManifestTransform = (entries) => ({
  manifest: [
    ...entries,
    {
      url: '/',
      size: 0,
      revision: createHash('sha256')
        .update(entries.map((e) => `${e.url}${e.revision ?? ''}`).join())
        .digest('hex')
        .slice(0, 16),
    },
  ],
  warnings: [],
});

const ROUTER = path.join(import.meta.dirname, '../node_modules/react-router/dist/production');

/** What the stove asks the server for: the last answer serves while there is none. */
const STOVE_ANSWERS =
  /\/api\/(?:kitchen|batches|batch-names|liked-points|items|recipes|stock|instruments|fridge|gifts)(?:[/?]|$)/;

export default defineConfig({
  root: import.meta.dirname,
  resolve: {
    // The package itself points only to its build with warnings for developers.
    alias: [
      { find: /^react-router$/, replacement: `${ROUTER}/index.mjs` },
      { find: /^react-router\/dom$/, replacement: `${ROUTER}/dom-export.mjs` },
      {
        find: /^hoist-non-react-statics$/,
        replacement: path.join(import.meta.dirname, 'build/withoutStatics.ts'),
      },
      {
        find: /^\.\/TouchRipple\.mjs$/,
        replacement: path.join(import.meta.dirname, 'build/withoutRipple.ts'),
      },
    ],
  },
  plugins: [
    react(),
    precompiledMessages(),
    withoutSources(),
    // The first piece is what a cook waits for: packed as tightly as gzip can be, which is too slow to do for each visit.
    compression({
      include: /^assets\/first-.*\.js$/,
      algorithms: [defineAlgorithm(packTightly, {})],
      filename: '[path][base].gz',
      logLevel: 'silent',
    }),
    VitePWA({
      filename: 'sw.js',
      injectRegister: false,
      manifest: {
        name: 'Big Ladle',
        short_name: 'Big Ladle',
        description: 'Measure, time, balance and date large batches of herbal drinks',
        display: 'standalone',
        start_url: '/',
        background_color: '#e3ebee',
        theme_color: '#20409a',
        id: '/',
        scope: '/',
        categories: ['food', 'lifestyle', 'utilities'],
        icons: [
          { src: '/icons/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icons/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icons/maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: '/ladle.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
        shortcuts: [
          { name: 'Drinks', url: '/drinks' },
          { name: 'Shopping', url: '/shopping' },
          { name: 'Cold shelf', url: '/shelf' },
        ],
      },
      workbox: {
        globPatterns: ['assets/**/*.{js,css,woff2}', 'ladle.svg', 'icons/*.png'],
        manifestTransforms: [withPage],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: null,
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        skipWaiting: true,
        runtimeCaching: [
          {
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: 'NetworkFirst',
            options: {
              cacheName: 'pages',
              networkTimeoutSeconds: 4,
              expiration: { maxEntries: 40 },
              precacheFallback: { fallbackURL: '/' },
            },
          },
          {
            urlPattern: STOVE_ANSWERS,
            method: 'GET',
            handler: 'NetworkFirst',
            options: { cacheName: 'answers', expiration: { maxEntries: 200 }, networkTimeoutSeconds: 4 },
          },
        ],
      },
    }),
  ],
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 900,
    manifest: true,
    rolldownOptions: {
      output: {
        entryFileNames: 'assets/first-[hash].js',
        codeSplitting: {
          // What the first page needs comes in one piece.
          groups: [{ name: 'first', tags: ['$initial'] }],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': { target: api, changeOrigin: true } } },
});
