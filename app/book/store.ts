import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import { refusal } from '#core/book/edit.ts';
import type { Recipe, RecipeProblem } from '#core/book/recipe.ts';
import { type Draft, type DraftState, openDraft, type SaveAnswer } from '../parts/draft.ts';

export interface OpenedBook {
  recipe: Recipe;
  revision: number;
  savedAt: string | Date;
}

type Answer =
  | { saved: true; revision: number; savedAt: string }
  | { saved: false; problems: RecipeProblem[] }
  | { saved: false; conflict: { recipe: Recipe; revision: number } }
  | { saved: false; gone: true };

/** A server that has not answered by then is asked again. */
const ANSWER_MS = 15_000;

/** @throws Error when the server cannot be reached */
async function saveRecipe(recipe: Recipe, from: number): Promise<SaveAnswer<Recipe>> {
  const response = await fetch(`/books/${recipe.id}/save`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ from, recipe }),
    signal: AbortSignal.timeout(ANSWER_MS),
  });
  if (!response.ok || response.redirected) throw new Error(String(response.status));
  const answer = (await response.json()) as Answer;
  if (answer.saved) return answer;
  if ('conflict' in answer)
    return { saved: false, conflict: { value: answer.conflict.recipe, revision: answer.conflict.revision } };
  if ('problems' in answer) {
    const [{ path, message }] = answer.problems as [RecipeProblem];
    return { saved: false, reason: `${path}: ${message}` };
  }
  return {
    saved: false,
    reason: 'The book was deleted in another tab. Export the recipe if you want to keep it.',
  };
}

/** The state of an open book: its recipe, saved by itself, with undo. */
export const openBookStore = ({ recipe, ...saved }: OpenedBook): Draft<Recipe> =>
  openDraft({
    opened: { value: recipe, ...saved },
    refusal,
    save: saveRecipe,
    keptAs: `quill-draft-${recipe.id}`,
  });

const Book = createContext<Draft<Recipe> | null>(null);
export const BookProvider = Book.Provider;

/** A part of the open book's state; its value is the recipe. */
export const useBook = <T>(select: (state: DraftState<Recipe>) => T): T => useStore(useBookStore(), select);

/** How many steps can be undone and done again. */
export function useBookSteps(): { back: number; forth: number } {
  const { temporal } = useBookStore();
  const back = useStore(temporal, ({ pastStates }) => pastStates.length);
  const forth = useStore(temporal, ({ futureStates }) => futureStates.length);
  return { back, forth };
}

export function useBookStore(): Draft<Recipe> {
  const store = useContext(Book);
  if (!store) throw new Error('No book is open.');
  return store;
}
