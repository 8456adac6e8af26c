import { readFileSync, writeFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { HIVE_WORDS, PUZZLE_SOURCES, recipeOf } from '../book/book.sample.ts';
import { bookFrom, drawPage, filledItem, kindOf } from '../book/index.ts';
import { loadMoon } from '../calendar/index.ts';
import { compositions, drawCover } from '../cover/index.ts';
import { namesOfNoFile } from '../export/content.sample.ts';
import { contentStream } from '../export/content.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { fingerprint } from '../fingerprint.ts';
import { loadFlexbox } from '../flexbox/index.ts';
import { loadMotifs } from '../motifs/index.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { loadRichText } from '../rich-text/index.ts';
import { LOOKS } from './blocks/look.ts';
import { DESIGNS } from './composed/designs/index.ts';
import { pageKinds } from './index.ts';
import { VIEWS } from './planner/options.ts';

/**
 * What each version of each kind makes. The same recipe makes the same bytes in any year: a change that makes other items
 * or draws other pages gives its kind a new version, whose marks are added here by `QUILL_GOLDENS=add`; those of earlier
 * versions are never changed.
 */
const FILE = new URL('./goldens.json', import.meta.url);
const goldens = JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, Record<string, string>>;

const type = typesetterFromDisk();
beforeAll(async () => {
  await Promise.all([loadFlexbox(), loadMotifs(), loadMoon(), loadRichText(), loadVocabularies()]);
});

const ruledSamples = (shade: 'grey' | 'gray') => [
  { pages: 2 },
  { pages: 2, options: { ruling: 'wide', heading: 'date', label: 'Night of', [shade]: 0.4, weight: 1.25 } },
  { pages: 1, options: { ruling: 'narrow', heading: 'subject' } },
];

const searchSamples = [
  { items: 3, options: { words: { lists: [{ title: 'In the hive', words: HIVE_WORDS }] } } },
  {
    items: 2,
    options: {
      words: { lists: [{ words: HIVE_WORDS }] },
      columns: 12,
      rows: 20,
      directions: 'backwards',
      wordsPerPuzzle: 10,
    },
    rolls: { 2: 3 },
    solutions: { perPage: 2, order: 'reverse' },
  },
];

const mazeSamples = [
  { items: 2, options: { columns: 12, rows: 14 }, solutions: { perPage: 2 } },
  { items: 1, options: { grid: 'circle', columns: 21, rows: 21, ends: 'middle', goal: 'bee', level: 2 } },
  {
    items: 1,
    options: { grid: 'hexagon', columns: 9, rows: 9, ends: 'anywhere', answer: 'dots', level: 4 },
  },
  {
    items: 1,
    options: { grid: 'triangle', columns: 9, rows: 9, corners: 'square', winding: 20, level: 1 },
  },
  {
    items: 2,
    options: { grid: 'octagon', columns: 8, rows: 9, perPage: 2, level: 'mixed' },
    rolls: { 1: 2 },
  },
];

const floorSamples = [
  { items: 2, options: { columns: 16, rows: 12, floors: 3, level: 3 }, solutions: { perPage: 2 } },
  {
    items: 4,
    options: {
      ...{ grid: 'circle', columns: 13, rows: 13, floors: 2, perPage: 4, ends: 'middle' },
      ...{ answer: 'footprints', collect: 3 },
    },
  },
];

const bridgeSamples = [
  { items: 1, options: { columns: 16, rows: 18, bridges: 60, level: 3 }, solutions: { perPage: 1 } },
  { items: 4, options: { columns: 9, rows: 9, bridges: 100, perPage: 4, answer: 'dots', collect: 3 } },
];

/** A few days over the end of a month. */
const JULY = { from: '2027-06-30', to: '2027-07-09' };

/** Every design, and some in another look: they are as fixed as what draws them. */
const EVERY_DESIGN = [
  ...Object.keys(DESIGNS).map((design) => ({ pages: 1, options: { design } })),
  ...Object.keys(LOOKS).flatMap((look) =>
    ['gratitude-morning', 'hive-inspection', 'meeting'].map((design) => ({
      pages: 1,
      options: { design, look },
    })),
  ),
];

/** What shares of the width alone would leave too narrow. */
/** Names of rows that are too long at their own size, beside shorter ones. */
const NAMES = {
  name: 'Names',
  blocks: [
    {
      type: 'table',
      columns: [{ label: 'What', width: 9 }],
      rows: ['Wednesday eve', 'Fri'],
      rowsWidth: 2,
    },
    { type: 'grid', rows: ['Wednesday eve', 'Fri'], columns: ['1', '2'], rowsWidth: 13 },
  ],
};

const NARROW = {
  name: 'Narrow',
  blocks: [
    {
      type: 'table',
      columns: [
        { label: 'What there was', width: 9 },
        { label: 'No.', width: 0.4 },
        { label: 'Done', kind: 'check', width: 0.1 },
      ],
      rows: ['In the morning', 'Late'],
      rowsWidth: 0.2,
    },
    {
      type: 'cells',
      rows: [
        [
          { label: 'Hive', width: 9 },
          { label: 'Queen seen', options: ['yes', 'no'] },
        ],
      ],
    },
    {
      type: 'fields',
      rows: [['Prepare', 'Cook', 'Serves', 'Oven', 'From', 'Mark'].map((label) => ({ label }))],
    },
    { type: 'grid', rows: ['A name that is rather long'], columns: ['1', '2', '3'], rowsWidth: 5 },
    { type: 'rule', lines: 6 },
  ],
};

const CLUES = HIVE_WORDS.map((word, i) => `${word} | Clue number ${i + 1}, of some words`).join('\n');
const SAYINGS = [
  'A swarm of bees in May is worth a load of hay. | Old rhyme',
  'Où vont les abeilles, là va l’été; et reviennent. | Anonymous',
].join('\n');

const QUESTIONS = [
  'How many legs has a bee? | Six | Four | Eight',
  'What is a hive of straw called? | Skep',
  'Which of these is a long answer? | One that goes on and on until it needs another line of its own | A short one',
  'Who lays the eggs? | The queen | A drone | A worker | The keeper',
].join('\n');

/** By kind and version, sections that use what it can do, on a trim that is nobody's default. */
const SAMPLES: Record<string, object[]> = {
  'imported 1': [{}, { options: { place: 'bleed', size: 'fill', turnWide: true } }],
  'other-books 1': [
    {},
    { options: { heading: 'Also', books: [{ title: 'One', text: 'Said.' }, { title: 'Another' }] } },
  ],
  'title-page 1': [{}, { options: { series: false } }],
  'title-page 2': [{}, { options: { series: false } }],
  'belongs-to 1': [{}, { options: { heading: 'From the hives of', lines: 4 } }],
  'belongs-to 2': [{}, { options: { heading: 'From the hives of', lines: 4 } }],
  'sudoku 1': [
    { items: 5, solutions: { perPage: 4 } },
    { items: 2, options: { size: 6, level: 2, perPage: 2, symmetry: 'none' }, rolls: { 2: 1 } },
    { items: 1, options: { size: 16, level: 1, perPage: 1, instructions: false } },
    { items: 2, options: { variant: 'jigsaw', level: 'mixed', perPage: 6, corners: true } },
    { items: 1, options: { variant: 'diagonal', level: 3, perPage: 1 } },
  ],
  'crossword 1': [
    { items: 2, options: { clues: CLUES, words: 14 }, rolls: { 2: 1 }, solutions: { perPage: 2 } },
    { items: 1, options: { clues: CLUES, clueSide: 'facing', around: 'none', counts: false } },
  ],
  // Of what a kind learned later.
  'sudoku 1, killer': [
    { items: 2, options: { variant: 'killer', level: 2, perPage: 2, corners: true } },
    { items: 1, options: { variant: 'killer', size: 6, level: 3, perPage: 1 }, solutions: { perPage: 1 } },
  ],
  'crossword 1, dense': [
    {
      items: 2,
      options: { layout: 'dense', columns: 11, rows: 13, around: 'black', clues: CLUES, clueSide: 'facing' },
      rolls: { 2: 1 },
      solutions: { perPage: 2 },
    },
  ],
  'fill-in 1': [
    {
      items: 2,
      options: { words: { lists: [{ title: 'In the hive', words: HIVE_WORDS }] }, wordsPerPuzzle: 14 },
      solutions: { perPage: 2 },
    },
  ],
  'word-scramble 1': [
    {
      items: 2,
      options: { words: { lists: [{ title: 'In the hive', words: HIVE_WORDS }] } },
      rolls: { 2: 1 },
      solutions: { perPage: 2 },
    },
    { items: 1, options: { words: { lists: [{ words: HIVE_WORDS }] }, task: 'vowels', wordsPerPuzzle: 6 } },
  ],
  'cryptogram 1': [
    { items: 2, options: { texts: SAYINGS }, solutions: { perPage: 2 } },
    { items: 3, options: { texts: SAYINGS, perPage: 3, given: 5, key: false, instructions: false } },
  ],
  'number-search 1': [
    { items: 2, options: { columns: 12, rows: 14, numbers: 12 }, solutions: { perPage: 2 } },
  ],
  'number-search 2': [
    { items: 2, options: { columns: 12, rows: 14, numbers: 12 }, solutions: { perPage: 2 } },
    { items: 1, options: { directions: 'backwards', answer: 'letters', instructions: false } },
  ],
  'kakuro 1': [
    { items: 2, options: {}, rolls: { 2: 1 }, solutions: { perPage: 2 } },
    { items: 1, options: { columns: 7, rows: 10, perPage: 1, level: 1 } },
  ],
  'inequality 1': [
    { items: 4, options: {}, rolls: { 2: 1 }, solutions: { perPage: 4 } },
    { items: 2, options: { size: 4, perPage: 1, level: 1, instructions: false } },
  ],
  'word-ladder 1': [
    { items: 6, options: {}, rolls: { 2: 1 }, solutions: { perPage: 6 } },
    { items: 4, options: { letters: 3, steps: 3, marks: true, perPage: 4, instructions: false } },
  ],
  'number-pyramid 1': [
    { items: 6, options: {}, rolls: { 2: 1 }, solutions: { perPage: 6 } },
    { items: 8, options: { rows: 3, largest: 5, perPage: 8, level: 'rising', instructions: false } },
    { items: 1, options: { rows: 7, largest: 50, perPage: 1, level: 5 } },
  ],
  'word-wheel 1': [
    { items: 2, options: {}, rolls: { 2: 1 }, solutions: { perPage: 4 } },
    { items: 4, options: { form: 'square', perPage: 4, goals: false, instructions: false } },
    { items: 1, options: { letters: 7, shortest: 3, perPage: 1, lines: false } },
  ],
  'anagram-pairs 1': [
    { items: 2, options: {}, rolls: { 2: 1 }, solutions: { perPage: 4 } },
    { items: 2, options: { task: 'write', pairs: 6, longest: 5, perPage: 2, instructions: false } },
  ],
  'cross-sums 1': [
    { items: 4, options: {}, rolls: { 2: 1 }, solutions: { perPage: 4 } },
    { items: 2, options: { calculation: 'products', perPage: 1, level: 3, instructions: false } },
  ],
  'hidden-message 1': [
    { items: 2, options: PUZZLE_SOURCES['hidden-message'], rolls: { 2: 1 }, solutions: { perPage: 2 } },
  ],
  'word-cards 1': [
    { items: 1, options: PUZZLE_SOURCES['word-cards'], rolls: { 1: 1 }, solutions: { perPage: 2 } },
    { items: 1, options: { ...PUZZLE_SOURCES['word-cards'], game: 'memory', blankBack: false } },
  ],
  'crossword 1, arrows': [
    { items: 1, options: { clues: CLUES, words: 14, columns: 9, rows: 11, clueSide: 'grid' } },
    {
      items: 2,
      options: { clues: CLUES, words: 8, columns: 7, rows: 7, clueSide: 'grid', perPage: 2, around: 'none' },
    },
  ],
  'maze 1, bridges': bridgeSamples,
  'maze 2, bridges': bridgeSamples,
  'maze 2, floors': floorSamples,
  'maze 3, bridges': bridgeSamples,
  'maze 3, floors': floorSamples,
  'cages 1': [
    { items: 4, options: {}, rolls: { 2: 1 }, solutions: { perPage: 4 } },
    { items: 6, options: { size: 4, calculation: 'sums', perPage: 6, level: 'rising', instructions: false } },
    { items: 1, options: { size: 7, calculation: 'sums-differences', perPage: 1, level: 5 } },
  ],
  'nonogram 1': [
    { items: 2, options: { columns: 12, rows: 14 }, solutions: { perPage: 2 } },
    { items: 4, options: { columns: 9, rows: 9, perPage: 4, symmetry: 'mirror', filled: 45, level: 1 } },
  ],
  'trivia 1': [
    { items: 2, options: { questions: QUESTIONS, perPuzzle: 3 }, solutions: { perPage: 2 } },
    { items: 1, options: { questions: QUESTIONS, order: 'shuffled', perPuzzle: 4, instructions: false } },
  ],
  'bingo 1': [
    { items: 3, options: {}, rolls: { 2: 1 } },
    {
      items: 2,
      options: {
        cards: 'words',
        size: 3,
        perPage: 2,
        words: { lists: [{ words: HIVE_WORDS }] },
        heading: 'In the hive',
      },
    },
  ],
  'game-sheet 1': [
    { pages: 3, options: {} },
    { pages: 1, options: { game: 'battle', perPage: 1, rules: false } },
    { pages: 1, options: { game: 'categories', perPage: 2, score: false } },
  ],
  'maze 1': mazeSamples,
  'maze 2': mazeSamples,
  'maze 3': mazeSamples,
  'word-search 1': searchSamples,
  'word-search 2': searchSamples,
  'word-search 3': [
    {
      items: 2,
      options: { words: { lists: [{ title: 'In the hive', words: HIVE_WORDS }] }, wordsPerPuzzle: 12 },
      rolls: { 2: 1 },
      solutions: { perPage: 2 },
    },
    {
      items: 1,
      options: {
        words: { lists: [{ words: HIVE_WORDS }] },
        ...{
          shape: 'heart',
          columns: 18,
          rows: 18,
          level: 4,
          place: 'facing',
          answer: 'letters',
          order: 'length',
        },
      },
      solutions: { perPage: 1 },
    },
    {
      items: 1,
      options: {
        words: { lists: [{ words: HIVE_WORDS }] },
        ...{ shape: 'character', character: 'B', level: 5, wordsPerPuzzle: 8, answer: 'strokes' },
        ...{ columns: 20, rows: 22, capitals: 'typed', order: 'mixed' },
      },
      solutions: { perPage: 1 },
    },
    {
      items: 1,
      options: {
        words: { lists: [{ words: HIVE_WORDS }] },
        ...{
          messages: 'The bees are home',
          unwantedMore: 'STING',
          decoys: 0,
          filling: 'words',
          place: 'below',
        },
        ...{
          shown: 'clues',
          clues: CLUES,
          directions: ['across', 'back', 'up-left'],
          unwanted: ['en', 'de'],
        },
      },
      solutions: { perPage: 1 },
    },
  ],
  'ruled 1': ruledSamples('grey'),
  'ruled 2': ruledSamples('gray'),
  'ruled 3': [
    ...ruledSamples('gray'),
    { pages: 2, options: { pitch: '6.7mm', style: 'dotted', margin: 'inner', numbers: true } },
    { pages: 2, options: { heading: 'subject, date and number', subjects: 'Moths\nBees', color: '#7fa8b8' } },
  ],
  'french-ruled 1': [
    { pages: 2 },
    { pages: 1, options: { margin: 'outer', openMargin: false, pitch: '10mm' } },
  ],
  'handwriting 1': [{ pages: 1 }, { pages: 1, options: { height: '1in', picture: 'half', heading: 'date' } }],
  'dot-grid 1': [{ pages: 2 }, { pages: 1, options: { spacing: '1/4in', dot: 2 } }],
  'graph 1': [
    { pages: 1 },
    { pages: 1, options: { heavyEvery: '5', cell: '1/5in' } },
    { pages: 1, options: { grid: 'polar', rays: 36 } },
    { pages: 1, options: { grid: 'semi-log' } },
    { pages: 1, options: { grid: 'log-log', decades: 4 } },
  ],
  'isometric 1': [{ pages: 1 }, { pages: 1, options: { marks: 'dots', pitch: '8mm' } }],
  'hexagonal 1': [{ pages: 1 }, { pages: 1, options: { top: 'flat', size: 'large' } }],
  'cornell 1': [{ pages: 2 }, { pages: 2, options: { inside: 'squares', mirrored: true, labels: false } }],
  'calligraphy 1': [{ pages: 1 }, { pages: 1, options: { slant: 52, nib: 1.2, guides: 0 } }],
  'music 1': [
    { pages: 1, options: { clef: 'treble', bars: 4, heading: 'title and date' } },
    { pages: 1, options: { clef: 'grand', bars: 3 } },
    { pages: 1, options: { clef: 'guitar-tab', chords: 'guitar', bars: 4 } },
    { pages: 1, options: { clef: 'voice-and-piano', lyrics: true } },
    { pages: 1, options: { clef: 'percussion', chords: 'names', bars: 2 } },
  ],
  'comic 1': [{ pages: 20 }, { pages: 1, options: { corner: 2, gutter: 5, arrangement: 'action' } }],
  'sketch 1': [
    { pages: 1 },
    { pages: 1, options: { frames: 6, columns: 2, ratio: '16:9', numbers: true } },
    { pages: 1, options: { frames: 3, caption: 'beside', ratio: '4:3' } },
  ],
  'blank 1': [{ pages: 1 }, { pages: 1, options: { border: 'double', heading: 'date' } }],
  'composed 1': [
    ...EVERY_DESIGN,
    { pages: 2, options: { design: 'reflection', varied: 'What is new?\nWho came by?' } },
  ],
  'composed 2': [
    ...EVERY_DESIGN,
    { pages: 3, options: { design: 'reflection', varied: 'What is new? | Ada\nWho came by?', every: 2 } },
    { pages: 2, options: { design: 'gratitude-three', varied: 'Look twice | Old saying\nWait' } },
  ],
  'composed 3': [
    ...EVERY_DESIGN,
    { pages: 3, options: { design: 'reflection', varied: 'What is new? | Ada\nWho came by?', every: 2 } },
    { pages: 2, options: { design: 'gratitude-three', varied: 'Look twice | Old saying\nWait' } },
    { pages: 1, options: { design: NARROW } },
    { pages: 1, options: { design: NARROW, facing: true } },
  ],
  'composed 4': [
    ...EVERY_DESIGN,
    { pages: 3, options: { design: 'reflection', varied: 'What is new? | Ada\nWho came by?', every: 2 } },
    { pages: 2, options: { design: 'gratitude-three', varied: 'Look twice | Old saying\nWait' } },
    { pages: 1, options: { design: NARROW } },
    { pages: 1, options: { design: NARROW, facing: true } },
    { pages: 1, options: { design: NAMES } },
  ],
  'planner 1': [
    ...Object.keys(VIEWS).map((view) => ({ options: { view, ...JULY, moon: true, dayNumbers: true } })),
    ...Object.keys(LOOKS).map((look) => ({
      options: { view: 'week', look, months: true, habits: 4, goals: 3, dates: '07-07,Hive day', ...JULY },
    })),
    { options: { view: 'week', pages: 'one', weekStart: 'sunday', ...JULY } },
    { options: { view: 'week', dated: false, notesEvery: 2, tabs: false, ...JULY } },
  ],
  'tracing 1': [
    { options: {} },
    { options: { alphabet: 'joined', letters: 'small', lines: 'outlined', height: '3/8in' } },
    { options: { what: 'numbers', from: 4, to: 11, lines: 'dashed', guidance: 'full' } },
    { options: { what: 'list', list: 'Wren\nThe moths are out, over the river.', height: '3/8in' } },
  ],
  'half-title 1': [{}],
  'copyright 1': [
    {},
    { options: { year: '2027', isbn: '9780306406157', rights: 'classroom', more: 'A\n\nB' } },
  ],
  'dedication 1': [{ options: { text: 'For those who get up before the bees do' } }],
  'contents 1': [
    {},
    { options: { names: 'First\n\nThird', leaders: 'line' } },
    { options: { leaders: 'none' } },
  ],
  'text-page 1': [
    { options: { text: 'Of {title}.\n\n# Before\n\n- Look.\n- Listen.\n\nThen write.' } },
    { options: { what: 'thanks' } },
    { options: { what: 'notes', lines: true } },
  ],
  'text-page 2': [
    { options: { text: 'Of {title}.\n\n# Before\n\n- Look.\n- Listen.\n\nThen write.' } },
    { options: { text: '# Look *twice*\n\n3. **Smoke**\n4. Lift\n\nOne  \nTwo {series} {volume}' } },
    { options: { what: 'notes', lines: true } },
  ],
  'subject-index 1': [
    { kind: 'ruled', version: 3, pages: 19, options: { heading: 'subject', subjects: 'Moths\nBees\nÄpfel' } },
    { kind: 'ruled', version: 3, pages: 4, options: { heading: 'subject', subjects: 'Rain' } },
    {},
    { options: { columns: '3', letters: false, heading: 'Where it is' } },
  ],
  'subject-index 2': [
    { kind: 'ruled', version: 3, pages: 19, options: { heading: 'subject', subjects: 'Moths\nBees\nÄpfel' } },
    { kind: 'ruled', version: 3, pages: 4, options: { heading: 'subject', subjects: 'Rain' } },
    {},
    { options: { columns: '3', letters: false, heading: 'Where it is' } },
  ],
  'dots-to-join 1': [
    { pages: 3 },
    { pages: 1, options: { dots: 16, picture: 'owl' } },
    { pages: 2, options: { order: 'shuffled', dots: 60 } },
  ],
  'give-away 1': [
    { options: { link: 'https://example.com/gift', text: 'Ten more pages to print at home.' } },
    {
      options: {
        link: 'https://example.com/a/longer/way?to=it',
        level: 'H',
        size: 45,
        shown: false,
        heading: 'More',
      },
    },
  ],
  'certificate 1': [{}, { options: { heading: 'Well done', done: 'has read every page of' } }],
  'color-test 1': [{}, { options: { shape: 'boxes', columns: 3, rows: 4 } }],
  'text-list 1': [
    { options: { list: 'Keep the bees | Old saying\nLook twice', lines: true } },
    { options: { list: 'Keep the bees | Old saying\nLook twice', style: 'quotation' } },
    {
      options: {
        list: 'One\nTwo\nThree\nFour',
        style: 'numbered',
        perPage: 4,
        order: 'shuffled',
        largest: 16,
      },
    },
    { options: { list: 'One\nTwo', style: 'framed', perPage: 2 } },
  ],
  'index 1': [{ pages: 1 }, { pages: 1, options: { columns: '2', title: 'Where it is' } }],
};

/** @param name of the samples: kind, version and, where there are more of them, which */
function marksOf(name: string) {
  const [kind, version] = name.split(/,? /) as [string, string];
  const sections = SAMPLES[name]!.map((more, i) => ({
    id: `s${i}`,
    kind,
    version: Number(version),
    ...more,
  }));
  const book = bookFrom(
    recipeOf(sections, {
      subtitle: 'Long evenings',
      imprint: 'Tin Lantern Press',
      series: { name: 'Hive & Hedge', volume: 2 },
      print: { service: 'wrenfair', trim: { width: '7in', height: '10in' } },
    }),
  );
  const items = [...book.sections.values()].flatMap((section) =>
    Array.from({ length: book.plan.items[section.id]!.count }, (_, i) =>
      kindOf(section).data?.(filledItem(book, section, i + 1)),
    ),
  );
  const pages = book.plan.pages.map(({ number }) => {
    const scene = drawPage(book, number, type);
    return scene.layers.map(({ marks }) =>
      Buffer.from(contentStream(marks, scene.height, namesOfNoFile, type, scene.gray)).toString('latin1'),
    );
  });
  return { items: fingerprint(items), pages: fingerprint(pages) };
}

/** The cover of a thick book with every field, in all its sheets. */
function coverMarks(composition: string, version: number) {
  const sheets = ['wrenfair', 'thornback'].flatMap((service) =>
    drawCover(
      bookFrom(
        recipeOf([{ id: 'r', kind: 'ruled', pages: 140 }], {
          subtitle: 'Long evenings',
          imprint: 'Tin Lantern Press',
          series: { name: 'Hive & Hedge', volume: 2 },
          print: { service, trim: { width: '8.5in', height: '11in' } },
          listing: {},
          cover: {
            composition,
            version,
            options: { titleSize: 90 },
            fields: { blurb: 'From brood to waggle dance.' },
          },
        }),
      ),
      type,
    ),
  );
  return fingerprint(
    sheets.map(({ scene }) =>
      scene.layers.map(({ marks }) =>
        Buffer.from(contentStream(marks, scene.height, namesOfNoFile, type, scene.gray)).toString('latin1'),
      ),
    ),
  );
}

function holds(name: string, made: Record<string, string>) {
  if (!goldens[name] && process.env.QUILL_GOLDENS === 'add') {
    goldens[name] = made;
    writeFileSync(FILE, `${JSON.stringify(goldens, null, 2)}\n`);
  }
  expect(made, `${name} makes something else. Give it a new version.`).toEqual(goldens[name]);
}

describe('what a version of a composition makes never changes', () => {
  it.each(compositions.map(({ id, version }) => [`cover ${id} ${version}`, id, version] as const))(
    '%s',
    (name, id, version) => holds(name, { sheets: coverMarks(id, version) }),
  );
});

describe('what a version of a kind makes never changes', () => {
  const versions = pageKinds().flatMap(({ id, version }) =>
    Array.from({ length: version }, (_, i) => `${id} ${i + 1}`),
  );
  it.each([...new Set([...versions, ...Object.keys(SAMPLES)])])('%s', (name) => {
    expect(SAMPLES[name], `${name} has no samples here`).toBeDefined();
    holds(name, marksOf(name));
  });
});
