import { brotliDecompressSync } from 'node:zlib';

/** Node unpacks Brotli itself: the unpacker that comes with the reader of fonts is a third of the program, and unfolds its dictionary first. */
export default function decompress(packed) {
  return brotliDecompressSync(packed);
}
