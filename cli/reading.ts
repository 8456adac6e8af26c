import { readFileSync } from 'node:fs';
import { type Recipe, readRecipe } from '#core/book/recipe.ts';

/** The caller's mistake: shown as it is, without a stack. */
export class BadCall extends Error {}

/** @throws BadCall that says what is wrong with the file and where */
export function recipeFrom(file: string): Recipe {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    throw new BadCall(
      `${file} cannot be read: ${(error as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file' : (error as Error).message}.`,
    );
  }
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw new BadCall(`${file} is not JSON: ${(error as Error).message}.`);
  }
  const read = readRecipe(value);
  if (read.problems) {
    const lines = read.problems.map(({ path, message }) => `  ${path} ${message}`);
    throw new BadCall(`${file} is not a recipe this program can read:\n${lines.join('\n')}`);
  }
  return read.recipe;
}

/** Does something with a folder; what keeps it from being written to is the caller's to mend. @throws BadCall */
export async function saying(folder: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOSPC')
      throw new BadCall(
        `The disk of ${folder} is full. Nothing half-made was left; free some room and run it again.`,
      );
    if (code === 'EACCES' || code === 'ENOTDIR' || code === 'EEXIST' || code === 'EROFS')
      throw new BadCall(`${folder} cannot be written to (${code}). Name another folder.`);
    throw error;
  }
}
