import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };

export const work = {
  'lesson-plan': {
    name: 'Lesson plan',
    family: 'Days and work',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Lesson plan', fields: [DATE, { label: 'Class' }] },
      { type: 'fields', rows: [[{ label: 'Subject' }, { label: 'Topic', width: 1.6 }]] },
      { type: 'rule', title: 'By the end they can', lines: 2, weight: 0.6 },
      {
        type: 'table',
        columns: [
          { label: 'Time', kind: 'time', width: 0.8 },
          { label: 'What happens', width: 3 },
          { label: 'Form', width: 0.9 },
          { label: 'Material', width: 1.6 },
        ],
        lines: 7,
        weight: 3,
      },
      {
        type: 'columns',
        of: [
          { type: 'checks', title: 'Prepare', lines: 3 },
          { type: 'rule', title: 'Homework', lines: 3 },
        ],
      },
      { type: 'rule', title: 'Looking back', lines: 2, weight: 1, rank: 1 },
    ],
  },
  meeting: {
    name: 'Meeting',
    family: 'Days and work',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Meeting', fields: [DATE, { label: 'Time', width: 0.7 }] },
      {
        type: 'fields',
        rows: [[{ label: 'Subject' }], [{ label: 'Present', width: 1.6 }, { label: 'Place' }]],
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Agenda', before: 'number', lines: 4, most: 6 },
          { type: 'rule', title: 'Decided', lines: 4, most: 6 },
        ],
        weight: 0.6,
      },
      { type: 'rule', title: 'Notes', lines: 5, weight: 3 },
      {
        type: 'table',
        columns: [
          { label: 'To do', width: 3 },
          { label: 'Who' },
          { label: 'By' },
          { label: 'Done', kind: 'check', width: 0.6 },
        ],
        lines: 3,
        most: 6,
        weight: 0.6,
      },
    ],
  },
  project: {
    name: 'Project',
    family: 'Days and work',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Project', fields: [{ label: 'Begun' }, { label: 'Due' }] },
      { type: 'fields', rows: [[{ label: 'Name' }], [{ label: 'Done looks like' }]] },
      { type: 'progress', label: 'Milestones', cells: 5, stations: true },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'checks', title: 'Tasks', lines: 7, width: 1.7 },
          {
            type: 'stack',
            of: [
              { type: 'rule', title: 'People', lines: 2 },
              {
                type: 'table',
                title: 'Costs',
                columns: [
                  { label: 'For', width: 1.6 },
                  { label: 'Amount', kind: 'money' },
                ],
                lines: 3,
              },
            ],
          },
        ],
      },
      { type: 'box', title: 'Sketches and thoughts', inside: 'dots', least: 7, weight: 2 },
      { type: 'progress', label: 'Progress', cells: 20 },
    ],
  },
  upkeep: {
    name: 'Upkeep of a house or vehicle',
    family: 'Home',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Upkeep', fields: [{ label: 'Of', width: 1.4 }] },
      {
        type: 'cells',
        rows: [
          [{ label: 'Maker and model', width: 1.6 }, { label: 'Year' }, { label: 'Number' }],
          [{ label: 'Service by', width: 1.6 }, { label: 'Phone' }, { label: 'Warranty until' }],
        ],
      },
      {
        type: 'table',
        columns: [
          { label: 'Date', width: 0.8 },
          { label: 'What was done', width: 2.6 },
          { label: 'By whom', width: 1.2 },
          { label: 'Reading', width: 1 },
          { label: 'Cost', kind: 'money' },
          { label: 'Next', width: 0.9 },
        ],
        lines: 9,
        weight: 3,
        strong: 5,
      },
      {
        type: 'columns',
        of: [
          { type: 'checks', title: 'Each spring', lines: 3 },
          { type: 'checks', title: 'Each fall', lines: 3 },
        ],
      },
      { type: 'rule', title: 'To watch', lines: 2, weight: 0.5, rank: 1 },
    ],
  },
  guests: {
    name: 'Guest list',
    family: 'Home',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'Guests', icon: 'heart', fields: [{ label: 'Event', width: 1.3 }] },
      {
        type: 'table',
        columns: [
          { label: 'Name', width: 2.4 },
          { label: 'No.', width: 0.6 },
          { label: 'Asked', kind: 'check', width: 0.7 },
          { label: 'Coming', kind: 'check', width: 0.8 },
          { label: 'Eats', width: 1.2 },
          { label: 'Gift', width: 1.4 },
          { label: 'Thanked', kind: 'check', width: 0.9 },
        ],
        lines: 14,
        weight: 1,
      },
      { type: 'fields', rows: [[{ label: 'Asked' }, { label: 'Coming' }, { label: 'Children' }]] },
    ],
  },
  event: {
    name: 'Event plan',
    family: 'Home',
    look: 'soft',
    blocks: [
      { type: 'head', title: 'The day', icon: 'star', fields: [DATE] },
      {
        type: 'cells',
        rows: [[{ label: 'Occasion', width: 1.6 }, { label: 'Place', width: 1.6 }, { label: 'Budget' }]],
      },
      {
        type: 'columns',
        weight: 2,
        of: [
          {
            type: 'table',
            title: 'Running order',
            columns: [
              { label: 'Time', kind: 'time', width: 0.8 },
              { label: 'What', width: 2.4 },
            ],
            lines: 7,
            width: 1.3,
          },
          {
            type: 'stack',
            of: [
              { type: 'checks', title: 'To book', lines: 3 },
              { type: 'checks', title: 'To buy', lines: 3 },
            ],
          },
        ],
      },
      {
        type: 'table',
        title: 'Costs',
        columns: [
          { label: 'For', width: 2.2 },
          { label: 'Planned', kind: 'money' },
          { label: 'Paid', kind: 'money' },
          { label: 'Phone', width: 1.4 },
        ],
        lines: 4,
        weight: 1,
      },
      {
        type: 'columns',
        of: [
          { type: 'rule', title: 'Menu', lines: 3 },
          { type: 'rule', title: 'Music', lines: 3 },
        ],
        weight: 0.6,
        rank: 1,
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
