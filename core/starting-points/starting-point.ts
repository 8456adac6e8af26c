import { parseRecipe, RECIPE_VERSION, type Recipe } from '../book/recipe.ts';

/** A complete small book to begin from: opened, renamed and sold. */
export interface StartingPoint {
  id: string;
  family: string;
  /** What it is for, in a line. */
  about: string;
  /** The book, but for what belongs to one publisher. @param year of dated pages */
  book(year: number): Given;
}

/** What a starting point says of a book; the rest is usual. */
export interface Given {
  title: string;
  subtitle: string;
  trim: readonly [width: string, height: string];
  paper?: 'cream' | 'white';
  bleed?: boolean;
  palette: Palette;
  motif: Recipe['style']['motif'];
  numbering?: Record<string, unknown>;
  sections: readonly Record<string, unknown>[];
  blurb: string;
  keywords: readonly string[];
  /** In the first market; a usual one if left out. */
  price?: number;
}

interface Palette {
  ground: string;
  accent: string;
  second: string;
  light: string;
}

export const PALETTES = {
  ink: { ground: '#1d2733', accent: '#e3b34c', second: '#b9811a', light: '#f4efe4' },
  moss: { ground: '#2f3f2b', accent: '#e6c97a', second: '#8f9f5a', light: '#f5f1e2' },
  brick: { ground: '#5a2a22', accent: '#f0c48a', second: '#c27a4a', light: '#f8efe2' },
  lake: { ground: '#173f4f', accent: '#f2d08a', second: '#5f9aa6', light: '#f1f3ea' },
  plum: { ground: '#3d2640', accent: '#eec7a4', second: '#a0708f', light: '#f6eee8' },
  slate: { ground: '#333b45', accent: '#f0d58c', second: '#8a97a6', light: '#f3f3ee' },
} as const satisfies Record<string, Palette>;

/** Title page, rights and whose book it is. */
export const front = (title = 'frame', owner = 'bookplate'): Record<string, unknown>[] => [
  { id: 'title', kind: 'title-page', options: { design: title } },
  { id: 'rights', kind: 'copyright' },
  { id: 'owner', kind: 'belongs-to', options: { design: owner, contact: true } },
];

/** A section that makes the book as long as it should be. */
export const filling = (
  kind: string,
  fillTo: number,
  options: Record<string, unknown> = {},
  more: Record<string, unknown> = {},
): Record<string, unknown> => ({ id: 'pages', kind, pages: 24, fillTo, options, ...more });

/** Pages of a design that make the book as long as it should be, behind a blank back of the owner's page. */
export const designed = (design: string, fillTo: number, more: Record<string, unknown> = {}) =>
  filling('composed', fillTo, { design }, { starts: 'right', ...more });

/** Of a book of some hundred pages; common practice, no source. */
const USUAL_PRICE = 7.99;

/** A starting point as a book of a publisher. */
export function recipeFrom(
  point: StartingPoint,
  own: { id: string; seed: string; penName: string; imprint: string; year: number },
): Recipe {
  const { year, ...publisher } = own;
  const {
    trim,
    paper = 'cream',
    bleed = false,
    palette,
    motif,
    numbering,
    blurb,
    keywords,
    price = USUAL_PRICE,
    ...said
  } = point.book(year);
  const [width, height] = trim;
  return parseRecipe({
    quill: RECIPE_VERSION,
    ...publisher,
    title: said.title,
    subtitle: said.subtitle,
    print: { service: 'wrenfair', trim: { width, height }, paper, bleed },
    style: { palette, motif, ...(numbering ? { numbering } : {}) },
    sections: said.sections,
    cover: { fields: { blurb } },
    listing: { description: blurb, keywords, prices: { us: price, gb: price - 1 } },
  });
}
