import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage, filledItem, kindOf } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { type Ends, measuredMazeScale, usualScales } from '../../puzzles/maze/index.ts';
import { colorOfHex, eachMark, type TextMark } from '../../scene/index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS } from '../pages.sample.ts';
import { mazePinned, watchMaze } from './by-hand.ts';
import { collectedOn } from './draw.ts';
import { gridOf, inspectMaze, type MazeItem, sortOf, spaceOf } from './fill.ts';
import { maze as kind } from './index.ts';

const type = typesetterFromDisk();
const everything = process.env.QUILL_SWEEP === 'all';

const mazes = (items: number, options: object = {}, more: object = {}, section: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind: 'maze', items, options, ...section }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
type Book = ReturnType<typeof mazes>;
const itemOf = (book: Book, number: number) => filledItem(book, book.sections.get('s')!, number) as MazeItem;
const pinOf = (book: Book, item: number, total: number) =>
  kindOf(book.sections.get('s')!).pin!.of({
    options: book.sections.get('s')!.options as never,
    resources: book.resources,
    streamKey: [book.recipe.seed, 's'],
    ...{ item, roll: 0, pin: undefined, total },
  });

/** The five mazes of a section, each of the next level, with nothing wrong with them. */
function ofEachLevel(book: Book): MazeItem[] {
  const items = [1, 2, 3, 4, 5].map((number) => itemOf(book, number));
  expect(items.map(({ level }) => level)).toEqual([1, 2, 3, 4, 5]);
  for (const item of items) expect(inspectMaze(item, { label: 'Puzzle 1' })).toEqual([]);
  return items;
}

/** Put through the recipe, what is pinned or kept by hand is the same maze, whatever is set. */
function staySame(book: Book): void {
  const items = ofEachLevel(book);
  for (const item of items) {
    const pin = v.parse(kind.pin!.schema, JSON.parse(JSON.stringify(mazePinned(item, item))));
    const kept = itemOf(mazes(1, {}, {}, { pins: { 1: pin } }), 1);
    expect({ ...kept, wanted: item.wanted }).toEqual(item);
    expect(watchMaze(item, item)).toMatchObject({ isSound: true });
  }
  const pinned = pinOf(book, 3, 5);
  expect(itemOf(mazes(5, { grid: 'hexagon' }, {}, { pins: { 3: pinned } }), 3)).toEqual(items[2]);
}

describe('a section of mazes', () => {
  it('levels rise over it, and every maze has one way', () => {
    const book = mazes(10, { columns: 12, rows: 12 });
    const items = Array.from({ length: 10 }, (_, i) => itemOf(book, i + 1));
    expect(items.map(({ level }) => level)).toEqual([1, 1, 2, 2, 3, 3, 4, 4, 5, 5]);
    for (const item of items) expect(inspectMaze(item, { label: 'Puzzle 1' })).toEqual([]);
  });

  it('says where the answer is, and the answer says where the maze is', () => {
    const book = mazes(2, { level: 2, columns: 10, rows: 10 }, {}, { solutions: { perPage: 2 } });
    const texts = (page: number) => {
      const found: string[] = [];
      eachMark(drawPage(book, page, type).layers[0]!.marks, (mark) => {
        if (mark.type === 'text') found.push((mark as TextMark).text);
      });
      return found;
    };
    expect(texts(1)).toEqual(expect.arrayContaining(['Maze 1', 'Answer on page 3', 'easy']));
    expect(texts(3)).toEqual(expect.arrayContaining(['1', 'page 1', '2', 'page 2']));
    expect(proofBook(book, type).filter(({ place }) => place?.view === 'page')).toEqual([]);
  });

  it('in an outline has the level that is asked for, and the same maze when pinned', () => {
    const book = mazes(5, { shape: 'cat', columns: 24, rows: 24 });
    const items = [1, 2, 3, 4, 5].map((number) => itemOf(book, number));
    expect(items.map(({ level }) => level)).toEqual([1, 2, 3, 4, 5]);
    for (const item of items) expect(inspectMaze(item, { label: 'Puzzle 1' })).toEqual([]);
    const pin = pinOf(book, 2, 5);
    const pinned = mazes(5, { grid: 'hexagon' }, {}, { pins: { 2: pin } });
    expect(itemOf(pinned, 2)).toEqual(items[1]);
    expect(gridOf(items[1]!).cells).toBeLessThan(24 * 24);
  });

  it('its data are a graph: passages by index, and the way along them', () => {
    const { cells, passages, start, goal, path } = kind.data!(itemOf(mazes(1, { grid: 'circle' }), 1)) as {
      cells: number;
      passages: [number, number][];
      start: number;
      goal: number;
      path: number[];
    };
    expect(passages).toHaveLength(cells - 1);
    const open = new Set(passages.flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]));
    expect([path[0], path.at(-1)]).toEqual([start, goal]);
    for (let i = 1; i < path.length; i++) expect(open.has(`${path[i - 1]} ${path[i]}`)).toBe(true);
  });

  it('with bridges has the level that is asked for, and is the same pinned, or kept by hand', () => {
    const options = { columns: 14, rows: 16, bridges: 70 };
    const book = mazes(5, options);
    for (const item of ofEachLevel(book)) {
      expect(item.over!.length).toBeGreaterThan(3);
      const data = kind.data!(item) as { cells: number; passages: unknown[]; bridges: [number, number][] };
      expect(data.cells).toBe(14 * 16 + data.bridges.length);
      expect(data.passages).toHaveLength(data.cells - 1);
    }
    staySame(book);
    // Other grids, and mazes of which any is as likely, have none.
    expect(itemOf(mazes(1, { ...options, grid: 'hexagon' }), 1).over).toBeUndefined();
    expect(itemOf(mazes(1, { ...options, passages: 'even' }), 1).over).toBeUndefined();
  });

  it('on floors has the level that is asked for, and is the same pinned, or kept by hand', () => {
    for (const grid of ['square', 'circle']) {
      const options = { grid, columns: 13, rows: 12, floors: 3 };
      const book = mazes(5, options);
      for (const item of ofEachLevel(book)) {
        expect(kind.told!(item)).toMatch(/a way of \d+ cells over 3 floors$/);
        const data = kind.data!(item) as { cells: number; floors: number; passages: [number, number][] };
        expect(data.floors).toBe(3);
        expect(data.passages).toHaveLength(data.cells - 1);
        // Stairs are passages between cells as many apart as a floor has.
        const floor = data.cells / 3;
        const up = data.passages.filter(
          ([one, other]) => Math.floor(one / floor) !== Math.floor(other / floor),
        );
        expect(up.length).toBeGreaterThanOrEqual(2);
        for (const [one, other] of up) expect(Math.abs(other - one)).toBe(floor);
      }
      staySame(book);
    }
    // Bridges are on a single floor.
    expect(itemOf(mazes(1, { columns: 14, rows: 14, bridges: 70, floors: 2 }), 1).over).toBeUndefined();
  });

  it('on floors has an arrow at each end of stairs, the names of the floors, and the rule, in print', () => {
    const book = mazes(1, { columns: 12, rows: 10, floors: 2, level: 3 }, {}, { solutions: { perPage: 1 } });
    const item = itemOf(book, 1);
    const [maze, answer] = [1, 2].map((page) => {
      const found = { texts: [] as string[], arrows: 0 };
      eachMark(drawPage(book, page, type).layers[0]!.marks, (mark) => {
        if (mark.type === 'text') found.texts.push(mark.text);
        // A triangle with a shaft has seven corners.
        if (mark.type === 'path' && mark.fill && mark.path.ops.length === 8) found.arrows++;
      });
      return found;
    });
    const { floors } = gridOf(item);
    const stairs = item.open.reduce((sum, open, wall) => sum + (open && wall >= floors!.stairs ? 1 : 0), 0);
    expect([maze!.arrows, answer!.arrows]).toEqual([2 * stairs, 2 * stairs]);
    expect(maze!.texts).toEqual(expect.arrayContaining(['Floor 1', 'Floor 2']));
    expect(maze!.texts.join(' ')).toContain('the same place on the next floor.');
    expect(proofBook(book, type).filter(({ place }) => place?.view === 'page')).toEqual([]);
  });

  it('has walls and ways in the colors that are chosen, and in grays where there is black ink alone', () => {
    const paints = (answer: string) => {
      const book = mazes(
        1,
        { columns: 10, rows: 10, level: 2, wallColor: '#204060', wayColor: '#c04020', answer },
        {},
        { solutions: { perPage: 1 } },
      );
      return [1, 2].map((page) => {
        const found = new Set<string>();
        eachMark(drawPage(book, page, type).layers[0]!.marks, (mark) => {
          if (mark.type === 'path')
            for (const paint of [mark.fill, mark.stroke?.paint]) if (paint) found.add(JSON.stringify(paint));
        });
        return found;
      });
    };
    const [wall, way] = ['#204060', '#c04020'].map((hex) => JSON.stringify(colorOfHex(hex)));
    for (const answer of ['line', 'dots', 'footprints']) {
      const [maze, solution] = paints(answer) as [Set<string>, Set<string>];
      expect([maze.has(wall!), maze.has(way!)]).toEqual([true, false]);
      expect([solution.has(wall!), solution.has(way!)]).toEqual([true, true]);
    }
    expect(drawPage(mazes(1), 1, type).gray).toBe(true);
  });

  it('a pinned maze stays as it is whatever is set', () => {
    const pin = { grid: 'hexagon', columns: 8, rows: 9, winding: 50, ends: 'middle', level: 3, roll: 1 };
    const before = itemOf(mazes(1, {}, {}, { pins: { 1: pin } }), 1);
    expect(itemOf(mazes(1, { grid: 'square', winding: 0 }, {}, { pins: { 1: pin } }), 1)).toEqual(before);
    expect(before).toMatchObject({ grid: 'hexagon', ends: 'middle' });
  });

  it('one that was pinned in any version is the same in every other, and a new pin is the maze that it pins', () => {
    const own = { grid: 'square', columns: 10, rows: 10, level: 4 };
    const pins = [1, 2, 3].map((version) => {
      const book = mazes(1, own, {}, { version });
      const pin = pinOf(book, 1, 1) as object;
      const before = itemOf(book, 1);
      for (const other of [1, 2, 3])
        expect(itemOf(mazes(1, {}, {}, { version: other, pins: { 1: pin } }), 1)).toEqual(before);
      return pin;
    });
    expect(pins[0]).not.toHaveProperty('measure');
    expect(pins.slice(1)).toMatchObject([{ measure: 'turns' }, { measure: 'effort' }]);
  });

  it('is not bent where any maze is to be as likely as another', () => {
    const own = { grid: 'square', columns: 10, rows: 10, level: 4, passages: 'even' };
    const [second, third] = [2, 3].map((version) => itemOf(mazes(1, own, {}, { version }), 1));
    expect(third).toEqual(second);
    expect(third).toMatchObject({ measure: 'turns' });
  });
});

describe('the scales that are measured beforehand', () => {
  it('are those of the mazes on offer, as they are measured', () => {
    const measured: Record<string, readonly number[]> = {};
    for (const measure of ['branches', 'turns', 'effort'] as const)
      for (const { options = {} } of kind.samples!) {
        const made = { ...v.parse(kind.options, options), measure };
        const plain = gridOf({ ...made, floors: 1 });
        const steps = measuredMazeScale(
          sortOf(made),
          plain,
          made.ends as Ends,
          made.winding / 100,
          measure,
          spaceOf(made),
        );
        let step = steps.next();
        while (!step.done) step = steps.next();
        measured[sortOf(made)] = step.value;
      }
    expect(usualScales).toEqual(measured);
  });
});

describe('the lines of a maze', () => {
  it('are as wide as is set, and wider in large print', () => {
    const widest = (largePrint: boolean) => {
      const book = mazes(1, { level: 3, columns: 8, rows: 8 }, { style: { largePrint } });
      let width = 0;
      eachMark(drawPage(book, 1, type).layers[0]!.marks, (mark) => {
        if (mark.type === 'path' && mark.stroke) width = Math.max(width, mark.stroke.width);
      });
      return width;
    };
    expect(widest(false)).toBe(2);
    expect(widest(true)).toBe(3);
  });
});

describe('what is collected in a maze', () => {
  it('lies on its way, apart from each other and from the ends, as often as is asked for or there is room', () => {
    const { way } = itemOf(mazes(1, { columns: 12, rows: 12, level: 3 }), 1);
    const cells = collectedOn(way, 5);
    const places = cells.map((cell) => way.indexOf(cell));
    expect(places).toHaveLength(5);
    const ends = [0, ...places, way.length - 1];
    for (let i = 1; i < ends.length; i++) expect(ends[i]! - ends[i - 1]!).toBeGreaterThan(1);
    expect(collectedOn(way, 0)).toEqual([]);
    expect(collectedOn([4, 5, 6], 3)).toEqual([]);
    expect(collectedOn([1, 2, 3, 4, 5], 12)).toEqual([3]);
  });

  it('is told in the rules, in print', () => {
    const texts = (options: object) => {
      const said: string[] = [];
      eachMark(drawPage(mazes(1, { level: 3, ...options }), 1, type).layers[0]!.marks, (mark) => {
        if (mark.type === 'text') said.push(mark.text);
      });
      return said.join(' ');
    };
    expect(texts({ collect: 5 })).toContain('Collect the 5 things that lie on it.');
    expect(texts({})).not.toContain('Collect');
  });
});

describe('what is wrong with a maze', () => {
  it('is found by filling its dead ends', () => {
    const item = itemOf(mazes(1, { columns: 8, rows: 8, level: 3 }), 1);
    const said = (changed: Partial<MazeItem>) =>
      inspectMaze({ ...item, ...changed }, { label: 'Puzzle 1' }).map(({ message }) => message);
    expect(said({ open: item.open.map(() => 0) })).toEqual([
      'Puzzle 1: has no way from start to goal, or more than one. Re-roll the puzzle.',
    ]);
    expect(said({ way: item.way.slice().reverse() })).toEqual([
      'Puzzle 1: the way in the book is another. Re-roll the puzzle.',
    ]);
    expect(said({ wanted: 5 })[0]).toMatch(/is of level 3, not 5/);
  });
});

describe('any page of mazes', () => {
  it('stays inside the safe area with lines that print', () => {
    fc.assert(
      fc.property(
        anyOptions('maze', { character: ['B', '7'] }),
        fc.constantFrom(...TRIMS),
        anySetting,
        fc.constantFrom(5, 12, 80),
        (options, trim, setting, rows) =>
          // As many rows as settings allow are few; of columns there are any.
          holdsInside(
            mazes(
              1,
              { ...options, rows, columns: Math.min(Number(options.columns), 40) },
              settingOf(trim, setting),
            ),
            type,
          ),
      ),
      { numRuns: everything ? 300 : 15 },
    );
  });
});
