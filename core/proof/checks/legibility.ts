import { contrastNeeded, legibilityOf, READABLE, THUMBNAIL, titleInShop } from '../../cover/legibility.ts';
import { type Check, type Finding, wrapFinding } from '../finding.ts';

/** Words on the cover stand out from what lies under them, and the title can be read in a shop. */
export const legibility: Check = {
  id: 'legibility',
  name: 'Cover text can be read',
  ofBook: ({ cover, type }) =>
    cover.flatMap(({ scene, sheet }) => {
      const marks = scene.layers.flatMap((layer) => layer.marks);
      const findings: Finding[] = [];
      const palest = legibilityOf(marks, type)
        .filter(({ contrast, capHeight }) => contrast !== null && contrast < contrastNeeded(capHeight))
        .sort((a, b) => a.contrast! - b.contrast!)[0];
      if (palest) {
        const { mark, contrast, capHeight } = palest;
        findings.push(
          wrapFinding(
            'legibility',
            contrast! < READABLE.min ? 'fix' : 'look',
            `“${mark.text.slice(0, 30)}” has a contrast of ${contrast!.toFixed(1)} : 1; ${contrastNeeded(capHeight)} : 1 is needed at its size. Choose another palette.`,
          ),
        );
      }
      const title = sheet.front && titleInShop(marks, sheet.front.trim, type);
      if (title && title.capHeight < READABLE.thumbnailCapHeight)
        findings.push(
          wrapFinding(
            'legibility',
            'look',
            `the capitals of the title are ${title.capHeight.toFixed(1)} px high in a thumbnail ${THUMBNAIL} px wide; ${READABLE.thumbnailCapHeight} px can be read. Shorten the title or set it larger.`,
          ),
        );
      return findings;
    }),
};
