import { Inflate } from 'fflate';
import { ResourceTrouble } from '../resource.ts';

/** What one part of a file may unpack to, and all of them together, in bytes. */
const MOST_OF_PART = 256 * 1024 * 1024;
const MOST_OF_ALL = 2 * 1024 * 1024 * 1024;
/** Packed in the old way, a byte may stand for a thousand: such parts are short. */
const MOST_OLD = 1024 * 1024;
const CHUNK = 64 * 1024;

const tooMuch = (): ResourceTrouble =>
  new ResourceTrouble('unpacks to far more than it is. Save it again, with smaller pictures.');

const ascii = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const STREAM = ascii('stream');
const END_STREAM = ascii('endstream');
const OBJECT = 'obj';
/** A part says how it is packed just before it begins, in bytes. */
const MOST_SAID = 4096;

/** Where some bytes stand next; -1 where they do not. */
function placeOf(wanted: Uint8Array, bytes: Uint8Array, from: number): number {
  const [first] = wanted;
  for (let at = bytes.indexOf(first!, from); at >= 0; at = bytes.indexOf(first!, at + 1)) {
    let same = 1;
    while (same < wanted.length && bytes[at + same] === wanted[same]) same++;
    if (same === wanted.length) return at;
  }
  return -1;
}

/**
 * The packed parts of a file as it came, found without reading it: whatever reads a file unpacks some of them at once, such as
 * the lists of its objects (ISO 32000-1 §7.3.8 and §7.5.7).
 */
export function* packedParts(bytes: Uint8Array): Generator<PackedPart> {
  const latin = new TextDecoder('latin1');
  for (let at = placeOf(STREAM, bytes, 0); at >= 0; ) {
    const before = latin.decode(bytes.subarray(Math.max(0, at - MOST_SAID), at));
    const said = before.slice(before.lastIndexOf(OBJECT) + 1);
    let begin = at + STREAM.length;
    if (bytes[begin] === 13) begin++;
    if (bytes[begin] === 10) begin++;
    const end = placeOf(END_STREAM, bytes, begin);
    const [, one, several] = /\/Filter\s*(?:\/(\w+)|\[([^\]]*)\])/.exec(said) ?? [];
    const filters = one ? [one] : (several?.match(/\w+/g) ?? []);
    if (filters.length) yield { filters, bytes: bytes.subarray(begin, end < 0 ? bytes.length : end) };
    if (end < 0) return;
    at = placeOf(STREAM, bytes, end + END_STREAM.length);
  }
}

/** A part of a PDF: how it is packed, outermost first, and its bytes. */
export interface PackedPart {
  filters: readonly string[];
  bytes: Uint8Array;
}

/**
 * Unpacks the parts of a file into nothing, so that none can fill the memory afterwards (ISO 32000-1 §7.4).
 * @throws ResourceTrouble for what unpacks to more than any page needs
 */
export function checkUnpacked(parts: Iterable<PackedPart>): void {
  let all = 0;
  for (const { filters, bytes } of parts) {
    const old = filters.filter((filter) => /^(LZW|LZWDecode|RL|RunLengthDecode)$/.test(filter)).length;
    const flate = filters.filter((filter) => /^(Fl|FlateDecode)$/.test(filter)).length;
    if (old + flate > 1) throw new ResourceTrouble('is packed twice. Save it again.');
    if (old && bytes.length > MOST_OLD) throw tooMuch();
    if (!flate || !/^(Fl|FlateDecode)$/.test(filters[0]!)) continue;
    let size = 0;
    const inflate = new Inflate((chunk) => {
      size += chunk.length;
      if (size > MOST_OF_PART || all + size > MOST_OF_ALL) throw tooMuch();
    });
    try {
      // Two bytes of header come before what is deflated (RFC 1950).
      for (let at = 2; at < bytes.length; at += CHUNK)
        inflate.push(bytes.subarray(at, at + CHUNK), at + CHUNK >= bytes.length);
    } catch (error) {
      if (error instanceof ResourceTrouble) throw error;
      // What is damaged there is told by whoever reads the page.
    }
    all += size;
  }
}
