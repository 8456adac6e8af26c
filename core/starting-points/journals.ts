import { designed, filling, front, PALETTES, type StartingPoint } from './starting-point.ts';

const family = 'Journals';

const WEEKLY_QUESTIONS = [
  'What did this week teach me?',
  'What would I do again?',
  'Whom did I make time for?',
  'What am I putting off, and why?',
  'Where did I feel most like myself?',
  'What small thing made a day better?',
  'What do I know now that I did not know a year ago?',
  'What am I looking forward to?',
  'Which habit is worth its trouble?',
  'What did I leave unsaid?',
  'What would I tell a friend in my place?',
  'What can wait until next year?',
  'What made me laugh?',
];

export const journals: StartingPoint[] = [
  {
    id: 'lined-journal',
    family,
    about: 'College-ruled pages with a line for the date',
    book: () => ({
      title: 'The Lined Journal',
      subtitle: 'Pages for whatever comes',
      trim: ['6in', '9in'],
      palette: PALETTES.ink,
      motif: 'leaves',
      sections: [
        ...front('sprigs', 'bookplate'),
        filling('ruled', 120, { ruling: 'college', heading: 'date' }, { starts: 'right' }),
      ],
      blurb:
        'One hundred and twenty pages with quiet lines and a place for the date: for mornings, for journeys, for everything in between.',
      keywords: ['lined journal', 'college ruled notebook', 'writing journal'],
    }),
  },
  {
    id: 'dotted-journal',
    family,
    about: 'Dot grid with an index and numbered pages',
    book: () => ({
      title: 'The Dotted Journal',
      subtitle: 'Dot grid, numbered pages, an index',
      trim: ['5.5in', '8.5in'],
      palette: PALETTES.slate,
      motif: 'hexagons',
      sections: [
        ...front('plain', 'corners'),
        { id: 'index', kind: 'index', pages: 4, options: { columns: '1' } },
        filling('dot-grid', 160, { spacing: '5mm' }),
      ],
      blurb:
        'Dots five millimeters apart, so light that they vanish under a pen, with four pages of index and a number on every page.',
      keywords: ['dot grid journal', 'dotted notebook', 'numbered page notebook'],
    }),
  },
  {
    id: 'gratitude-journal',
    family,
    about: 'A page a day, morning and evening',
    book: () => ({
      title: 'Good Things, Day by Day',
      subtitle: 'A gratitude journal for morning and evening',
      trim: ['6in', '9in'],
      palette: PALETTES.plum,
      motif: 'leaves',
      sections: [
        ...front('rounded', 'rounded'),
        {
          id: 'how',
          kind: 'text-page',
          options: {
            what: 'how-to',
            text: 'Keep this book beside your bed, with a pencil.\n\n# In the morning\nWrite three things that you are glad of. Small ones count: the light on the wall, the first cup, nobody calling. Then one line about what would make today good.\n\n# In the evening\nMark how the day was. Write what was best in it, whom you would like to thank, and what you can let go of before you sleep.\n\n# If you miss a day\nTurn the page and go on. The dates are yours to write, so nothing is lost.',
          },
        },
        designed('gratitude-morning', 120),
        { id: 'thanks', kind: 'text-page', options: { what: 'thanks' } },
      ],
      blurb: 'Three lines in the morning, three in the evening: a small habit that changes what you notice.',
      keywords: ['gratitude journal', 'five minute journal pages', 'morning and evening journal'],
    }),
  },
  {
    id: 'reflection-journal',
    family,
    about: 'A question a week, and room to answer it',
    book: () => ({
      title: 'A Question a Week',
      subtitle: 'A journal for looking back and ahead',
      trim: ['6in', '9in'],
      palette: PALETTES.lake,
      motif: 'shells',
      sections: [
        ...front('band', 'sprigs'),
        {
          id: 'weeks',
          group: {
            rounds: 52,
            members: [
              {
                id: 'question',
                kind: 'composed',
                options: { design: 'reflection', varied: WEEKLY_QUESTIONS.join('\n') },
              },
              { id: 'answer', kind: 'ruled', options: { ruling: 'college' } },
            ],
          },
          fillTo: 110,
          starts: 'right',
        },
      ],
      blurb:
        'A question for every week, a page to think it over and a page to write: one year, at your own pace.',
      keywords: ['reflection journal', 'weekly journal prompts', 'self reflection notebook'],
    }),
  },
  {
    id: 'dream-journal',
    family,
    about: 'Dreams, their places and people, and how the night was',
    book: () => ({
      title: 'The Dream Journal',
      subtitle: 'Caught before breakfast',
      trim: ['6in', '9in'],
      palette: PALETTES.plum,
      motif: 'stars',
      sections: [...front('notched', 'notched'), designed('dreams', 120)],
      blurb:
        'Who was there, where it was, what it felt like: a page for every dream that you can still catch.',
      keywords: ['dream journal', 'dream diary', 'dream log book'],
    }),
  },
  {
    id: 'verse-journal',
    family,
    about: 'Study of a verse a page: what it says, what it asks, a prayer',
    book: () => ({
      title: 'Verse by Verse',
      subtitle: 'A journal for reading slowly',
      trim: ['6in', '9in'],
      palette: PALETTES.moss,
      motif: 'leaves',
      sections: [...front('sprigs', 'wreath'), designed('scripture', 120)],
      blurb: 'Write the verse, look at it closely, and take one thing along into the day.',
      keywords: ['scripture study journal', 'verse journal', 'devotional notebook'],
    }),
  },
  {
    id: 'ninety-days',
    family,
    about: 'A goal in ninety days, with habits for each month',
    book: () => ({
      title: 'Ninety Days',
      subtitle: 'One goal, a page a day',
      trim: ['6in', '9in'],
      palette: PALETTES.brick,
      motif: 'stars',
      sections: [
        ...front('left', 'stamp'),
        { id: 'goals', kind: 'composed', pages: 2, starts: 'right', options: { design: 'goals-quarter' } },
        { id: 'habits', kind: 'composed', pages: 3, options: { design: 'habits-month' } },
        { id: 'days', kind: 'composed', pages: 90, options: { design: 'ninety-days' } },
        filling('ruled', 108, { ruling: 'college', heading: 'subject', label: 'Notes' }),
      ],
      blurb: 'Say what you want, then keep at it for ninety pages. Habits and notes included.',
      keywords: ['goal journal', '90 day planner', 'habit tracker journal'],
    }),
  },
  {
    id: 'mood-journal',
    family,
    about: 'How the day was, what helped, and how much you drank',
    book: () => ({
      title: 'How Was Today?',
      subtitle: 'A journal of moods, sleep and small steps',
      trim: ['6in', '9in'],
      palette: PALETTES.lake,
      motif: 'shells',
      sections: [
        ...front('rounded', 'rounded'),
        {
          id: 'weeks',
          group: {
            rounds: 14,
            members: [
              { id: 'sleep', kind: 'composed', options: { design: 'sleep' } },
              { id: 'day', kind: 'composed', options: { design: 'mood-day' }, times: 7 },
            ],
          },
          fillTo: 116,
          starts: 'right',
        },
      ],
      blurb: 'A page a day for moods and what moved them, and a page a week for sleep.',
      keywords: ['mood journal', 'mental health journal', 'sleep and mood tracker'],
    }),
  },
];
