import { loadUnwanted } from '#core/words/index.ts';

// Books of tests are put together without waiting for anything; what a kind prepares is there from the beginning.
await loadUnwanted();
