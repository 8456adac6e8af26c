import { filledItem, kindOf } from '../../book/index.ts';
import type { Check, Finding, PageInProof, ProofContext } from '../finding.ts';

/** What each kind of page finds in its items: for a word search, every listed word by an independent search. */
export const items: Check = {
  id: 'items',
  name: 'Every puzzle is right: each listed word found exactly once',
  ofPage({ recipe, plan }: ProofContext, { page }: PageInProof): Finding[] {
    const section = recipe.sections.find(({ id }) => id === page.section);
    if (!section || page.role !== 'body') return [];
    const kind = kindOf(section);
    if (!kind.inspect) return [];
    return page.items.flatMap((item) =>
      kind.inspect!(
        filledItem(recipe, section, item),
        { number: item, shown: plan.shownFrom[section.id]! + item },
        section.options,
      ).map((problem) => ({
        check: 'items',
        severity: problem.severity,
        message: problem.message,
        place: { view: 'page' as const, page: page.number, section: section.id },
      })),
    );
  },
};
