import { type NamedResource, ResourceTrouble, words } from '#core/resources/index.ts';
import { browserLoader } from '../preview/browser-loader.ts';

/** The words of a bank, one by one, or why they cannot be had. */
export async function loadBank({
  hash,
  name,
}: Pick<NamedResource, 'hash' | 'name'>): Promise<{ words: string[] } | { problem: string }> {
  try {
    const bytes = await browserLoader.load(hash, words.mostBytes);
    if (!bytes) throw new ResourceTrouble('is no longer there.');
    return { words: new TextDecoder().decode(bytes).split('\n').filter(Boolean) };
  } catch (error) {
    if (!(error instanceof ResourceTrouble)) throw error;
    return { problem: `“${name}” ${error.message} Try again.` };
  }
}
