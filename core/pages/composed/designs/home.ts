import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
const ADDRESS = {
  type: 'cells',
  rows: [
    [{ label: 'Name', width: 1.6 }, { label: 'Birthday' }],
    [{ label: 'Address' }],
    [{ label: 'Phone' }, { label: 'Mail' }],
  ],
};
const PERSON = [ADDRESS, { type: 'space', units: 1 }];

export const home = {
  visitors: {
    name: 'Visitor book',
    family: 'Home',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'Our guests' },
      {
        type: 'stack',
        weight: 1,
        of: [
          { type: 'fields', rows: [[{ label: 'Name', width: 1.6 }, { label: 'Date' }], [{ label: 'From' }]] },
          { type: 'rule', lines: 2 },
        ],
      },
      {
        type: 'stack',
        weight: 1,
        of: [
          { type: 'fields', rows: [[{ label: 'Name', width: 1.6 }, { label: 'Date' }], [{ label: 'From' }]] },
          { type: 'rule', lines: 2 },
        ],
      },
      {
        type: 'stack',
        weight: 1,
        of: [
          { type: 'fields', rows: [[{ label: 'Name', width: 1.6 }, { label: 'Date' }], [{ label: 'From' }]] },
          { type: 'rule', lines: 2 },
        ],
      },
    ],
  },
  addresses: {
    name: 'Address book',
    family: 'Home',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Addresses', fields: [{ label: 'Letter', width: 0.6 }] },
      ...PERSON,
      ...PERSON,
      ...PERSON,
      ADDRESS,
    ],
  },
  pets: {
    name: 'Pet care',
    family: 'Home',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Pet care', icon: 'paw', fields: [{ label: 'Week of' }] },
      {
        type: 'columns',
        weight: 1,
        of: [
          { type: 'picture', caption: 'photo', least: 9 },
          {
            type: 'fields',
            rows: [
              [{ label: 'Name' }, { label: 'Weight' }],
              [{ label: 'Food' }],
              [{ label: 'Portion' }, { label: 'Times' }],
              [{ label: 'Vet' }],
            ],
            width: 1.9,
          },
        ],
      },
      {
        type: 'grid',
        rows: [
          'Breakfast',
          'Supper',
          'Fresh water',
          'Morning walk',
          'Evening walk',
          'Play',
          'Brush',
          'Medicine',
        ],
        columns: ['M', 'T', 'W', 'T', 'F', 'S', 'S'],
        marks: 'boxes',
        rowsWidth: 34,
      },
      {
        type: 'table',
        title: 'Vet and vaccines',
        columns: [
          { label: 'Date', width: 0.8 },
          { label: 'What was done', width: 2 },
          { label: 'Next due' },
          { label: 'Cost', kind: 'money' },
        ],
        lines: 2,
        most: 4,
        weight: 1,
      },
      {
        type: 'columns',
        of: [
          { type: 'checks', title: 'To buy', lines: 2 },
          { type: 'rule', title: 'Noticed this week', lines: 2 },
        ],
        weight: 1,
        rank: 1,
      },
    ],
  },
  baby: {
    name: 'Baby’s day',
    family: 'Children',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Baby’s day', icon: 'heart', fields: [DATE] },
      {
        type: 'table',
        columns: [
          { label: 'Time', kind: 'time' },
          { label: 'Fed', width: 1.2 },
          { label: 'Slept', width: 1.2 },
          { label: 'Wet', kind: 'check', width: 0.7 },
          { label: 'Full', kind: 'check', width: 0.7 },
          { label: 'Remarks', width: 1.8 },
        ],
        lines: 10,
        weight: 4,
      },
      { type: 'time-bars', title: 'Asleep', rows: ['Day', 'Night'], from: 6, hours: 12 },
      {
        type: 'columns',
        of: [
          {
            type: 'checks',
            title: 'Given',
            items: ['Vitamin', 'Medicine', 'Bath', 'Tummy time'],
            columns: 2,
          },
          { type: 'icons', label: 'Mood', icon: 'faces' },
        ],
        rank: 2,
      },
      { type: 'rule', title: 'New today', lines: 2, weight: 1 },
    ],
  },
  firsts: {
    name: 'A child’s first',
    family: 'Children',
    look: 'botanical',
    blocks: [
      { type: 'prompt', text: 'The first time you laughed out loud', size: 22 },
      { type: 'fields', rows: [[DATE, { label: 'You were', width: 1.2 }, { label: 'Where', width: 1.3 }]] },
      { type: 'picture', caption: 'a photograph of that day', least: 14, weight: 3 },
      { type: 'rule', title: 'How it was', lines: 4, weight: 3 },
      { type: 'rule', title: 'Who was there', lines: 1, weight: 1 },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
