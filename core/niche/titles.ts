import { classOf, isCounted } from './kinds.ts';
import { type PhraseLists, partsOf } from './phrases/index.ts';

const SMALL_WORDS = new Set('a an and as at by for from in of on or the to with'.split(' '));

/** Each word with a capital, but for the small ones within. */
const inTitle = (phrase: string): string =>
  phrase
    .split(' ')
    .map((word, i) =>
      i > 0 && SMALL_WORDS.has(word) ? word : word.replace(/^\p{L}/u, (first) => first.toUpperCase()),
    )
    .join(' ');

const plural = (name: string): string => {
  if (/(ch|sh|x)$/i.test(name)) return `${name}es`;
  if (/[^aeiou]y$/i.test(name)) return `${name.slice(0, -1)}ies`;
  return /s$/i.test(name) ? name : `${name}s`;
};

/** A kind as the name of one book, and as what a number of them are inside. */
function namesOf(kind: string): { book: string; items: string } {
  const name = inTitle(kind);
  if (/colou?ring/i.test(kind)) return { book: name, items: `${name.replace(/ book$/i, '')} Pages` };
  if (/^sudoku$/i.test(kind)) return { book: 'Sudoku Book', items: 'Sudoku Puzzles' };
  if (/^(mazes|crosswords)$/i.test(kind)) return { book: `${name.slice(0, -1)} Book`, items: name };
  if (/^activity/i.test(kind)) return { book: name, items: 'Activities' };
  return { book: name, items: plural(name) };
}

const withArticle = (name: string): string => `${/^[aeiou]/i.test(name) ? 'An' : 'A'} ${name}`;
/** What is done, and so can fill a year: gardening, bird watching. */
const isDoing = (topic: string): boolean => /ing$/i.test(topic);
const USUAL_NUMBER = '100';

/**
 * Titles from the parts of a phrase, by a grammar of topic, kind, audience and format; the plainest first.
 * @param most letters of title and subtitle together
 */
export function titleIdeas(phrase: string, lists: PhraseLists, most: number): string[] {
  const { topic, kind, audience, format, number, year } = partsOf(phrase, lists);
  const about = inTitle(topic);
  const whom = audience ? ` for ${inTitle(audience)}` : '';
  const how = format ? `: ${inTitle(format)}` : '';
  const ideas: string[] = [];
  if (!kind) ideas.push(`${inTitle(phrase)}`, `The ${about || inTitle(phrase)} Book${whom}`);
  else {
    const { book, items } = namesOf(kind);
    const named = inTitle(kind);
    ideas.push(`${about} ${named}${year && classOf(kind) === 'dated' ? ` ${year}` : ''}${whom}${how}`);
    ideas.push(`The ${about} ${book}${whom}`);
    if (isCounted(kind)) {
      ideas.push(`${number || USUAL_NUMBER} ${about} ${items}${whom}`, `The Big Book of ${about} ${items}`);
    } else {
      ideas.push(`My ${about} ${book}${whom}`);
      if (isDoing(topic)) ideas.push(`A Year of ${about}: ${withArticle(book)}${whom}`);
    }
    ideas.push(`The Little ${about} ${book}`);
  }
  return [...new Set(ideas.map((idea) => idea.replace(/\s+/g, ' ').trim()))].filter(
    (idea) => idea.length <= most,
  );
}
