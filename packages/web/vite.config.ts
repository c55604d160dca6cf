import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    VitePWA({
      // A newer version waits until every page of the old one is closed: no page is ever loaded anew by itself.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Long Miter',
        short_name: 'Long Miter',
        description: 'Trim from the tape to the wall: measure, plan, cut, hang.',
        start_url: '/',
        display: 'standalone',
        background_color: '#faf1e4',
        theme_color: '#2f4f8f',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        inlineWorkboxRuntime: true,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        runtimeCaching: [
          {
            // What is read of jobs: fetched while there is a line, as it was last while there is none. Streams and files are not.
            urlPattern: ({ url, request, sameOrigin }) =>
              sameOrigin &&
              request.method === 'GET' &&
              /^\/api\/(?:jobs|saws|trims|kits|rack|rule-sets|suppliers)(?:\/|$)/.test(url.pathname) &&
              !/\/(?:events|file)$/.test(url.pathname),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'read',
              expiration: { maxEntries: 400 },
              cacheableResponse: { statuses: [200] },
            },
          },
        ],
      },
    }),
  ],
  worker: { format: 'es' },
  optimizeDeps: { include: ['highs'] },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    // What the first page needs comes in one file: many small ones cost a slow machine a turn each.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } } },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4100' } },
});
