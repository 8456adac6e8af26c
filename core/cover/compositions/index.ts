import { incompleteVersions, ofVersion } from '../../versions.ts';
import type { Composition } from './composition.ts';
import { field } from './field/index.ts';

export * from './composition.ts';

/** All compositions, in the order in which they are offered; the first is that of a new book. */
export const compositions: readonly Composition[] = [field as unknown as Composition];

for (const composition of compositions) {
  const lacks = incompleteVersions<Composition>(composition);
  if (lacks) throw new RangeError(`The composition “${composition.id}” ${lacks}.`);
}

/** @throws RangeError when no such composition, or no such version, is known */
export function compositionOf({ composition: id, version }: { composition: string; version: number }) {
  const composition = compositions.find((one) => one.id === id);
  if (!composition)
    throw new RangeError(`No composition “${id}”. Known: ${compositions.map((one) => one.id).join(', ')}.`);
  return ofVersion(composition, version);
}
