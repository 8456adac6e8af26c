import type { Rect } from '../../print/index.ts';
import {
  endsOfWall,
  FLOOR_HEAD,
  type Grid,
  isUnder,
  isWall,
  layOfPassages,
  middleOfWall,
  seenWay,
  stairsAt,
} from '../../puzzles/maze/index.ts';
import {
  BLACK,
  buildPath,
  type Color,
  capsulePath,
  ellipsePath,
  type Mark,
  type Path,
  polygonPath,
  textLine,
} from '../../scene/index.ts';
import { icon } from '../blocks/icons.ts';
import { colorOr } from '../color-setting.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { isLargePrint, puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import { gridOf, type MazeItem } from './fill.ts';
import type { MazeOptions } from './options.ts';
import { mazeWords } from './words.ts';

/** Room around a maze for what stands at its openings, in cells, and the most of it in points. */
const AROUND = { cells: 1.5, most: 20 };
/** Walls take no more of a cell than this, and are never thinner than prints well. */
const MOST_WALL = 0.22;
const LEAST_WALL = 0.75;
/** There are two between passages beside each other where some cross. */
const MOST_SIDE = 0.1;
/** How gray it is between them. */
const GROUND = 0.8;
/** Walls in large print, against what is set. */
const LARGE_WALL = 1.5;
/** The way in an answer, as a share of a cell. */
const WAY = 0.34;
const WAY_GRAY = 0.5;

/** Names of floors: at 6 × 9 in, in points, and how far above one, of the room there, into which they fit. */
const FLOOR_NAME = { size: 9, least: 8, above: 0.22 } as const;

type Context = DrawContext<MazeOptions, MazeItem>;

/** A place on the sheet: where a grid's upper left corner is, and the size of a cell. */
interface Place {
  x: number;
  y: number;
  cell: number;
}

/** How large a maze is in a box with room around it for its ends. */
function placeIn({ width, height }: Grid, box: Rect): Place {
  const around = Math.min(AROUND.most, (AROUND.cells * box.width) / (width + 2 * AROUND.cells));
  const cell = Math.min((box.width - 2 * around) / width, (box.height - 2 * around) / height);
  return {
    x: box.x + (box.width - width * cell) / 2,
    y: box.y + (box.height - height * cell) / 2,
    cell,
  };
}

/** The outer wall that is left open at a cell; none within the maze. */
function openingAt({ walls, doors, floors }: Grid, cell: number): number | null {
  // Before others there is another floor.
  if (floors) return doors?.get(cell) ?? null;
  const door = doors?.get(cell) ?? walls.one.findIndex((one, wall) => one === cell && walls.other[wall]! < 0);
  return door < 0 ? null : door;
}

/** Openings in the outer wall: at both ends as far as they lie at it, or at the start alone. */
const openings = (grid: Grid, { ends, start, goal }: MazeItem): [number | null, number | null] =>
  ends === 'anywhere'
    ? [null, null]
    : [openingAt(grid, start), ends === 'middle' ? null : openingAt(grid, goal)];

/** The length of a handle of a curve that follows an arc of so many radians, in radii (common approximation). */
const handle = (angle: number): number => (4 / 3) * Math.tan(angle / 4);

type Lay = ReturnType<typeof layOfPassages>;

/** The walls on both sides of passages that cross, as one path. */
function sidesPath({ walls }: Lay, { x, y, cell }: Place): Path {
  const path = buildPath(2 * walls.length);
  for (const [x1, y1, x2, y2] of walls)
    path.move(x + x1 * cell, y + y1 * cell).line(x + x2 * cell, y + y2 * cell);
  return path.done();
}

function boxesPath(boxes: Lay['paved'], { x, y, cell }: Place): Path {
  const path = buildPath(5 * boxes.length);
  for (const [bx, by, width, height] of boxes) {
    const [left, top] = [x + bx * cell, y + by * cell];
    path
      .move(left, top)
      .line(left + width * cell, top)
      .line(left + width * cell, top + height * cell)
      .line(left, top + height * cell)
      .close();
  }
  return path.done();
}

/** All walls that stand, as one path. */
function wallsPath(grid: Grid, open: Uint8Array, left: readonly number[], { x, y, cell }: Place): Path {
  const { radius } = grid.walls;
  const path = buildPath(2 * open.length);
  for (let wall = 0; wall < open.length; wall++) {
    if (open[wall] || !isWall(grid, wall) || left.includes(wall)) continue;
    const [x1, y1, x2, y2] = endsOfWall(grid, wall);
    path.move(x + x1 * cell, y + y1 * cell);
    if (!radius[wall]) {
      path.line(x + x2 * cell, y + y2 * cell);
      continue;
    }
    const [middleX, middleY] = middleOfWall(grid, wall);
    const from = Math.atan2(y1 - middleY, x1 - middleX);
    const to = Math.atan2(y2 - middleY, x2 - middleX);
    const turn = (to - from + 2 * Math.PI) % (2 * Math.PI);
    const k = handle(turn);
    path.curve(
      x + (x1 - k * (y1 - middleY)) * cell,
      y + (y1 + k * (x1 - middleX)) * cell,
      x + (x2 + k * (y2 - middleY)) * cell,
      y + (y2 - k * (x2 - middleX)) * cell,
      x + x2 * cell,
      y + y2 * cell,
    );
  }
  return path.done();
}

/** Where a picture stands at an end: outside an opening, or in the cell, with the direction into the maze. */
function endAt(grid: Grid, cell: number, opening: number | null, { x, y, cell: size }: Place) {
  const middle = [x + grid.x[cell]! * size, y + grid.y[cell]! * size] as const;
  // The round cell in the middle of rings is two cells wide.
  const own = grid.floors ? cell % grid.floors.cells : cell;
  const inside = grid.id === 'circle' && own === 0 ? 1.25 : 0.72;
  if (opening === null) return { x: middle[0], y: middle[1], dx: 0, dy: 1, edge: size * inside };
  const [x1, y1, x2, y2] = endsOfWall(grid, opening);
  const at = [x + ((x1 + x2) / 2) * size, y + ((y1 + y2) / 2) * size] as const;
  const length = Math.hypot(middle[0] - at[0], middle[1] - at[1]);
  const [dx, dy] = [(middle[0] - at[0]) / length, (middle[1] - at[1]) / length];
  const edge = Math.min(AROUND.most * 0.8, Math.max(7, size * 1.1));
  return { x: at[0] - dx * (edge / 2 + 2), y: at[1] - dy * (edge / 2 + 2), dx, dy, edge };
}

type End = ReturnType<typeof endAt>;

/** @param inward the arrow points into the maze */
function pictureAt(id: MazeOptions['start'], end: End, safe: Rect | undefined, inward: boolean): Mark[] {
  const { dx, dy, edge } = end;
  // Before cells that are smaller than itself it comes nearer, rather than leave the page.
  const within = (at: number, from: number, length: number) =>
    Math.min(from + length - edge / 2, Math.max(from + edge / 2, at));
  const x = safe ? within(end.x, safe.x, safe.width) : end.x;
  const y = safe ? within(end.y, safe.y, safe.height) : end.y;
  if (id !== 'arrow') return icon(id, x, y, edge);
  const [ax, ay] = inward ? [dx, dy] : [-dx, -dy];
  const r = edge / 2;
  const tip = [x + ax * r, y + ay * r] as const;
  const side = (sign: number) =>
    [x - ax * r * 0.8 - sign * ay * r * 0.8, y - ay * r * 0.8 + sign * ax * r * 0.8] as const;
  return [{ type: 'path', path: polygonPath([tip, side(1), side(-1)]), fill: BLACK }];
}

/** Arrows of stairs, as shares of a cell: how high, how wide their head and shaft are, and how high the head is. */
const STAIRS = { high: 0.76, head: 0.6, shaft: 0.2, tip: 0.4 } as const;

/** An arrow up or down at each end of stairs; two beside each other where some lead up and some down. */
function stairsMarks(grid: Grid, open: Uint8Array, { x, y, cell: size }: Place): Mark[] {
  const marks: Mark[] = [];
  for (let cell = 0; cell < grid.cells; cell++) {
    const stairs = stairsAt(grid, cell, open);
    stairs.forEach(({ isUp }, i) => {
      const scale = size / stairs.length;
      const middle = x + grid.x[cell]! * size + (i - (stairs.length - 1) / 2) * scale;
      const sign = isUp ? -1 : 1;
      const point = (aside: number, along: number) =>
        [middle + aside * scale, y + grid.y[cell]! * size + sign * along * scale] as const;
      const { high, head, shaft, tip } = STAIRS;
      const neck = high / 2 - tip;
      const right = [point(head / 2, neck), point(shaft / 2, neck), point(shaft / 2, -high / 2)];
      const left = [point(-shaft / 2, -high / 2), point(-shaft / 2, neck), point(-head / 2, neck)];
      marks.push({
        type: 'path',
        path: polygonPath([point(0, high / 2), ...right, ...left]),
        fill: BLACK,
      });
    });
  }
  return marks;
}

/** What floors are called, over their left corners; nothing where there is no room for it. */
function floorNames({ floors }: Grid, { x, y, cell }: Place, context: Context): Mark[] {
  const { type, faces, language, frame } = context;
  const size = Math.min(
    FLOOR_HEAD * cell,
    Math.max(FLOOR_NAME.least, FLOOR_NAME.size * frame.grid.typeScale),
  );
  if (size < FLOOR_NAME.least) return [];
  const style = { face: faces.text, size, color: BLACK };
  return (floors?.at ?? []).map(([left, top], floor) =>
    textLine(
      type,
      mazeWords(language, 'floor', { floor: floor + 1 }),
      style,
      x + left * cell,
      y + (top - FLOOR_HEAD * FLOOR_NAME.above) * cell,
    ),
  );
}

interface Room {
  box: Rect;
  /** What ink may not leave. */
  safe?: Rect | undefined;
}

function drawMaze(
  item: MazeItem,
  { box, safe }: Room,
  options: MazeOptions,
  weight: number,
  answer: boolean,
): Mark[] {
  const grid = gridOf(item);
  const place = placeIn(grid, box);
  const [atStart, atGoal] = openings(grid, item);
  const left = [atStart, atGoal].filter((wall) => wall !== null);
  const most = grid.bridged ? MOST_SIDE : MOST_WALL;
  const width = Math.max(LEAST_WALL, Math.min(weight, place.cell * most));
  const marks: Mark[] = [];
  const lay = grid.bridged ? layOfPassages(grid, item.open, left) : null;
  if (lay)
    marks.push(
      { type: 'path', path: boxesPath(lay.ground, place), fill: { gray: GROUND } },
      { type: 'path', path: boxesPath(lay.paved, place), fill: { gray: 1 } },
    );
  if (answer) marks.push(...wayMarks(grid, item, place, options));
  const cap = options.corners === 'round' ? 'round' : 'square';
  marks.push({
    type: 'path',
    path: lay ? sidesPath(lay, place) : wallsPath(grid, item.open, left, place),
    stroke: { width, paint: colorOr(options.wallColor, BLACK), cap, join: 'round' },
  });
  return [
    ...marks,
    ...stairsMarks(grid, item.open, place),
    ...collectedIn(grid, item, options).flatMap((cell) =>
      icon(
        options.collected,
        place.x + grid.x[cell]! * place.cell,
        place.y + grid.y[cell]! * place.cell,
        place.cell * COLLECTED,
      ),
    ),
    ...pictureAt(options.start, endAt(grid, item.start, atStart, place), safe, true),
    ...pictureAt(options.goal, endAt(grid, item.goal, atGoal, place), safe, false),
  ];
}

/** Things that lie on a way, as far apart as may be; none beside its ends, nor two beside each other. @returns cells */
export function collectedOn(way: readonly number[], count: number): number[] {
  const most = Math.max(0, Math.min(count, Math.floor((way.length - 3) / 2)));
  return Array.from({ length: most }, (_, i) => way[Math.round(((i + 1) * (way.length - 1)) / (most + 1))]!);
}

/** Has a cell room for a picture or a foot? There is none under a bridge and on stairs. */
const isFree = (grid: Grid, { open }: MazeItem, cell: number): boolean =>
  !isUnder(grid, cell) && !stairsAt(grid, cell, open).length;

const collectedIn = (grid: Grid, item: MazeItem, { collect }: Pick<MazeOptions, 'collect'>): number[] =>
  collectedOn(
    item.way.filter((cell) => isFree(grid, item, cell)),
    collect,
  );

/** Of what is collected, to a cell. */
const COLLECTED = 0.72;
/** Of footprints, to a cell: from the middle to either side, where the sole begins and ends, and the heel behind it. */
const PRINT = { aside: 0.16, sole: [0.02, 0.2], wide: 0.11, heel: -0.17, round: 0.09 } as const;

/** A sole with its heel at each step, left and right in turn, in the direction that is gone next. */
function footprints(points: readonly (readonly [number, number])[], cell: number, fill: Color): Mark[] {
  return points.flatMap(([x, y], i): Mark[] => {
    const [from, to] = i + 1 < points.length ? [points[i]!, points[i + 1]!] : [points[i - 1]!, points[i]!];
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
    const [dx, dy] = [((to[0] - from[0]) / length) * cell, ((to[1] - from[1]) / length) * cell];
    const aside = (i % 2 ? 1 : -1) * PRINT.aside;
    const at = (along: number) => [x + along * dx - aside * dy, y + along * dy + aside * dx] as const;
    const [begin, end] = PRINT.sole;
    return [
      { type: 'path', path: capsulePath(...at(begin), ...at(end), cell * PRINT.wide), fill },
      { type: 'path', path: ellipsePath(...at(PRINT.heel), cell * PRINT.round), fill },
    ];
  });
}

function wayMarks(grid: Grid, item: MazeItem, { x, y, cell }: Place, options: MazeOptions): Mark[] {
  const { way } = item;
  const { answer } = options;
  const color = colorOr(options.wayColor, { gray: WAY_GRAY });
  const at = (i: number) => [x + grid.x[way[i]!]! * cell, y + grid.y[way[i]!]! * cell] as const;
  if (answer === 'footprints' && way.length > 1) {
    const lies = new Set(collectedIn(grid, item, options));
    // Over what is collected there is no room for a foot, either.
    const all = footprints(
      way.map((_, i) => at(i)),
      cell,
      color,
    );
    return all.filter((_, i) => {
      const on = way[Math.floor(i / 2)]!;
      return !lies.has(on) && isFree(grid, item, on);
    });
  }
  if (answer === 'dots')
    return way.flatMap((on, i): Mark[] =>
      !isFree(grid, item, on)
        ? []
        : [
            {
              type: 'path',
              path: ellipsePath(...at(i), Math.max(0.6, cell * WAY * 0.5)),
              fill: color,
            },
          ],
    );
  const path = buildPath(way.length);
  for (const piece of seenWay(grid, way, WAY / 2))
    piece.forEach(([px, py], i) => {
      if (i) path.line(x + px * cell, y + py * cell);
      else path.move(x + px * cell, y + py * cell);
    });
  const stroke = {
    width: Math.max(1, cell * WAY),
    paint: color,
    cap: 'round',
    join: 'round',
  } as const;
  return [{ type: 'path', path: path.done(), stroke }];
}

export function drawMazePage(context: Context): Mark[] {
  const { items, options, language } = context;
  const [first] = items;
  if (!first) return [];
  const weight = options.weight * (isLargePrint(context) ? LARGE_WALL : 1);
  const { width, height } = gridOf(first.item);
  const count = Math.max(...items.map(({ item }) => collectedIn(gridOf(item), item, options).length));
  const rules = [
    mazeWords(language, 'rules'),
    ...(items.some(({ item }) => item.floors) ? [mazeWords(language, 'stairs')] : []),
    ...(count ? [mazeWords(language, 'collect', { count })] : []),
  ];
  return puzzlesOnPage(context, {
    title: mazeWords(language, 'maze'),
    rules: options.instructions ? rules.join(' ') : null,
    ratio: width / height,
    level: ({ level }) => level,
    draw(item, box) {
      const grid = gridOf(item);
      return [
        ...drawMaze(item, { box, safe: context.frame.safe }, options, weight, false),
        ...floorNames(grid, placeIn(grid, box), context),
      ];
    },
  });
}

/** The way, under the number of the puzzle and its page. */
export function drawMazeSolution(
  placed: PlacedItem<MazeItem>,
  box: Rect,
  context: SolutionContext<MazeOptions>,
): Mark[] {
  const grid = gridOf(placed.item);
  const { options } = context;
  return solutionInBox(placed, box, context, {
    width: (room) => grid.width * placeIn(grid, room).cell,
    draw: (room) => drawMaze(placed.item, { box: room, safe: context.safe }, options, options.weight, true),
  });
}
