import { filling, front, PALETTES, type StartingPoint } from './starting-point.ts';

const family = 'Planners';

export const planners: StartingPoint[] = [
  {
    id: 'weekly-planner',
    family,
    about: 'Twelve months, each followed by its weeks on two pages',
    book: (year) => ({
      title: `${year} Weekly Planner`,
      subtitle: 'A month at a glance, a week on two pages',
      trim: ['6in', '9in'],
      paper: 'white',
      bleed: true,
      price: 9.99,
      palette: PALETTES.ink,
      motif: 'stars',
      numbering: { form: 'none' },
      sections: [
        ...front('band', 'bookplate'),
        {
          id: 'year',
          kind: 'planner',
          options: { view: 'year', from: `${year}-01-01`, to: `${year}-12-31` },
        },
        {
          id: 'weeks',
          kind: 'planner',
          options: { view: 'week', from: `${year}-01-01`, to: `${year}-12-31`, pages: 'two', months: true },
        },
        { id: 'notes', kind: 'ruled', pages: 8, options: { ruling: 'college' } },
      ],
      blurb: `All of ${year}: the year on a page, every month before its weeks, and a week on two facing pages.`,
      keywords: [`${year} planner`, 'weekly planner', 'monthly and weekly planner'],
    }),
  },
  {
    id: 'monthly-planner',
    family,
    about: 'Twelve months on two pages each, with notes',
    book: (year) => ({
      title: `${year} Monthly Planner`,
      subtitle: 'Twelve months, two pages each',
      trim: ['8.5in', '11in'],
      paper: 'white',
      bleed: true,
      price: 9.99,
      palette: PALETTES.lake,
      motif: 'leaves',
      numbering: { form: 'none' },
      sections: [
        ...front('sprigs', 'sprigs'),
        {
          id: 'year',
          kind: 'planner',
          options: { view: 'year-glance', from: `${year}-01-01`, to: `${year}-12-31` },
        },
        {
          id: 'months',
          kind: 'planner',
          options: {
            view: 'month',
            from: `${year}-01-01`,
            to: `${year}-12-31`,
            pages: 'two',
            holidays: 'US',
          },
        },
        filling('ruled', 60, { ruling: 'college', heading: 'subject' }),
      ],
      blurb: `Large boxes for every day of ${year}, with the holidays in their places and room for notes.`,
      keywords: [`${year} monthly planner`, 'large calendar book', 'monthly calendar notebook'],
    }),
  },
  {
    id: 'school-year-planner',
    family,
    about: 'August to July, a week on two pages, with lessons',
    book: (year) => ({
      title: `School Year ${year}–${year + 1}`,
      subtitle: 'A teacher’s planner, August to July',
      trim: ['8.5in', '11in'],
      paper: 'white',
      bleed: true,
      price: 9.99,
      palette: PALETTES.brick,
      motif: 'stars',
      numbering: { form: 'none' },
      sections: [
        ...front('left', 'stamp'),
        {
          id: 'months',
          kind: 'planner',
          options: { view: 'month', from: `${year}-08-01`, to: `${year + 1}-07-31`, holidays: 'US' },
        },
        {
          id: 'weeks',
          kind: 'planner',
          options: { view: 'week', from: `${year}-08-01`, to: `${year + 1}-07-31`, pages: 'two' },
        },
        { id: 'lessons', kind: 'composed', pages: 40, options: { design: 'lesson-plan' } },
        { id: 'notes', kind: 'ruled', pages: 8, options: { ruling: 'college' } },
      ],
      blurb: 'The whole school year from August: months, weeks on two pages, and forty plans for lessons.',
      keywords: ['teacher planner', 'academic planner', 'lesson planner'],
    }),
  },
  {
    id: 'daily-planner',
    family,
    about: 'Undated days with hours, to begin at any time',
    book: () => ({
      title: 'The Undated Day',
      subtitle: 'A daily planner to begin at any time',
      trim: ['6in', '9in'],
      palette: PALETTES.moss,
      motif: 'leaves',
      numbering: { form: 'none' },
      sections: [
        ...front('frame', 'framed'),
        filling('composed', 120, { design: 'daily-log' }, { starts: 'right' }),
      ],
      blurb:
        'Hours, tasks and a line for what mattered: one hundred days without a date, so that none is wasted.',
      keywords: ['undated daily planner', 'daily planner pages', 'to do notebook'],
    }),
  },
];
