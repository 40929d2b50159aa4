import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

const api = `http://127.0.0.1:${process.env.FELLSIDE_PORT ?? 4680}`;

/** Fellside as an installed application: all of it is kept by the browser, and what was read last. */
function installed() {
  return VitePWA({
    registerType: 'autoUpdate',
    injectRegister: 'script-defer',
    manifest: {
      name: 'Fellside',
      short_name: 'Fellside',
      description: 'Segmented woodturning: from the form to the strips at the saw',
      theme_color: '#1f282a',
      background_color: '#f3f4f2',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
      maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
      // The page itself comes from the server as long as that is there: never an old Fellside before a new server.
      navigateFallback: null,
      runtimeCaching: [
        {
          urlPattern: ({ request }) => request.mode === 'navigate',
          handler: 'NetworkOnly',
          options: { precacheFallback: { fallbackURL: '/index.html' } },
        },
        {
          // Answers to questions, but no streams, no files, and not what tells whether the server is there. Goes into the worker as it is.
          urlPattern: ({ url, sameOrigin }) =>
            sameOrigin &&
            /^\/api\/(?!health|backups|photos|.*\/(stream|file|raw|sheets)\b)/.test(url.pathname),
          handler: 'NetworkFirst',
          options: { cacheName: 'read', expiration: { maxEntries: 400, purgeOnQuotaError: true } },
        },
      ],
    },
  });
}

/**
 * The page’s security policy forbids code made of text. The schema library would try once when its first schema is made, in
 * whichever chunk that is, and be reported: it is told before any code of a chunk runs.
 */
const output = { banner: '(globalThis.__zod_globalConfig ??= {}).jitless = true;' };

export default defineConfig({
  plugins: [react(), tailwind(), installed()],
  resolve: { conditions: ['fellside-source', 'module', 'browser', 'development|production'] },
  server: { host: '127.0.0.1', proxy: { '/api': api } },
  build: { chunkSizeWarningLimit: 900, rolldownOptions: { output } },
  worker: { format: 'es', rolldownOptions: { output } },
});
