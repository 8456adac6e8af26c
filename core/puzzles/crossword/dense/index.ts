export { DENSE_SIDES, denseSteps } from './dense.ts';
export { loadVocabularies, VOCABULARIES } from './vocabulary.ts';
