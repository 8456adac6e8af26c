import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { createTypesetter } from './create-typesetter.ts';
import { FACE_FILES } from './faces.ts';
import type { FaceId } from './marks.ts';
import type { Typesetter } from './typesetter.ts';

const require = createRequire(import.meta.url);

/** The bytes of a face from the installed font packages. For Node; a page of the application fetches them. */
export const readFace = (face: FaceId): Uint8Array => readFileSync(require.resolve(FACE_FILES[face]));

let shared: Typesetter | undefined;

/** One typesetter for the whole process: opening and shaping are the cost of text, so both are kept. */
export function typesetterFromDisk(): Typesetter {
  shared ??= createTypesetter(readFace);
  return shared;
}
