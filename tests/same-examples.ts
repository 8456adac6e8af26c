import fc from 'fast-check';

// Property tests see the same examples in every run, so that only a change makes one fail. QUILL_SEED=random draws
// new ones, QUILL_SEED=<number> those of an earlier run.
const { QUILL_SEED = '1' } = process.env;
if (QUILL_SEED !== 'random') fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: Number(QUILL_SEED) });
