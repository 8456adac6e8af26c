import { sha256 } from '@noble/hashes/sha2.js';
import { xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus';

/** A repeatable stream of random numbers. The same key gives the same numbers on every machine. */
export interface RandomStream {
  /** A whole number from 0 to `below` − 1. `below` is 1 to 2³². */
  int(below: number): number;
  /** A number from 0 (included) to 1 (excluded). */
  unit(): number;
  pick<T>(from: readonly T[]): T;
  /** A shuffled copy (Fisher and Yates; Knuth, TAOCP vol. 2, algorithm 3.4.2P). */
  shuffled<T>(list: readonly T[]): T[];
}

/**
 * Opens the stream of a key: book seed, section, item number, count of re-rolls. Parts are joined with a
 * separator that no part can hold, then hashed, so that neighboring keys give unrelated streams.
 * Generator: xoroshiro128+ (Blackman and Vigna 2018).
 */
export function randomStream(...key: (string | number)[]): RandomStream {
  const digest = sha256(new TextEncoder().encode(JSON.stringify(key)));
  const view = new DataView(digest.buffer, digest.byteOffset);
  const generator = xoroshiro128plusFromState([
    view.getInt32(0),
    view.getInt32(4),
    view.getInt32(8),
    // A state of all zeros would stay zero for ever.
    view.getInt32(12) | 1,
  ]);
  const unit = () => (generator.next() >>> 0) / 4294967296;
  const int = (below: number) => Math.floor(unit() * below);
  return {
    unit,
    int,
    pick: (from) => from[int(from.length)]!,
    shuffled(list) {
      const copy = list.slice();
      for (let i = copy.length - 1; i > 0; i--) {
        const j = int(i + 1);
        const held = copy[i]!;
        copy[i] = copy[j]!;
        copy[j] = held;
      }
      return copy;
    },
  };
}
