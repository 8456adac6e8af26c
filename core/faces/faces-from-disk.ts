import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { createTypesetter } from '../scene/create-typesetter.ts';
import type { Typesetter } from '../scene/index.ts';
import { faceFile, type ShippedFace } from './index.ts';

const require = createRequire(import.meta.url);

/** The bytes of a face from the installed font packages. For Node; a page of the application fetches them. */
export const readFace = (face: ShippedFace): Uint8Array => readFileSync(require.resolve(faceFile(face)));

let shared: Typesetter | undefined;

/** One typesetter for the whole process: opening and shaping are the cost of text, so both are kept. */
export function typesetterFromDisk(): Typesetter {
  shared ??= createTypesetter(readFace);
  return shared;
}
