import { arrangedPage, type ComposedOptions } from '../pages/composed/index.ts';
import type { BlockPlace } from '../pages/composed/places.ts';
import { type DrawContext, type ItemProblem, pageKind } from '../pages/index.ts';
import { printRules } from '../print/index.ts';
import type { Scene, Typesetter } from '../scene/index.ts';
import { parseLength } from '../units.ts';
import type { Book } from './book.ts';
import { drawContext, drawPage } from './draw.ts';
import type { Recipe } from './recipe.ts';
import { type Section, sectionIn } from './sections.ts';

/** A trim as a recipe says it. */
export interface Trim {
  width: string;
  height: string;
}

/** A design by itself: the drawings of its page, or of the two that face each other, where its blocks stand, and what is wrong with it. */
export interface DesignPages {
  pages: { scene: Scene; places: BlockPlace[] }[];
  problems: ItemProblem[];
}

/** A book of one design, to see it on its pages. @param trim another one than that of the book */
export function designBook(recipe: Recipe, section: string, trim = recipe.print.trim): Recipe {
  const { kind, version, options } = sectionIn(recipe.sections, section) as Section;
  return {
    ...recipe,
    print: { ...recipe.print, trim },
    sections: [
      {
        id: section,
        kind,
        version,
        options,
        pages: pageKind(kind).extent === 'pages' ? 1 : undefined,
      } as Section,
    ],
  };
}

/** Draws the pages of a book that `designBook` made. */
export function designPages(book: Book, type: Typesetter): DesignPages {
  const { version } = book.recipe.sections[0] as Section;
  const drawn = book.plan.pages
    .filter(({ role }) => role === 'body')
    .map((page) => {
      const context = drawContext(book, page, type) as unknown as DrawContext<ComposedOptions, never>;
      return { scene: drawPage(book, page.number, type), ...arrangedPage(context, version) };
    });
  const problems = drawn.flatMap((page) => page.problems);
  return {
    pages: drawn.map(({ scene, places }) => ({ scene, places })),
    problems: problems.filter(
      ({ message }, i) => problems.findIndex((other) => other.message === message) === i,
    ),
  };
}

const area = ({ width, height }: Trim): number => parseLength(width) * parseLength(height);
const breadth = ({ width, height }: Trim): number => parseLength(width) / parseLength(height);

/** Three trims of the service that differ most from the one of a book: its smallest, its largest and its widest. */
export function otherTrims({ print }: Recipe): Trim[] {
  const { trims } = printRules(print.service, print.binding);
  const others = trims.filter(
    ({ width, height }) => width !== print.trim.width || height !== print.trim.height,
  );
  const by = (of: (trim: Trim) => number) => [...others].sort((a, b) => of(a) - of(b));
  const wanted = [by(area)[0], by(area).at(-1), by(breadth).at(-1), ...others];
  return [...new Set(wanted)]
    .filter((trim) => trim !== undefined)
    .slice(0, 3)
    .map(({ width, height }) => ({ width, height }));
}
