import type { GivenDesign } from './given.ts';

export const money = {
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
} as const satisfies Record<string, GivenDesign>;
