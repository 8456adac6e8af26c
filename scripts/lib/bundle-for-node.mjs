import { resolve } from 'node:path';
import { build } from 'esbuild';

/** What every program reads when it starts, and what that stands on. A file for each of their parts would take longer to find than to read. */
const READ_IN_ONE =
  /^(@date-fns\/utc|@noble\/hashes|@valibot\/to-json-schema|bidi-js|dancing-links|date-fns|fast-deep-equal|fast-png|fflate|fontkit|hyphen|intl-messageformat|lru-cache|nanoid|papaparse|pdfkit|pluralize|porter2|pure-rand|qrcode|tex-linebreak|unicode-trie|valibot)(\/|$)/;

/** Parts of packages that are slow to begin with, and what is read in their place. */
const IN_PLACE_OF = {
  'brotli/decompress.js': resolve('core/faces/no-brotli.ts'),
  'unicode-trie': resolve('core/faces/late-trie.ts'),
};

const packages = {
  name: 'packages',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./#]/ }, ({ path, importer, kind }) => {
      if (IN_PLACE_OF[path]) return { path: IN_PLACE_OF[path] };
      if (kind === 'entry-point' || importer.includes('/node_modules/') || READ_IN_ONE.test(path))
        return null;
      return { path, external: true };
    });
  },
};

/**
 * Bundles programs that run in Node.
 * @param programs sources by name
 * @param folder where they go, relative to the project
 */
export const bundleForNode = (programs, folder) =>
  build({
    entryPoints: programs,
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20.20',
    plugins: [packages],
    // Some packages ask for parts of Node in the old way.
    banner: {
      js: "import { createRequire as requires } from 'node:module'; const require = requires(import.meta.url);",
    },
    logLevel: 'warning',
  });
