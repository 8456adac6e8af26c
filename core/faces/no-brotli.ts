/**
 * Stands in for the Brotli unpacker of fontkit, which unfolds a dictionary when it is read: only WOFF2 files are packed so, and those
 * are unpacked, within limits, before they come to fontkit.
 */
export default function decompress(): never {
  throw new Error('Only TrueType and OpenType files are read here.');
}
