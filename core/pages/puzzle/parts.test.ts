import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import type { Level } from '../../puzzles/level.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import { boundsOf, LINE, MOVE, textLine } from '../../scene/index.ts';
import { atOnce } from '../../steps.ts';
import { gridLines } from './cells.ts';
import { dealtFrom } from './deal.ts';
import { givesAway, ofLevel, placeProblems } from './judged.ts';
import { fitsColumns, type Listed, listMarks, setList } from './list-columns.ts';
import { boxesIn, clearOfLeft } from './page.ts';
import { dealtWords, leftOutTold, listProblems, usableWords } from './word-source.ts';

const type = typesetterFromDisk();
const FACES = { text: 'alegreya-sans-regular', heading: 'alegreya-sans-bold' } as const;

describe('lines of a grid', () => {
  it('run along every edge that has a weight, once, and along no other', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.func(fc.constantFrom(0, 1, 2)),
        (columns, rows, weigh) => {
          const weight = (one: number, other: number) => weigh(one, other) as 0 | 1 | 2;
          const cell = 10;
          const paths = gridLines<1 | 2>({ columns, rows, x: 0, y: 0, cell }, weight);
          const drawn = new Map<string, number>();
          for (const [of, { ops, points }] of paths)
            for (let i = 0; i < ops.length; i += 2) {
              expect([ops[i], ops[i + 1]]).toEqual([MOVE, LINE]);
              const [x1, y1, x2, y2] = [0, 1, 2, 3].map((k) => points[2 * i + k]! / cell) as [
                number,
                number,
                number,
                number,
              ];
              const length = Math.abs(x2 - x1) + Math.abs(y2 - y1);
              for (let k = 0; k < length; k++) {
                const key = x1 === x2 ? `v ${x1} ${y1 + k}` : `h ${x1 + k} ${y1}`;
                expect(drawn.has(key)).toBe(false);
                drawn.set(key, of);
              }
            }
          const at = (column: number, row: number) =>
            column < 0 || row < 0 || column >= columns || row >= rows ? -1 : row * columns + column;
          for (let row = 0; row <= rows; row++)
            for (let column = 0; column <= columns; column++) {
              if (row < rows)
                expect(drawn.get(`v ${column} ${row}`) ?? 0).toBe(
                  weight(at(column - 1, row), at(column, row)),
                );
              if (column < columns)
                expect(drawn.get(`h ${column} ${row}`) ?? 0).toBe(
                  weight(at(column, row - 1), at(column, row)),
                );
            }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('dealing', () => {
  const hand = (place: number | null, size: number, own = 'own') => ({
    size,
    place,
    deck: (cycle: number) => randomStream('deck', cycle),
    own: randomStream(own, place ?? 'none'),
    clash: () => false,
  });

  it('lets a part return only when all have been used', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 10 }), (count, size) => {
        const list = Array.from({ length: count }, (_, i) => i);
        const hands = Math.floor(count / size);
        const dealt = Array.from({ length: hands }, (_, place) => dealtFrom(list, hand(place, size))).flat();
        expect(new Set(dealt).size).toBe(hands * size);
      }),
    );
  });

  it('passes over what clashes, and gives as many as there are', () => {
    const list = [1, 2, 3, 4, 5, 6];
    const odd = dealtFrom(list, { ...hand(0, 6), clash: (one, other) => one % 2 === other % 2 });
    expect(odd).toHaveLength(2);
    expect(dealtFrom(list, hand(null, 20)).sort()).toEqual(list);
    expect(dealtFrom([], hand(0, 3))).toEqual([]);
  });
});

describe('a list in columns', () => {
  const anyList = fc.array(
    fc.record({
      words: fc.array(fc.constantFrom('bee', 'propolis', 'of', 'the', 'hive'), {
        minLength: 1,
        maxLength: 9,
      }),
      heading: fc.boolean(),
    }),
    { minLength: 1, maxLength: 40 },
  );

  it('has every part once and in order, inside its room, and no heading at the foot of a column', () => {
    fc.assert(
      fc.property(anyList, fc.integer({ min: 1, max: 4 }), (parts, columns) => {
        const list = parts.map(
          ({ words, heading }, i): Listed =>
            heading && !parts[i + 1]?.heading
              ? { text: words.join(' '), heading: true }
              : { text: words.join(' '), number: i + 1 },
        );
        const set = setList(list, { size: 10, columns, width: 420 }, FACES, type);
        expect(set.flow.length).toBeLessThanOrEqual(columns);
        expect(set.flow.flat().map(({ listed }) => listed)).toEqual(list);
        expect(fitsColumns(set, FACES, type)).toBe(true);
        // Every line is there, none below the foot of the list.
        const marks = listMarks(set, { x: 0, y: 0 }, FACES, type);
        const ink = boundsOf(marks, type)!;
        expect(ink.left).toBeGreaterThanOrEqual(-0.3);
        expect(ink.right).toBeLessThanOrEqual(420.3);
        expect(ink.bottom).toBeLessThanOrEqual(set.height + 3);
        for (const column of set.flow.slice(0, -1)) expect(column.at(-1)!.listed.heading).toBeUndefined();
      }),
      { numRuns: 60 },
    );
  });
});

describe('boxes and lines', () => {
  it('boxes share out a room without touching', () => {
    for (const count of [1, 2, 4, 6])
      for (const [width, height] of [
        [400, 600],
        [600, 400],
      ] as const) {
        const boxes = boxesIn({ x: 10, y: 20, width, height }, count, 12);
        expect(boxes).toHaveLength(count);
        for (const box of boxes) {
          expect(box.x).toBeGreaterThanOrEqual(10);
          expect(box.x + box.width).toBeLessThanOrEqual(10 + width + 1e-6);
          expect(box.y + box.height).toBeLessThanOrEqual(20 + height + 1e-6);
          for (const other of boxes)
            if (other !== box)
              expect(
                Math.abs(other.x - box.x) >= box.width + 11.9 ||
                  Math.abs(other.y - box.y) >= box.height + 11.9,
              ).toBe(true);
        }
      }
  });

  it('a letter that reaches over its line is moved in, any other line stays', () => {
    const style = { face: 'alegreya-bold', size: 40, color: { gray: 0 } } as const;
    for (const text of ['Waggle', 'Jay', 'Hive', 'Tide']) {
      const line = textLine(type, text, style, 100, 100);
      expect(boundsOf([clearOfLeft(line, type)], type)!.left).toBeGreaterThanOrEqual(100 - 1e-6);
      if (boundsOf([line], type)!.left >= 100) expect(clearOfLeft(line, type)).toEqual(line);
    }
  });
});

describe('what is said of puzzles', () => {
  it('the first of a level is taken, or the nearest', () => {
    const made = (levels: Level[]) => {
      let i = 0;
      return function* () {
        yield;
        return { level: levels[i++ % levels.length]!, made: i };
      };
    };
    expect(atOnce(ofLevel(3, 10, made([1, 5, 3, 3])))).toEqual({ level: 3, made: 3 });
    expect(atOnce(ofLevel(5, 4, made([1, 4, 2])))).toEqual({ level: 4, made: 2 });
  });

  it('a difficulty is on the level whose beginning it has passed', () => {
    const scale = [1, 2, 3, 4];
    expect([0.5, 1, 2.5, 3, 9].map((value) => levelOn(scale, value))).toEqual([1, 2, 3, 4, 5]);
  });

  it('a clue gives its answer away by whole words alone', () => {
    expect(givesAway('A bee is one', 'Bee')).toBe(true);
    expect(givesAway('Where is it?', 'Here')).toBe(false);
    expect(givesAway('The royal, jelly', 'Royal jelly')).toBe(true);
  });

  it('a word without a place is told apart from one that nothing can cross', () => {
    const messages = placeProblems('Puzzle 1', ['Hive', 'Jazz'], new Set(['E', 'V'])).map(
      ({ message }) => message,
    );
    expect(messages[0]).toMatch(/HIVE finds no place/);
    expect(messages[1]).toMatch(/JAZZ shares no letter/);
  });
});

describe('words of a section', () => {
  const lists = [
    { title: 'Hive', words: ['Bee', 'bee', 'Skep', 'R2'] },
    { title: 'Shore', words: ['Limpet', 'Kelp'] },
  ];
  const context = (item: number, roll = 0) => ({
    options: { words: { lists } },
    resources: {} as never,
    streamKey: ['seed', 's'] as const,
    ...{ item, roll, pin: undefined },
  });

  it('come from its lists in turn, each once, the shortest first', () => {
    expect(usableWords(lists[0]!.words).map(({ word }) => word)).toEqual(['Bee', 'Skep']);
    expect(dealtWords(context(1), 5, 20)).toMatchObject({
      title: 'Hive',
      words: [{ word: 'Bee' }, { word: 'Skep' }],
    });
    expect(dealtWords(context(2), 5, 20)).toMatchObject({
      title: 'Shore',
      words: [{ word: 'Kelp' }, { word: 'Limpet' }],
    });
    expect(dealtWords(context(2), 5, 4).words.map(({ word }) => word)).toEqual(['Kelp']);
    expect(dealtWords(context(3, 1), 1, 20).words).toHaveLength(1);
  });

  it('that are left out, or too few, are told once for a list', () => {
    const items = [1, 2, 3].map((number) => ({ number, label: `Puzzle ${number}`, item: { words: ['x'] } }));
    expect(
      listProblems(items, lists, { wordsPerPuzzle: 2, longest: 5 }).map(({ message }) => message),
    ).toEqual([
      'Words of “Hive” left out: “R2” has digits in it. Write the number out or remove the word.',
      'Words of “Shore” left out: LIMPET has 6 letters; 5 are the most.',
      'From puzzle 2: the list gives 1 of the 2 words asked for. Add words or ask for fewer.',
    ]);
    const none = [{ number: 1, label: 'Puzzle 1', item: { words: [] } }];
    expect(listProblems(none, [], { wordsPerPuzzle: 2, longest: 5 })).toMatchObject([{ severity: 'fix' }]);
    expect(leftOutTold(['A.', 'B.', 'C.', 'D.', 'E.'])).toBe('A. B. C. D. And 1 more.');
  });
});
