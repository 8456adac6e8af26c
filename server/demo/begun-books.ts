import { parseRecipe, type Recipe } from '#core/book/recipe.ts';
import { recipeFrom, STARTING_POINTS } from '#core/starting-points/index.ts';

/** The year of the demo's dated pages. */
const YEAR = 2027;

interface Begun {
  from: string;
  seed: string;
  title: string;
  subtitle: string;
  penName: string;
  series?: { name: string; volume: number };
  palette: Recipe['style']['palette'];
  motif: Recipe['style']['motif'];
  price: number;
  labels: readonly string[];
}

/** Books that the press has begun from starting points and made its own. */
const BEGUN: readonly Begun[] = [
  {
    from: 'gratitude-journal',
    seed: 'clover-2',
    title: 'Glad of the Garden',
    subtitle: 'A gratitude journal, morning and evening',
    penName: 'Odile Marrow',
    series: { name: 'Hive & Hedge', volume: 4 },
    palette: { ground: '#33402a', accent: '#e3b34c', second: '#a8485b', light: '#f4efe4' },
    motif: 'leaves',
    price: 7.99,
    labels: ['Fall list', 'Gifts'],
  },
  {
    from: 'weekly-planner',
    seed: 'lantern-8',
    title: `A Lantern Year ${YEAR}`,
    subtitle: 'A month at a glance, a week on two pages',
    penName: 'Teodor Vance',
    palette: { ground: '#1c2340', accent: '#e9d8a6', second: '#6f8fbf', light: '#f4f1e6' },
    motif: 'stars',
    price: 9.99,
    labels: ['Fall list'],
  },
  {
    from: 'training-log',
    seed: 'badger-5',
    title: 'Uphill, Downhill',
    subtitle: 'Twenty-four weeks of training',
    penName: 'Teodor Vance',
    palette: { ground: '#5a2a22', accent: '#f0c48a', second: '#c27a4a', light: '#f8efe2' },
    motif: 'hexagons',
    price: 11.99,
    labels: ['Summer list'],
  },
  {
    from: 'piano-manuscript',
    seed: 'wren-4',
    title: 'Music for Late Hours',
    subtitle: 'Manuscript paper for two hands',
    penName: 'Odile Marrow',
    palette: { ground: '#3d2640', accent: '#eec7a4', second: '#a0708f', light: '#f6eee8' },
    motif: 'shells',
    price: 6.99,
    labels: ['Gifts'],
  },
  {
    from: 'handwriting-workbook',
    seed: 'acorn-1',
    title: 'A Is for Acorn',
    subtitle: 'Letters and numbers to trace',
    penName: 'Odile Marrow',
    palette: { ground: '#17323d', accent: '#efbf45', second: '#c8861b', light: '#f6ead0' },
    motif: 'leaves',
    price: 6.99,
    labels: ['Summer list'],
  },
  {
    from: 'reading-log',
    seed: 'owl-6',
    title: 'Read by Lantern Light',
    subtitle: 'A log of one hundred books',
    penName: 'Teodor Vance',
    palette: { ground: '#2f3f2b', accent: '#e6c97a', second: '#8f9f5a', light: '#f5f1e2' },
    motif: 'stars',
    price: 7.49,
    labels: ['Gifts'],
  },
];

/** Those books with their labels. Ids are given by the caller, since every workspace has its own. */
export const begunBooks = (
  idFor: (name: string) => string,
): { recipe: Recipe; labels: readonly string[] }[] =>
  BEGUN.map(({ from, seed, title, subtitle, penName, series, palette, motif, price, labels }) => {
    const point = STARTING_POINTS.find(({ id }) => id === from)!;
    const begun = recipeFrom(point, {
      id: idFor(from),
      seed,
      penName,
      imprint: 'Tin Lantern Press',
      year: YEAR,
    });
    const recipe = parseRecipe({
      ...begun,
      title,
      subtitle,
      ...(series ? { series } : {}),
      style: { ...begun.style, palette, motif },
      listing: { ...begun.listing, prices: { us: price, gb: price - 1 } },
    });
    return { recipe, labels };
  });
