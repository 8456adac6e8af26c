import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import type { PrintedLanguage } from '../../printed-words/index.ts';
import {
  BLACK,
  buildPath,
  ellipsePath,
  linePath,
  type Mark,
  rectPath,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import { gridLines } from '../puzzle/cells.ts';
import { clearOfLeft } from '../puzzle/page.ts';
import { gameWords } from './words.ts';

/** What a game is drawn with. */
export interface Board {
  type: Typesetter;
  language: PrintedLanguage;
  /** Of labels. */
  face: FaceId;
  /** Of labels, in points. */
  size: number;
}

type Game = (room: Rect, board: Board) => Mark[];

const LINE = { thin: 0.75, thick: 1.6 } as const;
const GRAY = { gray: 0.35 };

/** The largest box of a ratio in a room, in its middle. */
function fitted(room: Rect, ratio: number): Rect {
  const width = Math.min(room.width, room.height * ratio);
  const height = width / ratio;
  return {
    x: room.x + (room.width - width) / 2,
    y: room.y + (room.height - height) / 2,
    width,
    height,
  };
}

/** So many boxes of a ratio, in the columns that make them largest. */
function boxes(room: Rect, wanted: number, ratio: number, gap: number): Rect[] {
  let best = { columns: 1, width: 0 };
  for (let columns = 1; columns <= wanted; columns++) {
    const down = Math.ceil(wanted / columns);
    const width = Math.min(
      (room.width - gap * (columns - 1)) / columns,
      ((room.height - gap * (down - 1)) / down) * ratio,
    );
    if (width > best.width) best = { columns, width };
  }
  const { columns } = best;
  const down = Math.ceil(wanted / columns);
  return Array.from({ length: wanted }, (_, i) =>
    fitted(
      {
        x: room.x + ((i % columns) * (room.width + gap)) / columns,
        y: room.y + (Math.floor(i / columns) * (room.height + gap)) / down,
        width: (room.width - gap * (columns - 1)) / columns,
        height: (room.height - gap * (down - 1)) / down,
      },
      ratio,
    ),
  );
}

const stroked = (path: ReturnType<typeof linePath>, width: number, paint = BLACK): Mark => ({
  type: 'path',
  path,
  stroke: { width, paint, cap: 'round' },
});

const grid = (columns: number, rows: number, { x, y, width }: Rect): Mark[] =>
  [...gridLines<1>({ columns, rows, x, y, cell: width / columns }, () => 1)].map(([, path]) =>
    stroked(path, LINE.thin, GRAY),
  );

/** Points at a distance from each other, as a field to draw on. */
function dotField(columns: number, rows: number, { x, y, width }: Rect, radius: number): Mark[] {
  const step = (width - 2 * radius) / (columns - 1);
  return Array.from({ length: columns * rows }, (_, i) => ({
    type: 'path',
    path: ellipsePath(x + radius + (i % columns) * step, y + radius + Math.floor(i / columns) * step, radius),
    fill: BLACK,
  }));
}

/** How many small boards a room of this size takes. */
const boardsIn = ({ width, height }: Rect, side: number, most: number): number =>
  Math.max(1, Math.min(most, Math.floor(width / side) * Math.floor(height / side)));

const noughts: Game = (room) =>
  boxes(room, boardsIn(room, 78, 12), 1, 14).flatMap(({ x, y, width }) => {
    const third = width / 3;
    return [1, 2].flatMap((i) => [
      stroked(linePath(x + i * third, y + 1, x + i * third, y + width - 1), LINE.thick),
      stroked(linePath(x + 1, y + i * third, x + width - 1, y + i * third), LINE.thick),
    ]);
  });

/** Height from which the alphabet has room, in ems, and the smallest box for a letter, in points. */
const ALPHABET_FROM = 14;
const LEAST_BOX = 7;

const hangman: Game = (room, { type, language, face, size }) => {
  const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  // The alphabet is left out where it would leave no room for the drawing.
  const withAlphabet = room.height > size * ALPHABET_FROM;
  const foot = room.y + room.height - (withAlphabet ? size * 3.2 : 0);
  const word = foot - size * (withAlphabet ? 1.4 : 0.4);
  const art = { ...room, height: word - size * 2.4 - room.y };
  const wide = Math.min(room.width * 0.45, art.height * 0.7);
  const [x, y, h] = [room.x + room.width * 0.06, room.y + art.height, art.height - 4];
  const marks: Mark[] = [
    stroked(
      buildPath()
        .move(x, y)
        .line(x + wide * 0.8, y)
        .move(x + wide * 0.25, y)
        .line(x + wide * 0.25, y - h)
        .line(x + wide, y - h)
        .line(x + wide, y - h * 0.84)
        .move(x + wide * 0.25, y - h * 0.78)
        .line(x + wide * 0.5, y - h)
        .done(),
      LINE.thick + 0.4,
    ),
  ];
  const style = { face, size, color: BLACK };
  // Eight boxes for wrong letters at the right.
  const right = { x: x + wide * 1.25, width: room.x + room.width - x - wide * 1.25 };
  const side = Math.min(right.width / 4, (art.height - size * 1.7) / 2, 30);
  const wrong = gameWords(language, 'wrong');
  if (side > LEAST_BOX && type.width(wrong, face, size) < right.width)
    marks.push(
      textLine(type, wrong, style, right.x, room.y + size),
      ...grid(4, 2, { x: right.x, y: room.y + size * 1.7, width: side * 4, height: side * 2 }),
    );
  // A line for each letter of the word.
  const places = Math.max(6, Math.min(14, Math.floor(room.width / 22)));
  const step = room.width / places;
  const lines = buildPath();
  for (let i = 0; i < places; i++)
    lines.move(room.x + (i + 0.1) * step, word).line(room.x + (i + 0.9) * step, word);
  marks.push(stroked(lines.done(), LINE.thin));
  const perLine = 13;
  const place = room.width / perLine;
  for (const line of withAlphabet ? [0, 1] : [])
    marks.push({
      type: 'text',
      text: letters.slice(line * perLine, (line + 1) * perLine).join(''),
      face,
      size,
      x: room.x,
      y: foot + size * (1.2 + 1.5 * line),
      color: BLACK,
      centers: Array.from({ length: perLine }, (_, i) => room.x + (i + 0.5) * place),
    });
  return marks;
};

const dots: Game = (room) => {
  const step = Math.max(14, Math.min(26, Math.min(room.width, room.height) / 9));
  const columns = Math.max(4, Math.floor(room.width / step));
  const rows = Math.max(4, Math.floor(room.height / step));
  return dotField(columns, rows, fitted(room, (columns - 1) / (rows - 1)), 1.5);
};

const four: Game = (room) => {
  const many = room.width * room.height > 60_000 ? 2 : 1;
  return boxes(room, many, 7 / 6, 18).flatMap(({ x, y, width }) => {
    const cell = width / 7;
    const high = cell * 6;
    return [
      stroked(rectPath(x, y, width, high), LINE.thick),
      ...Array.from({ length: 42 }, (_, i) =>
        stroked(
          ellipsePath(x + ((i % 7) + 0.5) * cell, y + (Math.floor(i / 7) + 0.5) * cell, cell * 0.4),
          LINE.thin,
          GRAY,
        ),
      ),
    ];
  });
};

const triangle: Game = (room) =>
  boxes(room, boardsIn(room, 130, 6), 1, 18).flatMap(({ x, y, width }) =>
    Array.from({ length: 6 }, (_, i): Mark => {
      const angle = (i * Math.PI) / 3 - Math.PI / 2;
      const radius = width / 2 - 4;
      return {
        type: 'path',
        path: ellipsePath(
          x + width / 2 + radius * Math.cos(angle),
          y + width / 2 + radius * Math.sin(angle),
          3.2,
        ),
        fill: BLACK,
      };
    }),
  );

/** Room for the numbers at the left of a sea, in cells, and the smallest cell of two seas, in points. */
const AXIS = 1.5;
const LEAST_CELL = 6.4;
const LEAST_LABEL = 7;

const battle: Game = (room, { type, language, face, size }) => {
  const style = { face, size, color: BLACK };
  const extra = size * 1.5;
  const sea = (box: Rect): number => Math.min(box.width / (10 + AXIS), (box.height - extra) / (10 + AXIS));
  const two = boxes(room, 2, 0.86, 16);
  // Where two would be too small, each player has a sheet.
  return (sea(two[0]!) < LEAST_CELL ? boxes(room, 1, 0.86, 0) : two).flatMap((box, i) => {
    const cell = sea(box);
    const [x, y] = [box.x + (box.width - (10 + AXIS) * cell) / 2 + AXIS * cell, box.y + extra + AXIS * cell];
    const letter = Math.max(LEAST_LABEL, Math.min(size, cell * 0.72));
    const middles = Array.from({ length: 10 }, (_, n) => x + (n + 0.5) * cell);
    return [
      clearOfLeft(
        textLine(type, gameWords(language, i ? 'theirs' : 'mine'), style, x - AXIS * cell, box.y + size),
        type,
      ),
      ...grid(10, 10, { x, y, width: 10 * cell, height: 10 * cell }),
      {
        type: 'text' as const,
        text: 'ABCDEFGHIJ',
        face,
        size: letter,
        x,
        y: y - cell * 0.24,
        color: BLACK,
        centers: middles,
      },
      ...middles.map((_, n) =>
        textLine(
          type,
          String(n + 1),
          { face, size: letter, color: BLACK },
          x - cell * 0.22,
          y + (n + 0.5) * cell + type.capHeight(face) * letter * 0.5,
          'right',
        ),
      ),
    ];
  });
};

/** Dots to begin with, as far from each other as they look scattered. */
const SEEDS = [
  [0.3, 0.3],
  [0.7, 0.36],
  [0.5, 0.7],
] as const;

const sprouts: Game = (room) =>
  boxes(room, boardsIn(room, 150, 6), 1, 18).flatMap(({ x, y, width }) =>
    SEEDS.map(
      ([dx, dy]): Mark => ({
        type: 'path',
        path: ellipsePath(x + dx * width, y + dy * width, 2.6),
        fill: BLACK,
      }),
    ),
  );

const COLUMNS = ['letter', 'town', 'country', 'animal', 'plant', 'food', 'points'] as const;
/** Widths of the first and of the last column, against the others. */
const NARROW = 0.62;

const categories: Game = (room, { type, language, face, size }) => {
  const widthOf = (key: (typeof COLUMNS)[number]) => (key === 'letter' || key === 'points' ? NARROW : 1);
  const columns: (typeof COLUMNS)[number][] = [...COLUMNS];
  const unitOf = () => room.width / columns.reduce((sum, key) => sum + widthOf(key), 0);
  // As many as leave room for their names.
  const isNarrow = () =>
    columns.some((key) => type.width(gameWords(language, key), face, size) + 4 > widthOf(key) * unitOf());
  while (columns.length > 4 && isNarrow()) columns.splice(-2, 1);
  const unit = unitOf();
  const head = size * 1.9;
  const rows = Math.max(3, Math.floor((room.height - head) / Math.max(18, size * 2.2)));
  const high = (room.height - head) / rows;
  const lines = buildPath();
  const marks: Mark[] = [];
  let x = room.x;
  columns.forEach((key, i) => {
    const wide = widthOf(key) * unit;
    const text = gameWords(language, key);
    const fits = Math.min(1, (wide - 3) / type.width(text, face, size));
    marks.push(
      textLine(
        type,
        text,
        { face, size: Math.max(7, size * fits), color: BLACK },
        x + 1.5,
        room.y + size * 1.1,
      ),
    );
    if (i) lines.move(x, room.y + 2).line(x, room.y + room.height);
    x += wide;
  });
  for (let row = 0; row <= rows; row++)
    lines.move(room.x, room.y + head + row * high).line(room.x + room.width, room.y + head + row * high);
  return [stroked(lines.done(), LINE.thin, GRAY), ...marks];
};

/** Every game, by its name in a recipe, in the order in which a mixed sheet has them. */
export const GAMES = { noughts, dots, hangman, four, triangle, battle, sprouts, categories } as const;
export type GameId = keyof typeof GAMES;
export const GAME_IDS = Object.keys(GAMES) as GameId[];
