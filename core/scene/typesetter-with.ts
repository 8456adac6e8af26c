import type { Font } from 'fontkit';
import { embeddingTrouble } from '../faces/embedding.ts';
import { type FaceId, fallbackFaces, isOwnFace, type OwnFace, type ShippedFace } from '../faces/index.ts';
import { type Direction, inVisualOrder, mayRunLeft, mirroredText } from './direction.ts';
import { buildPath, type Path } from './path.ts';
import type { GlyphBox, GlyphRun, ShapedText, Typesetter } from './typesetter.ts';
import { readWrittenPath } from './written-path.ts';

/** Shaped words kept; the oldest half is dropped when it is full. */
const SHAPED_WORDS_KEPT = 40_000;

/** Own faces kept at a time, the ones of the book at hand among them; a recipe names fewer. */
const OWN_FACES_KEPT = 48;

const MARK = /\p{M}/u;
const AFTER_SPACE = /(?<= )/;
/** Features that place marks: a face takes most of its time to unfold them, and few texts have any. */
const NO_MARKS = { mark: false, mkmk: false };
/** What fontkit finds to be Latin, and to be of no script, as digits are: told, it need not unpack its table of scripts. */
const LATIN = /^[\0-@[-`{-\x7F]*[A-Za-z\xC0-\xD6\xD8-\xF6\xF8-\u024F]/;
const NO_SCRIPT = /^[\0-@[-`{-\x7F]+$/;
const scriptOf = (text: string) => (LATIN.test(text) ? 'latn' : NO_SCRIPT.test(text) ? 'zzzz' : undefined);

/**
 * Turns text into placed glyphs with the font's own ligatures and kerning.
 * @param read gives the bytes of a face that ships; called once for each face that is used
 * @param open makes a font of the bytes of a face; not called for what the typesetter was told to keep
 */
export function typesetterWith(
  read: (face: ShippedFace) => Uint8Array,
  open: (bytes: Uint8Array) => Font,
): Typesetter {
  const fonts = new Map<FaceId, Font>();
  // By face, then by glyph: looked up for every letter of a page, so no key is put together.
  const boxes = new Map<FaceId, Map<number, GlyphBox>>();
  const outlines = new Map<FaceId, Map<number, Path>>();
  const capHeights = new Map<FaceId, number>();

  const font = (face: FaceId): Font => {
    let opened = fonts.get(face);
    if (!opened) {
      if (isOwnFace(face)) throw new RangeError(`The typeface ${face} was not added.`);
      opened = open(read(face));
      fonts.set(face, opened);
    }
    return opened;
  };

  const faceFor = (codePoint: number, wanted: FaceId): FaceId | null => {
    if (font(wanted).hasGlyphForCodePoint(codePoint)) return wanted;
    return (
      fallbackFaces(wanted, codePoint).find((face) => font(face).hasGlyphForCodePoint(codePoint)) ?? null
    );
  };

  const layout = (text: string, face: FaceId, features: string[], rtl: boolean): GlyphRun => {
    const opened = font(face);
    const em = opened.unitsPerEm;
    const codePoint = text.codePointAt(0)!;
    // Nothing joins or kerns with a letter alone, as in a grid, and a face takes a tenth of a second to unfold that.
    if (features.length === 0 && text.length === String.fromCodePoint(codePoint).length) {
      const { id, advanceWidth } = opened.glyphForCodePoint(codePoint);
      const width = advanceWidth / em;
      return { face, glyphs: [id], advances: [width], widths: [width], codePoints: [[codePoint]] };
    }
    const wanted = Object.fromEntries(features.map((feature) => [feature, true]));
    const { glyphs, positions } = opened.layout(
      text,
      MARK.test(text) ? wanted : { ...wanted, ...NO_MARKS },
      scriptOf(text),
      undefined,
      rtl ? 'rtl' : 'ltr',
    );
    return {
      face,
      glyphs: glyphs.map((glyph) => glyph.id),
      advances: positions.map((position) => position.xAdvance / em),
      widths: glyphs.map((glyph) => glyph.advanceWidth / em),
      codePoints: glyphs.map((glyph) => glyph.codePoints),
    };
  };

  /** @param rtl whether it runs to the left; its glyphs come from the left in any case */
  const shapeWord = (word: string, wanted: FaceId, features: string[], rtl = false): ShapedText => {
    const stretches: { face: FaceId; text: string }[] = [];
    const missing: string[] = [];
    for (const letter of word) {
      const found = faceFor(letter.codePointAt(0)!, wanted);
      if (!found) missing.push(letter);
      const face = found ?? wanted;
      const last = stretches.at(-1);
      if (last?.face === face) last.text += letter;
      else stretches.push({ face, text: letter });
    }
    if (rtl) stretches.reverse();
    const runs = stretches.map((stretch) => layout(stretch.text, stretch.face, features, rtl));
    const width = runs.reduce((sum, run) => sum + run.advances.reduce((a, b) => a + b, 0), 0);
    return { width, runs, missing };
  };

  const cachesOf = (features: string[]) => ({
    ltr: wordCache((word, face) => shapeWord(word, face, features)),
    rtl: wordCache((word, face) => shapeWord(word, face, features, true)),
  });
  const plain = cachesOf([]);
  const small = cachesOf(['smcp']);
  const wordCaches = [plain.ltr, plain.rtl, small.ltr, small.rtl];

  const shape = (text: string, face: FaceId, smallCaps = false, base?: Direction): ShapedText => {
    const { ltr, rtl } = smallCaps ? small : plain;
    // A letter of a grid has no direction to find.
    if (text.length > 1 && (base === 'rtl' || mayRunLeft(text)))
      return joined(
        inVisualOrder(text, base).flatMap((part) => {
          if (part.direction === 'ltr')
            return part.text.split(AFTER_SPACE).map((word) => ltr.word(word, face));
          const words = mirroredText(part.text).split(AFTER_SPACE);
          return words.map((word) => rtl.word(word, face)).reverse();
        }),
      );
    if (!text.includes(' ')) return ltr.word(text, face);
    return joined(text.split(AFTER_SPACE).map((word) => ltr.word(word, face)));
  };

  const kept = <T>(cache: Map<FaceId, Map<number, T>>, face: FaceId, glyph: number, make: () => T): T => {
    let ofFace = cache.get(face);
    if (!ofFace) {
      ofFace = new Map();
      cache.set(face, ofFace);
    }
    let found = ofFace.get(glyph);
    if (!found) {
      found = make();
      ofFace.set(glyph, found);
    }
    return found;
  };

  /** Own faces, the one that was wanted last at the end. */
  const own = new Set<OwnFace>();
  const forget = (face: OwnFace): void => {
    own.delete(face);
    for (const words of wordCaches) words.forget(face);
    for (const cache of [fonts, boxes, outlines, capHeights]) cache.delete(face);
  };

  return {
    shape,
    words(lines, face, smallCaps = false) {
      const { ltr } = smallCaps ? small : plain;
      const words = new Set<string>();
      for (const line of lines)
        if (!mayRunLeft(line)) for (const word of line.split(AFTER_SPACE)) words.add(word);
      return Object.fromEntries([...words].map((word) => [word, ltr.word(word, face)]));
    },
    keep({ face, capHeight, words, smallCaps, boxes: inks, outlines: paths }) {
      for (const [word, shaped] of Object.entries(words)) plain.ltr.keep(word, face, shaped);
      for (const [word, shaped] of Object.entries(smallCaps)) small.ltr.keep(word, face, shaped);
      for (const [glyph, box] of Object.entries(inks)) kept(boxes, face, Number(glyph), () => box);
      for (const [glyph, path] of Object.entries(paths))
        kept(outlines, face, Number(glyph), () => readWrittenPath(path));
      if (capHeight !== undefined && !capHeights.has(face)) capHeights.set(face, capHeight);
    },
    font,
    add(face, bytes) {
      if (!own.delete(face)) fonts.set(face, open(bytes));
      own.add(face);
      for (const old of own) {
        if (own.size <= OWN_FACES_KEPT) break;
        forget(old);
      }
    },
    has: (face) => !isOwnFace(face) || own.has(face),
    width: (text, face, size, smallCaps) => shape(text, face, smallCaps).width * size,
    hasSmallCaps: (face) => font(face).availableFeatures.includes('smcp'),
    capHeight(face) {
      let height = capHeights.get(face);
      if (height === undefined) {
        height = font(face).capHeight / font(face).unitsPerEm;
        capHeights.set(face, height);
      }
      return height;
    },
    mayEmbed: (face) => embeddingTrouble(font(face)) === null,
    box: (face, glyph) =>
      kept(boxes, face, glyph, () => {
        const opened = font(face);
        const { minX, minY, maxX, maxY } = opened.getGlyph(glyph).bbox;
        const em = opened.unitsPerEm;
        // A space has no outline: its box comes back as infinities.
        return Number.isFinite(minX)
          ? { minX: minX / em, minY: minY / em, maxX: maxX / em, maxY: maxY / em }
          : { minX: 0, minY: 0, maxX: 0, maxY: 0 };
      }),
    outline: (face, glyph) =>
      kept(outlines, face, glyph, () => {
        const opened = font(face);
        return outlineInEms(opened.getGlyph(glyph).path.commands, opened.unitsPerEm);
      }),
  };
}

const joined = (parts: ShapedText[]): ShapedText => ({
  width: parts.reduce((sum, part) => sum + part.width, 0),
  runs: parts.flatMap((part) => part.runs),
  missing: parts.flatMap((part) => part.missing),
});

/**
 * Shaped words by face, then by word: looked up for every letter of a page, so no key is put together, and words of the same
 * face come one after the other.
 */
function wordCache(make: (word: string, face: FaceId) => ShapedText) {
  const shaped = new Map<FaceId, Map<string, ShapedText>>();
  let words = 0;
  let lastFace: FaceId | null = null;
  let ofFace = new Map<string, ShapedText>();
  const wordsIn = (face: FaceId): Map<string, ShapedText> => {
    if (face !== lastFace) {
      ofFace = shaped.get(face) ?? new Map();
      shaped.set(face, ofFace);
      lastFace = face;
    }
    return ofFace;
  };
  const keep = (text: string, face: FaceId, found: ShapedText): void => {
    if (words >= SHAPED_WORDS_KEPT) {
      words = 0;
      for (const kept of shaped.values()) words += dropOlderHalf(kept);
    }
    wordsIn(face).set(text, found);
    words++;
  };
  return {
    word(text: string, face: FaceId): ShapedText {
      let found = wordsIn(face).get(text);
      if (!found) {
        found = make(text, face);
        keep(text, face, found);
      }
      return found;
    },
    keep(text: string, face: FaceId, found: ShapedText): void {
      if (!wordsIn(face).has(text)) keep(text, face, found);
    },
    forget(face: FaceId): void {
      words -= shaped.get(face)?.size ?? 0;
      shaped.delete(face);
      if (lastFace === face) lastFace = null;
    },
  };
}

/** Takes out what was set first. @returns how many are left */
function dropOlderHalf(kept: Map<string, unknown>): number {
  let drop = kept.size >> 1;
  for (const old of kept.keys()) {
    if (drop-- === 0) break;
    kept.delete(old);
  }
  return kept.size;
}

/** Quadratic curves become cubic ones by degree elevation, so that renderers know one kind of curve. */
function outlineInEms(commands: { command: string; args: number[] }[], em: number): Path {
  const path = buildPath(commands.length + 1);
  let x = 0;
  let y = 0;
  for (const { command, args } of commands) {
    const a = args.map((n) => n / em);
    if (command === 'closePath') {
      path.close();
      continue;
    }
    if (command === 'moveTo') path.move(a[0]!, a[1]!);
    else if (command === 'lineTo') path.line(a[0]!, a[1]!);
    else if (command === 'bezierCurveTo') path.curve(a[0]!, a[1]!, a[2]!, a[3]!, a[4]!, a[5]!);
    else {
      const [cx, cy, ex, ey] = a as [number, number, number, number];
      path.curve(
        x + (2 / 3) * (cx - x),
        y + (2 / 3) * (cy - y),
        ex + (2 / 3) * (cx - ex),
        ey + (2 / 3) * (cy - ey),
        ex,
        ey,
      );
    }
    x = a.at(-2)!;
    y = a.at(-1)!;
  }
  return path.done();
}
