import { faceNeeds, needsOf } from '../../book/index.ts';
import type { Check } from '../finding.ts';

/** Everything that the book uses is at hand. */
export const resources: Check = {
  id: 'resources',
  name: 'Words, pictures and other resources are available',
  ofSection({ book }, section) {
    const page = book.plan.pages.find((planned) => planned.section === section.id)?.number ?? 1;
    return needsOf(section).flatMap(({ id }) => {
      const trouble = book.resources.trouble(id);
      return trouble
        ? [
            {
              check: 'resources',
              severity: 'fix' as const,
              message: `Page ${page}: ${trouble}`,
              place: { view: 'page' as const, page, section: section.id },
            },
          ]
        : [];
    });
  },
  ofBook({ book }) {
    const troubles = faceNeeds(book.recipe).flatMap(({ id }) => book.resources.trouble(id) ?? []);
    return [...new Set(troubles)].map((trouble) => ({
      check: 'resources',
      severity: 'fix' as const,
      message: `Wrap: ${trouble}`,
      place: { view: 'wrap' as const },
    }));
  },
};
