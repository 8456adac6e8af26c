import { defineKind, type PageKind } from '../../kind.ts';
import { drawWordSearchPage } from '../../word-search/earlier/draw.ts';
import type { WordSearchItem } from '../../word-search/earlier/fill.ts';
import { wordSearchLayout } from '../../word-search/earlier/layout.ts';
import type { WordSearchOptions } from '../../word-search/earlier/options.ts';
import { drawWordSearchSolution } from '../../word-search/earlier/solution.ts';
import { type FirstOptions, firstOptions } from '../fill.ts';
import { shared } from '../shared.ts';

/** As options of a word search, whose pages these are. */
const asSearch = <Context extends { options: FirstOptions }>(
  context: Context,
): Omit<Context, 'options'> & { options: WordSearchOptions } => {
  const { columns, rows, directions: ways, numbers } = context.options;
  const options: WordSearchOptions = {
    ...{ columns, rows, directions: ways },
    wordsPerPuzzle: numbers,
    words: { lists: [] },
  };
  return { ...context, options };
};

const drawPage = drawWordSearchPage(wordSearchLayout);

export const first = defineKind<FirstOptions, WordSearchItem>({
  ...shared,
  version: 1,
  options: firstOptions,
  draw: (context) => drawPage(asSearch(context)),
  solution: { box: (placed, box, context) => drawWordSearchSolution(placed, box, asSearch(context)) },
}) as unknown as PageKind;
