import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
export const media = {
  reading: {
    name: 'A book I read',
    family: 'Culture',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'A book I read' },
      {
        type: 'fields',
        rows: [
          [{ label: 'Title' }],
          [{ label: 'Author', width: 1.6 }, { label: 'Year' }],
          [{ label: 'Begun' }, { label: 'Finished' }, { label: 'Pages' }],
          [
            { label: 'Read as', options: ['paper', 'screen', 'sound'], width: 1.4 },
            { label: 'Rating', icon: 'star' },
          ],
        ],
      },
      { type: 'rule', title: 'In a few lines', lines: 3, weight: 3 },
      { type: 'rule', title: 'Lines to keep', lines: 3, weight: 2 },
      { type: 'rule', title: 'What stays with me', lines: 2, weight: 2 },
      {
        type: 'fields',
        rows: [
          [
            { label: 'Lent to', width: 1.3 },
            { label: 'Read again', options: ['yes', 'no'] },
          ],
        ],
        rank: 1,
      },
    ],
  },
  films: {
    name: 'A film I saw',
    family: 'Culture',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'A film I saw', fields: [DATE, { label: 'No.', width: 0.6 }] },
      {
        type: 'fields',
        rows: [
          [{ label: 'Title', width: 2 }, { label: 'Year' }],
          [{ label: 'Directed by' }, { label: 'With' }],
          [{ label: 'Seen', options: ['cinema', 'home', 'open air'], width: 1.4 }, { label: 'With' }],
        ],
      },
      {
        type: 'grid',
        rows: ['Story', 'Acting', 'Pictures', 'Music', 'Ending'],
        columns: ['1', '2', '3', '4', '5'],
        marks: 'rings',
        rowsWidth: 30,
      },
      { type: 'rule', title: 'What it is about', lines: 3, weight: 2 },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'rule', title: 'Best scene', lines: 3 },
          { type: 'rule', title: 'Best line', lines: 3 },
        ],
      },
      {
        type: 'fields',
        rows: [
          [
            { label: 'All in all', icon: 'star' },
            { label: 'See again', options: ['yes', 'no'] },
          ],
        ],
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
