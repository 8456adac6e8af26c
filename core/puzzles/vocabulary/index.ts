export {
  type KnownWord,
  knownWord,
  loadVocabularies,
  VOCABULARIES,
  type Vocabulary,
  vocabularyOf,
} from './vocabulary.ts';
