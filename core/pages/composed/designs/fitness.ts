import type { GivenDesign } from './given.ts';

const SETS = ['Set 1', 'Set 2', 'Set 3', 'Set 4', 'Set 5'].map((label) => ({ label, kind: 'times' }));
const DATE = { label: 'Date' };
const NUMBER = { label: 'No.', width: 0.6 };

export const fitness = {
  'training-strength': {
    name: 'Strength training',
    family: 'Training',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Training log', fields: [DATE, NUMBER] },
      {
        type: 'fields',
        rows: [
          [{ label: 'Start' }, { label: 'Finish' }, { label: 'Body weight', width: 1.3 }],
          [{ label: 'Focus', options: ['Push', 'Pull', 'Legs', 'Core', 'Endurance'] }],
        ],
      },
      { type: 'table', columns: [{ label: 'Exercise', width: 2.4 }, ...SETS], lines: 5, weight: 4 },
      {
        type: 'table',
        columns: [
          { label: 'Endurance', width: 2 },
          { label: 'Time', kind: 'time' },
          { label: 'Distance' },
          { label: 'Heart rate' },
          { label: 'Climb' },
        ],
        lines: 2,
        most: 3,
        weight: 0.5,
        rank: 2,
      },
      { type: 'scale', label: 'Effort', low: 'easy', high: 'all out' },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Went well', lines: 2 },
          { type: 'rule', title: 'Next time', lines: 2 },
        ],
      },
    ],
  },
  'training-running': {
    name: 'Running',
    family: 'Training',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'My run', icon: 'clock', fields: [DATE] },
      {
        type: 'cells',
        rows: [
          [{ label: 'Distance' }, { label: 'Time' }, { label: 'Pace' }],
          [{ label: 'Heart rate' }, { label: 'Climb' }, { label: 'Shoes' }],
        ],
      },
      {
        type: 'fields',
        rows: [
          [{ label: 'Route' }],
          [{ label: 'Kind', options: ['Easy', 'Long', 'Tempo', 'Intervals', 'Race'] }],
        ],
      },
      {
        type: 'columns',
        of: [
          { type: 'icons', label: 'Weather', icon: 'weather' },
          { type: 'icons', label: 'Legs', icon: 'faces' },
        ],
        rank: 2,
      },
      {
        type: 'table',
        title: 'Splits',
        columns: [
          { label: 'Part', width: 0.7 },
          { label: 'Time', kind: 'time' },
          { label: 'Heart rate' },
          { label: 'Remarks', width: 2 },
        ],
        lines: 4,
        weight: 3,
      },
      { type: 'scale', label: 'Effort', low: 'easy', high: 'all out' },
      { type: 'rule', title: 'How it went', lines: 3, weight: 2 },
    ],
  },
  'training-swimming': {
    name: 'Swimming',
    family: 'Training',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'In the water', icon: 'drop', fields: [DATE] },
      {
        type: 'fields',
        rows: [
          [{ label: 'Place' }, { label: 'Water', unit: '°' }],
          [{ label: 'Total', unit: 'm' }, { label: 'Time' }],
        ],
      },
      {
        type: 'table',
        title: 'Sets',
        columns: [
          { label: 'Times', width: 0.7 },
          { label: 'Distance' },
          { label: 'Stroke', width: 1.4 },
          { label: 'Rest' },
          { label: 'Time', kind: 'time' },
        ],
        lines: 7,
        weight: 3,
        strong: 5,
      },
      {
        type: 'fields',
        rows: [[{ label: 'Gear', options: ['Fins', 'Paddles', 'Board', 'Snorkel'] }]],
        rank: 2,
      },
      { type: 'scale', label: 'Effort', low: 'easy', high: 'all out' },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Technique', lines: 3 },
          { type: 'rule', title: 'Next time', lines: 3 },
        ],
      },
    ],
  },
  'training-yoga': {
    name: 'Yoga practice',
    family: 'Training',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'My practice', fields: [DATE, { label: 'Minutes' }, { label: 'Teacher' }] },
      { type: 'fields', rows: [[{ label: 'Kind', options: ['Flow', 'Strength', 'Balance', 'Rest'] }]] },
      {
        type: 'columns',
        of: [
          { type: 'icons', label: 'Before', icon: 'faces' },
          { type: 'icons', label: 'After', icon: 'faces' },
        ],
      },
      { type: 'rule', title: 'My intention', lines: 2, weight: 1 },
      {
        type: 'table',
        title: 'Poses',
        columns: [
          { label: 'Pose', width: 2 },
          { label: 'Breaths', width: 0.8 },
          { label: 'What I felt', width: 2.4 },
        ],
        lines: 5,
        weight: 3,
      },
      { type: 'rule', title: 'What I take with me', lines: 3, weight: 2 },
    ],
  },
  'body-measurements': {
    name: 'Body measurements',
    family: 'Health',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Body measurements' },
      {
        type: 'columns',
        weight: 3,
        of: [
          { type: 'figure', figure: 'body', least: 22, width: 1.2 },
          {
            type: 'stack',
            of: [
              { type: 'group', title: 'My goal', of: [{ type: 'rule', lines: 3, weight: 1 }] },
              {
                type: 'group',
                title: 'How I measure',
                of: [
                  {
                    type: 'fields',
                    rows: [[{ label: 'Time of day' }], [{ label: 'Units', options: ['cm', 'in'] }]],
                  },
                ],
              },
            ],
          },
        ],
      },
      {
        type: 'table',
        columns: [1, 2, 3, 4, 5].map((n) => ({ label: n === 1 ? 'Start' : `Date ${n}` })),
        rows: [
          'A  Neck',
          'B  Shoulders',
          'C  Chest',
          'D  Upper arm',
          'E  Waist',
          'F  Wrist',
          'G  Thigh',
          'H  Calf',
          'Weight',
        ],
        rowsLabel: 'Place',
        rowsWidth: 1.8,
      },
      { type: 'rule', title: 'Energy, sleep, strength', lines: 2, rank: 2, weight: 0.5 },
    ],
  },
  weight: {
    name: 'Weight',
    family: 'Health',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Weight', fields: [{ label: 'Month' }, { label: 'Goal', width: 0.8 }] },
      {
        type: 'chart',
        remark: 'mark each week',
        across: Array.from({ length: 15 }, (_, i) => String(2 * i + 1)),
        up: ['', '', '', '', '', '', '', '', '', ''],
        weight: 2,
      },
      {
        type: 'table',
        columns: [
          { label: 'Day', width: 0.7 },
          { label: 'Weight' },
          { label: 'Change' },
          { label: 'Waist' },
          { label: 'What helped', width: 2.2 },
        ],
        lines: 8,
        weight: 4,
        strong: 7,
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Proud of', lines: 2 },
          { type: 'rule', title: 'Next month', lines: 2 },
        ],
        weight: 0.5,
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
