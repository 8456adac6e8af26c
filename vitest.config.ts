import { defineConfig } from 'vitest/config';

const shared = {
  setupFiles: ['tests/same-examples.ts', 'tests/loaded-lists.ts'],
  testTimeout: 300_000,
  hookTimeout: 300_000,
};

/** Make kinds of page known that nobody is offered: others would find them. */
const REGISTERING = ['core/book/layout.test.ts', 'core/book/text-pages.test.ts'];

export default defineConfig({
  test: {
    // Two: by itself it would leave one core idle on the small machines that this runs on.
    maxWorkers: 2,
    projects: [
      {
        // Pure: what one file imports serves the next, which saves a minute and a half.
        test: {
          ...shared,
          name: 'core',
          include: ['core/**/*.test.ts', 'app/**/*.test.ts', 'standins/**/*.test.ts'],
          exclude: REGISTERING,
          isolate: false,
        },
      },
      {
        test: {
          ...shared,
          name: 'apart',
          include: [
            ...REGISTERING,
            'server/**/*.test.ts',
            'cli/**/*.test.ts',
            'tests/outside/**/*.test.ts',
            'tests/server/**/*.test.ts',
          ],
        },
      },
    ],
  },
});
