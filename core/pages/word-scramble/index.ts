import { wordListFormat } from '../item-formats.ts';
import { defineKind, itemUnits } from '../kind.ts';
import { fewerAndFewer, LEAST_LARGE } from '../puzzle/fewer.ts';
import { filedByTitle } from '../puzzle/filed.ts';
import { SHOWN_WORDS } from '../puzzle/shown-words.ts';
import { bankNeeded, listProblems, listsOf } from '../puzzle/word-source.ts';
import { drawScramblePage, drawScrambleSolution } from './draw.ts';
import { fillScramble, inspectScramble, pinnedScramble, type ScrambleItem } from './fill.ts';
import { LONGEST, type ScrambleOptions, scrambleOptions, scramblePin } from './options.ts';
import { scrambleTrial } from './trial.ts';
import { scrambleWords } from './words.ts';

const shown = { words: { lists: [{ title: 'In the hive', words: SHOWN_WORDS }] } };

export const wordScramble = defineKind<ScrambleOptions, ScrambleItem>({
  id: 'word-scramble',
  version: 1,
  later: { heading: '', boxes: 'beside' },
  name: 'Word scramble',
  purpose: 'Words whose letters are in disorder, or whose vowels are missing, with solutions.',
  family: 'Puzzles',
  samples: [
    { name: 'Word scramble', shown },
    { name: 'Missing vowels', options: { task: 'vowels' }, shown },
  ],
  called: ({ task }) => (task === 'vowels' ? 'Missing vowels' : 'Word scramble'),
  extent: 'items',
  defaultCount: 20,
  numbered: true,
  inHouseFaces: () => true,
  options: scrambleOptions,
  needs: bankNeeded,
  itemName: 'puzzle',
  roomier: ({ task, boxes }) => (task === 'letters' && boxes === 'beside' ? [{ boxes: 'below' }] : []),
  smaller: (options) => fewerAndFewer(options, ['wordsPerPuzzle'], LEAST_LARGE.words),
  units: ({ count }) => itemUnits(count),
  fill: fillScramble,
  pin: { schema: scramblePin, of: pinnedScramble },
  data: ({ title, words, task }) => ({
    ...(title ? { title } : {}),
    task,
    words: words.map(({ word, shown: printed }) => ({
      word,
      shown: printed.map((letter) => letter ?? '_').join(''),
    })),
  }),
  formats: [wordListFormat(({ words }: ScrambleItem) => words.map(({ word }) => word))],
  trial: scrambleTrial,
  filed: filedByTitle((language, { task }) => scrambleWords(language, task)),
  draw: drawScramblePage,
  solution: { box: drawScrambleSolution },
  inspect: inspectScramble,
  inspectSection: (items, options, resources) =>
    listProblems(items, listsOf(options, resources), {
      wordsPerPuzzle: options.wordsPerPuzzle,
      longest: LONGEST,
    }),
});
