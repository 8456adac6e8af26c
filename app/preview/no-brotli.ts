/** Stands in for the Brotli unpacker, which the typefaces of the previews never need. */
export default function decompress(): never {
  throw new Error('Only TrueType and OpenType files are read here.');
}
