import { checkWords } from '#core/lexicon/index.ts';
import { lexicon } from '#server/lexicon.ts';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import { SentWords } from '../words/sent-words.ts';
import type { Route } from './+types/check-words.ts';

/** Which words, a line for each, are not in the dictionary or could offend. */
export async function action({ request }: Route.ActionArgs) {
  await requireVisitor(request);
  const read = await formFrom(request, SentWords);
  if (!read.success) return Response.json({ refused: read.issues[0].message }, { status: 400 });
  return Response.json(checkWords(await lexicon(), read.output.words));
}
