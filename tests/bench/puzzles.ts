import { spawnSync } from 'node:child_process';
import { SudokuSolver } from '@algorithm.ts/sudoku';
import WordSearch from '@blex41/word-search';
import layout from 'crossword-layout-generator';
import { DancingLinks } from 'dancing-links';
import generateMaze from 'generate-maze';
import { HIVE_WORDS } from '#core/book/book.sample.ts';
import { unwantedOf } from '#core/pages/word-search/unwanted.ts';
import { denseSteps } from '#core/puzzles/crossword/dense/index.ts';
import { freeFormSteps } from '#core/puzzles/crossword/index.ts';
import { kakuroSteps } from '#core/puzzles/kakuro/index.ts';
import { LEVELS } from '#core/puzzles/level.ts';
import { GRIDS, makeMaze, mazeGrid } from '#core/puzzles/maze/index.ts';
import { nonogramSteps } from '#core/puzzles/nonogram/index.ts';
import { BandSolver } from '#core/puzzles/sudoku/bands.ts';
import { killerSteps, rate, shapeOf, sudokuSteps } from '#core/puzzles/sudoku/index.ts';
import { SudokuMaker } from '#core/puzzles/sudoku/make.ts';
import { GRADES, type Grade } from '#core/puzzles/sudoku/rate.ts';
import { loadVocabularies } from '#core/puzzles/vocabulary/index.ts';
import { type Direction, hideWords, lettersOfLanguage, STEPS } from '#core/puzzles/word-search/index.ts';
import { randomStream } from '#core/random.ts';
import { atOnce } from '#core/steps.ts';
import { gridWord, loadUnwanted } from '#core/words/index.ts';

const median = (values: number[]) => values.slice().sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** CPU milliseconds of a piece of work. */
function cpu(work: () => void): number {
  const before = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(before);
  return (user + system) / 1000;
}

/** CPU milliseconds that programs which were run took. */
function children(command: string, args: string[]): number {
  const { stderr } = spawnSync(
    'bash',
    ['-c', `TIMEFORMAT='%U %S'; time ${command} ${args.join(' ')} > /dev/null`],
    {
      encoding: 'utf8',
    },
  );
  const [user, system] = stderr.trim().split(/\s+/).slice(-2).map(Number);
  return 1000 * (user! + system!);
}

/** Of qqwing, by its level, and how often ours is to be as fast. */
const AGAINST = [
  { level: 'simple', count: 5, times: 50 },
  { level: 'easy', count: 60, times: 15 },
  { level: 'intermediate', count: 25, times: 8 },
  { level: 'intermediate', count: 25, times: 5 },
  { level: 'expert', count: 60, times: 4 },
  { level: 'expert', count: 60, times: 8 },
] as const;
/** Rounds in which both take turns, so that a slower minute of the machine is one for both. */
const ROUNDS = 5;
const MADE = 200;

const shape = shapeOf(9);
const maker = new SudokuMaker(shape);
console.log('\nSudokus 9 × 9 with one answer, a second, against qqwing at the nearest level');
for (const [grade, { level, count, times }] of AGAINST.entries()) {
  const random = randomStream('bench', grade);
  const wanted = { from: grade as Grade, to: grade as Grade, symmetry: 'none', leastGivens: 0 } as const;
  const make = () => {
    for (let made = 0; made < MADE; ) {
      const puzzle = atOnce(maker.attempt(wanted, random));
      if (puzzle && puzzle.grade === grade) made++;
    }
  };
  make();
  const rounds = Array.from({ length: ROUNDS }, () => ({
    ours: (1000 * MADE) / cpu(make),
    theirs:
      (1000 * count) / children('qqwing', ['--generate', String(count), '--difficulty', level, '--one-line']),
  }));
  const of = (pick: (round: (typeof rounds)[number]) => number) => median(rounds.map(pick));
  console.log(
    `${GRADES[grade]!.name.padEnd(20)} ${of(({ ours }) => ours)
      .toFixed(0)
      .padStart(
        5,
      )}   ${of((round) => round.ours / round.theirs).toFixed(1)} × qqwing ${level}, ${of((round) => round.theirs).toFixed(1)} (at least ${times})`,
  );
}

{
  const bands = new BandSolver();
  const random = randomStream('bench', 'hard');
  const hard: Uint8Array[] = [];
  while (hard.length < 24) {
    const givens = bands.fill(random);
    for (const cell of random.shuffled([...givens.keys()])) {
      const value = givens[cell]!;
      givens[cell] = 0;
      if (bands.solve(givens).count > 1) givens[cell] = value;
    }
    // Those that take a person many chains take a search many guesses.
    const rating = rate(shape, givens);
    if (!rating || (rating.techniques.chain ?? 0) >= 8) hard.push(givens);
  }
  const rounds = 20;
  const ours = cpu(() => {
    for (let i = 0; i < rounds; i++) for (const givens of hard) bands.solve(givens);
  });
  const solver = new SudokuSolver({ childMatrixWidth: 3 });
  const first = cpu(() => {
    for (let i = 0; i < rounds; i++)
      for (const givens of hard)
        solver.solve(
          Array.from(givens, (value) => value - 1),
          null,
        );
  });
  const unitsOf = Array.from({ length: 81 }, (_, cell) =>
    shape.units.flatMap((unit, u) => (unit.includes(cell) ? [u] : [])),
  );
  const links = new DancingLinks<number>();
  const covered = cpu(() => {
    for (const givens of hard) {
      const cover = links.createSolver({ columns: 81 + 27 * 9 });
      for (let cell = 0; cell < 81; cell++)
        for (let digit = 0; digit < 9; digit++)
          if (!givens[cell] || givens[cell] === digit + 1)
            cover.addSparseConstraint(cell, [cell, ...unitsOf[cell]!.map((u) => 81 + u * 9 + digit)]);
      cover.find(1);
    }
  });
  const each = ours / rounds / hard.length;
  console.log(
    `\nOne answer shown on ${hard.length} hard grids   ${(1000 * each).toFixed(0)} µs each; a first answer takes @algorithm.ts ${(first / ours).toFixed(1)} ×, dancing-links ${(covered / hard.length / each).toFixed(1)} × (at least 7)`,
  );
}

{
  const times = Array.from({ length: 50 }, (_, seed) =>
    cpu(() =>
      atOnce(
        sudokuSteps(
          { size: 16, variant: 'classic', level: 3, symmetry: 'half-turn' },
          randomStream('bench', 16, seed),
        ),
      ),
    ),
  );
  console.log(
    `Sudokus 16 × 16, medium   ${median(times).toFixed(0)} ms, the slowest of ${times.length} ${Math.max(...times).toFixed(0)} (100 and 500)`,
  );
}

{
  const [columns, rows] = [40, 40];
  const grids = GRIDS.map((id) => ({
    id,
    grid: mazeGrid(id, columns, rows),
    random: randomStream('bench', id),
  }));
  const ours = ({ grid, random }: (typeof grids)[number]) => {
    for (let i = 0; i < 20; i++) makeMaze(grid, 'outer', 0.7, random);
  };
  const theirs = () => {
    for (let i = 0; i < 5; i++) generateMaze(columns, rows, true, i);
  };
  const round = () => {
    const reference = (4 * cpu(theirs)) / (columns * rows);
    return grids.map((of) => reference / (cpu(() => ours(of)) / of.grid.cells));
  };
  // A book has hundreds of them: both are warm. By turns, so that a machine that others slow down is slow for both.
  for (let i = 0; i < 5; i++) round();
  const rounds = Array.from({ length: 20 }, round);
  const said = GRIDS.map((id, i) => `${id} ${median(rounds.map((ratios) => ratios[i]!)).toFixed(1)}`).join(
    ', ',
  );
  console.log(
    `Mazes with their ways, ${columns} × ${rows}, at equal cells   ${said} × generate-maze, without them (at least 12)`,
  );
}

{
  const times = (count: number, make: (seed: number) => void) => {
    make(-1);
    return Array.from({ length: count }, (_, seed) => cpu(() => make(seed)));
  };
  const said = (name: string, all: number[], least: string) =>
    console.log(
      `${name.padEnd(24)} ${median(all).toFixed(1)} ms, the slowest of ${all.length} ${Math.max(...all).toFixed(0)} (${least})`,
    );
  console.log('');
  for (const level of LEVELS)
    said(
      `Killer sudokus 9 × 9, level ${level}`,
      times(30, (seed) => atOnce(killerSteps(9, level, randomStream('bench', 'killer', level, seed)))),
      '100',
    );
  said(
    'Kakuros 9 × 9',
    times(50, (seed) => atOnce(kakuroSteps(9, 9, randomStream('bench', 'kakuro', seed)))),
    '100',
  );
  said(
    'Nonograms 20 × 20',
    times(100, (seed) =>
      atOnce(
        nonogramSteps(
          { columns: 20, rows: 20, density: 0.55, mirrored: false },
          randomStream('bench', 'nonogram', seed),
        ),
      ),
    ),
    '5',
  );
}

{
  const words = HIVE_WORDS.flatMap((word) => {
    const read = gridWord(word);
    return 'letters' in read ? [read.letters] : [];
  }).slice(0, 25);
  const density: number[] = [];
  const left: number[] = [];
  const lay = (seed: number) => {
    const { grid, leftOut } = atOnce(
      freeFormSteps({ words, columns: 21, rows: 21 }, randomStream('bench', 'crossword', seed)),
    );
    density.push(grid.letters.filter(Boolean).length / grid.letters.length);
    left.push(leftOut.length);
  };
  /** It says what it does for every word. */
  const quietly = (work: () => void): number => {
    const { log } = console;
    console.log = () => {};
    const took = cpu(work);
    console.log = log;
    return took;
  };
  lay(-1);
  const rounds = Array.from({ length: 20 }, (_, seed) => ({
    ours: cpu(() => lay(seed)),
    theirs: quietly(() =>
      layout.generateLayout(words.map((letters) => ({ clue: '', answer: letters.join('') }))),
    ),
  }));
  const ratio = median(rounds.map(({ ours, theirs }) => ours / theirs));
  console.log(
    `Crosswords of 25 words   ${median(rounds.map(({ ours }) => ours)).toFixed(0)} ms, ${ratio.toFixed(2)} × crossword-layout-generator (at most 2), density ${(100 * median(density)).toFixed(0)} % (42), words left out ${Math.max(...left)}`,
  );
}

{
  await loadVocabularies();
  const words = HIVE_WORDS.flatMap((word) => {
    const read = gridWord(word);
    return 'letters' in read ? [read.letters] : [];
  }).slice(0, 25);
  let filled = 0;
  const fill = (seed: number) => {
    const order = { columns: 15, rows: 15, first: [], vocabulary: 'everyday' } as const;
    if (atOnce(denseSteps(order, randomStream('bench', 'dense', seed)))) filled++;
  };
  fill(-1);
  filled = 0;
  const rounds = Array.from({ length: 30 }, (_, seed) => ({
    dense: cpu(() => fill(seed)),
    free: cpu(() => {
      atOnce(freeFormSteps({ words, columns: 21, rows: 21 }, randomStream('bench', 'crossword', seed)));
    }),
  }));
  console.log(
    `Dense crosswords 15 × 15, words of SCOWL ≤ 50   ${median(rounds.map(({ dense }) => dense)).toFixed(0)} ms (3,000), the longest ${Math.max(...rounds.map(({ dense }) => dense)).toFixed(0)} ms, ${filled} of 30 filled; ${median(rounds.map(({ dense, free }) => dense / free)).toFixed(2)} × a crossword of 25 words`,
  );
}

{
  const words = HIVE_WORDS.slice(0, 20).flatMap((word) => {
    const read = gridWord(word);
    return 'letters' in read ? [read] : [];
  });
  await loadUnwanted();
  const unwanted = unwantedOf({ unwanted: ['en'], unwantedMore: '' });
  const filling = lettersOfLanguage('en');
  const side = { columns: 20, rows: 20 };
  const directions = Object.keys(STEPS) as Direction[];
  let left = 0;
  const hide = (seed: string) => {
    const order = {
      ...side,
      directions,
      words,
      filling,
      unwanted,
      crossings: 'some',
      decoys: 0,
      message: [],
    } as const;
    left += hideWords(order, randomStream('bench', 'search', seed)).leftOut.length;
  };
  const theirs = () =>
    new WordSearch({ cols: 20, rows: 20, dictionary: words.map(({ word }) => word), maxWords: 20 });
  // A book has hundreds of them: both are warm, for which the first hundred is not enough.
  for (let i = 0; i < 500; i++) {
    hide(`warm ${i}`);
    theirs();
  }
  const rounds = Array.from({ length: 20 }, (_, round) => ({
    ours: cpu(() => {
      for (let i = 0; i < 50; i++) hide(`${round} ${i}`);
    }),
    theirs: cpu(() => {
      for (let i = 0; i < 50; i++) theirs();
    }),
  }));
  console.log(
    `Word searches 20 × 20 with 20 words, without unwanted ones   ${median(rounds.map(({ ours }) => ours / 50)).toFixed(2)} ms, ${median(rounds.map(({ ours, theirs }) => theirs / ours)).toFixed(1)} × as fast as @blex41/word-search, which leaves them in (7 ×); words left out ${left}`,
  );
}
