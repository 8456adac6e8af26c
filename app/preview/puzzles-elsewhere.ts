import * as v from 'valibot';
import type { PuzzleElsewhere } from '#core/book/puzzle-marks.ts';

const Known = v.array(
  v.object({ mark: v.string(), book: v.string(), title: v.string(), label: v.string(), page: v.number() }),
);

/** Which puzzles of a book others had first, by their marks. @throws Error where the server does not say */
export async function puzzlesElsewhere(book: string, marks: string[]): Promise<PuzzleElsewhere[]> {
  const response = await fetch(`/books/${book}/puzzles-elsewhere`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ marks }),
  });
  if (!response.ok || response.redirected) throw new Error(`The server answered ${response.status}.`);
  return v.parse(Known, await response.json());
}
