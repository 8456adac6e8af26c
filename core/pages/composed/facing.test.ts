import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { forLargeType } from '../../book/for-large-type.ts';
import { bookFrom, designBook, designPages, drawPage, finished } from '../../book/index.ts';
import { USUAL_FACES } from '../../faces/choice.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { loadFlexbox } from '../../flexbox/index.ts';
import { proofBook } from '../../proof/index.ts';
import { eachMark, IDENTITY, pathBounds } from '../../scene/index.ts';
import { type Block, eachBlock } from '../blocks/block.ts';
import { arrangeFacing } from '../blocks/facing.ts';
import { blockKind } from '../blocks/kinds/index.ts';
import { lookOf } from '../blocks/look.ts';
import { type Pen, scaleOf } from '../blocks/pen.ts';
import { TRIMS, textsDrawn } from '../pages.sample.ts';
import { readDesign } from './design.ts';
import { DESIGNS, type DesignId } from './designs/index.ts';

const type = typesetterFromDisk();
beforeAll(loadFlexbox);

const IDS = Object.keys(DESIGNS) as DesignId[];
const everything = process.env.QUILL_SWEEP === 'all';
const [SMALL, USUAL, , LARGE, WIDE] = TRIMS;

const bookOf = (
  options: object,
  [width, height]: readonly [string, string] = USUAL,
  { style = {}, pages = 2 }: { style?: object; pages?: number } = {},
) =>
  bookFrom(
    recipeOf([{ id: 's', kind: 'composed', pages, options: { facing: true, ...options } }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width, height } },
      style,
    }),
  );
type Made = ReturnType<typeof bookOf>;

const textsOn = textsDrawn(type);
const findings = (book: Made) => proofBook(book, type).filter(({ check }) => check === 'items');

const PEN: Pen = {
  type,
  look: lookOf('almanac', USUAL_FACES),
  unit: 10.125,
  typeScale: 1,
  scale: scaleOf(10.125),
};
const areaOf = (height: number) => ({ x: 40, y: 30, width: 300, height });
const blocksOf = (blocks: object[]) => readDesign({ name: 'x', blocks }).blocks;
const facing = (blocks: readonly Block[], height = 500) => {
  const { whole, left, right } = arrangeFacing(blocks, blocks, areaOf(height), PEN);
  const leaves = ({ placed }: typeof left) => placed.filter(({ block }) => block.type !== 'group');
  return { left, right, whole, onLeft: leaves(left), onRight: leaves(right) };
};

describe('blocks on two pages that face each other', () => {
  it('stand on one of them each, and those that were parted on both, with all of their rows', () => {
    fc.assert(
      fc.property(fc.constantFrom(...IDS), fc.integer({ min: 300, max: 760 }), (id, height) => {
        const { blocks } = DESIGNS[id].design;
        const { left, right, whole, onLeft, onRight } = facing(blocks, height);
        if (left.missing > 0 || right.missing > 0 || left.left.length + right.left.length > 0) return;
        const standing = new Map<Block, Block[]>();
        for (const { block } of [...onLeft, ...onRight]) {
          const of = whole.get(block) ?? block;
          standing.set(of, [...(standing.get(of) ?? []), block]);
        }
        for (const block of eachBlock(blocks)) {
          if (block.of || block.type === 'space') continue;
          const parts = standing.get(block) ?? [];
          expect(parts.length, `${id} ${block.type}`).toBeGreaterThan(0);
          const cut = blockKind(block).cut;
          if (block.type === 'fields')
            // Their rows may be of fewer fields each.
            expect(parts.flatMap(({ rows }) => rows as unknown[][]).flat()).toEqual(
              (block.rows as unknown[][]).flat(),
            );
          else if (parts.length === 1) expect(parts[0]).toBe(block);
          else {
            const rows = parts.map((part) => cut!.rows(part));
            expect(rows.reduce((sum, one) => sum + one)).toBe(cut!.rows(block));
            expect(Math.min(...rows)).toBeGreaterThanOrEqual(2);
          }
        }
      }),
      { numRuns: everything ? 2000 : 150 },
    );
  });

  it('leave both pages about as full, and keep together what they can', () => {
    const lines = (title: string, count: number) => ({ type: 'rule', title, lines: count });
    const titles = (placed: { block: Block }[]) => placed.map(({ block }) => block.title);
    const even = facing(blocksOf([lines('a', 3), lines('b', 3), lines('c', 3), lines('d', 3)]));
    expect([titles(even.onLeft), titles(even.onRight)]).toEqual([
      ['a', 'b'],
      ['c', 'd'],
    ]);
    const beside = facing(blocksOf([{ type: 'columns', of: [lines('a', 8), lines('b', 8)] }]));
    expect([titles(beside.onLeft), titles(beside.onRight)]).toEqual([['a'], ['b']]);
    // Each has the width of a page, not half of it.
    for (const { rect } of [...beside.onLeft, ...beside.onRight]) expect(rect.width).toBeCloseTo(300, 3);
    const one = facing(blocksOf([{ type: 'head', title: 'Moths' }, lines('a', 20)]));
    expect([titles(one.onLeft), titles(one.onRight)]).toEqual([['Moths', 'a'], ['']]);
  });

  it('leave one of several columns whole where there is another way', () => {
    const rows = Array.from({ length: 12 }, (_, i) => String(i + 1));
    const grid = { type: 'grid', marks: 'cells', rows, columns: ['a', 'b'] };
    const { onLeft, onRight } = facing(
      blocksOf([
        { type: 'head', title: 'x' },
        { type: 'columns', of: [grid, { type: 'rule', lines: 4 }] },
      ]),
    );
    expect(onLeft.map(({ block }) => block.type)).toEqual(['head', 'grid']);
    expect(onLeft[1]!.block).toMatchObject({ rows });
    expect(onRight.map(({ block }) => block.type)).toEqual(['rule']);
  });

  it('are not stretched apart where none of them grows: the foot of the page is free', () => {
    const table = { type: 'table', columns: [{ label: 'What' }], rows: ['a', 'b', 'c', 'd'] };
    const { onLeft } = facing(blocksOf([{ type: 'head', title: 'x' }, table, table, table]));
    for (let i = 1; i < onLeft.length; i++) {
      const above = onLeft[i - 1]!.rect;
      expect(onLeft[i]!.rect.y - above.y - above.height).toBeLessThanOrEqual(3 * PEN.unit + 1e-6);
    }
  });

  it('come closer together on both before one leaves, and leave by rank where that is not enough', () => {
    const blocks = (lines: number) =>
      blocksOf([
        { type: 'rule', title: 'a', lines, before: 'number' },
        { type: 'rule', title: 'b', lines, before: 'number' },
        { type: 'box', title: 'c', least: 8, rank: 1 },
      ]);
    const close = facing(blocks(13), 380);
    expect([close.left.left, close.right.left]).toEqual([[], []]);
    expect(close.left.pen.unit).toBeLessThan(PEN.unit);
    expect(close.right.pen.unit).toBe(close.left.pen.unit);
    const less = facing(blocks(16), 380);
    expect([...less.left.left, ...less.right.left].map(({ title }) => title)).toEqual(['c']);
    expect(Math.max(less.left.missing, less.right.missing)).toBe(0);
    expect(facing(blocks(60), 380).right.missing).toBeGreaterThan(0);
  });

  it('one that cannot be parted stands on the left, and the proof says so', () => {
    const design = { name: 'One', blocks: [{ type: 'box', title: 'SKETCH' }] };
    const book = bookOf({ design });
    expect(textsOn(book, 2)).toContain('SKETCH');
    expect(drawPage(book, 3, type).layers[0]!.marks).toEqual([]);
    expect(findings(book)[0]).toMatchObject({
      severity: 'look',
      message: expect.stringMatching(/nothing stands here: the design is one block/),
    });
  });
});

describe('a design on two facing pages', () => {
  it('begins on a left page, and has as many designs as the section says', () => {
    const { plan } = bookOf({ design: 'daily-log' }, USUAL, { pages: 3 });
    const body = plan.pages.filter(({ role }) => role === 'body');
    expect(body.map(({ side }) => side)).toEqual(Array(3).fill(['verso', 'recto']).flat());
    expect(body.map(({ part }) => part)).toEqual(Array(3).fill(['left', 'right']).flat());
  });

  it('has nothing to find fault with, and all of it fits in large print', () => {
    const problems = (design: string, trim: readonly [string, string], largePrint = false) =>
      designPages(bookOf({ design }, trim, { style: { largePrint }, pages: 1 }), type).problems.map(
        ({ message }) => `${design} on ${trim.join(' × ')}: ${message}`,
      );
    for (const design of IDS)
      for (const trim of [SMALL, USUAL, LARGE, WIDE])
        for (const largePrint of [false, true]) expect(problems(design, trim, largePrint)).toEqual([]);
  });

  it('has fields on more lines where they would be too small to write in beside each other', () => {
    const labels = ['Prepare', 'Cook', 'Serves', 'Oven', 'From', 'Mark'];
    const design = {
      name: 'Fields',
      blocks: [
        { type: 'fields', rows: [labels.map((label) => ({ label }))] },
        { type: 'rule', lines: 8 },
      ],
    };
    const problems = (more: object) =>
      designPages(bookOf({ design, ...more }, SMALL), type).problems.map(({ message }) => message);
    for (const facing of [true, false]) expect(problems({ facing })).toEqual([]);
    const heights = new Map<string, number>();
    eachMark(drawPage(bookOf({ design }, SMALL), 2, type).layers[0]!.marks, (mark) => {
      if (mark.type === 'text') heights.set(mark.text.toLowerCase(), mark.y);
    });
    const at = labels.map((label) => heights.get(label.toLowerCase())!);
    expect([...at].sort((a, b) => a - b)).toEqual(at);
    expect(new Set(at).size).toBeGreaterThan(1);
  });

  it('is set in two columns on a low page, its rows parted too, and found again as one block', () => {
    const { recipe } = bookOf({ design: 'habits-month', facing: false }, WIDE, {
      style: { largePrint: true },
    });
    const book = bookFrom(designBook(recipe, 's'));
    const { pages, problems } = designPages(book, type);
    expect(problems.filter(({ severity }) => severity === 'fix')).toEqual([]);
    const days = textsOn(book, 1).filter((text) => /^\d+$/.test(text));
    expect(days.map(Number)).toEqual(Array.from({ length: 31 }, (_, i) => i + 1));
    const paths = pages[0]!.places.map(({ path }) => path.join('.'));
    expect(new Set(paths).size).toBe(paths.length);
    const grid = DESIGNS['habits-month'].design.blocks.findIndex(({ type: sort }) => sort === 'habits');
    const { rect } = pages[0]!.places.find(({ path }) => path.join('.') === String(grid))!;
    expect(rect.width).toBeGreaterThan(pages[0]!.scene.width * 0.6);
  });

  it('has its days in three columns on a low page that does not hold them otherwise, side by side', () => {
    const version = (wanted: number) => {
      const { recipe } = bookOf({ design: 'meals-week' }, WIDE, { style: { largePrint: true }, pages: 1 });
      return bookFrom({
        ...recipe,
        sections: recipe.sections.map((section) => ({ ...section, version: wanted })) as never,
      });
    };
    const names = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
    expect(textsOn(version(3), 2)).not.toContain('Mon');
    expect(findings(version(3))[0]).toMatchObject({ message: expect.stringMatching(/too high/) });
    expect(textsOn(version(4), 2).filter((text) => names.includes(text))).toEqual(names);
    const { pages } = designPages(version(4), type);
    const days = pages[0]!.places.find(({ path }) => path.join('.') === '1.0')!;
    // Boxes of days beside each other have one height, whether their column holds three or two.
    const heights = new Set<string>();
    const boxes = drawPage(version(4), 2, type).layers[0]!.marks.flatMap((mark) =>
      mark.type === 'path' && mark.stroke && !mark.fill ? [pathBounds(mark.path, IDENTITY)] : [],
    );
    for (const { left, right, top, bottom } of boxes)
      if (right - left > days.rect.width / 4 && bottom - top > 20) heights.add((bottom - top).toFixed(2));
    expect(heights.size).toBe(1);
  });

  it('leaves a low page whole or stays whole, where it need not stay', () => {
    const rows = Array.from({ length: 8 }, (_, i) => `Row ${i + 1}`);
    const counts = Array.from({ length: 34 }, (_, i) => {
      const table = { type: 'table', columns: [{ label: 'What' }], rows, rank: 1 };
      const design = { name: 'Low', blocks: [table, { type: 'rule', lines: i + 3 }] };
      return textsOn(bookOf({ design, facing: false }, WIDE, { pages: 1 }), 1).filter((said) =>
        said.startsWith('Row '),
      ).length;
    });
    expect(new Set(counts)).toEqual(new Set([0, 8]));
  });

  it('the days of a month go on from one page to the other, each once', () => {
    for (const trim of [USUAL, WIDE]) {
      const book = bookOf({ design: 'habits-month' }, trim);
      const days = [2, 3].map((page) =>
        textsOn(book, page)
          .filter((text) => /^\d+$/.test(text))
          .map(Number),
      );
      expect(Math.min(...days.map(({ length }) => length))).toBeGreaterThan(9);
      expect(days.flat()).toEqual(Array.from({ length: 31 }, (_, i) => i + 1));
    }
  });

  it('is parted at the same place on all of its pages, whatever their prompts', () => {
    const varied = [
      'Short',
      'A question that takes a good many words, so that it needs three lines or four',
      'Why?',
    ];
    const book = bookOf({ design: 'reflection', varied: varied.join('\n') }, USUAL, { pages: 3 });
    const title = 'In one sentence';
    const own = bookOf({ design: 'reflection' });
    const at = textsOn(own, 2).includes(title) ? 0 : 1;
    for (const [i, said] of varied.entries()) {
      expect(textsOn(book, 2 + 2 * i).join(' ')).toContain(said.split(' ').slice(0, 3).join(' '));
      expect(textsOn(book, 2 + 2 * i + at)).toContain(title);
    }
  });

  it('of hundreds of blocks is tried in the likeliest ways, and told where it does not fit', () => {
    const table = { type: 'table', columns: [{ label: 'What' }], lines: 60 };
    const blocks = Array.from({ length: 24 }, () => ({ type: 'stack', of: Array(6).fill(table) }));
    const { problems } = designPages(bookOf({ design: { name: 'Many', blocks } }), type);
    expect(problems[0]).toMatchObject({
      severity: 'fix',
      message: expect.stringMatching(/lines too high for two pages of this trim/),
    });
  });

  it('says once of two pages what is wrong with its list', () => {
    const found = findings(bookOf({ design: 'reflection', varied: 'Wait\nLook\nwait' }));
    expect(found.map(({ message }) => message)).toEqual([expect.stringMatching(/“Wait” stands 2 times/)]);
  });

  it('is seen by itself on both of its pages, with every block to take hold of', () => {
    for (const id of IDS) {
      const { recipe } = bookOf({ design: id });
      const { pages, problems } = designPages(bookFrom(designBook(recipe, 's')), type);
      expect(pages).toHaveLength(2);
      expect(problems).toEqual([]);
      const paths = new Set(pages.flatMap(({ places }) => places.map(({ path }) => path.join('.'))));
      const leaves = [...eachBlock(DESIGNS[id].design.blocks)].filter(({ type: sort }) => sort !== 'space');
      expect(paths.size, id).toBeGreaterThanOrEqual(leaves.length);
    }
  });
});

describe('large print', () => {
  const book = (sections: object[]) =>
    bookFrom(
      recipeOf(sections as never, {
        quill: 4,
        style: { largePrint: true },
        print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      }),
    );
  const composed = (design: string) => ({ id: design, kind: 'composed', options: { design } });
  const found = (sections: object[]) => finished(forLargeType(book(sections), type));

  it('sets designs on two facing pages that do not fit on one, and no others', async () => {
    const sections = ['gratitude-three', 'habits-year', 'symptoms'].map((design) => ({
      ...composed(design),
      pages: 4,
    }));
    expect(await found(sections)).toEqual(
      ['habits-year', 'symptoms'].map((section) => ({
        section,
        from: { facing: false },
        to: { facing: true },
      })),
    );
  });

  it('leaves those that alternate with other pages: empty ones would stand between', async () => {
    const members = [composed('symptoms'), { id: 'r', kind: 'ruled', options: {} }];
    expect(await found([{ id: 'g', group: { rounds: 4, members } }])).toEqual([]);
  });
});
