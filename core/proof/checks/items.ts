import {
  arePartsOfOne,
  bodyOf,
  cutFact,
  filledItem,
  frameOf,
  itemLabel,
  kindOf,
  placedItem,
  problemsOfPage,
  troublesOf,
} from '../../book/index.ts';
import type { ItemProblem } from '../../pages/index.ts';
import type { Check, Finding, PageInProof, ProofContext } from '../finding.ts';

const finding = ({ severity, message }: ItemProblem, page: number, section: string): Finding => ({
  check: 'items',
  severity,
  message,
  place: { view: 'page', page, section },
});

/** Of a text that is named. */
const SHOWN = 40;

/** What each kind of page finds in its items, its units and its sections, by means of its own. */
export const items: Check = {
  id: 'items',
  name: 'Every puzzle is right: each listed word found exactly once',

  ofPage({ book, type }: ProofContext, { page }: PageInProof): Finding[] {
    const section = page.role === 'body' ? book.sections.get(page.section!) : undefined;
    // What it lacks is a finding of its own; see resources.ts.
    if (section && troublesOf(book, section).length) return [];
    if (!section) return page.role === 'solutions' ? cutAnswers({ book, page }) : [];
    const kind = kindOf(section);
    const { options } = section;
    const ofItems = page.part === 'right' ? [] : page.items;
    const frame = frameOf(book, page);
    const cut = cutFact(book, page, bodyOf(book, page), frame.grid.typeScale, type);
    return [
      ...(cut
        ? [
            {
              severity: 'fix' as const,
              message: `Page ${page.number}: “${cut.slice(0, SHOWN)}…” is too long for the foot of the page. Make it shorter.`,
            },
          ]
        : []),
      ...ofItems.flatMap((item) => {
        const { displayNumbers } = book.plan.items[section.id]!;
        const placed = {
          number: item,
          displayNumber: displayNumbers[item - 1]!,
          label: itemLabel(book, section.id, item),
        };
        return kind.inspect?.(filledItem(book, section, item), placed, options) ?? [];
      }),
      ...problemsOfPage(book, page, type).map(({ severity, message }) => ({
        severity,
        message: `Page ${page.number}: ${message}`,
      })),
    ].map((problem) => finding(problem, page.number, section.id));
  },

  ofSection({ book }, section) {
    const kind = kindOf(section);
    if (troublesOf(book, section).length) return [];
    if (!kind.inspectSection) return [];
    // What comes back, or does not suffice, does so throughout what was one section: its first part speaks for all.
    const parts = [...book.sections.values()].filter(
      (other) => other.kind === section.kind && arePartsOfOne(other, section),
    );
    if (parts[0] !== section) return [];
    const all = parts.flatMap((part) =>
      Array.from({ length: book.plan.items[part.id]!.count }, (_, i) => ({ part, place: i + 1 })),
    );
    const given = all.map(({ part, place }, i) => ({
      number: i + 1,
      label: itemLabel(book, part.id, place),
      // Made when it is looked at: a section may have hundreds, and not every kind needs to see them all at once.
      get item() {
        return filledItem(book, part, place);
      },
    }));
    return kind.inspectSection(given, section.options, book.resources).map((problem) => {
      const { part, place } = all[(problem.item ?? 1) - 1] ?? all[0]!;
      return finding(problem, book.plan.items[part.id]!.pages[place - 1] ?? 1, part.id);
    });
  },
};

/** Answers as text that have more lines than their kind said. */
function cutAnswers({ book, page }: Pick<ProofContext, 'book'> & Pick<PageInProof, 'page'>): Finding[] {
  if (page.layout?.form !== 'columns') return [];
  return page.answers.flatMap(({ section: id, item, rows }) => {
    const section = book.sections.get(id)!;
    if (troublesOf(book, section).length) return [];
    const lines = kindOf(section).solution!.lines!.text(placedItem(book, section, item), section.options);
    if (lines.length <= rows) return [];
    const message = `${itemLabel(book, id, item)}: its answer has ${lines.length} lines and room for ${rows}. Show the solutions in boxes.`;
    return [finding({ severity: 'fix', message }, page.number, id)];
  });
}
