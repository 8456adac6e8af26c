import { type ForLargeType, withLargeType } from '#core/book/for-large-type.ts';
import { kindOf, type Section, sectionIn, sectionName } from '#core/book/sections.ts';
import { fieldsOf } from '#core/settings.ts';
import { complain, tell } from '../parts/notices.tsx';
import { drawingRenderer } from '../preview/renderers.ts';
import { useBookStore } from './store.ts';

/** What is changed in a section, in the words of its settings: “Sudoku, puzzles per page: 4 → 2”. */
function changeInWords(section: Section, { from, to }: ForLargeType): string {
  const fields = fieldsOf(kindOf(section).options);
  const changes = Object.keys(to).map((key) => {
    const field = fields.find((one) => one.key === key);
    const named = (value: unknown) =>
      typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : (field?.control === 'choice' && field.choices.find((choice) => choice.value === value)?.label) ||
          value;
    return `${(field?.label ?? key).toLowerCase()}: ${named(from[key])} → ${named(to[key])}`;
  });
  return `${sectionName(section)}, ${changes.join(', ')}`;
}

/**
 * In a book in large print, puzzles are set so few to a page, and their words with so much room, that their type is large.
 * @returns looks at sections, or at all, and changes those that need it; `mergeAs` joins this to the change that asked for it
 */
export function useLargeType(): (mergeAs: string, ids?: string[]) => Promise<void> {
  const store = useBookStore();
  return async (mergeAs, ids) => {
    const isAsked = () => store.getState().value.style.largePrint;
    try {
      let found: ForLargeType[] | null = null;
      // Asked again where another recipe came in between.
      while (isAsked() && !found) found = await drawingRenderer(store.getState().value).forLargeType(ids);
      if (!found?.length || !isAsked()) return;
      const changes = found;
      store.getState().edit((recipe) => withLargeType(recipe, changes), mergeAs, true);
      const { sections } = store.getState().value;
      const said = changes.flatMap((change) => {
        const section = sectionIn(sections, change.section);
        return section ? [changeInWords(section as Section, change)] : [];
      });
      tell(`Set for large print: ${said.join('; ')}.`);
    } catch (error) {
      complain(`What large print takes could not be found out: ${(error as Error).message}`);
    }
  };
}
