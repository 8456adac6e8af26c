import { resolve } from 'node:path';
import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

/**
 * What every page runs on, in one file: a browser takes longer to ask for many than to read one. Parts of it that few
 * pages use stay apart.
 */
const ground = {
  name: 'ground',
  test: /node_modules\/(react|react-dom|react-router|scheduler|@emotion|@mui|stylis|clsx|comlink|zustand|zundo|valibot)\//,
  minShareCount: 6,
};
/** What the views of an open book share. */
const book = {
  name: 'book-parts',
  test: /(\/(app|core)\/(?!niche\/)|node_modules\/(@mui|papaparse|react-dropzone|@dnd-kit|@tanstack)\/)/,
  minShareCount: 4,
};

export default defineConfig({
  plugins: [reactRouter()],
  ssr: { noExternal: [/^@mui\//] },
  // Only WOFF2 files are packed with Brotli and ours are TrueType; the packer unfolds its dictionary when it is read,
  // a large part of the time until the first page is drawn.
  // Of what reads Markdown, browsers would get the part that asks the document, and a worker has none.
  resolve: {
    alias: [
      { find: 'brotli/decompress.js', replacement: resolve(import.meta.dirname, 'core/faces/no-brotli.ts') },
      { find: /^unicode-trie$/, replacement: resolve(import.meta.dirname, 'core/faces/late-trie.ts') },
      {
        find: 'decode-named-character-reference',
        replacement: resolve(import.meta.dirname, 'node_modules/decode-named-character-reference/index.js'),
      },
    ],
  },
  worker: { format: 'es' },
  build: { chunkSizeWarningLimit: 1500 },
  environments: {
    client: { build: { rolldownOptions: { output: { codeSplitting: { groups: [ground, book] } } } } },
  },
});
