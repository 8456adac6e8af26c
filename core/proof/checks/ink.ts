import {
  eachMark,
  eachPlacedGlyph,
  type FaceId,
  meanScale,
  textInkOf,
  textSizes,
} from '../../scene/index.ts';
import {
  type Check,
  type Finding,
  type PageInProof,
  type ProofContext,
  pageFinding,
  wrapFinding,
} from '../finding.ts';

interface Line {
  size: number;
  text: string;
}

/** Lines of one text at most. */
const MOST_LINES = 12;

/** Are the lines that are too small those of one text alone, one below the other in one size? Then it is too long for its place. */
const isOneText = (small: readonly Line[], first: number, all: readonly Line[]): boolean =>
  small.length <= MOST_LINES &&
  small.some(({ text }) => /\S\s+\S/.test(text)) &&
  small.every((line, i) => line === all[first + i] && line.size === small[0]!.size);

/** As much of a text as names it. */
const beginningOf = (text: string): string => text.trim().slice(0, 30);

/** Strokes and type that would print too faint or too small. */
export const minimums: Check = {
  id: 'minimums',
  name: 'Strokes and type at or above the minimum',
  ofPage({ book: { rules } }, seen) {
    const { leastStroke, leastType } = rules.interior;
    let thinnest = Infinity;
    const texts: readonly Line[] = textSizes(seen.scene);
    for (const layer of seen.scene.layers) {
      eachMark(layer.marks, (mark, { matrix }) => {
        if (mark.type === 'path' && mark.stroke)
          thinnest = Math.min(thinnest, mark.stroke.width * meanScale(matrix));
      });
    }
    const findings: Finding[] = [];
    if (thinnest < leastStroke - 1e-9)
      findings.push(
        pageFinding(
          'minimums',
          seen,
          `a line is ${thinnest.toFixed(2)} pt thick; ${leastStroke} pt is the minimum. Use thicker lines.`,
        ),
      );
    const small = texts.filter(({ size }) => size < leastType - 1e-9);
    if (small[0]) {
      const { size, text } = small.reduce((least, one) => (one.size < least.size ? one : least));
      const isLong = isOneText(small, texts.indexOf(small[0]), texts);
      const remedy =
        seen.page.role === 'solutions'
          ? 'Put fewer solutions on a page.'
          : `${isLong ? 'Shorten it, or use' : 'Use'} a smaller grid or a larger trim.`;
      findings.push(
        pageFinding(
          'minimums',
          seen,
          `${isLong ? `“${beginningOf(text)}”` : 'type'} is ${size.toFixed(1)} pt; ${leastType} pt is the minimum. ${remedy}`,
        ),
      );
    }
    return findings;
  },
  ofBook({ book: { rules }, cover, type }) {
    const { leastType } = rules.cover;
    const texts = cover.flatMap(({ scene, sheet }) =>
      textInkOf(
        scene.layers.flatMap(({ marks }) => marks),
        type,
      ).map((text) => ({ ...text, sheet })),
    );
    const smallest = texts.sort((a, b) => a.size - b.size)[0];
    if (!smallest || smallest.size >= leastType - 1e-9) return [];
    const { box, sheet } = smallest;
    const onSpine = sheet.spine && box.left < sheet.spine.x + sheet.spine.width && box.right > sheet.spine.x;
    return [
      wrapFinding(
        'minimums',
        'fix',
        `“${beginningOf(smallest.mark.text)}” is ${smallest.size.toFixed(1)} pt; ${leastType} pt is the minimum. ${onSpine ? 'Hide the words on the spine, or add pages.' : 'Shorten it.'}`,
      ),
    ];
  },
};

function facesIn(
  context: ProofContext,
  scene: PageInProof['scene'],
): { faces: Set<FaceId>; missing: Set<string> } {
  const faces = new Set<FaceId>();
  const missing = new Set<string>();
  for (const layer of scene.layers) {
    eachMark(layer.marks, (mark) => {
      if (mark.type !== 'text') return;
      for (const letter of context.type.shape(mark.text, mark.face, mark.smallCaps).missing)
        missing.add(letter);
      eachPlacedGlyph(mark, context.type, (face) => faces.add(face));
    });
  }
  return { faces, missing };
}

/** Every letter has a glyph, and every typeface may be embedded. */
export const fonts: Check = {
  id: 'fonts',
  name: 'Typefaces can be embedded and have every letter',
  ofPage(context, seen) {
    const { faces, missing } = facesIn(context, seen.scene);
    const findings: Finding[] = [];
    if (missing.size)
      findings.push(
        pageFinding(
          'fonts',
          seen,
          `no available font contains ${[...missing].slice(0, 5).join(' ')}. Write the word another way or remove it.`,
        ),
      );
    for (const face of faces) {
      if (!context.type.mayEmbed(face))
        findings.push(pageFinding('fonts', seen, `${face} may not be embedded. Choose another typeface.`));
    }
    return findings;
  },
  ofBook(context) {
    const missing = new Set(context.cover.flatMap(({ scene }) => [...facesIn(context, scene).missing]));
    return missing.size
      ? [
          wrapFinding(
            'fonts',
            'fix',
            `no available font contains ${[...missing].slice(0, 5).join(' ')}. Write it another way.`,
          ),
        ]
      : [];
  },
};
