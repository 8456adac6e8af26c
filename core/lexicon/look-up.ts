import * as v from 'valibot';
import { type ReadyList, readyListsOf } from '../word-lists/index.ts';
import { couldOffend } from '../words/index.ts';
import type { Lexicon } from './lexicon.ts';
import {
  FAMILIARITY,
  type Familiarity,
  likelySense,
  MOST_TOPIC,
  TOPIC_LETTERS,
  type TopicList,
  type TopicSense,
  topicForms,
  topicLists,
  topicSenses,
  USUAL_FILTER,
} from './topic.ts';

const yes = (usual: boolean) =>
  v.optional(
    v.pipe(
      v.picklist(['yes', 'no']),
      v.transform((answer) => answer === 'yes'),
    ),
    usual ? 'yes' : 'no',
  );
const count = (from: number, to: number, usual: number) =>
  v.optional(
    v.pipe(
      v.union([v.number(), v.pipe(v.string(), v.regex(/^\d+$/), v.transform(Number))]),
      v.integer(),
      v.minValue(from),
      v.maxValue(to),
    ),
    usual,
  );

/** A question for lists of words, as an address or a command line puts it. */
export const TopicQuestion = v.object({
  topic: v.pipe(
    v.string(),
    v.trim(),
    v.maxLength(MOST_TOPIC, `A topic has at most ${MOST_TOPIC} letters. Type one or two words.`),
  ),
  /** A meaning by its number; the likeliest where it is left out. */
  sense: v.optional(v.pipe(v.string(), v.regex(/^\d+$/), v.transform(Number))),
  familiarity: v.optional(v.picklist(Object.keys(FAMILIARITY) as Familiarity[]), USUAL_FILTER.familiarity),
  shortest: count(TOPIC_LETTERS.fewest, TOPIC_LETTERS.most, USUAL_FILTER.shortest),
  longest: count(TOPIC_LETTERS.fewest, TOPIC_LETTERS.most, USUAL_FILTER.longest),
  smallest: count(4, 100, USUAL_FILTER.smallest),
  phrases: yes(USUAL_FILTER.phrases),
  names: yes(USUAL_FILTER.names),
  repeats: yes(USUAL_FILTER.repeats),
  pattern: v.optional(v.pipe(v.string(), v.maxLength(TOPIC_LETTERS.most)), ''),
});
export type TopicQuestion = v.InferOutput<typeof TopicQuestion>;

export interface TopicAnswer {
  topic: string;
  /** Empty where the lexicon has no such noun. */
  senses: TopicSense[];
  /** The meaning that the lists are of. */
  sense: number | null;
  lists: TopicList[];
  ready: ReadyList[];
  /** Topics that begin alike, for one that there is not. */
  near: string[];
}

const MOST_NEAR = 8;
/** Letters that a near topic has in common with the asked one. */
const ALIKE = 4;

/**
 * Answers a question: ready lists, and lists out of the lexicon. No word that could offend is in them. The unwanted words must have been
 * loaded.
 */
export function lookUpTopic(lexicon: Lexicon, question: TopicQuestion): TopicAnswer {
  const { topic, sense: asked, ...filter } = question;
  const offends = couldOffend(['en']);
  const senses = topic ? topicSenses(lexicon, topic) : [];
  const chosen = senses.find(({ synset }) => synset === asked) ?? likelySense(senses);
  return {
    topic,
    senses,
    sense: chosen?.synset ?? null,
    lists: chosen ? topicLists(lexicon, topic, chosen.synset, filter, offends) : [],
    ready: topic ? readyListsOf(topicForms(topic)) : [],
    near: topic && !chosen ? nearTopics(lexicon, topic, offends) : [],
  };
}

/** Well-known nouns that begin with the same letters. */
function nearTopics(lexicon: Lexicon, topic: string, offends: (word: string) => boolean): string[] {
  const start = topic.toLowerCase().slice(0, ALIKE);
  const found: string[] = [];
  for (let id = lexicon.from(start); id < lexicon.words && found.length < MOST_NEAR; id++) {
    const word = lexicon.word(id);
    if (!word.toLowerCase().startsWith(start)) break;
    const level = lexicon.level(id);
    const isNoun = lexicon.senses(id).some(({ synset }) => lexicon.kind(synset) === 0);
    if (isNoun && level > 0 && level <= FAMILIARITY.common.words && !offends(word)) found.push(word);
  }
  return found;
}
