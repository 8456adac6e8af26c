import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: [
      'core/**/*.test.ts',
      'app/**/*.test.ts',
      'server/**/*.test.ts',
      'standins/**/*.test.ts',
      'cli/**/*.test.ts',
      'tests/outside/**/*.test.ts',
      'tests/server/**/*.test.ts',
    ],
    // Two: by itself it would leave one core idle on the small machines that this runs on.
    maxWorkers: 2,
    setupFiles: ['tests/same-examples.ts'],
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
});
