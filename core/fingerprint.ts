import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** Plain JSON with the keys of every object in order, so that equal values give equal text. */
function canonical(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(canonical);
  if (value && typeof value === 'object') {
    return Object.fromEntries(
      Object.entries(value)
        .filter(([, held]) => held !== undefined)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([key, held]) => [key, canonical(held)]),
    );
  }
  return value;
}

/**
 * SHA-256 of a JSON value, independent of the order of its keys: says whether a file was made from this very
 * state of a recipe.
 * @returns 64 hexadecimal digits
 */
export function fingerprint(value: unknown): string {
  return bytesToHex(sha256(new TextEncoder().encode(JSON.stringify(canonical(value)))));
}
