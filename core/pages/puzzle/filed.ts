import type { PrintedLanguage } from '../../printed-words/index.ts';
import type { Level } from '../../puzzles/level.ts';
import type { Resources } from '../../resources/index.ts';
import { isObject } from '../../schema.ts';
import type { FillContext, PageKind } from '../kind.ts';
import type { WordSource } from './word-source.ts';

/**
 * Files items by the level that they are to have.
 * @param pinned what an item is made from; it reads no resources
 */
export const filedByLevel =
  <Options>(
    pinned: (context: FillContext<Options>) => { level: Level },
    called: (language: PrintedLanguage, options: Options) => string,
  ): NonNullable<PageKind<Options>['filed']> =>
  (context) => {
    const { pin, options } = context;
    // One that was brought in, or changed by hand, says nothing of its level.
    const made = isObject(pin) ? pin : pinned({ ...context, resources: NONE });
    const { level } = made as { level?: Level };
    return { ...(level ? { level } : {}), called: (language) => called(language, options) };
  };

const NONE = {} as Resources;

/** The title of the list that an item is made from, where the section has lists of its own. */
export function titleOf(words: WordSource, item: number, pin: unknown): string | undefined {
  if (isObject(pin)) return pin.title as string | undefined;
  const lists = 'bank' in words ? [] : words.lists;
  return lists[(item - 1) % Math.max(1, lists.length)]?.title;
}

/** Files items by the titles of their lists alone. */
export const filedByTitle =
  <Options extends { words: WordSource }>(
    called: (language: PrintedLanguage, options: Options) => string,
  ): NonNullable<PageKind<Options>['filed']> =>
  ({ options, item, pin }) => ({
    title: titleOf(options.words, item, pin),
    called: (language) => called(language, options),
  });
