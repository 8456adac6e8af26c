import { parseRecipe, type Recipe } from '#core/book/recipe.ts';
import { resourcesOfBank } from '../banks/ready.ts';

const palettes = {
  hive: { ground: '#17323d', accent: '#efbf45', second: '#c8861b', light: '#f6ead0' },
  night: { ground: '#1c2340', accent: '#e9d8a6', second: '#6f8fbf', light: '#f4f1e6' },
  shore: { ground: '#12464a', accent: '#f0b8a0', second: '#7fb7a8', light: '#f7f1e1' },
  hedge: { ground: '#33402a', accent: '#e3b34c', second: '#a8485b', light: '#f4efe4' },
  smoke: { ground: '#4b2a1e', accent: '#eec56a', second: '#b3723a', light: '#f7ecd9' },
};

/** Of these books, in their order. */
export const DEMO_LABELS: readonly (readonly string[])[] = [
  ['Fall list'],
  ['Fall list'],
  ['Summer list'],
  ['Summer list'],
  ['Fall list', 'Gifts'],
];

/** Five books of Tin Lantern Press that were made from the first page. Ids are given by the caller, since every workspace has its own. */
export function demoBooks(idFor: (name: string) => string): Recipe[] {
  const imprint = 'Tin Lantern Press';
  const common = { quill: 4, imprint, language: 'en' };
  return [
    {
      ...common,
      id: idFor('hunt'),
      seed: 'moth-7',
      brief: { niche: 'beekeeping word search', audience: 'adults' },
      title: 'The Beekeeper’s Word Hunt',
      subtitle: '84 word searches from the hive',
      series: { name: 'Hive & Hedge', volume: 2 },
      penName: 'Odile Marrow',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, paper: 'cream' },
      style: { palette: palettes.hive, motif: 'hexagons' },
      resources: resourcesOfBank('bees'),
      sections: [
        { id: 'title', kind: 'title-page' },
        { id: 'owner', kind: 'belongs-to' },
        { id: 'hunts', kind: 'word-search', items: 84, options: { words: { bank: 'bees' } } },
        { id: 'notes', kind: 'ruled', pages: 12, options: { heading: 'subject', label: 'Field notes' } },
      ],
      cover: {
        fields: {
          blurb:
            'Smoker lit, veil on, pencil ready. Eighty-four hunts through the language of the hive, from brood to waggle dance, for the evenings when the bees are in.',
        },
      },
      listing: {
        description:
          'Eighty-four word searches for people who keep bees, or would like to. Every word is from the apiary: the tools, the flowers, the life of the colony. All solutions are at the back, and each puzzle says where.',
        keywords: [
          'beekeeping word search',
          'gift for beekeeper',
          'honey bee puzzle book',
          'word search for adults',
          'apiary activity book',
        ],
        categories: ['Games and puzzles / Word search'],
        prices: { us: 8.99, gb: 7.99 },
      },
    },
    {
      ...common,
      id: idFor('sky'),
      seed: 'lantern-3',
      title: 'Night Skies Word Search',
      subtitle: 'Sixty puzzles for clear evenings',
      penName: 'Teodor Vance',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, paper: 'white' },
      style: { palette: palettes.night, motif: 'stars' },
      resources: resourcesOfBank('sky'),
      sections: [
        { id: 'title', kind: 'title-page' },
        { id: 'owner', kind: 'belongs-to' },
        {
          id: 'puzzles',
          kind: 'word-search',
          items: 60,
          options: {
            words: { bank: 'sky' },
            directions: ['across', 'down', 'down-right', 'up-right', 'back', 'up', 'up-left', 'down-left'],
            columns: 18,
            rows: 18,
          },
          solutions: { perPage: 4 },
        },
        { id: 'log', kind: 'ruled', pages: 23, options: { heading: 'date' } },
      ],
      cover: {
        fields: {
          blurb: 'From crescent to supernova: sixty grids full of stars, and pages to note what you saw.',
        },
      },
      listing: {
        description: 'Sixty word searches about the night sky, with pages for your own sightings.',
        keywords: ['astronomy word search', 'stargazing gift'],
        prices: { us: 7.99, gb: 6.99 },
      },
    },
    {
      ...common,
      id: idFor('tide'),
      seed: 'limpet-1',
      title: 'Tide Pool Field Notes',
      subtitle: 'A ruled journal for the shore',
      penName: 'Odile Marrow',
      print: { service: 'wrenfair', trim: { width: '5.5in', height: '8.5in' }, paper: 'cream' },
      style: { palette: palettes.shore, motif: 'shells' },
      sections: [
        { id: 'title', kind: 'title-page' },
        { id: 'owner', kind: 'belongs-to', options: { lines: 2 } },
        {
          id: 'pages',
          kind: 'ruled',
          pages: 118,
          options: { ruling: 'college', heading: 'date', gray: 0.6 },
        },
      ],
      cover: {
        fields: {
          blurb:
            'Date, tide, weather, and what the rock was hiding. One hundred and eighteen ruled pages that lie ready in a coat pocket.',
        },
      },
      listing: {
        description:
          'A college-ruled journal for walks along the shore, with a line for the date on every page.',
        keywords: ['tide pool journal', 'seashore notebook'],
        prices: { us: 6.99, gb: 5.99 },
      },
    },
    {
      ...common,
      id: idFor('birds'),
      seed: 'wren-9',
      title: 'Hedgerow Birds Word Search',
      subtitle: 'Large print, one hundred grids',
      series: { name: 'Hive & Hedge', volume: 3 },
      penName: 'Odile Marrow',
      print: { service: 'wrenfair', trim: { width: '8.5in', height: '11in' }, paper: 'white', bleed: true },
      style: { palette: palettes.hedge, motif: 'leaves' },
      resources: resourcesOfBank('birds'),
      sections: [
        { id: 'title', kind: 'title-page' },
        { id: 'owner', kind: 'belongs-to' },
        {
          id: 'grids',
          kind: 'word-search',
          items: 100,
          options: {
            words: { bank: 'birds' },
            columns: 14,
            rows: 14,
            wordsPerPuzzle: 12,
            directions: ['across', 'down'],
          },
          solutions: { perPage: 9 },
        },
      ],
      cover: {
        fields: {
          blurb:
            'Wren, robin, linnet, lark: one hundred easy-on-the-eye grids from the hedges and the fields.',
        },
      },
      listing: {
        description: 'One hundred large-print word searches with the birds of hedge and field.',
        keywords: ['large print word search', 'bird word search', 'birdwatching gift'],
        prices: { us: 9.99, gb: 8.99 },
      },
    },
    {
      ...common,
      id: idFor('year'),
      seed: 'skep-4',
      title: 'A Year at the Hive',
      subtitle: 'The beekeeper’s inspection journal',
      series: { name: 'Hive & Hedge', volume: 1 },
      penName: 'Teodor Vance',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, paper: 'cream' },
      style: {
        palette: palettes.smoke,
        motif: 'hexagons',
        numbering: { form: 'Page 1 of 100', place: 'center' },
      },
      sections: [
        { id: 'title', kind: 'title-page' },
        { id: 'owner', kind: 'belongs-to' },
        { id: 'visits', kind: 'composed', pages: 66, options: { design: 'hive-inspection' } },
        { id: 'notes', kind: 'ruled', pages: 12, options: { heading: 'subject and date' } },
      ],
      cover: {
        fields: {
          blurb:
            'Weather, brood, stores, queen seen: a place for every visit from first flight to last feed.',
        },
      },
      listing: {
        description: 'A journal for hive inspections: one page a visit, frame by frame, with room for notes.',
        keywords: ['beekeeping journal', 'hive inspection log'],
        prices: { us: 7.49, gb: 6.49 },
      },
    },
  ].map(parseRecipe);
}
