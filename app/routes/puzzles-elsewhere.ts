import * as v from 'valibot';
import { MARK_DIGITS } from '#core/book/puzzle-marks.ts';
import { puzzlesElsewhere } from '#server/puzzles.ts';
import { idFrom, jsonFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/puzzles-elsewhere.ts';

/** Puzzles of a book, at most: as many as its pages could hold, and more. */
const MOST_PUZZLES = 20_000;

const Body = v.object({
  marks: v.pipe(
    v.array(v.pipe(v.string(), v.regex(new RegExp(`^[0-9a-f]{${MARK_DIGITS}}$`)))),
    v.maxLength(MOST_PUZZLES),
  ),
});

/** Which of a book's puzzles are in other books of the workspace, and were there first. */
export async function action({ request, params }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const book = idFrom(params.book);
  const { marks } = await jsonFrom(request, Body);
  return Response.json(await puzzlesElsewhere(workspaceId, book, marks));
}
