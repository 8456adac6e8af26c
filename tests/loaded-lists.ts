import { loadUnwanted } from '#core/pages/word-search/unwanted.ts';

// Books of tests are put together without waiting for anything; what a kind prepares is there from the beginning.
await loadUnwanted();
