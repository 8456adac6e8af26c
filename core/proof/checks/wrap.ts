import type { Rect } from '../../print/index.ts';
import { type Bounds, eachMark, markBounds, type Scene } from '../../scene/index.ts';
import type { Check, Finding, ProofContext } from '../finding.ts';

const TOLERANCE = 0.02;

const meets = (box: Bounds, rect: Rect): boolean =>
  box.right > rect.x + TOLERANCE &&
  box.left < rect.x + rect.width - TOLERANCE &&
  box.bottom > rect.y + TOLERANCE &&
  box.top < rect.y + rect.height - TOLERANCE;

interface InkBox {
  box: Bounds;
  background: boolean;
  filled: boolean;
}

function inkBoxes({ layers }: Scene, { type }: ProofContext): InkBox[] {
  const boxes: InkBox[] = [];
  for (const layer of layers) {
    eachMark(layer.marks, (mark, { matrix, background, clip }) => {
      const box = markBounds(mark, matrix, type, clip);
      if (box) boxes.push({ box, background, filled: mark.type === 'path' && mark.fill !== undefined });
    });
  }
  return boxes;
}

const fix = (check: string, message: string): Finding => ({
  check,
  severity: 'fix',
  message,
  place: { view: 'wrap' },
});

/** Spine words only on a book thick enough, and clear of the folds. */
export const spineText: Check = {
  id: 'spine-text',
  name: 'Spine text only where allowed',
  ofBook: (context) =>
    context.cover.flatMap(({ sheet: { spine, spineText: allowed }, scene }) => {
      const rules = context.book.rules.cover.spine;
      if (!spine || !rules) return [];
      const onSpine = inkBoxes(scene, context).filter(
        ({ box, background }) => !background && meets(box, spine),
      );
      if (onSpine.length === 0) return [];
      if (!allowed)
        return [
          fix(
            'spine-text',
            `The spine has text, but ${context.ticket.pages} pages are too few: at least ${rules.textFromPages} are needed. Remove it.`,
          ),
        ];
      const over = onSpine.some(
        ({ box }) => box.left < allowed.x - TOLERANCE || box.right > allowed.x + allowed.width + TOLERANCE,
      );
      return over
        ? [
            fix(
              'spine-text',
              'Words on the spine come too close to the fold. Shorten the title or add pages.',
            ),
          ]
        : [];
    }),
};

/** The box for the service's barcode holds nothing that matters. */
export const barcodeClear: Check = {
  id: 'barcode',
  name: 'Barcode box kept clear',
  ofBook: (context) =>
    context.cover.some(
      ({ sheet: { barcode }, scene }) =>
        barcode && inkBoxes(scene, context).some(({ box, background }) => !background && meets(box, barcode)),
    )
      ? [fix('barcode', 'Words on the back run into the barcode box. Shorten the blurb.')]
      : [],
};

/** The ground covers the whole sheet: a bare white cover is refused. */
export const coverGround: Check = {
  id: 'cover-ground',
  name: 'Cover background fills the sheet with its bleed',
  ofBook: (context) =>
    context.cover.every(({ sheet: { media }, scene }) =>
      inkBoxes(scene, context).some(
        ({ box, background, filled }) =>
          background &&
          filled &&
          box.left <= 0 &&
          box.top <= 0 &&
          box.right >= media.width - TOLERANCE &&
          box.bottom >= media.height - TOLERANCE,
      ),
    )
      ? []
      : [
          fix(
            'cover-ground',
            'The background does not reach every edge of the sheet. Choose a ground color.',
          ),
        ],
};
