import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const api = `http://127.0.0.1:${process.env.FELLSIDE_PORT ?? 4680}`;

export default defineConfig({
  plugins: [react(), tailwind()],
  resolve: { conditions: ['fellside-source', 'module', 'browser', 'development|production'] },
  server: { host: '127.0.0.1', proxy: { '/api': api } },
  build: { chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
});
