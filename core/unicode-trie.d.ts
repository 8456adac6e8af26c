declare module 'unicode-trie/index.js' {
  export default class UnicodeTrie {
    constructor(packed: Uint8Array);
    get(codePoint: number): number;
  }
}
