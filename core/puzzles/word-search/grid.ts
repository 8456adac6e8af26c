/** Steps of the eight directions in which a word may run: across is +column, down is +row. */
export const STEPS = {
  across: [1, 0],
  down: [0, 1],
  'down-right': [1, 1],
  'up-right': [1, -1],
  back: [-1, 0],
  up: [0, -1],
  'up-left': [-1, -1],
  'down-left': [-1, 1],
} as const;

export type Direction = keyof typeof STEPS;

export const DIRECTION_SETS = {
  straight: ['across', 'down'],
  diagonal: ['across', 'down', 'down-right', 'up-right'],
  backwards: ['across', 'down', 'down-right', 'up-right', 'back', 'up', 'up-left', 'down-left'],
} as const satisfies Record<string, readonly Direction[]>;

export type DirectionSet = keyof typeof DIRECTION_SETS;

/** Where a word stands: column and row of its first letter, from 0, and the way it runs. */
export interface Placement {
  word: string;
  column: number;
  row: number;
  direction: Direction;
  length: number;
}

/** What each direction is in a mirror. */
const MIRRORED: Record<Direction, Direction> = {
  across: 'back',
  down: 'down',
  'down-right': 'down-left',
  'up-right': 'up-left',
  back: 'across',
  up: 'up',
  'up-left': 'up-right',
  'down-left': 'down-right',
};

export interface WordSearch {
  columns: number;
  rows: number;
  /** Row by row. */
  letters: string[];
  placements: Placement[];
  /** Words that found no room. Empty in a good puzzle. */
  leftOut: string[];
}

/** The same puzzle as in a mirror, left for right: what runs across runs as words of scripts that run to the left do. */
export function mirrored<
  Puzzle extends { columns: number; letters: readonly unknown[]; placements: readonly Placement[] },
>(puzzle: Puzzle): Puzzle {
  const { columns, letters, placements } = puzzle;
  return {
    ...puzzle,
    letters: letters.map((_, at) => letters[acrossFrom(at, columns)]),
    placements: placements.map((placed) => ({
      ...placed,
      column: columns - 1 - placed.column,
      direction: MIRRORED[placed.direction],
    })),
  };
}

/** The cell that a mirror shows at the place of another, left for right. */
export const acrossFrom = (at: number, columns: number): number =>
  at - (at % columns) + columns - 1 - (at % columns);

/** The cells of a word, from its first letter. */
export function cellsOf({ column, row, direction, length }: Placement, columns: number): number[] {
  const [dx, dy] = STEPS[direction];
  return Array.from({ length }, (_, i) => (row + i * dy) * columns + column + i * dx);
}
