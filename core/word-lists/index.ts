import { animals } from './animals.ts';
import { first } from './first.ts';
import { food } from './food.ts';
import { home } from './home.ts';
import { learning } from './learning.ts';
import { leisure } from './leisure.ts';
import { outdoors } from './outdoors.ts';
import { people } from './people.ts';
import { places } from './places.ts';
import { plants } from './plants.ts';
import { seasons } from './seasons.ts';

export interface ReadyList {
  title: string;
  words: string[];
}

/** Lists for the usual niches, by title; each of 40 words or more, in small letters but for a few names. */
export const READY_LISTS: readonly ReadyList[] = Object.entries({
  ...first,
  ...animals,
  ...plants,
  ...food,
  ...home,
  ...seasons,
  ...outdoors,
  ...places,
  ...leisure,
  ...people,
  ...learning,
})
  .map(([title, words]) => ({ title, words: words.split(', ') }))
  .sort((a, b) => a.title.localeCompare(b.title, 'en'));

/** How many are named where a topic is looked up. */
const MOST_NAMED = 6;

/**
 * Ready lists that belong to a topic: its words stand in their titles, or they hold it as a word.
 * @param forms of the topic: “birds”, “bird”
 */
export function readyListsOf(forms: readonly string[]): ReadyList[] {
  const asked = forms.map((form) => form.toLowerCase());
  const inTitle = READY_LISTS.filter(({ title }) => {
    const words = ` ${title.toLowerCase().replace(/[^\p{L}]+/gu, ' ')} `;
    return asked.some((form) => words.includes(` ${form} `));
  });
  const holding = READY_LISTS.filter(({ words }) => asked.some((form) => words.includes(form)));
  return [...new Set([...inTitle, ...holding])].slice(0, MOST_NAMED);
}
