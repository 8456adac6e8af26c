import * as v from 'valibot';
import { definitionOf } from '#core/lexicon/index.ts';
import { lexicon } from '#server/lexicon.ts';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import { SentWords } from '../words/sent-words.ts';
import type { Route } from './+types/definitions.ts';

/** What is asked about words: with `short`, for clues that stand in a cell of a grid. */
const Asked = v.object({ ...SentWords.entries, short: v.optional(v.literal('true')) });

/** A definition for each word that has a short one: what its clue may be. */
export async function action({ request }: Route.ActionArgs) {
  await requireVisitor(request);
  const read = await formFrom(request, Asked);
  if (!read.success) return Response.json({ refused: read.issues[0].message }, { status: 400 });
  const dictionary = await lexicon();
  const found = read.output.words.flatMap((word) => {
    const definition = definitionOf(dictionary, word, read.output.short !== undefined);
    return definition ? [[word, definition] as const] : [];
  });
  return Response.json({ definitions: Object.fromEntries(found) });
}
