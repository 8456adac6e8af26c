import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
const MONTHS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];

export const mind = {
  'gratitude-morning': {
    name: 'Gratitude, morning and evening',
    family: 'Journals',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Good things', icon: 'heart', fields: [DATE] },
      {
        type: 'group',
        title: 'This morning',
        icon: 'sun',
        weight: 3,
        of: [
          { type: 'rule', before: 'number', lines: 3, most: 3, weight: 0 },
          { type: 'rule', lead: 'Today would be good if', lines: 2 },
        ],
      },
      {
        type: 'columns',
        of: [
          { type: 'icons', label: 'Mood', icon: 'faces' },
          { type: 'icons', label: 'Water', icon: 'drop', count: 6 },
        ],
      },
      {
        type: 'group',
        title: 'This evening',
        icon: 'moon',
        weight: 3,
        of: [
          { type: 'rule', lead: 'The best part', lines: 2 },
          { type: 'rule', lead: 'Someone I thank', lines: 2 },
          { type: 'rule', lead: 'I let go of', lines: 1, rank: 1 },
        ],
      },
      { type: 'quotation', text: 'What went right is worth a line.' },
    ],
  },
  'gratitude-three': {
    name: 'Gratitude, three things',
    family: 'Journals',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'Today I am grateful', fields: [DATE, { label: 'Mood', icon: 'faces' }] },
      { type: 'rule', title: 'Three good things', before: 'number', lines: 3, most: 6, weight: 3 },
      { type: 'rule', title: 'Someone who made the day lighter', lines: 2, weight: 2 },
      { type: 'rule', title: 'A small thing I would have missed', lines: 2, weight: 2 },
      {
        type: 'quotation',
        text: 'Count your garden by the flowers, never by the leaves that fall.',
        by: 'Old saying',
      },
    ],
  },
  reflection: {
    name: 'Guided reflection',
    family: 'Journals',
    look: 'botanical',
    blocks: [
      {
        type: 'columns',
        of: [
          { type: 'space', units: 2, width: 1.6, weight: 0 },
          { type: 'fields', rows: [[DATE]] },
        ],
      },
      {
        type: 'prompt',
        text: 'What did you once worry about that no longer matters, and what took its place?',
      },
      { type: 'rule', lines: 8, weight: 4 },
      { type: 'box', title: 'In one sentence', least: 4, weight: 0.6 },
    ],
  },
  scripture: {
    name: 'Verse study',
    family: 'Journals',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'Verse of the day', fields: [DATE, { label: 'Passage', width: 1.6 }] },
      { type: 'rule', title: 'The verse, in my hand', lines: 4, weight: 2 },
      {
        type: 'columns',
        weight: 3,
        of: [
          { type: 'rule', title: 'What it says', lines: 4 },
          { type: 'rule', title: 'What it asks of me', lines: 4 },
        ],
      },
      { type: 'rule', title: 'Prayer', lines: 3, weight: 2 },
      { type: 'checks', title: 'This week', lines: 2, columns: 2, rank: 1 },
    ],
  },
  dreams: {
    name: 'Dreams',
    family: 'Journals',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'I dreamed', icon: 'moon', fields: [DATE, { label: 'Woke', width: 0.8 }] },
      { type: 'rule', lines: 6, weight: 4 },
      { type: 'box', title: 'A picture of it', least: 8, weight: 3 },
      { type: 'fields', rows: [[{ label: 'It was', options: ['clear', 'hazy', 'again', 'awake in it'] }]] },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'People and places', lines: 2 },
          { type: 'rule', title: 'What it may mean', lines: 2 },
        ],
        weight: 1,
      },
      { type: 'icons', label: 'I woke up', icon: 'faces' },
    ],
  },
  'goals-quarter': {
    name: 'Goals of a quarter',
    family: 'Goals and habits',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'This quarter', fields: [{ label: 'From' }, { label: 'To' }] },
      { type: 'rule', title: 'What I want to be true at the end', lines: 2, weight: 1 },
      {
        type: 'table',
        columns: [
          { label: 'Goal', width: 2.4 },
          { label: 'Why', width: 2 },
          { label: 'First step', width: 2 },
        ],
        lines: 3,
        weight: 2,
      },
      { type: 'progress', label: 'Steps', cells: 6, stations: true },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'checks', title: 'Month 1', lines: 4 },
          { type: 'checks', title: 'Month 2', lines: 4 },
          { type: 'checks', title: 'Month 3', lines: 4 },
        ],
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'What may hold me up', lines: 2 },
          { type: 'rule', title: 'Who can help', lines: 2 },
        ],
        weight: 1,
      },
    ],
  },
  'ninety-days': {
    name: 'Ninety days',
    family: 'Goals and habits',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Ninety days', icon: 'star', fields: [{ label: 'From' }] },
      { type: 'group', title: 'My one goal', of: [{ type: 'rule', lines: 2, weight: 0 }] },
      {
        type: 'grid',
        rows: ['1', '11', '21', '31', '41', '51', '61', '71', '81'],
        columns: Array.from({ length: 10 }, (_, i) => `+${i}`),
        marks: 'rings',
        rowsWidth: 9,
        title: 'Mark each day',
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'After 30 days', lines: 2 },
          { type: 'rule', title: 'After 60 days', lines: 2 },
        ],
        weight: 1,
        rank: 2,
      },
      { type: 'rule', title: 'When I am there', lines: 2, weight: 1, rank: 1 },
    ],
  },
  'habits-month': {
    name: 'Habits of a month',
    family: 'Goals and habits',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Habits', icon: 'star', fields: [{ label: 'Month' }] },
      { type: 'habits', habits: 10, days: 31, weight: 1 },
    ],
  },
  'habits-year': {
    name: 'A year of moods',
    family: 'Goals and habits',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'A year of moods', icon: 'face', fields: [{ label: 'Year' }] },
      {
        type: 'columns',
        weight: 1,
        of: [
          {
            type: 'grid',
            rows: Array.from({ length: 31 }, (_, i) => String(i + 1)),
            columns: MONTHS,
            marks: 'cells',
            rowsWidth: 8,
            width: 3,
          },
          {
            type: 'stack',
            width: 1.15,
            of: [
              { type: 'checks', title: 'My key', items: ['wonderful', 'good', 'all right', 'low', 'hard'] },
              { type: 'rule', title: 'I noticed', lines: 4 },
            ],
          },
        ],
      },
    ],
  },
  'daily-log': {
    name: 'Day with hours',
    family: 'Days and work',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Today', fields: [DATE] },
      {
        type: 'columns',
        weight: 1,
        of: [
          { type: 'hours', from: 7, to: 21, width: 1.25 },
          {
            type: 'stack',
            of: [
              { type: 'rule', title: 'Three that matter', before: 'number', lines: 3, most: 3, weight: 0 },
              { type: 'checks', title: 'To do', lines: 4, weight: 2 },
              { type: 'box', title: 'Notes', inside: 'dots', least: 5, weight: 2 },
              { type: 'icons', label: 'Water', icon: 'drop', count: 5, rank: 1 },
            ],
          },
        ],
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
