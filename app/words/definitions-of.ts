import { MOST_CHECKED } from '#core/lexicon/spelling.ts';

/**
 * The dictionary’s clues for words, by word; those without one are left out.
 * @param isShort for clues that stand in a cell of a grid
 * @throws Error where it cannot be asked
 */
export async function definitionsOf(
  words: readonly string[],
  isShort = false,
): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (let from = 0; from < words.length; from += MOST_CHECKED) {
    const response = await fetch('/definitions', {
      method: 'POST',
      body: new URLSearchParams({
        words: words.slice(from, from + MOST_CHECKED).join('\n'),
        ...(isShort ? { short: 'true' } : {}),
      }),
    });
    if (!response.ok) throw new Error('The dictionary did not answer.');
    const { definitions } = (await response.json()) as { definitions: Record<string, string> };
    Object.assign(found, definitions);
  }
  return found;
}
