import type { FaceId } from '../faces/index.ts';
import type { ShapedText, Typesetter } from './typesetter.ts';

/** Words of one face as they were shaped, as plain data: what another typesetter need not find out again. */
export interface ShapedWords {
  face: FaceId;
  smallCaps: boolean;
  words: Record<string, ShapedText>;
}

/**
 * A typesetter that does as another one, and notes what it is asked to set.
 * @returns with `noted`, the words noted so far
 */
export function notingTypesetter(type: Typesetter): Typesetter & { noted(): ShapedWords[] } {
  const plain = new Map<FaceId, Set<string>>();
  const small = new Map<FaceId, Set<string>>();
  const note = (line: string, face: FaceId, smallCaps = false) => {
    const lines = smallCaps ? small : plain;
    const ofFace = lines.get(face);
    if (ofFace) ofFace.add(line);
    else lines.set(face, new Set([line]));
  };
  const noted = (lines: typeof plain, smallCaps: boolean): ShapedWords[] =>
    [...lines].map(([face, ofFace]) => ({ face, smallCaps, words: type.words(ofFace, face, smallCaps) }));
  return {
    ...type,
    shape(text, face, smallCaps, base) {
      note(text, face, smallCaps);
      return type.shape(text, face, smallCaps, base);
    },
    width(text, face, size, smallCaps) {
      note(text, face, smallCaps);
      return type.width(text, face, size, smallCaps);
    },
    noted: () => [...noted(plain, false), ...noted(small, true)],
  };
}
