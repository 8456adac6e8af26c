import fc from 'fast-check';
import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, designBook, designPages, otherTrims, type Recipe, type Trim } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { loadFlexbox } from '../../flexbox/index.ts';
import { eachMark } from '../../scene/index.ts';
import { POINTS_PER } from '../../units.ts';
import type { Block } from '../blocks/block.ts';
import { type BlockField, blockFields, freshEntry } from '../blocks/block-fields.ts';
import { BLOCKS } from '../blocks/kinds/index.ts';
import { type Design, designSchema, HOLDERS } from './design.ts';
import { DESIGNS, type DesignId } from './designs/index.ts';
import {
  blockAt,
  changeBlock,
  frameBlock,
  freshBlock,
  insertBlock,
  moveBlock,
  nestBlock,
  pathOf,
  pathsOf,
  removeBlock,
  repeatBlock,
  type Side,
  stepBlock,
} from './edit-design.ts';
import { readDesignFile, writeDesign } from './saved.ts';

const type = typesetterFromDisk();
beforeAll(loadFlexbox);

const IDS = Object.keys(DESIGNS) as DesignId[];
const designs = fc.constantFrom(...IDS).map((id) => DESIGNS[id].design);
const sides = fc.constantFrom<Side>('above', 'below', 'left', 'right');
const leavesOf = ({ blocks }: Design): Block[] =>
  [...pathsOf(blocks)].filter(([, block]) => !block.of).map(([, block]) => block);
/** What a block says, whatever its place. */
const saidOf = (blocks: readonly Block[]): string[] =>
  blocks.map(({ width: _, rank: __, weight: ___, ...rest }) => JSON.stringify(rest)).sort();
/** The page of a design by itself, with what is wrong with it. */
const pagesOf = (recipe: Recipe, trim?: Trim) => {
  const { pages, problems } = designPages(bookFrom(designBook(recipe, 'c', trim)), type);
  return { ...pages[0]!, pages, problems };
};
const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!;
const readable = (design: Design) => {
  // Deeper than a page may go is refused where the book takes it, not here.
  const read = v.safeParse(designSchema, design);
  return read.success || read.issues.every(({ message }) => /blocks in blocks/.test(message));
};

describe('arranging the blocks of a page', () => {
  it('moves a block anywhere, and loses or doubles none', () => {
    fc.assert(
      fc.property(designs, fc.nat(), fc.nat(), sides, (design, a, b, side) => {
        const paths = [...pathsOf(design.blocks)].map(([path]) => path);
        const [from, to] = [pick(paths, a), pick(paths, b)];
        const before = structuredClone(design);
        const moved = moveBlock(design, from, to, side);
        expect(design).toEqual(before);
        expect(readable(moved)).toBe(true);
        expect(saidOf(leavesOf(moved))).toEqual(saidOf(leavesOf(design)));
        for (const [, block] of pathsOf(moved.blocks)) expect(block.of?.length ?? 1).toBeGreaterThan(0);
        // It stays chosen: whoever moved it finds it at its new place, unless its share of the width is another there.
        const own = blockAt(design.blocks, from)!;
        if (own.width === 1 && blockAt(design.blocks, to)!.width === 1 && own.of === undefined)
          expect(pathOf(moved, own)).not.toBeNull();
      }),
      { numRuns: 400 },
    );
  });

  it('puts a block on the side that was meant', () => {
    fc.assert(
      fc.property(designs, fc.nat(), sides, (design, n, side) => {
        const path = pick([...pathsOf(design.blocks)], n)[0];
        const there = blockAt(design.blocks, path)!;
        const fresh = freshBlock('ruler');
        const put = insertBlock(design, path, side, fresh);
        const at =
          pathOf(put, fresh) ?? [...pathsOf(put.blocks)].find(([, block]) => block.type === 'ruler')![0];
        const parent = at.length > 1 ? blockAt(put.blocks, at.slice(0, -1))! : null;
        expect(parent?.type === 'columns').toBe(side === 'left' || side === 'right');
        const neighbor = at.at(-1)! + (side === 'above' || side === 'left' ? 1 : -1);
        const { width: _, ...beside } = blockAt(put.blocks, [...at.slice(0, -1), neighbor])!;
        const { width: __, ...meant } = there;
        expect(beside).toEqual(meant);
      }),
      { numRuns: 300 },
    );
  });

  it('steps up and down through the whole page, and back again', () => {
    const design = DESIGNS['gratitude-morning'].design;
    const prompt = { ...freshBlock('prompt'), text: 'Here' };
    let now = insertBlock(design, null, 'below', prompt);
    const seen = new Set<string>();
    for (let i = 0; i < 20; i++) {
      const path = pathOf(now, prompt)!;
      seen.add(path.join('.'));
      now = stepBlock(now, path, -1);
    }
    expect(pathOf(now, prompt)).toEqual([0]);
    for (let i = 0; i < 20; i++) now = stepBlock(now, pathOf(now, prompt)!, 1);
    expect(now).toEqual({ ...design, blocks: [...design.blocks, prompt] });
    expect(seen.size).toBe(design.blocks.length + 1);
  });

  it('nests, frames, repeats, changes and removes', () => {
    const lines = (title: string): Block => ({ ...freshBlock('rule'), title });
    const design: Design = { name: 'Own', blocks: [lines('a'), lines('b'), lines('c')] };
    const nested = nestBlock(design, [1]);
    expect(nested.blocks.map((block) => block.type)).toEqual(['columns', 'rule']);
    const both = nestBlock(nested, [1]);
    expect(both.blocks[0]!.of!.map(({ title }) => title)).toEqual(['a', 'b', 'c']);
    expect(stepBlock(both, [0, 2], 1).blocks.map(({ type: of }) => of)).toEqual(['columns', 'rule']);
    const framed = frameBlock(design, [1]);
    expect(framed.blocks[1]).toMatchObject({ type: 'group', of: [{ title: 'b' }] });
    expect(frameBlock(framed, [1])).toEqual(design);
    expect(repeatBlock(design, [0]).blocks.map(({ title }) => title)).toEqual(['a', 'a', 'b', 'c']);
    expect(changeBlock(both, [0, 1], (block) => ({ ...block, title: 'x' })).blocks[0]!.of![1]!.title).toBe(
      'x',
    );
    expect(removeBlock(removeBlock(both, [0, 0]), [0, 0]).blocks).toEqual([lines('c')]);
    expect(
      removeBlock({ name: 'Own', blocks: [lines('a')] }, [0]).blocks,
      'a page keeps its last',
    ).toHaveLength(1);
  });
});

describe('every sort of block', () => {
  const types = [...BLOCKS.map((kind) => kind.type), ...HOLDERS];

  it('is put on a page as it comes, is drawn, and asks for all that it holds', () => {
    for (const sort of types) {
      const block = freshBlock(sort);
      const design: Design = { name: sort, blocks: [block] };
      expect(v.is(designSchema, design)).toBe(true);
      const recipe = recipeOf([{ id: 'c', kind: 'composed', pages: 1, options: { design } }], { quill: 4 });
      const { places, problems, scene } = pagesOf(recipe);
      expect(problems, sort).toEqual([]);
      expect(places[0]!.path, sort).toEqual([0]);
      expect(scene.layers[0]!.marks.length > 0 || sort === 'space', sort).toBe(true);
      const asked = new Set(blockFields(sort).map(({ key }) => key));
      for (const key of Object.keys(block))
        if (key !== 'type' && key !== 'of') expect(asked, `${sort} ${key}`).toContain(key);
      expect(asked).toContain('weight');
    }
  });

  it('takes every value that its fields allow', () => {
    const values = (field: BlockField): fc.Arbitrary<unknown> => {
      switch (field.control) {
        case 'text':
          return fc.constantFrom('', 'Words', 'Ä 7');
        case 'number':
          return field.step === 1
            ? fc.integer({ min: field.min, max: field.max })
            : fc.constantFrom(field.min, field.max, (field.min + field.max) / 2);
        case 'switch':
          return fc.boolean();
        case 'choice':
          return fc.constantFrom(...field.choices);
        case 'lines':
          return fc.array(fc.constantFrom('A', 'Bee'), {
            minLength: field.least,
            maxLength: Math.min(field.most, 6),
          });
        case 'list': {
          const one: fc.Arbitrary<unknown> = Array.isArray(field.item)
            ? fc.constant(freshEntry(field.item))
            : fc.constant([freshEntry(field.item.item)]);
          return fc.array(one, { minLength: field.least, maxLength: Math.min(field.most, 5) });
        }
      }
    };
    for (const sort of types)
      for (const field of blockFields(sort))
        fc.assert(
          fc.property(values(field), (value) => {
            const read = v.safeParse(designSchema, {
              name: sort,
              blocks: [{ ...freshBlock(sort), [field.key]: value }],
            });
            // Words that must not be empty are the one thing that a field cannot know.
            const messages = read.success ? [] : read.issues.map(({ message }) => message);
            expect(
              messages.filter((message) => !/is empty/.test(message)),
              `${sort} ${field.key}`,
            ).toEqual([]);
          }),
          { numRuns: 12 },
        );
  });
});

describe('a ruler', () => {
  it('is as long on paper as it says: marks of the whole numbers stand an inch, or a centimeter, apart', () => {
    for (const [unit, length] of [
      ['in', POINTS_PER.in],
      ['cm', 10 * POINTS_PER.mm],
    ] as const) {
      const design: Design = { name: 'Ruler', blocks: [{ ...freshBlock('ruler'), unit }] };
      const recipe = recipeOf([{ id: 'c', kind: 'composed', pages: 1, options: { design } }], { quill: 4 });
      const numbers: number[] = [];
      eachMark(pagesOf(recipe).scene.layers[0]!.marks, (mark) => {
        if (mark.type === 'text' && /^[1-9]$/.test(mark.text))
          numbers.push(mark.x + type.width(mark.text, mark.face, mark.size) / 2);
      });
      expect(numbers.length).toBeGreaterThan(3);
      // The last may stand to the left of its mark, for want of room.
      for (let i = 1; i < numbers.length - 1; i++)
        expect(numbers[i]! - numbers[i - 1]!).toBeCloseTo(length, 3);
    }
  });
});

describe('a page beside its book', () => {
  it('is seen on three other trims of the service', () => {
    const recipe = recipeOf([{ id: 'c', kind: 'composed', pages: 40 }], { quill: 4 });
    const trims = otherTrims(recipe);
    expect(trims).toHaveLength(3);
    expect(trims).not.toContainEqual(recipe.print.trim);
    expect(new Set(trims.map(({ width, height }) => `${width} ${height}`)).size).toBe(3);
    for (const trim of trims) {
      const { scene, places } = pagesOf(recipe, trim);
      expect(scene.width).toBeGreaterThan(0);
      expect(places.length).toBeGreaterThan(3);
    }
  });

  it('knows where every block has come to stand, those that hold others around what they hold', () => {
    for (const id of IDS) {
      const recipe = recipeOf([{ id: 'c', kind: 'composed', pages: 1, options: { design: id } }], {
        quill: 4,
        print: { service: 'wrenfair', trim: { width: '8.5in', height: '11in' } },
      });
      const { places, scene, problems } = pagesOf(recipe);
      if (problems.some(({ severity }) => severity === 'fix')) continue;
      const rectOf = new Map(places.map(({ path, rect }) => [path.join('.'), rect]));
      for (const { path, rect } of places) {
        expect(rect.x >= 0 && rect.x + rect.width <= scene.width, id).toBe(true);
        const above = rectOf.get(path.slice(0, -1).join('.'));
        if (above) {
          expect(rect.y, id).toBeGreaterThanOrEqual(above.y - 1e-6);
          expect(rect.y + rect.height, id).toBeLessThanOrEqual(above.y + above.height + 1e-6);
        }
      }
      const all = [...pathsOf(DESIGNS[id].design.blocks)];
      // A wide page parts its blocks anew, and drops none of them by that.
      expect(places.length, id).toBeGreaterThanOrEqual(
        all.length - all.filter(([, { rank }]) => rank > 0).length,
      );
    }
  });
});

describe('a design as a file', () => {
  it('comes back as it went', () => {
    for (const id of IDS) {
      const file = { look: DESIGNS[id].look, design: DESIGNS[id].design };
      expect(readDesignFile(writeDesign(file))).toEqual(file);
    }
  });

  it('that is none says what is wrong and where', () => {
    expect(readDesignFile('nothing')).toEqual({ problem: expect.stringContaining('no JSON') });
    const wrong = { design: { name: 'X', blocks: [{ type: 'rule' }, { type: 'table', columns: 7 }] } };
    expect(readDesignFile(JSON.stringify(wrong))).toEqual({
      problem: expect.stringContaining('design.blocks.1.columns'),
    });
    expect(readDesignFile('{"design":{"name":"X","blocks":[]}}')).toHaveProperty('problem');
  });
});
