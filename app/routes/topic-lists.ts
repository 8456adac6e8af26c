import * as v from 'valibot';
import { lookUpTopic, TopicQuestion } from '#core/lexicon/index.ts';
import { lexicon } from '#server/lexicon.ts';
import { requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/topic-lists.ts';

/** Lists of words for a topic; everybody's are the same. */
export async function loader({ request }: Route.LoaderArgs) {
  await requireVisitor(request);
  const read = v.safeParse(TopicQuestion, Object.fromEntries(new URL(request.url).searchParams));
  if (!read.success) return Response.json({ refused: read.issues[0].message }, { status: 400 });
  return Response.json(lookUpTopic(await lexicon(), read.output));
}
