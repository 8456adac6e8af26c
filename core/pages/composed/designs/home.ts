import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
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
  'meals-day': {
    name: 'Meals of a day',
    family: 'Food',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'What I ate', icon: 'cup', fields: [DATE] },
      { type: 'days', days: ['Breakfast', 'Snack', 'Lunch', 'Snack ', 'Supper'], lines: 2, weight: 3 },
      {
        type: 'columns',
        of: [
          { type: 'icons', label: 'Water', icon: 'drop', count: 6 },
          { type: 'icons', label: 'I felt', icon: 'faces' },
        ],
      },
      {
        type: 'grid',
        rows: ['Vegetables', 'Fruit', 'Protein', 'Whole grain'],
        columns: ['1', '2', '3', '4', '5'],
        marks: 'rings',
        rowsWidth: 30,
      },
      { type: 'rule', title: 'Remarks', lines: 2, weight: 1, rank: 1 },
    ],
  },
  'meals-week': {
    name: 'Meals of a week with shopping list',
    family: 'Food',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Meals this week', icon: 'cup', fields: [{ label: 'Week of' }] },
      {
        type: 'columns',
        weight: 1,
        of: [
          { type: 'days', days: WEEK, labels: ['B', 'L', 'D'], width: 1.6 },
          {
            type: 'group',
            title: 'Shopping',
            of: [
              { type: 'checks', title: 'Fruit, vegetables', lines: 3 },
              { type: 'checks', title: 'Chilled', lines: 2 },
              { type: 'checks', title: 'Cupboard', lines: 2 },
              { type: 'checks', title: 'And', lines: 2 },
            ],
          },
        ],
      },
      { type: 'fields', rows: [[{ label: 'Cook ahead' }, { label: 'Use up' }]], rank: 1 },
    ],
  },
  recipe: {
    name: 'Recipe',
    family: 'Food',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'A recipe for' },
      {
        type: 'fields',
        rows: [
          [{ label: 'Name', width: 2 }, { label: 'From' }],
          [
            { label: 'Serves' },
            { label: 'Prepare', unit: 'min', width: 1.2 },
            { label: 'Cook', unit: 'min' },
            { label: 'Oven', unit: '°' },
          ],
        ],
      },
      {
        type: 'columns',
        weight: 4,
        of: [
          { type: 'rule', title: 'Ingredients', lines: 9 },
          { type: 'rule', title: 'Method', lines: 9, width: 1.7 },
        ],
      },
      { type: 'box', title: 'Notes for next time', least: 4, weight: 0.6, rank: 1 },
      { type: 'fields', rows: [[{ label: 'Loved by all', icon: 'heart' }, { label: 'First made' }]] },
    ],
  },
  tasting: {
    name: 'Wine, coffee or tea tasting',
    family: 'Food',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Tasting', fields: [DATE, { label: 'No.', width: 0.6 }] },
      {
        type: 'cells',
        rows: [
          [{ label: 'Name', width: 2 }, { label: 'Year or batch' }],
          [{ label: 'Maker' }, { label: 'Region' }, { label: 'Price' }],
          [{ label: 'It is', options: ['wine', 'coffee', 'tea', 'other'] }],
        ],
      },
      {
        type: 'grid',
        title: 'On the tongue',
        rows: ['Sweet', 'Sour', 'Bitter', 'Body', 'Finish'],
        columns: ['1', '2', '3', '4', '5', '6', '7'],
        marks: 'rings',
        rowsWidth: 24,
      },
      {
        type: 'checks',
        title: 'It smells of',
        columns: 3,
        items: [
          'berries',
          'citrus',
          'stone fruit',
          'flowers',
          'grass',
          'spice',
          'honey',
          'nuts',
          'cocoa',
          'wood',
          'smoke',
          'earth',
        ],
      },
      { type: 'rule', title: 'In words', lines: 2, weight: 2, rank: 1 },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Goes with', lines: 2 },
          {
            type: 'fields',
            rows: [[{ label: 'Rating', icon: 'star' }], [{ label: 'Buy again', options: ['yes', 'no'] }]],
          },
        ],
        weight: 1,
        rank: 2,
      },
    ],
  },
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
  'money-month': {
    name: 'Money of a month',
    family: 'Money',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Money in, money out', fields: [{ label: 'Month' }] },
      {
        type: 'cells',
        rows: [[{ label: 'Brought forward' }, { label: 'Plan to spend' }, { label: 'Plan to save' }]],
      },
      {
        type: 'table',
        columns: [
          { label: 'Date', width: 0.7 },
          { label: 'What for', width: 2.4 },
          { label: 'Kind', width: 0.7 },
          { label: 'In', kind: 'money' },
          { label: 'Out', kind: 'money' },
          { label: 'Balance', kind: 'money', width: 1.1 },
        ],
        lines: 12,
        weight: 1,
        strong: 5,
        foot: 'Carried forward',
      },
      {
        type: 'note',
        text: 'Kinds: H home · F food · T travel · C clothes · L leisure · S savings · G gifts',
        rank: 1,
      },
    ],
  },
  debt: {
    name: 'Paying off a debt',
    family: 'Money',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Paying it off', fields: [{ label: 'Owed to', width: 1.4 }] },
      {
        type: 'cells',
        rows: [
          [
            { label: 'Owed at the start' },
            { label: 'Interest', unit: '%' },
            { label: 'Least a month' },
            { label: 'Free by' },
          ],
        ],
      },
      { type: 'progress', label: 'Paid', cells: 20 },
      {
        type: 'table',
        columns: [
          { label: 'Date', width: 0.8 },
          { label: 'Paid', kind: 'money' },
          { label: 'Interest', kind: 'money' },
          { label: 'Extra', kind: 'money' },
          { label: 'Still owed', kind: 'money', width: 1.2 },
          { label: 'Remark', width: 1.6 },
        ],
        lines: 10,
        weight: 3,
        strong: 6,
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'When it is gone, I will', lines: 2 },
          { type: 'rule', title: 'What I can cut', lines: 2 },
        ],
        weight: 0.5,
        rank: 1,
      },
    ],
  },
  savings: {
    name: 'Savings goal',
    family: 'Money',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Saving for', icon: 'house', fields: [{ label: 'By' }] },
      { type: 'cells', rows: [[{ label: 'Goal', width: 1.8 }, { label: 'Amount' }, { label: 'A month' }]] },
      {
        type: 'grid',
        title: 'One ring for each part',
        rows: ['1', '2', '3', '4', '5'],
        columns: Array.from({ length: 10 }, () => ''),
        marks: 'rings',
        rowsWidth: 7,
      },
      {
        type: 'table',
        columns: [
          { label: 'Date', width: 0.8 },
          { label: 'Put by', kind: 'money' },
          { label: 'Taken out', kind: 'money' },
          { label: 'Total', kind: 'money' },
          { label: 'From', width: 1.6 },
        ],
        lines: 8,
        weight: 3,
      },
      { type: 'rule', title: 'Why it is worth it', lines: 2, weight: 1, rank: 1 },
    ],
  },
  bills: {
    name: 'Bills',
    family: 'Money',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Bills', fields: [{ label: 'Year' }] },
      {
        type: 'table',
        columns: [
          { label: 'Bill', width: 2.6 },
          { label: 'Due', width: 0.9 },
          { label: 'Amount', width: 1.1 },
          ...['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'].map((label) => ({
            label,
            kind: 'check',
            width: 0.56,
          })),
        ],
        lines: 14,
        weight: 1,
        strong: 5,
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Once a year', lines: 3 },
          { type: 'rule', title: 'To cancel or compare', lines: 3 },
        ],
      },
    ],
  },
  mileage: {
    name: 'Mileage',
    family: 'Money',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Mileage', fields: [{ label: 'Vehicle', width: 1.3 }, { label: 'Month' }] },
      {
        type: 'table',
        columns: [
          { label: 'Date', width: 0.8 },
          { label: 'From and to', width: 2.4 },
          { label: 'Why', width: 1.6 },
          { label: 'Start' },
          { label: 'End' },
          { label: 'Distance' },
        ],
        lines: 14,
        weight: 1,
        strong: 5,
        foot: 'Total',
      },
      { type: 'fields', rows: [[{ label: 'Business' }, { label: 'Private' }, { label: 'Rate' }]], rank: 1 },
    ],
  },
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
