import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
export const outings = {
  camping: {
    name: 'Camping',
    family: 'Travel',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Our camp', icon: 'house', fields: [{ label: 'Dates' }] },
      {
        type: 'cells',
        rows: [
          [{ label: 'Site', width: 1.6 }, { label: 'Pitch no.' }],
          [{ label: 'Address and phone', width: 1.6 }, { label: 'Price a night' }],
        ],
      },
      {
        type: 'grid',
        title: 'How it was',
        rows: ['Pitch', 'Quiet', 'Showers', 'Children', 'Shop'],
        columns: ['1', '2', '3', '4', '5'],
        marks: 'rings',
        rowsWidth: 40,
      },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'picture', caption: 'map of the pitch', least: 9 },
          {
            type: 'stack',
            of: [
              { type: 'rule', title: 'Neighbors', lines: 2 },
              { type: 'icons', label: 'Weather', icon: 'weather' },
            ],
          },
        ],
      },
      { type: 'rule', title: 'What we did', lines: 3, weight: 2 },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Forgot to bring', lines: 2 },
          {
            type: 'fields',
            rows: [[{ label: 'Come again', options: ['yes', 'no'] }], [{ label: 'Rating', icon: 'star' }]],
          },
        ],
        rank: 1,
      },
    ],
  },
  'travel-day': {
    name: 'Travel day',
    family: 'Travel',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'On the road' },
      {
        type: 'fields',
        rows: [
          [{ label: 'Day', width: 0.7 }, DATE, { label: 'Weather', icon: 'weather', width: 1.4 }],
          [{ label: 'From', width: 1.2 }, { label: 'to', width: 1.2 }, { label: 'by' }],
        ],
      },
      { type: 'rule', title: 'The day', lines: 4, weight: 4 },
      {
        type: 'columns',
        weight: 3,
        of: [
          { type: 'picture', caption: 'ticket, stamp or sketch', least: 9, width: 1.5 },
          {
            type: 'stack',
            of: [
              { type: 'rule', lead: 'Ate', lines: 2 },
              { type: 'rule', lead: 'Met', lines: 2 },
              { type: 'rule', lead: 'Heard', lines: 2 },
            ],
          },
        ],
      },
      {
        type: 'table',
        columns: [
          { label: 'Spent on', width: 2 },
          { label: 'Amount', kind: 'money' },
          { label: 'Spent on', width: 2 },
          { label: 'Amount', kind: 'money' },
        ],
        lines: 2,
        most: 4,
        weight: 1,
      },
      {
        type: 'fields',
        rows: [
          [
            { label: 'This day', icon: 'star' },
            { label: 'Tomorrow', width: 1.3 },
          ],
        ],
        rank: 1,
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
