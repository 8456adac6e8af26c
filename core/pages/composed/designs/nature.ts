import type { GivenDesign } from './given.ts';

const DATE = { label: 'Date' };
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export const nature = {
  'hive-inspection': {
    name: 'Hive inspection',
    family: 'Nature',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'Hive inspection' },
      {
        type: 'cells',
        rows: [
          [
            { label: 'Hive', width: 0.8 },
            { label: 'Date and time', width: 1.3 },
            { label: 'Weather', icon: 'weather', width: 1.3 },
            { label: 'Air', unit: '°', width: 0.6 },
          ],
          [
            { label: 'Queen seen', options: ['yes', 'no'], width: 1.1 },
            { label: 'Marked', width: 0.7 },
            { label: 'Brood', options: ['eggs', 'larvae', 'sealed'], width: 1.9 },
            { label: 'Queen cells', width: 0.8 },
          ],
        ],
      },
      {
        type: 'frames',
        title: 'Frame by frame',
        rows: ['Bees', 'Brood', 'Honey', 'Pollen'],
        count: 10,
        weight: 2,
      },
      {
        type: 'columns',
        of: [
          { type: 'scale', label: 'Temper', from: 1, to: 5, low: 'calm', high: 'cross' },
          { type: 'scale', label: 'Strength', from: 1, to: 5, low: 'weak', high: 'crowded' },
        ],
      },
      {
        type: 'columns',
        of: [
          {
            type: 'checks',
            title: 'Done today',
            columns: 2,
            items: ['Super added', 'Treated', 'Super taken off', 'Queen clipped', 'Fed', 'Swarm control'],
            width: 1.3,
          },
          {
            type: 'fields',
            rows: [
              [{ label: 'Mites counted' }],
              [{ label: 'Method' }],
              [{ label: 'Feed', unit: 'kg' }],
              [{ label: 'Supers on' }],
            ],
          },
        ],
      },
      { type: 'rule', title: 'Notes', lines: 1, weight: 2, rank: 2 },
      { type: 'fields', rows: [[{ label: 'Next visit' }, { label: 'Bring', width: 1.6 }]] },
    ],
  },
  'sky-observation': {
    name: 'Sky observation',
    family: 'Nature',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'Sky observation', fields: [{ label: 'No.' }] },
      {
        type: 'cells',
        rows: [
          [{ label: 'Object' }, { label: 'Constellation' }],
          [{ label: 'Date' }, { label: 'Time' }, { label: 'Place', width: 1.6 }],
          [{ label: 'Instrument', width: 1.6 }, { label: 'Eyepiece' }, { label: 'Power' }],
        ],
      },
      {
        type: 'columns',
        weight: 4,
        of: [
          { type: 'figure', figure: 'field', caption: 'Mark north and east', least: 18, width: 2 },
          {
            type: 'stack',
            of: [
              {
                type: 'checks',
                title: 'Seeing',
                items: ['I  perfect', 'II  slight', 'III  fair', 'IV  poor', 'V  boiling'],
              },
              { type: 'icons', icon: 'phases', label: '' },
              { type: 'fields', rows: [[{ label: 'Phase' }], [{ label: 'Faintest star' }]] },
            ],
          },
        ],
      },
      { type: 'rule', title: 'What I saw', lines: 3, weight: 2 },
      {
        type: 'fields',
        rows: [
          [
            { label: 'See again', options: ['yes', 'no'] },
            { label: 'Rating', icon: 'star', width: 1.4 },
          ],
        ],
      },
    ],
  },
  'tide-pool': {
    name: 'Tide pool list',
    family: 'Nature',
    look: 'botanical',
    blocks: [
      {
        type: 'head',
        title: 'At the tide pool',
        fields: [{ label: 'Shore', width: 1.4 }, DATE, { label: 'Low water' }],
      },
      {
        type: 'fields',
        rows: [
          [
            { label: 'Weather', icon: 'weather' },
            { label: 'Water', unit: '°' },
            { label: 'Rock', options: ['bare', 'weed', 'sand'], width: 1.6 },
          ],
        ],
      },
      {
        type: 'table',
        columns: [
          { label: 'What I found', width: 2.4 },
          { label: 'Number', width: 0.8 },
          { label: 'Where', width: 1.4 },
          { label: 'New', kind: 'check', width: 0.6 },
          { label: 'What it did', width: 2 },
        ],
        lines: 7,
        weight: 4,
      },
      {
        type: 'columns',
        weight: 3,
        of: [
          { type: 'picture', caption: 'drawn here', corners: false, least: 9, width: 1.3 },
          { type: 'rule', title: 'To look up', lines: 3 },
        ],
      },
      { type: 'note', text: 'Put every stone back as it lay.' },
    ],
  },
  'bird-list': {
    name: 'Birds seen',
    family: 'Nature',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'Birds seen' },
      {
        type: 'fields',
        rows: [
          [DATE, { label: 'Place', width: 1.6 }],
          [{ label: 'From' }, { label: 'to' }, { label: 'Sky', icon: 'weather', width: 1.6 }],
          [{ label: 'Wind' }, { label: 'Habitat', width: 1.4 }, { label: 'With' }],
        ],
      },
      {
        type: 'table',
        columns: [
          { label: 'Species', width: 2.4 },
          { label: 'Number' },
          { label: 'Seen', kind: 'check', width: 0.7 },
          { label: 'Heard', kind: 'check', width: 0.7 },
          { label: 'What it did', width: 2.2 },
        ],
        lines: 8,
        weight: 4,
      },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'picture', caption: 'sketch: beak, wing, tail', corners: false, least: 8 },
          { type: 'rule', title: 'One to remember', lines: 3 },
        ],
      },
    ],
  },
  fishing: {
    name: 'Fishing',
    family: 'Nature',
    look: 'almanac',
    blocks: [
      { type: 'head', title: 'At the water', fields: [DATE] },
      {
        type: 'cells',
        rows: [
          [{ label: 'Water', width: 1.6 }, { label: 'Place' }, { label: 'With' }],
          [{ label: 'From' }, { label: 'To' }, { label: 'Air', unit: '°' }, { label: 'Water', unit: '°' }],
          [{ label: 'Weather', icon: 'weather' }, { label: 'Wind' }, { label: 'Moon or tide' }],
        ],
      },
      {
        type: 'table',
        title: 'Catch',
        columns: [
          { label: 'Fish', width: 1.8 },
          { label: 'Time', kind: 'time' },
          { label: 'Length' },
          { label: 'Weight' },
          { label: 'Bait or fly', width: 1.8 },
          { label: 'Back', kind: 'check', width: 0.7 },
        ],
        lines: 5,
        weight: 3,
      },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'picture', caption: 'map or photograph', least: 9 },
          { type: 'rule', title: 'What worked', lines: 4 },
        ],
      },
      { type: 'rule', title: 'Next time', lines: 1, rank: 1, weight: 1 },
    ],
  },
  'garden-plan': {
    name: 'Garden plan',
    family: 'Nature',
    look: 'botanical',
    blocks: [
      {
        type: 'head',
        title: 'My garden plan',
        fields: [{ label: 'Year' }, { label: 'Bed' }, { label: 'Soil' }],
      },
      { type: 'box', inside: 'dots', least: 16, weight: 4 },
      {
        type: 'table',
        title: 'What goes where',
        columns: [
          { label: 'Plant', width: 2 },
          { label: 'Number' },
          { label: 'Spacing' },
          { label: 'Sow' },
          { label: 'Plant out' },
          { label: 'Harvest' },
        ],
        lines: 4,
        weight: 2,
      },
      { type: 'checks', title: 'To get', lines: 2, columns: 2, weight: 1 },
    ],
  },
  'garden-log': {
    name: 'Plant record',
    family: 'Nature',
    look: 'botanical',
    blocks: [
      { type: 'head', title: 'Plant record' },
      {
        type: 'fields',
        rows: [
          [
            { label: 'Plant', width: 1.6 },
            { label: 'Light', icon: 'sun', count: 3 },
          ],
          [
            { label: 'Variety', width: 1.6 },
            { label: 'Water', icon: 'drop', count: 3 },
          ],
          [{ label: 'From' }, { label: 'Bed' }, { label: 'Spacing' }],
        ],
      },
      {
        type: 'grid',
        rows: ['Sow', 'Plant out', 'Flower', 'Gather'],
        columns: MONTHS,
        marks: 'rings',
        rowsWidth: 17,
      },
      {
        type: 'columns',
        weight: 2,
        of: [
          { type: 'picture', caption: 'label, packet or pressed leaf', corners: false, least: 8 },
          { type: 'rule', title: 'Care', lines: 3 },
        ],
      },
      {
        type: 'table',
        columns: [
          { label: 'Date', width: 0.8 },
          { label: 'What I did, what I saw', width: 3 },
          { label: 'Yield', width: 0.8 },
        ],
        lines: 4,
        weight: 3,
      },
      {
        type: 'fields',
        rows: [
          [
            { label: 'Grow again', options: ['yes', 'no', 'elsewhere'], width: 1.5 },
            { label: 'Taste', icon: 'heart' },
          ],
        ],
        rank: 1,
      },
    ],
  },
} as const satisfies Record<string, GivenDesign>;
