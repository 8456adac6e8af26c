import { finished, kindOf, savedItems } from '#core/book/index.ts';
import { definitionOf } from '#core/lexicon/index.ts';
import { makesItems } from '#core/pages/index.ts';
import { clueLine, hasCluesInGrid, NO_CLUE } from '#core/pages/puzzle/clued-words.ts';
import { BadCall } from './bad-call.ts';
import { lexicon } from './lexicon.ts';
import { wholeBookFromFile } from './reading.ts';

interface Clues {
  section: string;
  /** By the alphabet, each word once; a clue where the dictionary has one. */
  words: { word: string; clue: string | null }[];
}

/** Prints the words of puzzles that have no clue, with what the dictionary says of them: lines for the clues of a section. */
export async function clues(file: string, json: boolean): Promise<number> {
  const book = await wholeBookFromFile(file);
  const sections = [...book.sections.values()].filter((section) => {
    const kind = kindOf(section);
    return makesItems(kind) && kind.formats?.some(({ id }) => id === NO_CLUE);
  });
  if (!sections.length) throw new BadCall('The book has no puzzles with clues.');
  const dictionary = lexicon();
  const found: Clues[] = [];
  for (const section of sections) {
    const all = Array.from({ length: book.plan.items[section.id]!.count }, (_, i) => i + 1);
    const { text } = await finished(savedItems(book, section, all, NO_CLUE));
    const words = [...new Set(text.split('\n').filter(Boolean))].sort();
    found.push({
      section: section.id,
      words: words.map((word) => ({ word, clue: definitionOf(dictionary, word, hasCluesInGrid(section)) })),
    });
  }
  if (json) console.log(JSON.stringify({ title: book.recipe.title, sections: found }, null, 2));
  else
    for (const { section, words } of found) {
      console.log(`# ${section}: ${words.length} ${words.length === 1 ? 'word' : 'words'} without a clue`);
      for (const { word, clue } of words) console.log(clue ? clueLine(word, clue) : `${word} |`);
      console.log('');
    }
  return 0;
}
