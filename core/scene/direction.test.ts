import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { BLACK } from './color.ts';
import { directionOf, inVisualOrder, mirroredText } from './direction.ts';
import { eachPlacedGlyph, lineWidth } from './placed-glyphs.ts';
import { beginningOf, fitText, textLine } from './text.ts';

const type = typesetterFromDisk();
const FACE = 'frank-ruhl-libre-regular';

/** A to Z of the examples stand for letters that run to the left, as in the annex. */
const HEBREW = 'אבגדהוזחטיכלמנסעפצקרשתםןףך';
const toHebrew = (text: string) => text.replace(/[A-Z]/g, (letter) => HEBREW[letter.charCodeAt(0) - 65]!);
const fromHebrew = (text: string) =>
  text.replace(/[\u05d0-\u05ea]/g, (letter) => String.fromCharCode(65 + HEBREW.indexOf(letter)));

const displayed = (text: string, base?: 'ltr' | 'rtl'): string =>
  fromHebrew(
    inVisualOrder(toHebrew(text), base)
      .map((part) => (part.direction === 'rtl' ? [...mirroredText(part.text)].reverse().join('') : part.text))
      .join(''),
  );

describe('the order of a line that runs both ways', () => {
  it.each([
    // Unicode UAX #9, section 3.4, examples of rule L2; from memory.
    ['car means CAR.', undefined, 'car means RAC.'],
    ['car MEANS CAR.', 'rtl', '.RAC SNAEM car'],
    // Unicode UAX #9, section 3.3.4 (numbers keep their order) and rule L4 (brackets are turned); from memory.
    ['THE 20 CARS (RED)', undefined, '(DER) SRAC 20 EHT'],
    ['VOLUME 2', undefined, '2 EMULOV'],
    // A line of a paragraph keeps the direction of the paragraph: HL1, higher-level protocol.
    ['CAR!', 'ltr', 'RAC!'],
    ['car!', 'rtl', '!car'],
  ] as const)('%s', (text, base, wanted) => {
    expect(displayed(text, base)).toBe(wanted);
  });

  it('is that of the first letter which has one (rules P2 and P3)', () => {
    expect(directionOf('2. שלום hello')).toBe('rtl');
    expect(directionOf('hello שלום')).toBe('ltr');
    expect(directionOf('2026!')).toBe('ltr');
  });

  it('loses no letter and no place, whatever stands beside what', () => {
    const letters = fc.constantFrom(...'אבגדץ abc 123 (.-!) ');
    fc.assert(
      fc.property(
        fc.array(letters, { maxLength: 40 }).map((all) => all.join('')),
        fc.constantFrom('ltr' as const, 'rtl' as const, undefined),
        (text, base) => {
          const parts = inVisualOrder(text, base);
          const sorted = (of: string) => [...of].sort().join('');
          expect(sorted(parts.map((part) => part.text).join(''))).toBe(sorted(text));
          for (const part of parts) expect(text).toContain(part.text);
          expect(type.shape(text, FACE, false, base).missing).toEqual([]);
        },
      ),
    );
  });
});

/** Code points of a line as they stand on the page, from the left. */
function standing(text: string, base?: 'ltr' | 'rtl'): string {
  let found = '';
  const mark = textLine(
    type,
    text,
    { face: FACE, size: 10, color: BLACK, ...(base && { direction: base }) },
    0,
    0,
  );
  let last = Number.NEGATIVE_INFINITY;
  eachPlacedGlyph(mark, type, (_face, _glyph, x, run, at) => {
    expect(x).toBeGreaterThanOrEqual(last);
    last = x;
    found += String.fromCodePoint(...run.codePoints[at]!);
  });
  return found;
}

describe('a line that runs to the left', () => {
  it('has its first word at the right and its letters from the right', () => {
    expect(standing('שלום עולם')).toBe('םלוע םולש');
    expect(standing('חידות (2026) של דנה')).toBe('הנד לש (2026) תודיח');
    expect(standing('abc שלום!')).toBe('abc םולש!');
    expect(standing('שלום abc!', 'ltr')).toBe('םולש abc!');
  });

  it('is as wide as its words, in one typeface or several', () => {
    for (const face of [FACE, 'alegreya-regular'] as const) {
      const whole = lineWidth(type, 'שלום עולם', { face, size: 10 });
      const apart =
        lineWidth(type, 'שלום ', { face, size: 10 }) + lineWidth(type, 'עולם', { face, size: 10 });
      expect(whole).toBeCloseTo(apart, 6);
    }
  });

  it('begins at the right edge of its column, in all lines of its text', () => {
    const { direction, lines } = fitText(
      type,
      'שלום לכל abc defghi jkl mno',
      FACE,
      { width: 60, height: 100 },
      { max: 12, min: 12, lines: 9 },
    );
    expect(direction).toBe('rtl');
    const { x, align } = beginningOf(direction, { x: 20, width: 60 });
    for (const line of lines) {
      const mark = textLine(type, line, { face: FACE, size: 12, color: BLACK, direction }, x, 0, align);
      expect(mark.x + lineWidth(type, line, { face: FACE, size: 12 })).toBeCloseTo(80, 6);
      // A line of Latin words alone is still one of this text.
      expect(mark.direction).toBe(/[א-ת]/.test(line[0]!) ? undefined : 'rtl');
    }
  });
});
