import type { GivenDesign } from './given.ts';

const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const SETS = ['Set 1', 'Set 2', 'Set 3', 'Set 4', 'Set 5'].map((label) => ({ label, kind: 'times' }));
const DATE = { label: 'Date' };
const NUMBER = { label: 'No.', width: 0.6 };

export const health = {
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
