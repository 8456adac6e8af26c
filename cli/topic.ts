import * as v from 'valibot';
import { lookUpTopic, TopicQuestion } from '#core/lexicon/index.ts';
import { loadUnwanted } from '#core/words/index.ts';
import { BadCall } from './bad-call.ts';
import { lexicon } from './lexicon.ts';

/** Prints lists of words for a topic, each below its title, as a list of words may be brought in again. */
export async function topic(asked: string, json: boolean): Promise<number> {
  const read = v.safeParse(TopicQuestion, { topic: asked });
  if (!read.success) throw new BadCall(read.issues[0].message);
  await loadUnwanted();
  const answer = lookUpTopic(lexicon(), read.output);
  if (json) console.log(JSON.stringify(answer, null, 2));
  else {
    const lists = [...answer.ready, ...answer.lists];
    if (lists.length === 0) {
      const like = answer.near.length ? ` Like it: ${answer.near.join(', ')}.` : '';
      throw new BadCall(`There are no words for “${asked}”. Try one common noun.${like}`);
    }
    for (const { title, words } of lists) console.log(`# ${title}\n${words.join('\n')}\n`);
  }
  return 0;
}
