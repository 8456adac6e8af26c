import { withFewerToAPage } from '#core/book/fewer-to-a-page.ts';
import { type Section, sectionIn, sectionName } from '#core/book/sections.ts';
import { complain, tell } from '../parts/notices.tsx';
import { drawingRenderer } from '../preview/renderers.ts';
import { useBookStore } from './store.ts';

/**
 * In a book in large print, puzzles are set so few to a page that their type is large.
 * @returns looks at sections, or at all, and changes those that need it; `mergeAs` joins this to the change that asked for it
 */
export function useFewerToAPage(): (mergeAs: string, ids?: string[]) => Promise<void> {
  const store = useBookStore();
  return async (mergeAs, ids) => {
    const isAsked = () => store.getState().value.style.largePrint;
    try {
      let found: Awaited<ReturnType<ReturnType<typeof drawingRenderer>['fewerToAPage']>> = null;
      // Asked again where another recipe came in between.
      while (isAsked() && !found) found = await drawingRenderer(store.getState().value).fewerToAPage(ids);
      if (!found?.length || !isAsked()) return;
      const fewer = found;
      store.getState().edit((recipe) => withFewerToAPage(recipe, fewer), mergeAs, true);
      const { sections } = store.getState().value;
      const said = fewer.map(({ section, from, to }) => {
        const one = sectionIn(sections, section);
        return one && `${sectionName(one as Section)} ${from} → ${to}`;
      });
      tell(`Fewer puzzles to a page, so that their type is large: ${said.filter(Boolean).join(', ')}.`);
    } catch (error) {
      complain(
        `How many puzzles a page takes in large print could not be found out: ${(error as Error).message}`,
      );
    }
  };
}
