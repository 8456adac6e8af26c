import { resolve } from 'node:path';
import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [reactRouter()],
  ssr: { noExternal: [/^@mui\//] },
  // Only WOFF2 files are packed with Brotli and ours are TrueType; the packer unfolds its dictionary when it is read,
  // a large part of the time until the first page is drawn.
  resolve: { alias: { 'brotli/decompress.js': resolve(import.meta.dirname, 'app/preview/no-brotli.ts') } },
  worker: { format: 'es' },
  build: { chunkSizeWarningLimit: 1500 },
});
