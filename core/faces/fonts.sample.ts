/** Where a table of a font begins, in bytes (OpenType 1.9, “Table Directory”). */
function tableOf(font: Uint8Array, tag: string): number {
  const view = new DataView(font.buffer, font.byteOffset, font.byteLength);
  for (let i = 0; i < view.getUint16(4); i++) {
    const at = 12 + 16 * i;
    if (String.fromCharCode(...font.subarray(at, at + 4)) === tag) return view.getUint32(at + 8);
  }
  throw new RangeError(`The font has no table ${tag}.`);
}

/** A copy of a font with other license bits (OpenType 1.9, OS/2 table: fsType is its fifth field, at byte 8). */
export function withFsType(font: Uint8Array, fsType: number): Uint8Array {
  const copy = font.slice();
  new DataView(copy.buffer).setUint16(tableOf(copy, 'OS/2') + 8, fsType);
  return copy;
}
