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
/**
 * Small parts that several views share: a file for each would take longer to ask for than to read. What a part needs
 * comes along, so those that need something large, such as dates or PDF files, stay apart.
 */
const small = {
  name: 'small-parts',
  test: /\/(app\/(book|parts|preview)|node_modules\/(@mui\/material|lucide-react))\/(?!Autocomplete|pen-name|labels|upload|browser-loader|title-field|date-)/,
  minShareCount: 2,
  maxModuleSize: 6000,
};

/**
 * Nearly all functions of these run while a page wakes. Chromium and other browsers with V8 then compile them with the
 * file, off the page's thread, and keep them compiled, where they would be compiled one by one at every opening:
 * https://v8.dev/blog/explicit-compile-hints
 */
const AT_ONCE = ['ground', 'entry.client'];
const compiledAtOnce = ({ name }: { name: string }) =>
  AT_ONCE.includes(name) ? '//# allFunctionsCalledOnLoad' : '';

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
    client: {
      build: {
        rolldownOptions: {
          output: { codeSplitting: { groups: [ground, book, small] }, postBanner: compiledAtOnce },
        },
      },
    },
  },
});
