import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A repeatable stream of random numbers from a seed. */
export function stream(seed: number) {
  const generator = xoroshiro128plus(seed);
  const unit = () => (generator.next() >>> 0) / 4294967296;
  return { unit, pick: <T>(list: readonly T[]): T => list[Math.floor(unit() * list.length)]! };
}
