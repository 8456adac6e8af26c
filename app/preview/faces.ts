import type { ShippedFace } from '#core/faces/index.ts';
import { createTypesetter } from '#core/scene/create-typesetter.ts';
import type { Typesetter } from '#core/scene/index.ts';
import { faceUrl } from './faces-url.ts';

/**
 * Waits for the file, which only a worker may do: most books need few of the faces, and a face is asked for in the
 * middle of setting a line.
 */
function read(face: ShippedFace): Uint8Array {
  const request = new XMLHttpRequest();
  request.open('GET', faceUrl(face), false);
  request.responseType = 'arraybuffer';
  request.send();
  // Somebody who was signed out meanwhile is sent to a page.
  if (request.status !== 200 || !request.getResponseHeader('content-type')?.startsWith('font/'))
    throw new Error(`The typeface ${face} could not be loaded.`);
  return new Uint8Array(request.response as ArrayBuffer);
}

/** A typesetter, in a worker, on the typefaces the files are made with. */
export const typesetterInWorker = (): Typesetter => createTypesetter(read);
