import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFace } from '../faces/faces-from-disk.ts';
import { createTypesetter } from './create-typesetter.ts';
import { type FaceId, type KnownFace, notingTypesetter, type Typesetter } from './index.ts';

const type = createTypesetter(readFace);
const FACES: FaceId[] = ['alegreya-regular', 'alegreya-italic', 'alegreya-sans-bold'];

const sent = (noted: KnownFace[]): KnownFace[] => JSON.parse(JSON.stringify(noted));

/** A typesetter that is told what is known, and has no files of typefaces: it fails when it would need one. */
function told(noted: KnownFace[]): Typesetter {
  const here = createTypesetter((face) => {
    throw new Error(`${face} was opened`);
  });
  for (const known of sent(noted)) here.keep(known);
  return here;
}

const line = fc
  .array(fc.stringMatching(/^[A-Za-zäöéß’,.0-9Ж-]{1,9}$/), { minLength: 1, maxLength: 6 })
  .map((words) => words.join(' '));

describe('what another typesetter found out of faces', () => {
  it('is set as it would be here without a file of them, of whatever lines, faces and capitals', () => {
    const lines = fc.array(fc.tuple(line, fc.constantFrom(...FACES), fc.boolean()), { maxLength: 8 });
    const ask = (of: Typesetter, asked: [string, FaceId, boolean][]) =>
      asked.map(([text, face, small], i) => {
        if (i % 2) return of.width(text, face, 12, small);
        const shaped = of.shape(text, face, small);
        const glyphs = shaped.runs.flatMap((run) => run.glyphs.map((glyph) => [run.face, glyph] as const));
        return {
          shaped,
          boxes: glyphs.map((glyph) => of.box(...glyph)),
          outlines: glyphs.map((glyph) => of.outline(...glyph)),
          height: of.capHeight(face),
        };
      });
    fc.assert(
      fc.property(lines, (asked) => {
        const noting = notingTypesetter(type);
        const there = ask(noting, asked);
        expect(ask(told(noting.noted()), asked)).toEqual(there);
      }),
      { numRuns: 12 },
    );
  });

  it('is of each face and of small capitals what was asked of them, and no more', () => {
    const noting = notingTypesetter(type);
    noting.shape('Where bees fly', 'alegreya-regular');
    noting.width('Honey', 'alegreya-regular', 10, true);
    noting.capHeight('alegreya-italic');
    expect(
      noting.noted().map(({ words, smallCaps, ...rest }) => ({
        ...rest,
        words: Object.keys(words),
        smallCaps: Object.keys(smallCaps),
      })),
    ).toEqual([
      {
        face: 'alegreya-regular',
        words: ['Where ', 'bees ', 'fly'],
        smallCaps: ['Honey'],
        boxes: {},
        outlines: {},
      },
      {
        face: 'alegreya-italic',
        capHeight: expect.any(Number),
        words: [],
        smallCaps: [],
        boxes: {},
        outlines: {},
      },
    ]);
    const here = told(noting.noted());
    expect(() => here.shape('fly', 'alegreya-italic')).toThrow('alegreya-italic was opened');
    expect(() => here.shape('fly', 'alegreya-regular', true)).toThrow('alegreya-regular was opened');
    expect(() => here.box('alegreya-regular', 5)).toThrow('alegreya-regular was opened');
    expect(() => here.capHeight('alegreya-regular')).toThrow('alegreya-regular was opened');
  });

  it('is not what runs to the left', () => {
    const noting = notingTypesetter(type);
    for (const text of ['דבש', 'bee דבש']) noting.shape(text, 'alegreya-regular');
    expect(noting.noted()).toMatchObject([{ face: 'alegreya-regular', words: {}, smallCaps: {} }]);
  });

  it('does not replace what was found out here', () => {
    const here = createTypesetter(readFace);
    const { width, runs } = here.shape('wax', 'alegreya-regular');
    const glyph = runs[0]!.glyphs[0]!;
    const box = here.box('alegreya-regular', glyph);
    const outline = here.outline('alegreya-regular', glyph);
    const height = here.capHeight('alegreya-regular');
    here.keep({
      face: 'alegreya-regular',
      capHeight: 99,
      words: { wax: { width: 99, runs: [], missing: [] } },
      smallCaps: {},
      boxes: { [glyph]: { minX: 0, minY: 0, maxX: 99, maxY: 99 } },
      outlines: { [glyph]: { ops: '', points: [] } },
    });
    expect(here.shape('wax', 'alegreya-regular').width).toBe(width);
    expect(here.box('alegreya-regular', glyph)).toBe(box);
    expect(here.outline('alegreya-regular', glyph)).toBe(outline);
    expect(here.capHeight('alegreya-regular')).toBe(height);
  });
});
