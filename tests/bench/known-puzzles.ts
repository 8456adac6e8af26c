// Ten thousand sudokus compared with a million that a workspace has: their forms found, and looked up in the database.
import { eq, sql } from 'drizzle-orm';
import { recipeOf } from '#core/book/book.sample.ts';
import { MARK_DIGITS } from '#core/book/puzzle-marks.ts';
import { fingerprint } from '#core/fingerprint.ts';
import { sameSudoku, sudokuSteps } from '#core/puzzles/sudoku/index.ts';
import { gridText } from '#core/puzzles/sudoku/shape.ts';
import { randomStream } from '#core/random.ts';
import { atOnce } from '#core/steps.ts';
import { createBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { workspace } from '#server/db/schema.ts';
import { newId } from '#server/ids.ts';
import { puzzlesElsewhere } from '#server/puzzles.ts';

const KNOWN = 1_000_000;
const COMPARED = 10_000;
/** Puzzles that are made; the others are the same under other names, which no form knows beforehand. */
const MADE = 500;

const own = newId();
await db().insert(workspace).values({ id: own, name: 'Bench' });
const books = [newId(), newId()] as const;
for (const id of books)
  await createBook(own, recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }], { id, quill: 4 }));
await db().execute(sql`
  insert into puzzle (workspace_id, mark, book_id, label, page)
  select ${own}, substr(md5(n::text), 1, ${MARK_DIGITS}::int), ${books[0]}, 'Puzzle ' || n, 1
  from generate_series(1, ${KNOWN}::int) as n on conflict do nothing`);
await db().execute(sql`analyze puzzle`);

const order = { size: 9, variant: 'classic', level: 1, symmetry: 'none' } as const;
const made = Array.from({ length: MADE }, (_, i) => {
  const { givens, solution } = atOnce(sudokuSteps(order, randomStream('bench', 'known', i)));
  return { givens: gridText(givens), solution: gridText(solution) };
});
const puzzles = Array.from({ length: COMPARED }, (_, i) => {
  const names = randomStream('bench', 'names', i).shuffled([...'123456789']);
  const renamed = (text: string) => text.replaceAll(/[1-9]/g, (digit) => names[Number(digit) - 1]!);
  const { givens, solution } = made[i % MADE]!;
  return { size: 9, variant: 'classic', givens: renamed(givens), solution: renamed(solution) } as const;
});

let forms = 0;
const compared = async () => {
  const started = performance.now();
  const marks = puzzles.map((puzzle) => fingerprint(['sudoku', sameSudoku(puzzle)]).slice(0, MARK_DIGITS));
  forms = performance.now() - started;
  await puzzlesElsewhere(own, books[1], marks);
  return performance.now() - started;
};
const scanned = async () => {
  const started = performance.now();
  await db().execute(sql`select count(*) from puzzle where label like '%000000'`);
  return performance.now() - started;
};
await compared();
await scanned();
const rounds: [number, number][] = [];
for (let round = 0; round < 5; round++) rounds.push([await compared(), await scanned()]);
const [ours, scan] = [0, 1].map((i) => rounds.map((round) => round[i]!).sort((a, b) => a - b)[2]!) as [
  number,
  number,
];
console.log(
  `\n10,000 sudokus compared with a million    ${ours.toFixed(0)} ms, of it ${forms.toFixed(0)} to find their forms (under 2000); ${(ours / scan).toFixed(1)} × one look through the table`,
);
await db().delete(workspace).where(eq(workspace.id, own));
await closeDatabase();
