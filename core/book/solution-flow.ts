import type { PageFrame } from '../print/index.ts';
import { flowColumns } from '../text/columns.ts';
import type { PlannedAnswer } from './planned.ts';
import { kindOf, type Section, SOLUTIONS_PER_PAGE, type Solutions } from './sections.ts';

/** How answers stand on a page: a grid of boxes, or columns of lines. */
export type SolutionLayout =
  | { form: 'boxes'; columns: number; rows: number }
  | { form: 'columns'; columns: number; lines: number };

/** The answers of a section or group on their way to pages. */
export interface SolutionStream {
  /** Id of the section or group. */
  id: string;
  layout: SolutionLayout;
  answers: { section: string; item: number; lines: number }[];
  together: boolean;
}

/** Columns and rows of boxes. */
const GRIDS: Record<(typeof SOLUTIONS_PER_PAGE)[number], [columns: number, rows: number]> = {
  1: [1, 1],
  2: [1, 2],
  4: [2, 2],
  6: [2, 3],
  9: [3, 3],
  12: [3, 4],
};

/** Of solution pages, in points: the strip of the heading, and from line to line of running columns. */
export const SOLUTIONS_HEADING_STRIP = 30;
export const SOLUTION_LEADING = 12;

/**
 * Puts answers into an order and says how they are laid out.
 * @param parts sections with the items that want an answer, in reading order; each of a kind that has solutions
 * @param scale by which answers are larger than usual
 * @param min boxes that must fit on one page
 */
export function pagesOfAnswers(
  id: string,
  solutions: Solutions,
  parts: readonly { section: Section; items: readonly number[] }[],
  { frame, scale }: { frame: PageFrame; scale: number },
  min: number,
): SolutionStream {
  const kinds = parts.map(({ section }) => kindOf(section).solution!);
  const wanted = solutions.form === 'boxes' ? 'box' : 'lines';
  // What one of the kinds cannot show is shown as all of them can.
  const inColumns = kinds.every((kind) => kind[wanted])
    ? wanted === 'lines'
    : kinds.every(({ lines }) => lines);
  const room = frame.body.height / scale - SOLUTIONS_HEADING_STRIP;
  const perPage = SOLUTIONS_PER_PAGE.find((n) => n >= Math.max(min, solutions.perPage)) ?? 12;
  const [columns, rows] = GRIDS[perPage];
  const layout: SolutionLayout = inColumns
    ? { form: 'columns', columns: solutions.columns, lines: Math.max(1, Math.floor(room / SOLUTION_LEADING)) }
    : { form: 'boxes', columns, rows };
  const answers = parts.flatMap(({ section, items }) => {
    const lines = inColumns ? Math.max(1, kindOf(section).solution!.lines!.count(section.options)) : 1;
    return items.map((item) => ({ section: section.id, item, lines }));
  });
  if (solutions.order === 'reverse') answers.reverse();
  return { id, layout, answers, together: solutions.together };
}

/** Answers page by page, each at its place. In columns an answer is never broken, and the last page is balanced. */
export function answersOnPages(
  answers: SolutionStream['answers'],
  layout: SolutionLayout,
): PlannedAnswer[][] {
  if (layout.form === 'boxes') {
    const { columns, rows } = layout;
    const size = columns * rows;
    return Array.from({ length: Math.ceil(answers.length / size) }, (_, page) =>
      answers.slice(page * size, (page + 1) * size).map(({ section, item }, i) => ({
        section,
        item,
        column: i % columns,
        row: Math.floor(i / columns),
        rows: 1,
      })),
    );
  }
  const { columns, lines: rows } = layout;
  return flowColumns(
    answers.map(({ lines }) => ({ lines, whole: true })),
    { columns, rows },
  ).map((page) =>
    page.map(({ of, lines, column, row }) => {
      const { section, item } = answers[of]!;
      return { section, item, column, row, rows: lines };
    }),
  );
}
