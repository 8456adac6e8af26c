import { Inflate } from 'fflate';
import { ResourceTrouble } from '../resource.ts';

/** What one part of a file may unpack to, and all of them together, in bytes. */
const MOST_OF_PART = 256 * 1024 * 1024;
const MOST_OF_ALL = 1024 * 1024 * 1024;
/** Packed in the old way, a byte may stand for a thousand: such parts are short. */
const MOST_OLD = 1024 * 1024;
const CHUNK = 64 * 1024;

const tooMuch = (): ResourceTrouble =>
  new ResourceTrouble('unpacks to far more than it is. Save it again, with smaller pictures.');

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
