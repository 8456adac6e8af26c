import * as v from 'valibot';
import { checkWords, MOST_CHECKED } from '#core/lexicon/index.ts';
import { lexicon } from '#server/lexicon.ts';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/check-words.ts';

/** Letters of a word that is looked at. */
const MOST_LETTERS = 60;
const Words = v.object({
  words: v.pipe(
    v.string(),
    v.maxLength(MOST_CHECKED * MOST_LETTERS),
    v.transform((text) => text.split('\n').filter(Boolean)),
  ),
});

/** Which words, a line for each, are not in the dictionary or could offend. */
export async function action({ request }: Route.ActionArgs) {
  await requireVisitor(request);
  const read = await formFrom(request, Words);
  if (!read.success) return Response.json({ refused: read.issues[0].message }, { status: 400 });
  return Response.json(checkWords(await lexicon(), read.output.words));
}
