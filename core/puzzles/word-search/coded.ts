/** Codes of cells without a letter: one that is to get one, and one outside the outline. */
export const EMPTY = -1;
export const OUTSIDE = -2;

/** Letters as small whole numbers, so that the inner loops compare numbers. */
export interface Coded {
  word: string;
  codes: Int16Array;
}

/** Letters by their codes, in the order in which they were met. */
export class Alphabet {
  readonly letters: string[] = [];
  private readonly of = new Map<string, number>();

  code(letter: string): number {
    let known = this.of.get(letter);
    if (known === undefined) {
      known = this.letters.push(letter) - 1;
      this.of.set(letter, known);
    }
    return known;
  }

  codes(letters: readonly string[]): Int16Array {
    const codes = new Int16Array(letters.length);
    for (let i = 0; i < letters.length; i++) codes[i] = this.code(letters[i]!);
    return codes;
  }

  /** Codes of letters that are all known, or null. */
  known(letters: readonly string[]): number[] | null {
    const codes = letters.map((letter) => this.of.get(letter) ?? -1);
    return codes.includes(-1) ? null : codes;
  }
}
