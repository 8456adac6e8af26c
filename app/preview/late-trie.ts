import UnicodeTrie from 'unicode-trie/index.js';

/**
 * A table of Unicode that is unpacked when it is first asked. Reading fonts brings four of them, and they are a tenth of what a
 * worker does before its first page; most books ask one.
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
