import type { FaceId } from '../../faces/index.ts';
import { BLACK, type Mark, rectPath, type Typesetter, textLine } from '../../scene/index.ts';
import type { Staff } from './layout.ts';
import type { StaffKind } from './options.ts';

const MUSIC: FaceId = 'noto-music-regular';

/** A sign of the block “Musical Symbols” (Unicode 1D100–1D1FF), as tall as so many spaces, its middle so many below the top line. */
interface Sign {
  sign: string;
  tall: number;
  middle: number;
}

/** How clefs stand on their lines: those of G, F and C (common practice; Gould, Behind Bars, from memory). */
const SIGNS: Partial<Record<StaffKind, Sign>> = {
  treble: { sign: '\u{1D11E}', tall: 7, middle: 2.15 },
  bass: { sign: '\u{1D122}', tall: 3.3, middle: 1.62 },
  alto: { sign: '\u{1D121}', tall: 4, middle: 2 },
  tenor: { sign: '\u{1D121}', tall: 4, middle: 1 },
};

/** Width that a clef takes with the space behind it, in spaces of the staff. */
export const CLEF_ROOM = 4.2;

/** The clef at the left end of a staff. */
export function clef(staff: Staff, x: number, type: Typesetter, text: FaceId): Mark[] {
  const { kind, top, space, lines } = staff;
  const left = x + 0.6 * space;
  if (kind === 'percussion')
    return [0, 1.1].map(
      (at): Mark => ({
        type: 'path',
        path: rectPath(left + (0.5 + at) * space, top + space, 0.55 * space, 2 * space),
        fill: BLACK,
      }),
    );
  if (lines !== 5) return tab(staff, left, type, text);
  const found = SIGNS[kind];
  if (!found) return [];
  const run = type.shape(found.sign, MUSIC).runs[0]!;
  const box = type.box(run.face, run.glyphs[0]!);
  const size = (found.tall * space) / (box.maxY - box.minY);
  const y = top + found.middle * space + ((box.maxY + box.minY) / 2) * size;
  return [textLine(type, found.sign, { face: MUSIC, size, color: BLACK }, left - box.minX * size, y)];
}

/** The letters TAB one below the other. */
function tab({ top, space, lines }: Staff, left: number, type: Typesetter, face: FaceId): Mark[] {
  const height = (lines - 1) * space;
  const step = height / 3;
  const size = Math.max(7, (step * 0.82) / type.capHeight(face));
  return ['T', 'A', 'B'].map((letter, i) =>
    textLine(
      type,
      letter,
      { face, size, color: BLACK },
      left + space * 0.8,
      top + step * (i + 0.5) + (type.capHeight(face) * size) / 2,
      'center',
    ),
  );
}
