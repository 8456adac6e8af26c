import type { GivenDesign } from './given.ts';

const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const DATE = { label: 'Date' };
export const health = {
  'blood-pressure': {
    name: 'Blood pressure',
    family: 'Health',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Blood pressure', fields: [{ label: 'Week of' }] },
      { type: 'fields', rows: [[{ label: 'Medicine and dose', width: 2 }, { label: 'Goal' }]] },
      {
        type: 'table',
        columns: [
          { label: 'Time', kind: 'time' },
          { label: 'Upper' },
          { label: 'Lower' },
          { label: 'Pulse' },
          { label: 'Note', width: 1.8 },
        ],
        rows: WEEK.flatMap((day) => [`${day}, morning`, `${day}, evening`]),
        rowsLabel: 'When',
        rowsWidth: 1.7,
        strong: 2,
        foot: 'Mean of the week',
      },
      {
        type: 'fields',
        rows: [[{ label: 'Measured', options: ['sitting', 'lying', 'left arm', 'right arm'] }]],
      },
      { type: 'rule', title: 'For my doctor', lines: 1, weight: 2, rank: 1 },
    ],
  },
  'blood-sugar': {
    name: 'Blood sugar',
    family: 'Health',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Blood sugar', icon: 'drop', fields: [{ label: 'Week of' }] },
      {
        type: 'table',
        columns: ['Wake', 'Before', 'After', 'Before', 'After', 'Before', 'After', 'Night'].map((label) => ({
          label,
        })),
        rows: WEEK,
        rowsLabel: '',
        rowsWidth: 0.9,
        title: 'Readings',
        remark: 'breakfast, lunch, supper',
      },
      {
        type: 'table',
        title: 'Insulin and medicine',
        columns: [{ label: 'Morning' }, { label: 'Noon' }, { label: 'Evening' }, { label: 'Night' }],
        rows: WEEK,
        rowsWidth: 0.7,
        rank: 1,
      },
      { type: 'rule', title: 'Meals, movement, how I felt', lines: 3, weight: 2 },
      { type: 'fields', rows: [[{ label: 'Next visit' }, { label: 'Long-term value' }]] },
    ],
  },
  symptoms: {
    name: 'Symptoms',
    family: 'Health',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'How I felt', fields: [DATE] },
      {
        type: 'columns',
        of: [
          { type: 'icons', label: 'Sleep', icon: 'faces' },
          { type: 'icons', label: 'Energy', icon: 'faces' },
        ],
      },
      {
        type: 'table',
        columns: [
          { label: 'Symptom', width: 2.2 },
          { label: 'Begin', kind: 'time' },
          { label: 'End', kind: 'time' },
          { label: '0–10', width: 0.7 },
          { label: 'What helped', width: 2 },
        ],
        lines: 5,
        weight: 3,
      },
      {
        type: 'columns',
        of: [
          { type: 'figure', title: 'Where', figure: 'body', least: 20 },
          {
            type: 'stack',
            of: [
              {
                type: 'checks',
                title: 'Came before it',
                items: ['Stress', 'Little sleep', 'Weather', 'Food', 'Alcohol', 'Screens', 'Travel', 'Other'],
              },
              { type: 'rule', title: 'Medicine', lines: 2 },
            ],
          },
        ],
        weight: 2,
      },
      { type: 'rule', title: 'Remarks', lines: 2, rank: 2, weight: 1 },
    ],
  },
  medication: {
    name: 'Medicine',
    family: 'Health',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Medicine', fields: [{ label: 'Week of' }] },
      {
        type: 'table',
        columns: [
          { label: 'Medicine and dose', width: 2.6 },
          { label: 'When', width: 1.2 },
          ...WEEK.map((label) => ({ label, kind: 'check', width: 0.62 })),
        ],
        lines: 9,
        weight: 4,
        strong: 3,
      },
      {
        type: 'table',
        title: 'When needed',
        columns: [
          { label: 'Medicine', width: 2 },
          { label: 'Day' },
          { label: 'Time', kind: 'time' },
          { label: 'Why', width: 2 },
        ],
        lines: 3,
        weight: 1,
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'To ask', lines: 3 },
          { type: 'checks', title: 'To collect', lines: 3 },
        ],
        weight: 1,
      },
      { type: 'fields', rows: [[{ label: 'Pharmacy', width: 1.4 }, { label: 'Phone' }]], rank: 2 },
    ],
  },
  sleep: {
    name: 'Sleep',
    family: 'Health',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Sleep log', icon: 'moon', fields: [{ label: 'Week of' }] },
      { type: 'time-bars', title: 'Hours asleep', remark: 'shade each half hour', rows: WEEK },
      {
        type: 'table',
        columns: [
          { label: 'To bed', kind: 'time' },
          { label: 'Awake', kind: 'time' },
          { label: 'Hours' },
          { label: 'Times up' },
          { label: 'I woke up', kind: 'faces', width: 3.2 },
        ],
        rows: WEEK,
        rowsWidth: 0.9,
      },
      {
        type: 'chart',
        title: 'My week',
        remark: 'hours asleep',
        across: WEEK,
        up: ['4', '5', '6', '7', '8', '9', '10'],
        weight: 1,
        rank: 2,
      },
      { type: 'rule', title: 'What helped, what did not', lines: 1, weight: 1 },
    ],
  },
  cycle: {
    name: 'Cycle',
    family: 'Health',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'My cycle', fields: [{ label: 'Month' }, { label: 'Length', unit: 'days' }] },
      {
        type: 'grid',
        rows: ['Flow', 'Cramps', 'Head', 'Skin', 'Mood', 'Energy', 'Appetite', 'Sleep'],
        columns: Array.from({ length: 16 }, (_, i) => String(i + 1)),
        marks: 'cells',
        rowsWidth: 17,
        weight: 1,
      },
      {
        type: 'grid',
        rows: ['Flow', 'Cramps', 'Head', 'Skin', 'Mood', 'Energy', 'Appetite', 'Sleep'],
        columns: Array.from({ length: 16 }, (_, i) => (i < 15 ? String(i + 17) : '')),
        marks: 'cells',
        rowsWidth: 17,
        weight: 1,
      },
      { type: 'fields', rows: [[{ label: 'First day' }, { label: 'Next expected' }]] },
      { type: 'rule', title: 'What I noticed', lines: 3, weight: 2 },
    ],
  },
  'mood-day': {
    name: 'Mood of the day',
    family: 'Health',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'How I am', icon: 'face', fields: [DATE] },
      {
        type: 'grid',
        rows: ['Morning', 'Noon', 'Evening', 'Night'],
        columns: ['low', '', 'so-so', '', 'good'],
        marks: 'rings',
        rowsWidth: 24,
      },
      {
        type: 'checks',
        title: 'I felt',
        columns: 3,
        items: [
          'calm',
          'glad',
          'tired',
          'tense',
          'curious',
          'lonely',
          'proud',
          'angry',
          'hopeful',
          'sad',
          'grateful',
          'restless',
        ],
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'It was set off by', lines: 3 },
          { type: 'rule', title: 'It helped that', lines: 3 },
        ],
        weight: 1,
      },
      { type: 'scale', label: 'Stress', low: 'none', high: 'much', rank: 2 },
      { type: 'icons', label: 'Water', icon: 'drop', count: 8, rank: 3 },
      { type: 'rule', title: 'A kind word to myself', lines: 2, weight: 1, rank: 1 },
    ],
  },
  water: {
    name: 'Water and meals',
    family: 'Health',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'What I drank', icon: 'drop', fields: [{ label: 'Week of' }] },
      {
        type: 'grid',
        rows: WEEK,
        columns: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10'],
        marks: 'rings',
        rowsWidth: 14,
        remark: 'one for each glass',
        title: 'Glasses',
      },
      {
        type: 'table',
        columns: [
          { label: 'Other drinks', width: 2.2 },
          { label: 'Goal met', kind: 'check', width: 0.9 },
          { label: 'I felt', kind: 'faces', width: 2.4 },
        ],
        rows: WEEK,
        rowsWidth: 0.9,
      },
      { type: 'rule', title: 'What made it easier', lines: 2, weight: 1 },
    ],
  },
  teeth: {
    name: 'Tooth care',
    family: 'Children',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'My teeth', icon: 'star', fields: [{ label: 'Week of' }] },
      { type: 'figure', figure: 'teeth', caption: 'color each tooth that came out', least: 16, weight: 2 },
      {
        type: 'grid',
        title: 'Brushed',
        rows: ['Morning', 'Evening', 'Floss'],
        columns: WEEK,
        marks: 'rings',
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Lost today', lines: 2 },
          { type: 'rule', title: 'At the dentist', lines: 2 },
        ],
        weight: 1,
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
