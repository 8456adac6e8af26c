import UnicodeTrie from 'unicode-trie/index.js';

/**
 * A table of Unicode that is unpacked when it is first asked. Reading fonts brings four of them, and unpacking all takes a large
 * part of the time in which a worker starts, while Latin text seldom asks one.
 */
export default class LateTrie {
  private readonly packed: Uint8Array;
  private trie: UnicodeTrie | null = null;

  constructor(packed: Uint8Array) {
    this.packed = packed;
  }

  get(codePoint: number): number {
    this.trie ??= new UnicodeTrie(this.packed);
    return this.trie.get(codePoint);
  }
}
