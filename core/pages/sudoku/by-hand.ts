import { contradiction } from '../../puzzles/contradiction.ts';
import { groupsOf, hangingGroups, touch } from '../../puzzles/groups.ts';
import {
  attemptAt,
  clashes,
  coversOf,
  killerAnswers,
  rate,
  rateKiller,
  readGrid,
  shapeOf,
  TECHNIQUES,
  type Technique,
} from '../../puzzles/sudoku/index.ts';
import { oneAnswer, severalAnswers, type Watched } from '../puzzle/by-hand.ts';
import { LEVEL_NAMES } from '../puzzle/level.ts';
import { cagesOfPin, LARGEST_SEARCHED, type SudokuItem, shapeOfItem } from './fill.ts';
import {
  MOST_IN_CAGE,
  type SudokuGiven,
  type SudokuJigsaw,
  type SudokuKiller,
  type SudokuWithGivens,
} from './options.ts';

/** What a solver says of a puzzle: how many answers there are. */
export type Verdict =
  | {
      answers: 'one';
      solution: Uint8Array;
      rating: { level: SudokuItem['level']; techniques: Technique[] } | null;
    }
  | { answers: 'none' }
  /** With the cells in which two of them differ. */
  | { answers: 'several'; differ: number[] }
  /** Too large to be searched where logic does not get through. */
  | { answers: 'unknown' };

/** Judges a puzzle by logic, and where that does not get through, by a search for exact covers. */
export function judgeGivens(pin: SudokuGiven): Verdict {
  if ('cages' in pin) {
    const cages = cagesOfPin(pin);
    const shape = shapeOf(pin.size);
    return verdictOf(rateKiller(shape, cages), () => killerAnswers(shape, cages));
  }
  const shape = shapeOfItem(pin);
  const cells = readGrid(pin.size, pin.givens);
  const rating = rate(shape, cells);
  if (!rating && pin.size > LARGEST_SEARCHED) return { answers: 'unknown' };
  return verdictOf(rating, () => coversOf(shape, cells));
}

function verdictOf(rating: ReturnType<typeof rate>, search: () => Uint8Array[]): Verdict {
  if (rating) {
    const { level, techniques, solution } = rating;
    return {
      answers: 'one',
      solution,
      rating: { level, techniques: Object.keys(techniques) as Technique[] },
    };
  }
  const [first, second] = search();
  if (!first) return { answers: 'none' };
  if (!second) return { answers: 'one', solution: first, rating: null };
  return { answers: 'several', differ: [...first.keys()].filter((cell) => first[cell] !== second[cell]) };
}

/** Puts a given into a cell, or takes it out. @param sign a dot for none */
export const withGiven = <Pin extends SudokuWithGivens>(pin: Pin, cell: number, sign: string): Pin =>
  pin.givens[cell] === sign
    ? pin
    : { ...pin, givens: pin.givens.slice(0, cell) + sign + pin.givens.slice(cell + 1) };

/** Takes another cell into the box, or the cage, of a cell beside it; the same puzzle where it is there already, or is not beside it. */
export function withJoined<Pin extends SudokuJigsaw | SudokuKiller>(
  pin: Pin,
  cell: number,
  other: number,
): Pin {
  if (!touch(pin.size, cell, other)) return pin;
  if (pin.variant === 'jigsaw')
    return pin.boxes[cell] === pin.boxes[other]
      ? pin
      : { ...pin, boxes: pin.boxes.slice(0, other) + pin.boxes[cell] + pin.boxes.slice(other + 1) };
  const groups = groupsOf(pin.size ** 2, pin.cages);
  if (groups[cell] === groups[other]) return pin;
  groups[other] = groups[cell]!;
  return { ...pin, cages: hangingGroups(pin.size, groups) };
}

/** Makes a cage of its own of a cell; what is left of its cage and does not hang together falls apart. */
export function withApart(pin: SudokuKiller, cell: number): SudokuKiller {
  const groups = groupsOf(pin.size ** 2, pin.cages);
  if (pin.cages[groups[cell]!]!.length === 1) return pin;
  groups[cell] = pin.cages.length;
  return { ...pin, cages: hangingGroups(pin.size, groups) };
}

const NO_ANSWER = 'There is no answer. Take out or change a digit.';

const CONTRADICTING =
  'There is no answer: the marked digits cannot stand together. Take out or change one of them.';
/** In larger ones it would take too long to find which digits contradict each other. */
const MOST_SEARCHED = 9;

/** Cells whose digits cannot stand together, none of which could be left out. */
function contradicting(pin: SudokuGiven): number[] {
  if ('cages' in pin || pin.size > MOST_SEARCHED) return [];
  const given = [...pin.givens].flatMap((digit, cell) => (digit === '.' ? [] : [cell]));
  return contradiction(given, (some) => {
    const kept = new Set(some);
    const givens = [...pin.givens].map((digit, cell) => (kept.has(cell) ? digit : '.')).join('');
    return judgeGivens({ ...pin, givens }).answers !== 'none';
  });
}

/** What is said where there are several answers, after where they differ. */
const HELP = {
  givens: 'give a digit in one of these.',
  cages: 'set one of these apart, or part its cage.',
} as const;

/** What keeps boxes, or cages, from being any. */
function outlineTrouble(pin: SudokuGiven): Watched | null {
  const bad = (says: string, cells: readonly number[]): Watched => ({ isSound: false, says, cells });
  if (pin.variant === 'jigsaw') {
    const { size, boxes } = pin;
    const letters = [...new Set(boxes)];
    const lists = letters.map((letter) => [...boxes].flatMap((one, at) => (one === letter ? [at] : [])));
    const wrong = lists.filter((cells) => cells.length !== size);
    if (wrong.length)
      return bad(
        `The marked boxes have ${new Intl.ListFormat('en').format(wrong.map(({ length }) => `${length}`))} cells; each is to have ${size}. Move cells between them.`,
        wrong.flat(),
      );
    const parts = hangingGroups(
      size,
      [...boxes].map((letter) => letters.indexOf(letter)),
    );
    // Of a box in parts, the largest is where it is.
    const torn = letters.flatMap((letter) =>
      parts
        .filter(([first]) => boxes[first!] === letter)
        .sort((one, other) => other.length - one.length)
        .slice(1),
    );
    if (torn.length)
      return bad('The marked cells do not hang together with the rest of their box. Move them.', torn.flat());
  }
  if (pin.variant === 'killer') {
    const large = pin.cages.find(({ length }) => length > MOST_IN_CAGE);
    if (large)
      return bad(
        `A cage has ${large.length} cells; ${MOST_IN_CAGE} are the most. Set one of them apart.`,
        large,
      );
    for (const cage of pin.cages) {
      const twice = cage.filter((at) =>
        cage.some((other) => other !== at && pin.solution[other] === pin.solution[at]),
      );
      if (twice.length)
        return bad('A digit stands twice in a cage. Set one of the marked cells apart.', twice);
    }
  }
  return null;
}

/** Judges a puzzle that is being changed by hand. */
export function watchSudoku(pin: SudokuGiven): Watched {
  const trouble = outlineTrouble(pin);
  if (trouble) return trouble;
  if (!('cages' in pin)) {
    const twice = clashes(attemptAt(readGrid(pin.size, pin.givens)), shapeOfItem(pin));
    if (twice.length) return { isSound: false, says: NO_ANSWER, cells: twice };
  }
  const verdict = judgeGivens(pin);
  switch (verdict.answers) {
    case 'one': {
      const { rating } = verdict;
      const said = rating && [
        LEVEL_NAMES[rating.level],
        ...rating.techniques.map((one) => TECHNIQUES[one].toLowerCase()),
      ];
      return { isSound: true, says: oneAnswer(said), cells: [] };
    }
    case 'none': {
      const cells = contradicting(pin);
      return { isSound: false, says: cells.length ? CONTRADICTING : NO_ANSWER, cells };
    }
    case 'several':
      return {
        isSound: false,
        says: severalAnswers('cages' in pin ? HELP.cages : HELP.givens),
        cells: verdict.differ,
      };
    case 'unknown':
      return {
        isSound: false,
        says: 'Logic does not solve it, and a grid of this size is too large to be searched. Give more digits.',
        cells: [],
      };
  }
}

/** The puzzle as it can be changed. */
export function givenOf({ size, variant, givens, boxes, cages, solution }: SudokuItem): SudokuGiven {
  if (cages)
    return {
      size: size as SudokuKiller['size'],
      variant: 'killer',
      cages: cages.map(({ cells }) => [...cells]),
      solution,
    };
  if (boxes) return { size: size as SudokuJigsaw['size'], variant: 'jigsaw', boxes, givens };
  return { size, variant: variant === 'diagonal' ? variant : 'classic', givens };
}
