import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import * as fontkit from 'fontkit';
import { convert } from 'fontverter';
import { describe, expect, it } from 'vitest';
import { readFace, typesetterFromDisk } from './faces-from-disk.ts';
import {
  emphasizedFace,
  FACE_IDS,
  FAMILIES,
  type Family,
  faceFile,
  fallbackFaces,
  familyOf,
  isShippedFace,
  licenseFile,
  MOODS,
  type Script,
  textFace,
  titleFace,
} from './index.ts';

const type = typesetterFromDisk();
const require = createRequire(import.meta.url);

/** Letters that tell whether a face has a script (Unicode charts; from memory). */
const LETTERS: Record<Script, string> = {
  latin: 'AZaz09&?',
  extended: 'ĞŁőŞžŒß',
  vietnamese: 'ạấữỹĐ',
  cyrillic: 'ЖяЇґ',
  greek: 'Ωάλ',
  hebrew: 'אש',
  music: '𝄞𝄢♭♯𝅗𝅥',
};

describe('the typefaces that ship', () => {
  it('are 36 or more families, some for every mood, with clear digits and one that is easy to read', () => {
    expect(FAMILIES.length).toBeGreaterThanOrEqual(36);
    for (const mood of Object.keys(MOODS))
      expect(
        FAMILIES.some((family) => family.mood === mood),
        mood,
      ).toBe(true);
    const good = FAMILIES.flatMap((family: Family) => family.good ?? []);
    expect(new Set(good)).toEqual(new Set(['clear digits', 'easy to read']));
  });

  it.each(FAMILIES.map((family: Family) => [family.name, family] as const))(
    '%s has the styles and scripts that it says, its license beside it, and may be embedded',
    (_, family) => {
      const faces = FACE_IDS.filter((face) => familyOf(face) === family);
      expect(faces).toHaveLength(family.styles.length);
      expect(faces).toContain(titleFace(family));
      expect(faces).toContain(textFace(family));
      const license = readFileSync(require.resolve(licenseFile(family)), 'utf8');
      expect(license).toMatch(family.license === 'OFL-1.1' ? /SIL OPEN FONT LICENSE/i : /Apache License/);
      for (const face of faces) {
        expect(existsSync(require.resolve(faceFile(face)))).toBe(true);
        const bytes = readFace(face);
        // TrueType outlines: version 1.0 of the table directory (OpenType specification, “Organization of an OpenType Font”).
        expect(Buffer.from(bytes.subarray(0, 4)).toString('hex'), face).toBe('00010000');
        const font = fontkit.create(bytes as Buffer) as fontkit.Font;
        // Static: no axes (fvar).
        expect(Object.keys((font as unknown as { variationAxes: object }).variationAxes), face).toEqual([]);
        expect(type.mayEmbed(face), face).toBe(true);
        for (const [script, letters] of Object.entries(LETTERS)) {
          const whole = [...letters].every((letter) => font.hasGlyphForCodePoint(letter.codePointAt(0)!));
          if (family.scripts.includes(script as Script)) expect(whole, `${face} ${script}`).toBe(true);
        }
      }
    },
  );

  it('have the music face from its package, unpacked and nothing else', async () => {
    const packed = readFileSync(
      require.resolve('@fontsource/noto-music/files/noto-music-music-400-normal.woff2'),
    );
    expect(Buffer.from(readFace('noto-music-regular')).equals(await convert(packed, 'sfnt'))).toBe(true);
  });

  it('are named as recipes name them, and no other name is one', () => {
    expect(new Set(FACE_IDS).size).toBe(FACE_IDS.length);
    for (const face of FACE_IDS) expect(isShippedFace(face)).toBe(true);
    for (const name of ['alegreya', 'alegreya-thin', '../etc', 'toString']) {
      expect(isShippedFace(name)).toBe(false);
      expect(() => faceFile(name)).toThrow(RangeError);
    }
  });
});

describe('a letter that a face does not have', () => {
  const facesOf = (text: string, face: (typeof FACE_IDS)[number]) =>
    type.shape(text, face).runs.map((run) => run.face);

  it('comes from a face of its script, with serifs where the face has them, and bold where it is', () => {
    expect(facesOf('ש', 'jost-regular')).toEqual(['noto-sans-hebrew-regular']);
    expect(facesOf('ש', 'playfair-display-extrabold')).toEqual(['frank-ruhl-libre-bold']);
    expect(facesOf('λ', 'jost-bold')).toEqual(['noto-sans-bold']);
    expect(facesOf('Ω', 'dm-serif-display-regular')).toEqual(['noto-serif-regular']);
    expect(facesOf('❦', 'schoolbell-regular')).toEqual(['noto-sans-symbols-2-regular']);
    expect(facesOf('𝄞', 'schoolbell-regular')).toEqual(['noto-music-regular']);
    expect(facesOf('שAЖ', 'fredoka-regular')).toEqual([
      'fredoka-regular',
      'noto-sans-regular',
      'fredoka-regular',
    ]);
  });

  it('is missing where no face has it, and every fallback is a face that ships', () => {
    expect(type.shape('𓀀', 'lora-regular').missing).toEqual(['𓀀']);
    for (const face of FACE_IDS)
      for (const letter of 'אЖ❦')
        for (const other of fallbackFaces(face, letter.codePointAt(0)!))
          expect(isShippedFace(other)).toBe(true);
  });
});

describe('emphasis', () => {
  it.each([
    ['alegreya-sans-regular', { bold: true }, 'alegreya-sans-bold'],
    ['alegreya-sans-regular', { italic: true }, 'alegreya-sans-italic'],
    ['alegreya-sans-regular', { bold: true, italic: true }, 'alegreya-sans-bold-italic'],
    ['alegreya-bold', { italic: true }, 'alegreya-bold-italic'],
    ['alegreya-bold', { bold: true }, 'alegreya-bold'],
    ['alegreya-italic', { bold: true }, 'alegreya-bold-italic'],
    ['lexend-regular', { italic: true }, 'lexend-regular'],
    ['lexend-regular', { bold: true, italic: true }, 'lexend-bold'],
    ['lexend-bold', { italic: true }, 'lexend-bold'],
    ['alegreya-regular', {}, 'alegreya-regular'],
    [`sha256-${'0'.repeat(64)}`, { bold: true }, `sha256-${'0'.repeat(64)}`],
  ] as const)('%s, %o: %s', (face, look, set) => expect(emphasizedFace(face, look)).toBe(set));

  it('every face that ships has one that ships, and asking twice changes nothing', () => {
    for (const face of FACE_IDS)
      for (const look of [{ bold: true }, { italic: true }, { bold: true, italic: true }]) {
        const set = emphasizedFace(face, look);
        expect(FACE_IDS).toContain(set);
        expect(emphasizedFace(set, look)).toBe(set);
      }
  });
});
