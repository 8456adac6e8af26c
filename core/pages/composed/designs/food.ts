import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
export const food = {
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
} as const satisfies Record<string, GivenDesign>;
