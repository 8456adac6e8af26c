/** A page that a file cannot have is a slip of the fingers, and no list is longer than a book. */
const ONE_PART = /^\s*(\d{1,4})(?:\s*[-–]\s*(\d{1,4}))?\s*$/;

/** First and last of a part of a list, null where it is none. */
function rangeOf(part: string): [first: number, last: number] | null {
  const match = ONE_PART.exec(part);
  const first = Number(match?.[1]);
  const last = Number(match?.[2] ?? first);
  return match && first >= 1 && last >= first ? [first, last] : null;
}

/** The first part of a list that is neither a page nor a range of pages; null where all are. */
export const wrongIn = (list: string): string | null =>
  list.split(',').find((part) => !rangeOf(part)) ?? null;

/** Numbers from a list such as `1-4, 9`, each once, in the order they are said; null for anything else. */
export function pagesIn(list: string): number[] | null {
  const numbers = new Set<number>();
  for (const part of list.split(',')) {
    const range = rangeOf(part);
    if (!range) return null;
    for (let page = range[0]; page <= range[1]; page++) numbers.add(page);
  }
  return [...numbers];
}

/** The shortest list that says these numbers in this order. */
export function listOf(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}-${to}`)).join(', ');
}
