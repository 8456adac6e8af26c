/** A cell that a solver writes into. */
export interface TrialCell {
  /** Of its upper left corner, in widths of a cell; a row is one height of a cell. */
  x: number;
  y: number;
  /** Nothing where it stays empty. */
  answer: string;
  /** It is printed, and not written. */
  given?: boolean;
  /** What stands small in its upper left corner. */
  corner?: string;
  /** What stands below it. */
  below?: string;
  /** Nobody writes into it; it is on a dark ground, as it is among `closed`. */
  closed?: true;
  /** Cells of a group always hold the same. */
  group?: string;
}

/** Cells that are read in one go. */
export interface TrialRun {
  cells: readonly number[];
  /** What is asked for, by its number: “5 across”. */
  name?: string;
  clue?: string;
  /** No sign stands in it twice. */
  apart?: true;
}

/**
 * What is written into cells: a digit from 1 to the most there is, a number of several digits, a letter, or a mark that fills the
 * cell or keeps it empty.
 */
export type TrialEntry =
  | { of: 'digits'; most: number }
  | { of: 'numbers'; longest: number }
  | { of: 'letters' }
  | { of: 'marks' };

/** What stands between and around cells; its middle, in widths and heights of a cell. */
export interface TrialText {
  x: number;
  y: number;
  text: string;
  /** By the height of a cell. */
  size: number;
  /** It ends there, and has no middle there. */
  ends?: true;
  /** The cells that it is a sign between. */
  between?: readonly [number, number];
}

/** A puzzle as it is tried on screen: its cells, and what is printed with them. */
export interface CellTrial {
  of: 'cells';
  width: number;
  height: number;
  /** Height of a cell by its width. */
  ratio: number;
  cells: readonly TrialCell[];
  entry: TrialEntry;
  /** Along which what is typed goes on. */
  runs: readonly TrialRun[];
  /** Upper left corners of cells that nobody writes into, on a dark ground. */
  closed: readonly (readonly [x: number, y: number])[];
  /** Heavy lines, from and to. */
  lines: readonly (readonly [x1: number, y1: number, x2: number, y2: number])[];
  texts: readonly TrialText[];
  /** Words that are used up, and ticked when a run reads so. */
  words?: readonly string[];
}

/** A grid of letters in which words are marked. */
export interface SearchTrial {
  of: 'search';
  columns: number;
  /** Row by row; null for a cell without a letter. */
  letters: readonly (string | null)[];
  /** As they are listed, with the cells of each. */
  words: readonly { word: string; shown: string; cells: readonly number[] }[];
}

/** Letters that words are made from, each with the first of them. */
export interface WheelTrial {
  of: 'wheel';
  /** The one that every word has, and then the others. */
  letters: string;
  /** Letters of the shortest words that count. */
  shortest: number;
  words: readonly string[];
}

/** Questions that are answered by choosing, or by writing where there is nothing to choose from. */
export interface QuizTrial {
  of: 'quiz';
  questions: readonly { question: string; answer: string; choices: readonly string[] }[];
}

export type Trial = CellTrial | SearchTrial | WheelTrial | QuizTrial;

/** Whether there is nothing to be found in it, as where a list has no words. */
export function isNothing(trial: Trial): boolean {
  if (trial.of === 'cells') return trial.cells.length === 0;
  return (trial.of === 'quiz' ? trial.questions : trial.words).length === 0;
}

/** A trial of cells as far as somebody has got with it. Never changed, only replaced. */
export interface TrialState {
  /** What stands in each cell; nothing where it is open. */
  values: readonly string[];
  /** Digits that are noted in each cell, bit 0 for 1. */
  notes: readonly number[];
}

/** A mark that fills a cell, and one that keeps it empty. */
export const FILLED_MARK = '■';
export const EMPTY_MARK = '×';

/** A trial with nothing but what is given. */
export const trialStart = ({ cells }: CellTrial): TrialState => ({
  values: cells.map(({ given, answer }) => (given ? answer : '')),
  notes: cells.map(() => 0),
});

/** A trial with every answer written in, as a puzzle is changed by hand. */
export const trialAnswered = ({ cells }: CellTrial): TrialState => ({
  values: cells.map(({ answer }) => answer),
  notes: cells.map(() => 0),
});

/** What counts of a cell: a mark that keeps it empty is as good as none. */
const counted = (value: string): string => (value === EMPTY_MARK ? '' : value);

/** Whether all cells hold their answers. */
export const isTrialSolved = ({ cells }: CellTrial, { values }: TrialState): boolean =>
  cells.every(({ answer }, at) => counted(values[at]!) === answer);

/** Cells whose entry is not their answer; open ones are not among them. */
export const wrongCells = ({ cells }: CellTrial, { values }: TrialState): number[] =>
  cells.flatMap(({ answer }, at) => {
    const value = values[at]!;
    if (value === EMPTY_MARK) return answer ? [at] : [];
    return value && value !== answer ? [at] : [];
  });

/** Cells that hold what another one of their run holds, where that may not be. */
export const clashingCells = ({ runs }: CellTrial, { values }: TrialState): number[] => [
  ...new Set(
    runs.flatMap(({ cells, apart }) =>
      apart
        ? cells.filter(
            (at) => values[at] && cells.some((other) => other !== at && values[other] === values[at]),
          )
        : [],
    ),
  ),
];

/**
 * Writes into a cell, and into all of its group; notes of that digit go from the runs that it stands in.
 * @param value nothing empties it
 * @returns the same state where the cell is given or holds it already
 */
export function written(trial: CellTrial, state: TrialState, at: number, value: string): TrialState {
  const cell = trial.cells[at];
  if (!cell || cell.given || state.values[at] === value) return state;
  const isMeant = (other: number) =>
    other === at || (cell.group !== undefined && trial.cells[other]!.group === cell.group);
  const values = state.values.map((before, other) =>
    isMeant(other) && !trial.cells[other]!.given ? value : before,
  );
  const notes = state.notes.slice();
  if (value && trial.entry.of === 'digits') {
    notes[at] = 0;
    for (const { cells, apart } of trial.runs)
      if (apart && cells.includes(at))
        for (const other of cells) notes[other] = notes[other]! & ~(1 << (Number(value) - 1));
  }
  return { values, notes };
}

/** Notes a digit, or takes it out of the notes; a cell with an entry has none. */
export const noted = (state: TrialState, at: number, digit: number): TrialState =>
  state.values[at]
    ? state
    : {
        ...state,
        notes: state.notes.map((note, other) => (other === at ? note ^ (1 << (digit - 1)) : note)),
      };

/** What typing a digit makes of a number: it goes on behind what is there, or begins anew where that is as long as can be. */
export const numberWith = (before: string, digit: string, longest: number): string =>
  before.length >= longest ? digit : `${before}${digit}`;

/** The nearest cell in a direction, rather straight on than aside; the same one where there is none. */
export function cellToward({ cells }: CellTrial, at: number, dx: number, dy: number): number {
  const from = cells[at];
  if (!from) return at;
  let best = at;
  let least = Infinity;
  for (const [other, { x, y }] of cells.entries()) {
    const ahead = (x - from.x) * dx + (y - from.y) * dy;
    const aside = Math.abs((x - from.x) * dy) + Math.abs((y - from.y) * dx);
    if (ahead <= 0.01 || aside > ahead) continue;
    const far = ahead + 2 * aside;
    if (far < least) {
      least = far;
      best = other;
    }
  }
  return best;
}

/** The runs that a cell stands in, in their order. */
export const runsAt = ({ runs }: CellTrial, at: number): TrialRun[] =>
  runs.filter(({ cells }) => cells.includes(at));

/** The cell of a run so many places on from one that is not given; the same one where the run ends. */
export function alongRun({ cells }: CellTrial, run: TrialRun | undefined, at: number, by: 1 | -1): number {
  if (!run) return at;
  for (let i = run.cells.indexOf(at) + by; i >= 0 && i < run.cells.length; i += by)
    if (!cells[run.cells[i]!]!.given) return run.cells[i]!;
  return at;
}

/** Words of the list that a run reads as: each as often as it is read. */
export function readWords({ runs }: CellTrial, { values }: TrialState): string[] {
  return runs.map(({ cells }) => cells.map((at) => values[at]).join(''));
}

/**
 * The word that is read from one cell to another in a line, in either direction.
 * @returns null where there is no line, or no word that is listed
 */
export function markedWord(
  { columns, words }: Pick<SearchTrial, 'columns' | 'words'>,
  from: number,
  to: number,
): number | null {
  const cells = cellsBetween(columns, from, to);
  if (!cells) return null;
  const [there, back] = [cells.join(), [...cells].reverse().join()];
  const word = words.findIndex((one) => {
    const own = one.cells.join();
    return own === there || own === back;
  });
  return word < 0 ? null : word;
}

/** Cells from one to another along a row, a column or a diagonal; null where they do not lie so. */
export function cellsBetween(columns: number, from: number, to: number): number[] | null {
  const [x, y] = [from % columns, Math.floor(from / columns)];
  const [dx, dy] = [(to % columns) - x, Math.floor(to / columns) - y];
  const length = Math.max(Math.abs(dx), Math.abs(dy));
  if (dx && dy && Math.abs(dx) !== Math.abs(dy)) return null;
  return Array.from(
    { length: length + 1 },
    (_, i) => (y + i * Math.sign(dy)) * columns + x + i * Math.sign(dx),
  );
}

/** Cells of a grid at their columns and rows. @param cellAt null for a place without one */
export function gridCells(
  columns: number,
  rows: number,
  cellAt: (at: number) => Omit<TrialCell, 'x' | 'y'> | null,
): { cells: TrialCell[] /** The cell at each place; −1 for none. */; of: number[] } {
  const cells: TrialCell[] = [];
  const of = Array.from({ length: columns * rows }, (_, at) => {
    const cell = cellAt(at);
    return cell ? cells.push({ ...cell, x: at % columns, y: Math.floor(at / columns) }) - 1 : -1;
  });
  return { cells, of };
}

/** Rows and columns of a square, in which no digit stands twice. @param of the cell at each place */
export const latinRuns = (size: number): TrialRun[] =>
  Array.from({ length: 2 * size }, (_, line) => ({
    cells: Array.from({ length: size }, (_, i) => (line < size ? line * size + i : i * size + line - size)),
    apart: true as const,
  }));

/** Words that are written beside what is printed of each, in columns of rows. */
export function rowsOfWords(
  rows: readonly {
    /** What stands before the cells. */
    shown: string;
    letters: readonly string[];
    given?: (at: number) => boolean;
  }[],
): Omit<CellTrial, 'of' | 'entry'> {
  const longest = Math.max(1, ...rows.map(({ letters }) => letters.length));
  /** A letter of what stands before takes so much of a cell. */
  const label =
    Math.max(...rows.map(({ shown }) => shown.length), 0) * LETTER +
    (rows.some((row) => row.shown) ? 0.5 : 0);
  const perColumn = rows.length > ROWS_IN_COLUMN ? Math.ceil(rows.length / 2) : rows.length;
  const wide = label + longest + 1;
  const cells: TrialCell[] = [];
  const runs: TrialRun[] = [];
  const texts: TrialText[] = [];
  rows.forEach(({ shown, letters, given }, i) => {
    const x = Math.floor(i / perColumn) * wide;
    const y = (i % perColumn) * ROW;
    if (shown) texts.push({ x: x + label - 0.4, y: y + 0.5, text: shown, size: TEXT, ends: true });
    const first = cells.length;
    letters.forEach((answer, at) => {
      cells.push({ x: x + label + at, y, answer, ...(given?.(at) ? { given: true } : {}) });
    });
    runs.push({ cells: letters.map((_, at) => first + at), ...(shown ? { name: shown } : {}) });
  });
  return {
    width: Math.ceil(rows.length / Math.max(1, perColumn)) * wide - 1,
    height: Math.max(1, perColumn * ROW - (ROW - 1)),
    ratio: 1,
    ...{ cells, runs, texts, closed: [], lines: [] },
  };
}

const ROWS_IN_COLUMN = 10;
const ROW = 1.35;
const TEXT = 0.5;
const LETTER = 0.36;

/**
 * What is made of the letters of a wheel.
 * @param found words that are known already
 * @returns the word, or why it does not count
 */
export function spelledWord(
  { letters, shortest, words }: WheelTrial,
  typed: string,
  found: readonly string[],
): { word: string } | { problem: string } {
  const word = typed.trim().toLocaleUpperCase('en');
  if (word.length < shortest) return { problem: `A word has ${shortest} letters at least.` };
  const left = [...letters];
  for (const letter of word) {
    const at = left.indexOf(letter);
    if (at < 0) {
      const times = [...letters].filter((one) => one === letter).length;
      return {
        problem: times
          ? `${word} takes more of ${letter} than there is.`
          : `There is no ${letter} among the letters.`,
      };
    }
    left.splice(at, 1);
  }
  if (!word.includes(letters[0]!)) return { problem: `${word} does not have the ${letters[0]} in it.` };
  if (found.includes(word)) return { problem: `${word} is found already.` };
  if (!words.includes(word)) return { problem: `${word} is not among the words of the answer.` };
  return { word };
}

const said = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLocaleLowerCase('en')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .join(' ');

/** Whether an answer is the right one, whatever its capitals, accents and signs. */
export const isAnswer = ({ answer }: QuizTrial['questions'][number], given: string): boolean =>
  said(given) === said(answer);
