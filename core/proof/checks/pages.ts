import { gutterFor } from '../../print/index.ts';
import type { Check } from '../finding.ts';

/** Page count within the service's limits and even. */
export const pageCount: Check = {
  id: 'page-count',
  name: 'Page count even and within the service’s limits',
  ofBook({ ticket: { pages, limits, paper }, book: { rules, recipe } }) {
    const fix = (message: string) => [
      { check: 'page-count', severity: 'fix' as const, message, place: { view: 'flatplan' as const } },
    ];
    if (recipe.sections.length === 0) return fix('The book has no pages yet. Add a section in the flatplan.');
    if (pages < limits.min)
      return fix(
        `The book has ${pages} pages; ${rules.service.name} prints at least ${limits.min}. Add ${limits.min - pages}.`,
      );
    if (pages > limits.max)
      return fix(
        `The book has ${pages} pages; ${rules.service.name} prints at most ${limits.max} on ${paper} paper. Remove ${pages - limits.max}.`,
      );
    if (pages % 2) return fix(`The book has ${pages} pages; the count must be even.`);
    const filling = recipe.sections.find(({ fillTo }) => fillTo !== undefined);
    const wanted = (filling?.fillTo ?? pages) & ~1;
    if (pages === wanted) return [];
    return [
      {
        check: 'page-count',
        severity: 'look' as const,
        message:
          pages > wanted
            ? `The book should have ${wanted} pages and has ${pages}: its other pages alone are too many. Remove ${pages - wanted}, or fill to more.`
            : `The book should have ${wanted} pages and has ${pages}: what fills it comes in steps that do not end there. Add a single page, or fill to ${pages}.`,
        place: { view: 'flatplan' as const },
      },
    ];
  },
};

/** The trim is one that the service prints. */
export const trimSize: Check = {
  id: 'trim-size',
  name: 'Trim within the service’s limits',
  ofBook({ ticket: { trim }, book: { rules }, formats }) {
    const { min, max } = rules.trimLimits;
    const fits = (['width', 'height'] as const).every(
      (way) => trim[way] >= min[way] - 1e-6 && trim[way] <= max[way] + 1e-6,
    );
    if (fits) return [];
    const size = (of: { width: number; height: number }) => formats.size(of.width, of.height);
    return [
      {
        check: 'trim-size',
        severity: 'fix',
        message: `The trim is ${size(trim)}; ${rules.service.name} prints from ${size(min)} to ${size(max)}. Choose another in the job ticket.`,
        place: { view: 'flatplan' },
      },
    ];
  },
};

/** Gutter and outside margins are those of this page count, on every page. */
export const margins: Check = {
  id: 'margins',
  name: 'Gutter and margins for this page count',
  ofPage({ book: { rules }, ticket, formats }, { page, frame }) {
    const gutter = gutterFor(rules, ticket.pages);
    const inner =
      page.side === 'recto'
        ? frame.safe.x - frame.trim.x
        : frame.trim.x + frame.trim.width - frame.safe.x - frame.safe.width;
    const outer = frame.trim.width - inner - frame.safe.width;
    if (inner >= gutter - 1e-6 && outer >= rules.outsideMargin - 1e-6) return [];
    const message = `Page ${page.number}: the gutter is ${formats.length(inner)}; ${ticket.pages} pages need ${formats.length(gutter)}.`;
    return [{ check: 'margins', severity: 'fix', message, place: { view: 'page', page: page.number } }];
  },
};
