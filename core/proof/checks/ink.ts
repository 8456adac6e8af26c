import { eachMark, eachPlacedGlyph, type FaceId, meanScale } from '../../scene/index.ts';
import type { Check, Finding, PageInProof, ProofContext } from '../finding.ts';

const pageFinding = (check: string, { page }: PageInProof, message: string): Finding => ({
  check,
  severity: 'fix',
  message: `Page ${page.number}: ${message}`,
  place: { view: 'page', page: page.number, ...(page.section ? { section: page.section } : {}) },
});

/** Strokes and type that would print too faint or too small. */
export const minimums: Check = {
  id: 'minimums',
  name: 'Strokes and type not under the minimum',
  ofPage({ book: { rules } }, seen) {
    const { leastStroke, leastType } = rules.interior;
    let thinnest = Infinity;
    let smallest = Infinity;
    for (const layer of seen.scene.layers) {
      eachMark(layer.marks, (mark, { matrix }) => {
        const scale = meanScale(matrix);
        if (mark.type === 'text') smallest = Math.min(smallest, mark.size * scale);
        else if (mark.type === 'path' && mark.stroke)
          thinnest = Math.min(thinnest, mark.stroke.width * scale);
      });
    }
    const findings: Finding[] = [];
    if (thinnest < leastStroke - 1e-9)
      findings.push(
        pageFinding(
          'minimums',
          seen,
          `a line is ${thinnest.toFixed(2)} pt thick; ${leastStroke} pt is the least. Use thicker lines.`,
        ),
      );
    if (smallest < leastType - 1e-9) {
      const cure =
        seen.page.role === 'solutions'
          ? 'Put fewer solutions on a page.'
          : 'Use a smaller grid or a larger trim.';
      findings.push(
        pageFinding(
          'minimums',
          seen,
          `type is ${smallest.toFixed(1)} pt; ${leastType} pt is the least. ${cure}`,
        ),
      );
    }
    return findings;
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
          `no typeface here has ${[...missing].slice(0, 5).join(' ')}. Write the word another way or take it out.`,
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
          {
            check: 'fonts',
            severity: 'fix',
            message: `Wrap: no typeface here has ${[...missing].slice(0, 5).join(' ')}. Write it another way.`,
            place: { view: 'wrap' },
          },
        ]
      : [];
  },
};
