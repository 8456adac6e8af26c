// Topic lists: the pack that they come from, and how long an answer takes.
import { readFileSync, statSync } from 'node:fs';
import * as v from 'valibot';
import { lookUpTopic, openLexicon, TopicQuestion } from '#core/lexicon/index.ts';
import { loadUnwanted } from '#core/words/index.ts';

const PACK = 'build/lexicon.bin';
const TOPICS =
  'bird,fish,tree,flower,tool,ship,dance,cheese,dog,instrument,fruit,weather,cloth,insect,metal,sport,vehicle,furniture,garden,birds of prey'.split(
    ',',
  );

const opening = performance.now();
const lexicon = openLexicon(readFileSync(PACK));
const opened = performance.now() - opening;
const starting = performance.now();
await loadUnwanted();
const ask = (topic: string): { ms: number; words: number } => {
  const began = performance.now();
  const { lists } = lookUpTopic(lexicon, v.parse(TopicQuestion, { topic }));
  return { ms: performance.now() - began, words: lists.reduce((sum, { words }) => sum + words.length, 0) };
};
ask('planet');
const start = performance.now() - starting;
const answers = TOPICS.map(ask);
const sorted = answers.map(({ ms }) => ms).sort((a, b) => a - b);
console.log(
  `\nTopic lists: a pack of ${(statSync(PACK).size / 1e6).toFixed(1)} MB (under 25), read in ${opened.toFixed(0)} ms (under 50); the first answer with all that it needs ${start.toFixed(0)} ms (under 300), others ${sorted[sorted.length >> 1]!.toFixed(0)} ms, the longest ${sorted.at(-1)!.toFixed(0)} ms (under 100); ${answers.reduce((sum, { words }) => sum + words, 0)} words for ${TOPICS.length} topics`,
);
