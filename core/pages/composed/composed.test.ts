import fc from 'fast-check';
import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage, readRecipe } from '../../book/index.ts';
import { USUAL_FACES } from '../../faces/choice.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { flexBoxes, loadFlexbox } from '../../flexbox/index.ts';
import { proofBook } from '../../proof/index.ts';
import { eachMark } from '../../scene/index.ts';
import { describedBy } from '../../schema.ts';
import { arrange, shareOut } from '../blocks/arrange.ts';
import type { Block } from '../blocks/block.ts';
import { shared } from '../blocks/kinds/field.ts';
import { BLOCKS } from '../blocks/kinds/index.ts';
import { LOOKS, type LookId, lookOf } from '../blocks/look.ts';
import { type Pen, scaleOf } from '../blocks/pen.ts';
import { holdsInside, TRIMS, textsDrawn } from '../pages.sample.ts';
import { designSchema, readDesign } from './design.ts';
import { DESIGNS, type DesignId } from './designs/index.ts';

const type = typesetterFromDisk();
beforeAll(loadFlexbox);

const IDS = Object.keys(DESIGNS) as DesignId[];
const everything = process.env.QUILL_SWEEP === 'all';
const pageOf = (
  options: object,
  [width, height]: readonly [string, string] = ['6in', '9in'],
  more: object = {},
) =>
  bookFrom(
    recipeOf([{ id: 's', kind: 'composed', pages: 2, options }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width, height } },
      ...more,
    }),
  );
type Page = ReturnType<typeof pageOf>;

const textsOn = textsDrawn(type);
const findings = (book: Page) => proofBook(book, type).filter(({ place }) => place?.view === 'page');

const penFor = (look: LookId, unit = 10.125): Pen => ({
  type,
  look: lookOf(look, USUAL_FACES),
  unit,
  typeScale: 1,
  scale: scaleOf(unit),
});

describe('the flexbox engine', () => {
  it('shares out width by weight and stacks heights (CSS flexible box layout, flex-basis 0)', () => {
    const boxes = flexBoxes(
      {
        column: [
          { height: () => 20 },
          { row: [{ grow: 2, height: (w) => w / 10 }, { height: () => 9 }], gap: 10 },
        ],
        gap: 7,
      },
      310,
    );
    expect(boxes.height).toBeCloseTo(20 + 7 + 20, 4);
    expect(boxes.children[1]!.children.map(({ x, width }) => [x, width])).toEqual([
      [0, 200],
      [210, 100],
    ]);
  });
});

describe('sharing out a width', () => {
  const one = fc.record({ width: fc.integer({ min: 1, max: 90 }), least: fc.integer({ min: 0, max: 60 }) });
  const rows = fc.array(one, { minLength: 1, maxLength: 9 });
  const rect = { x: 7, width: 300 };
  const given = (row: { width: number; least: number }[]) => shared(row, rect, 4, ({ least }) => least);

  it('leaves nothing narrower than it needs to be where there is room for all, and no gap or overlap', () => {
    fc.assert(
      fc.property(rows, (row) => {
        const places = given(row);
        let at = rect.x;
        for (const { x, width } of places) {
          expect(x).toBeCloseTo(at, 6);
          at += width + 4;
        }
        expect(at - 4).toBeCloseTo(rect.x + rect.width, 6);
        const room = rect.width - 4 * (row.length - 1);
        if (row.reduce((sum, { least }) => sum + least, 0) > room)
          expect(places).toEqual(shared(row, rect, 4));
        else for (const { of, width } of places) expect(width).toBeGreaterThanOrEqual(of.least - 1e-9);
      }),
    );
  });

  it('shares out by weight what is left (CSS Flexible Box Layout Level 1, 9.7, items that grow from 0)', () => {
    fc.assert(
      fc.property(rows, (row) => {
        fc.pre(row.reduce((sum, { least }) => sum + least, 0) < rect.width - 4 * row.length);
        const grown = given(row).filter(({ of, width }) => width > of.least + 1e-9);
        const shares = grown.map(({ of, width }) => width / of.width);
        for (const share of shares) expect(share).toBeCloseTo(shares[0]!, 6);
        // One that has no more than its least would have less by its weight.
        for (const { of, width } of given(row))
          if (width <= of.least + 1e-9 && shares.length > 0)
            expect(of.width * shares[0]!).toBeLessThanOrEqual(of.least + 1e-6);
      }),
    );
  });
});

describe('what is too narrow to write in', () => {
  const narrow = (blocks: object[], more: object = {}) =>
    pageOf({ design: { name: 'x', blocks }, ...more }, ['6in', '9in']);
  const columns = [
    { label: 'What', width: 12 },
    { label: 'Due', width: 0.5 },
    { label: 'Ok', kind: 'check', width: 0.1 },
  ];

  it('has more of the width of its neighbors, and stood as narrow in books of the version before', () => {
    const blocks = [{ type: 'table', columns, rows: ['A name of a row', 'Two'], rowsWidth: 0.1 }];
    expect(findings(narrow(blocks))).toEqual([]);
    const before = bookFrom({
      ...narrow(blocks).recipe,
      sections: narrow(blocks).recipe.sections.map((section) => ({ ...section, version: 2 })) as never,
    });
    expect(findings(before).map(({ message }) => message)).toEqual([
      expect.stringMatching(/too small to write in by hand/),
    ]);
    expect(textsOn(before, 1)).not.toContain('A name of a row');
    expect(textsOn(narrow(blocks), 1)).toContain('A name of a row');
  });

  it.each(['table', 'grid'])('has names of the rows of one %s in one size', (sort) => {
    const rows = ['Wednesday eve', 'Fri', 'Thursday'];
    const blocks =
      sort === 'table'
        ? [{ type: 'table', columns: columns.slice(0, 1), rows, rowsWidth: 2.4 }]
        : [{ type: 'grid', rows, columns: ['1', '2', '3'], rowsWidth: 16 }];
    const sizes = (version: number) => {
      const { recipe } = narrow(blocks);
      const sections = recipe.sections.map((section) => ({ ...section, version })) as never;
      const found: number[] = [];
      eachMark(drawPage(bookFrom({ ...recipe, sections }), 1, type).layers[0]!.marks, (mark) => {
        if (mark.type === 'text' && rows.includes(mark.text)) found.push(mark.size);
      });
      return found;
    };
    expect(new Set(sizes(3)).size).toBe(2);
    expect(sizes(4)).toEqual(Array(3).fill(Math.min(...sizes(3))));
  });

  it('has its heading printed, or it is said that there is no room for it', () => {
    const widths = fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 2, maxLength: 9 });
    fc.assert(
      fc.property(widths, fc.constantFrom(...TRIMS), fc.boolean(), (shares, trim, largePrint) => {
        const columns = shares.map((width, i) => ({ label: `Head ${'abcdefghi'[i]!.repeat(4)}`, width }));
        const design = { name: 'x', blocks: [{ type: 'table', columns, lines: 2 }] };
        const book = pageOf({ design }, trim, { style: { largePrint } });
        const printed = textsOn(book, 1).map((text) => text.toLowerCase());
        if (findings(book).length === 0)
          for (const { label } of columns) expect(printed).toContain(label.toLowerCase());
      }),
      { numRuns: everything ? 1000 : 40 },
    );
  });

  it('numbers every other hour to shade, where they would run into each other', () => {
    const design = { name: 'x', blocks: [{ type: 'time-bars', rows: ['Mon'], from: 0, hours: 24 }] };
    const hours = (trim: readonly [string, string], largePrint: boolean) =>
      textsOn(pageOf({ design }, trim, { style: { largePrint } }), 1).filter((text) => /^\d\d$/.test(text));
    expect(hours(TRIMS[3], false)).toHaveLength(24);
    expect(hours(TRIMS[0], true)).toEqual(
      Array.from({ length: 12 }, (_, i) => String(2 * i).padStart(2, '0')),
    );
  });

  it('stands on more lines where it is in columns, unless the page is full', () => {
    const rows = [['Prepare', 'Cook', 'Serves', 'Oven'].map((label) => ({ label }))];
    const beside = (lines: number) => [
      {
        type: 'columns',
        of: [
          { type: 'fields', rows },
          { type: 'rule', lines: 1 },
        ],
      },
      { type: 'rule', lines },
    ];
    expect(findings(narrow(beside(4)))).toEqual([]);
    // The fuller the page, the sooner something is said: first of what is small, then of what does not fit.
    const said = Array.from({ length: 40 }, (_, i) => findings(narrow(beside(i + 4)))[0]).filter(Boolean);
    expect(said[0]).toMatchObject({
      severity: 'look',
      message: expect.stringMatching(/the line behind “\w+”: too small/),
    });
    expect(said.at(-1)).toMatchObject({ severity: 'fix', message: expect.stringMatching(/too high/) });
  });
});

describe('sharing out free height', () => {
  const child = fc.record({
    units: fc.integer({ min: 1, max: 12 }),
    step: fc.constantFrom(0, 1, 2, 3),
    weight: fc.integer({ min: 1, max: 5 }),
    more: fc.option(fc.integer({ min: 0, max: 9 })),
  });

  it('gives whole steps, nothing beyond the most, and all that is there', () => {
    fc.assert(
      fc.property(
        fc.array(child, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 0, max: 60 }),
        (given, free) => {
          const children = given.map(({ more, ...one }) => ({
            ...one,
            most: more === null ? Infinity : one.units + more,
          }));
          const needed = children.reduce((sum, { units }) => sum + units, 0) + children.length - 1;
          const { heights, gaps } = shareOut(children, needed + free);
          const total = [...heights, ...gaps].reduce((sum, one) => sum + one, 0);
          // A block that stands alone has no gap to leave the rest in.
          if (children.length > 1) expect(total).toBe(needed + free);
          else expect(total).toBeLessThanOrEqual(needed + free);
          children.forEach(({ units, step, most }, i) => {
            expect(heights[i]).toBeGreaterThanOrEqual(units);
            expect(heights[i]).toBeLessThanOrEqual(Math.max(units, most));
            if (step > 0) expect((heights[i]! - units) % step).toBe(0);
            else expect(heights[i]).toBe(units);
          });
          // Nothing that could have grown is left out: the rest in gaps is smaller than every step that still fits.
          const rest = gaps.reduce((sum, one) => sum + one - 1, 0);
          children.forEach(({ step, most }, i) => {
            if (step > 0 && heights[i]! + step <= most && children.length > 1)
              expect(rest).toBeLessThan(step);
          });
        },
      ),
      { numRuns: 500 },
    );
  });

  it('gives each what its weight says, to a step: as real shares rounded', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 0, max: 90 }),
        (weights, free) => {
          const children = weights.map((weight) => ({ units: 2, step: 1, weight, most: Infinity }));
          const { heights } = shareOut(children, 3 * weights.length - 1 + free);
          const all = weights.reduce((sum, one) => sum + one, 0);
          weights.forEach((weight, i) => {
            expect(Math.abs(heights[i]! - 2 - (free * weight) / all)).toBeLessThan(1);
          });
        },
      ),
    );
  });
});

describe('arranging blocks', () => {
  const lines = (lines: number, more: object = {}) => ({ type: 'rule', lines, ...more });
  const blocksOf = (blocks: object[]) => readDesign({ name: 'x', blocks }).blocks;
  const area = { x: 40, y: 30, width: 300, height: 50 * 10.125 + 3 };

  it('every edge stands on a whole unit, the last on the lower margin, and lines of columns meet', () => {
    const blocks = blocksOf([
      { type: 'head', title: 'Moths' },
      { type: 'columns', of: [lines(3), { type: 'stack', of: [lines(1), { type: 'box', least: 4 }] }] },
      lines(2, { weight: 2 }),
    ]);
    const { placed } = arrange(blocks, area, penFor('almanac'));
    const bottom = area.y + area.height;
    for (const { rect } of placed) {
      const units = (bottom - rect.y) / 10.125;
      expect(units).toBeCloseTo(Math.round(units), 6);
      expect(rect.height / 10.125).toBeCloseTo(Math.round(rect.height / 10.125), 6);
    }
    expect(Math.max(...placed.map(({ rect }) => rect.y + rect.height))).toBeCloseTo(bottom, 6);
  });

  it('blocks leave by rank, the highest first, until the rest fits; then it says how much is missing', () => {
    const many = (ranks: number[]) =>
      blocksOf(ranks.map((rank) => lines(7, { rank, title: `Rank ${rank}` })));
    const left = (ranks: number[]) => {
      const found = arrange(many(ranks), area, penFor('almanac'));
      return { left: found.left.map(({ title }) => title), missing: found.missing };
    };
    expect(left([0, 1, 2])).toEqual({ left: [], missing: 0 });
    expect(left([0, 2, 1, 0])).toEqual({ left: ['Rank 2'], missing: 0 });
    expect(left([0, 1, 2, 3, 0])).toEqual({ left: ['Rank 3', 'Rank 2'], missing: 0 });
    expect(left([0, 0, 0, 0]).missing).toBeGreaterThan(0);
  });

  it('a wide page is set in two columns where that holds more', () => {
    const wide = { x: 0, y: 0, width: 560, height: 30 * 10.125 };
    const { placed, missing } = arrange(
      blocksOf([{ type: 'head', title: 'Moths' }, lines(10), lines(10)]),
      wide,
      penFor('almanac'),
    );
    expect(missing).toBe(0);
    const [head, first, second] = placed;
    expect(head!.rect.width).toBeCloseTo(560, 3);
    expect(first!.rect.y).toBeCloseTo(second!.rect.y, 6);
    expect(second!.rect.x).toBeGreaterThan(first!.rect.x + first!.rect.width);
  });

  it('blocks never overlap, whatever the design', () => {
    for (const id of IDS)
      for (const width of [250, 330, 480]) {
        const pen = penFor(DESIGNS[id].look);
        const { placed } = arrange(DESIGNS[id].design.blocks, { x: 0, y: 0, width, height: 700 }, pen);
        const leaves = placed.filter(({ block }) => block.type !== 'group').map(({ rect }) => rect);
        leaves.forEach((one, i) => {
          for (const other of leaves.slice(i + 1)) {
            const across = Math.min(one.x + one.width, other.x + other.width) - Math.max(one.x, other.x);
            const down = Math.min(one.y + one.height, other.y + other.height) - Math.max(one.y, other.y);
            expect(Math.min(across, down)).toBeLessThan(1e-3);
          }
        });
      }
  });
});

describe('the designs that ship', () => {
  it('are forty or more, each with a name of its own', () => {
    expect(IDS.length).toBeGreaterThanOrEqual(40);
    expect(new Set(IDS.map((id) => DESIGNS[id].name)).size).toBe(IDS.length);
  });

  it.each(IDS)(
    '%s: nothing to find fault with at 6 × 9 in, nothing to be fixed at 5 × 8 and 8.5 × 11 in',
    (design) => {
      expect(findings(pageOf({ design }))).toEqual([]);
      for (const trim of [TRIMS[0], TRIMS[3]])
        expect(findings(pageOf({ design }, trim)).filter(({ severity }) => severity === 'fix')).toEqual([]);
    },
  );

  it('nothing leaves the safe area in any look, on any trim, in large print, on one page or on two', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...IDS),
        fc.constantFrom('own', ...Object.keys(LOOKS)),
        fc.constantFrom(...TRIMS),
        fc.boolean(),
        fc.constantFrom('page', 'service'),
        fc.boolean(),
        (design, look, trim, largePrint, margins, facing) =>
          holdsInside(pageOf({ design, look, facing }, trim, { style: { largePrint, margins } }), type),
      ),
      { numRuns: everything ? 3000 : 100 },
    );
  });
});

/** Any value of a schema of a block. */
function anyOf(schema: v.GenericSchema): fc.Arbitrary<unknown> {
  const given = describedBy(schema) as unknown as {
    type: string;
    wrapped?: v.GenericSchema;
    item?: v.GenericSchema;
    options?: readonly string[];
    literal?: unknown;
    entries?: Record<string, v.GenericSchema>;
    pipe?: readonly { type: string; requirement?: number }[];
  };
  const limit = (name: string, usual: number) =>
    given.pipe?.find((one) => one.type === name)?.requirement ?? usual;
  switch (given.type) {
    case 'optional':
      return fc.option(anyOf(given.wrapped!), { nil: undefined });
    case 'literal':
      return fc.constant(given.literal);
    case 'picklist':
      return fc.constantFrom(...given.options!);
    case 'boolean':
      return fc.boolean();
    case 'number': {
      const whole = given.pipe?.some((one) => one.type === 'integer');
      const [min, max] = [limit('min_value', 0), limit('max_value', 9)];
      return whole ? fc.integer({ min, max }) : fc.double({ min, max, noNaN: true });
    }
    case 'string':
      return fc.constantFrom('Moths', 'Of what we saw', 'Hörnchen', 'WWWWWWWW');
    case 'array':
      return fc.array(anyOf(given.item!), {
        minLength: limit('min_length', 0),
        maxLength: Math.min(8, limit('max_length', 8)),
      });
    case 'strict_object':
      return fc
        .record(Object.fromEntries(Object.entries(given.entries!).map(([key, entry]) => [key, anyOf(entry)])))
        .map((record) =>
          Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)),
        );
    default:
      throw new Error(`No value is made of a schema “${given.type}”.`);
  }
}

describe('any block', () => {
  it.each(BLOCKS.map(({ type: name }) => [name]))(
    '%s is drawn on its page, or the proof says why not, with any entries',
    (name) => {
      const { entries } = BLOCKS.find((one) => one.type === name)!;
      const block = fc
        .record(
          Object.fromEntries(
            Object.entries(entries).map(([key, entry]) => [key, anyOf(entry as v.GenericSchema)]),
          ),
        )
        .map((record) => ({
          type: name,
          ...Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)),
        }))
        .filter((one) => v.safeParse(designSchema, { name: 'x', blocks: [one] }).success);
      fc.assert(
        fc.property(
          block,
          fc.constantFrom(...Object.keys(LOOKS)),
          fc.constantFrom(...TRIMS),
          (one, look, trim) => {
            const book = pageOf({ design: { name: 'x', blocks: [one] }, look }, trim, {
              style: { margins: 'page' },
            });
            holdsInside(book, type);
            // A block that is not drawn is told.
            const marks = drawPage(book, 1, type).layers[0]!.marks;
            if (marks.length === 0 && name !== 'space') expect(findings(book)).not.toEqual([]);
          },
        ),
        { numRuns: everything ? 300 : 12 },
      );
    },
  );
});

describe('a composed page', () => {
  it('is varied by a list: each line in place of the prompt, or of the title', () => {
    const varied = 'What is new?\n\nWho came by?';
    const prompts = pageOf({ design: 'reflection', varied });
    expect(textsOn(prompts, 1)).toContain('What is new?');
    expect(textsOn(prompts, 2)).toContain('Who came by?');
    expect(textsOn(pageOf({ design: 'reading', varied }), 2)).toContain('Who came by?');
  });

  it('who said it stands below a prompt or a quotation; a design that has neither says that it does not', () => {
    const varied = 'Look twice | Old saying\nWait\tAda';
    expect(textsOn(pageOf({ design: 'reflection', varied }), 1)).toContain('Old saying');
    expect(textsOn(pageOf({ design: 'gratitude-three', varied }), 2)).toEqual(
      expect.arrayContaining(['Wait', 'Ada']),
    );
    const found = (options: object) =>
      [...proofBook(pageOf(options), type)]
        .filter(({ check }) => check === 'items')
        .map(({ message }) => message);
    expect(found({ design: 'reflection', varied })).toEqual([]);
    expect(found({ design: 'reading', varied })).toEqual(
      expect.arrayContaining([expect.stringMatching(/“Old saying” is not printed/)]),
    );
    expect(found({ design: 'reflection', varied: 'Wait\nLook\nwait' })).toEqual([
      expect.stringMatching(/“Wait” stands 2 times in the list, at 1, 3/),
    ]);
  });

  it('of version 1 prints its lines as they were written', () => {
    const book = bookFrom(
      recipeOf(
        [
          {
            id: 's',
            kind: 'composed',
            version: 1,
            pages: 2,
            options: { design: 'reflection', varied: 'Wait | Ada' },
          },
        ],
        { quill: 4 },
      ),
    );
    expect(textsOn(book, 1).join(' ')).toContain('Wait | Ada');
  });

  it('takes a design of the publisher’s own, and says where one is wrong', () => {
    const own = {
      name: 'Mine',
      blocks: [
        { type: 'head', title: 'Owls' },
        { type: 'columns', of: [{ type: 'rule' }, { type: 'box' }] },
      ],
    };
    expect(textsOn(pageOf({ design: own }), 1)).toEqual(['Owls']);
    const problems = (blocks: unknown) =>
      readRecipe({
        ...recipeOf([]),
        sections: [{ id: 's', kind: 'composed', pages: 1, options: { design: { name: 'Mine', blocks } } }],
      }).problems?.map(({ path, message }) => `${path} ${message}`);
    const at = 'sections.0.options.design.blocks';
    expect(problems([])).toEqual([`${at} has no blocks.`]);
    expect(problems([{ type: 'moth' }])![0]).toMatch(
      /^sections\.0\.options\.design\.blocks\.0\.type is "moth"\. Blocks known here: head, /,
    );
    expect(problems([{ type: 'columns', of: [{ type: 'rule', lines: 99 }] }])).toEqual([
      `${at}.0.of.0.lines is 99. Allowed: 1 to 60.`,
    ]);
    expect(problems([{ type: 'head', title: 'x', wings: 2 }])![0]).toMatch(/wings is not a known key/);
    const deep = (depth: number): Block =>
      depth ? { type: 'stack', of: [deep(depth - 1)], width: 1, rank: 0 } : ({ type: 'rule' } as Block);
    expect(problems([deep(9)])![0]).toMatch(/is a block in blocks in blocks/);
    expect(
      readRecipe({
        ...recipeOf([]),
        sections: [{ id: 's', kind: 'composed', pages: 1, options: { design: 'moth' } }],
      }).problems![0],
    ).toMatchObject({
      path: 'sections.0.options.design',
    });
  });

  it('is told where it does not fit, and by how much', () => {
    const blocks = Array.from({ length: 4 }, () => ({ type: 'rule', lines: 12 }));
    const [found] = findings(
      pageOf({ design: { name: 'High', blocks } satisfies { name: string; blocks: object[] } }),
    );
    expect(found).toMatchObject({ severity: 'fix' });
    expect(found!.message).toMatch(/the design is \d+ lines too high for this trim/);
    const narrow = {
      name: 'Narrow',
      blocks: [
        {
          type: 'columns',
          of: [
            { type: 'fields', rows: [[{ label: 'A label as long as a third of a page' }]] },
            { type: 'rule', lines: 2 },
            { type: 'rule', lines: 2 },
          ],
        },
      ],
    };
    expect(findings(pageOf({ design: narrow }))[0]!.message).toMatch(
      /the line behind “A label as long as a third of a page”: too small to write in by hand/,
    );
    const columns = Array.from({ length: 26 }, (_, i) => String(i + 1));
    const grid = { type: 'grid', rows: ['A name that is long'], columns, rowsWidth: 5 };
    expect(findings(pageOf({ design: { name: 'Grid', blocks: [grid] } }))[0]!.message).toMatch(
      /no room for “A name that is long”, the name of a row/,
    );
  });

  it('design and look of the house: its faces where it has chosen some', () => {
    const faceOf = (typefaces?: object) => {
      const faces: string[] = [];
      const book = pageOf({ design: 'meeting' }, TRIMS[1], typefaces ? { style: { typefaces } } : {});
      eachMark(drawPage(book, 1, type).layers[0]!.marks, (mark) => {
        if (mark.type === 'text') faces.push(mark.face);
      });
      return new Set(faces);
    };
    expect(faceOf()).toContain('alegreya-sans-medium');
    expect(faceOf({ display: 'jost-bold', text: 'lora-regular' })).toEqual(
      new Set(['jost-bold', 'lora-regular']),
    );
  });
});
