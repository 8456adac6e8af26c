/**
 * The largest of the parts of some cells that hang together; of equal ones the first.
 * @param count of all cells, from 0
 * @param isIn whether a cell is one of those
 * @param around the cells beside one; those that are none of them are passed over
 */
export function largestPart(
  count: number,
  isIn: (cell: number) => boolean,
  around: (cell: number) => Iterable<number>,
): number[] {
  const seen = new Uint8Array(count);
  let best: number[] = [];
  for (let start = 0; start < count; start++) {
    if (seen[start] || !isIn(start)) continue;
    const part = [start];
    seen[start] = 1;
    for (const cell of part)
      for (const next of around(cell)) {
        if (next < 0 || next >= count || seen[next] || !isIn(next)) continue;
        seen[next] = 1;
        part.push(next);
      }
    if (part.length > best.length) best = part;
  }
  return best;
}
