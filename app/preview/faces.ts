import type { Font } from 'fontkit';
import type { Family, ShippedFace } from '#core/faces/index.ts';
import type { Typesetter } from '#core/scene/index.ts';
import { typesetterWith } from '#core/scene/typesetter-with.ts';
import { faceUrl } from './faces-url.ts';

/** Files that are there before anybody asks for them, until somebody does. */
const fetched = new Map<ShippedFace, Uint8Array>();

/** The styles that most pages have words in. */
const USUAL: readonly string[] = ['regular', 'bold', 'italic'];

/**
 * Fetches the usual faces of families at once, so that nobody has to wait for one after the other. One that is not
 * fetched, or cannot be had, is asked for when it is needed.
 */
export async function fetchFamilies(families: readonly Family[]): Promise<void> {
  const faces = families.flatMap(({ id, styles }) =>
    styles.filter((style) => USUAL.includes(style)).map((style) => `${id}-${style}` as ShippedFace),
  );
  const fetchFace = async (face: ShippedFace) => {
    const response = await fetch(faceUrl(face));
    if (isFace(response.status, response.headers.get('content-type')))
      fetched.set(face, new Uint8Array(await response.arrayBuffer()));
  };
  await Promise.allSettled(faces.map(fetchFace));
}

/** Somebody who was signed out meanwhile is sent to a page. */
const isFace = (status: number, type: string | null): boolean =>
  status === 200 && (type?.startsWith('font/') ?? false);

/**
 * Waits for the file where it is not there yet, which only a worker may do: most books need few of the faces, and a face
 * is asked for in the middle of setting a line.
 */
function read(face: ShippedFace): Uint8Array {
  const there = fetched.get(face);
  fetched.delete(face);
  if (there) return there;
  const request = new XMLHttpRequest();
  request.open('GET', faceUrl(face), false);
  request.responseType = 'arraybuffer';
  request.send();
  if (!isFace(request.status, request.getResponseHeader('content-type')))
    throw new Error(`The typeface ${face} could not be loaded.`);
  return new Uint8Array(request.response as ArrayBuffer);
}

let open = (_: Uint8Array): Font => {
  throw new Error('What opens a typeface is not here yet.');
};

/** Says how typefaces are opened: what does it is large, and first pages that are known need none opened. */
export function openFacesWith(opens: (bytes: Uint8Array) => Font): void {
  open = opens;
}

/** The typesetter of a worker, on the typefaces the files are made with. */
export const type: Typesetter = typesetterWith(read, (bytes) => open(bytes));
