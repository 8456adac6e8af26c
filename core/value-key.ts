import { fingerprint } from './fingerprint.ts';

const known = new WeakMap<object, string>();

/**
 * A key that is equal for equal values, copies included: recipes cross into workers as copies, and an edit leaves most of
 * a recipe as it was. An object is hashed once; it must not be changed afterwards, as nothing of a recipe ever is.
 */
export function valueKey(value: object): string {
  let key = known.get(value);
  if (key === undefined) {
    key = fingerprint(value);
    known.set(value, key);
  }
  return key;
}
