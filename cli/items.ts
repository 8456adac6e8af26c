import { kindOf, placedItem } from '#core/book/index.ts';
import { makesItems } from '#core/pages/index.ts';
import { wholeBookFromFile } from './reading.ts';

/** Prints every generated item: where it is, where its solution is, and the item itself in an open form. */
export async function items(file: string, json: boolean): Promise<number> {
  const book = await wholeBookFromFile(file);
  const found = [...book.sections.values()].flatMap((section) => {
    const kind = kindOf(section);
    if (!makesItems(kind)) return [];
    return Array.from({ length: book.plan.items[section.id]!.count }, (_, i) => {
      const { number, label, page, solutionPage, item } = placedItem(book, section, i + 1);
      return {
        section: section.id,
        kind: section.kind,
        number,
        label,
        page,
        solutionPage,
        data: kind.data?.(item) ?? null,
      };
    });
  });
  if (json) console.log(JSON.stringify({ title: book.recipe.title, items: found }, null, 2));
  else
    for (const { label, page, solutionPage, section } of found)
      console.log(
        `${label.padEnd(16)} page ${String(page).padEnd(5)} ${solutionPage ? `solution page ${solutionPage}` : 'no solution'}  (${section})`,
      );
  return 0;
}
