import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { FACE_IDS } from '../faces/index.ts';
import { BLACK, type FaceId, fitText, IDENTITY, markBounds, textLine } from './index.ts';

const type = typesetterFromDisk();
const FACES: FaceId[] = [
  'alegreya-regular',
  'alegreya-bold',
  'alegreya-italic',
  'alegreya-sans-regular',
  'alegreya-sans-medium',
  'alegreya-sans-bold',
  'noto-sans-regular',
];

it('a glyph keeps its code points when it was drawn as a part of another before', () => {
  const fresh = typesetterFromDisk();
  const [colon] = fresh.shape(':', 'alegreya-sans-regular').runs;
  fresh.outline('alegreya-sans-regular', colon!.glyphs[0]!);
  const [run] = fresh.shape('(.', 'alegreya-sans-regular').runs;
  expect(run!.codePoints).toEqual([[0x28], [0x2e]]);
});

describe('shaping', () => {
  it.each(FACES)('sets a letter of %s alone as the full layout of the face does', (face) => {
    const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyzÄÉÑÖØŁŐŠŽßæœðþ0123456789.,!?&’ΑΩЖЯ';
    for (const letter of letters) {
      const { runs, missing } = type.shape(letter, face);
      expect(missing).toEqual([]);
      const [run] = runs;
      // fontkit with all its tables, called apart from the typesetter.
      const { glyphs, positions } = type.font(run!.face).layout(letter);
      expect(run!.glyphs).toEqual(glyphs.map(({ id }) => id));
      const em = type.font(run!.face).unitsPerEm;
      expect(run!.advances[0]).toBeCloseTo(positions[0]!.xAdvance / em, 9);
    }
  });

  it.each(FACE_IDS)(
    'sets words in %s as the full layout of the face does, with marks and without',
    (face) => {
      const em = type.font(face).unitsPerEm;
      const words = [
        'AVAToy',
        'office',
        'flügel-Ångström',
        '“Weißwurst”',
        'Việt',
        'Жаворонок',
        'Λόγος',
        '𝄞♭',
        '12:30?',
        '(½)',
        'דְּבַשׁ',
        'e\u0301te\u0301',
      ];
      let alike = 0;
      for (const word of words) {
        const { runs } = type.shape(word, face);
        if (runs.length !== 1 || runs[0]!.face !== face) continue;
        const { glyphs, positions } = type.font(face).layout(word);
        expect(runs[0]!.glyphs).toEqual(glyphs.map(({ id }) => id));
        expect(runs[0]!.advances).toEqual(positions.map(({ xAdvance }) => xAdvance / em));
        alike++;
      }
      expect(alike).toBeGreaterThan(0);
    },
  );

  it('kerns words: AVAVA is narrower than its letters', () => {
    const letters = [...'AVAVA'].reduce((sum, letter) => sum + type.width(letter, 'alegreya-bold', 100), 0);
    expect(type.width('AVAVA', 'alegreya-bold', 100)).toBeLessThan(letters - 1);
  });

  it('takes letters that a face lacks from the next face that has them', () => {
    const { runs, missing } = type.shape('Aא', 'alegreya-bold');
    expect(missing).toEqual([]);
    expect(runs.map(({ face }) => face)).toEqual(['alegreya-bold', 'frank-ruhl-libre-bold']);
  });

  it('names letters that no face has', () => {
    expect(type.shape('A𓀀', 'alegreya-bold').missing).toEqual(['𓀀']);
  });
});

describe('fitting text into a box', () => {
  const words = fc.array(
    fc.constantFrom(
      'of',
      'Wavy',
      'Just',
      'off',
      'A',
      'fjord',
      'Jam',
      'WWW',
      'Very-long-hyphenated-word',
      '“quoted”',
    ),
    { minLength: 1, maxLength: 12 },
  );
  const measures = fc.record({
    face: fc.constantFrom<FaceId>('alegreya-bold', 'alegreya-italic', 'alegreya-sans-regular'),
    width: fc.integer({ min: 60, max: 600 }),
    height: fc.integer({ min: 20, max: 400 }),
    max: fc.integer({ min: 10, max: 120 }),
    lines: fc.integer({ min: 1, max: 5 }),
  });

  it('keeps all ink between the sides, every word in order, and no more lines than asked', () => {
    fc.assert(
      fc.property(words, measures, (parts, { face, width, height, max, lines }) => {
        const text = parts.join(' ');
        const fitted = fitText(type, text, face, { width, height }, { max, min: 6, lines });
        expect(fitted.lines.join(' ')).toBe(text);
        if (!fitted.fits) return;
        expect(fitted.lines.length).toBeLessThanOrEqual(lines);
        expect(fitted.height).toBeLessThanOrEqual(height + 1e-6);
        for (const line of fitted.lines) {
          const mark = textLine(type, line, { face, size: fitted.size, color: BLACK }, 0, 0, 'center');
          const ink = markBounds(mark, IDENTITY, type)!;
          expect(ink.left).toBeGreaterThanOrEqual(-width / 2 - 1e-6);
          expect(ink.right).toBeLessThanOrEqual(width / 2 + 1e-6);
        }
      }),
    );
  });

  it('takes the largest size: half a point more would not fit', () => {
    fc.assert(
      fc.property(words, measures, (parts, { face, width, height, max, lines }) => {
        const box = { width, height };
        const fitted = fitText(type, parts.join(' '), face, box, { max, min: 6, lines });
        if (!fitted.fits || fitted.size === max) return;
        const larger = fitted.size + 0.5;
        expect(fitText(type, parts.join(' '), face, box, { max: larger, min: larger, lines }).fits).toBe(
          false,
        );
      }),
    );
  });
});
