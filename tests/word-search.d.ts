declare module '@blex41/word-search' {
  export default class WordSearch {
    constructor(options: { cols: number; rows: number; dictionary: readonly string[]; maxWords: number });
    readonly words: readonly { word: string }[];
  }
}
