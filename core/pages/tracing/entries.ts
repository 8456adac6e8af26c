import type { MotifId } from '../../motifs/index.ts';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import type { TracingOptions } from './options.ts';

/** What one page is for. */
export interface TracingEntry {
  /** What stands large at the head. */
  model: string;
  /** What is traced, a row or more of each in turn. */
  rows: readonly string[];
  title: string;
  motif?: MotifId;
  /** As many dots to count. */
  count?: number;
}

/** A word and a drawing of ours for most letters of the English alphabet. */
const WORDS: Readonly<Record<string, { word: string; motif?: MotifId }>> = {
  a: { word: 'acorn', motif: 'acorn' },
  b: { word: 'bee', motif: 'bee' },
  c: { word: 'crab', motif: 'crab' },
  d: { word: 'daisy', motif: 'daisy' },
  e: { word: 'egg', motif: 'egg' },
  f: { word: 'fish', motif: 'fish' },
  g: { word: 'gull', motif: 'gull' },
  h: { word: 'heron', motif: 'heron' },
  i: { word: 'ivy', motif: 'ivy' },
  j: { word: 'jar', motif: 'jar' },
  k: { word: 'kelp', motif: 'kelp' },
  l: { word: 'leaf', motif: 'leaf' },
  m: { word: 'moth', motif: 'moth' },
  n: { word: 'night', motif: 'night' },
  o: { word: 'owl', motif: 'owl' },
  p: { word: 'pea', motif: 'pea' },
  q: { word: 'queen', motif: 'queen' },
  r: { word: 'robin', motif: 'robin' },
  s: { word: 'snail', motif: 'snail' },
  t: { word: 'tomato', motif: 'tomato' },
  u: { word: 'urchin', motif: 'urchin' },
  v: { word: 'vine', motif: 'vine' },
  w: { word: 'whale', motif: 'whale' },
  x: { word: 'fox' },
  y: { word: 'yarrow', motif: 'yarrow' },
  z: { word: 'zinnia', motif: 'zinnia' },
};

const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];
/** More than these are not counted at a glance. */
const MOST_DOTS = 20;

/** Short words that a first reader meets most (common practice, no source). */
export const FIRST_WORDS =
  'a and at be big can come do for get go had has he her him his I in is it like look make me my no not of on one play ran said see she so that the they this to up was we went what with you'.split(
    ' ',
  );

const FIRST_LETTER = /^\p{L}/u;

/** The motif that begins with the letter of a text, if that is the word of it. */
const motifFor = (text: string): { motif?: MotifId } => {
  const known = WORDS[text.slice(0, 1).toLowerCase()];
  return known?.motif && text.toLowerCase() === known.word ? { motif: known.motif } : {};
};

/** The pages of a section, in order. @param language words are given for letters in English alone */
export function entriesOf(options: TracingOptions, language: PrintedLanguage): TracingEntry[] {
  switch (options.what) {
    case 'letters':
      return LETTERS.map((small) => letterEntry(small, options, language));
    case 'numbers': {
      const [from, to] = [Math.min(options.from, options.to), Math.max(options.from, options.to)];
      return Array.from({ length: to - from + 1 }, (_, i) => {
        const text = String(from + i);
        return {
          model: text,
          rows: [text],
          title: text,
          ...(options.pictures && from + i > 0 && from + i <= MOST_DOTS ? { count: from + i } : {}),
        };
      });
    }
    case 'first-words':
      return FIRST_WORDS.map((word) => ({ model: word, rows: [word], title: word }));
    case 'list': {
      const lines = options.list
        .split(/\r?\n/)
        .map((line) => line.trim().replace(/\s+/g, ' '))
        .filter(Boolean);
      // An empty list still has a page, which says what is missing.
      return (lines.length ? lines : ['']).map((line) => ({
        model: line,
        rows: [line],
        title: '',
        ...(options.pictures && FIRST_LETTER.test(line) ? motifFor(line) : {}),
      }));
    }
  }
}

function letterEntry(
  small: string,
  { letters, pictures }: TracingOptions,
  language: PrintedLanguage,
): TracingEntry {
  const capital = small.toUpperCase();
  const pair = { both: [capital, small], capitals: [capital], small: [small] }[letters];
  const { word, motif } = WORDS[small]!;
  const named = pictures && language === 'en';
  // The word of a letter that begins none holds it.
  const title = !named
    ? pair.join(' ')
    : word.startsWith(small)
      ? `${capital} is for ${word}`
      : `${capital} as in ${word}`;
  return {
    model: pair.join(''),
    rows: [...pair, ...(named ? [letters === 'capitals' ? word.toUpperCase() : word] : [])],
    title,
    ...(named && motif ? { motif } : {}),
  };
}
