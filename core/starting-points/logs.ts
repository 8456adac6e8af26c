import { designed, front, PALETTES, type StartingPoint } from './starting-point.ts';

const family = 'Logs and trackers';
const health = 'Health';

const log = (
  id: string,
  design: string,
  pages: number,
  said: {
    family?: string;
    about: string;
    title: string;
    subtitle: string;
    blurb: string;
    keywords: string[];
  },
  looks: {
    palette: keyof typeof PALETTES;
    motif: 'hexagons' | 'stars' | 'shells' | 'leaves';
    trim?: readonly [string, string];
    matter?: readonly [string, string];
  },
): StartingPoint => ({
  id,
  family: said.family ?? family,
  about: said.about,
  book: () => ({
    title: said.title,
    subtitle: said.subtitle,
    trim: looks.trim ?? ['6in', '9in'],
    palette: PALETTES[looks.palette],
    motif: looks.motif,
    sections: [
      ...front(...(looks.matter ?? ['frame', 'framed'])),
      designed(design, pages),
      { id: 'notes', kind: 'ruled', pages: 10, options: { ruling: 'college', heading: 'subject' } },
    ],
    blurb: said.blurb,
    keywords: said.keywords,
  }),
});

export const logs: StartingPoint[] = [
  {
    id: 'training-log',
    family,
    about: 'Five kinds of page in turn: strength, running, meals, measurements, notes',
    book: () => ({
      title: 'The Training Log',
      price: 11.99,
      subtitle: 'Strength, miles and meals',
      trim: ['6in', '9in'],
      palette: PALETTES.brick,
      motif: 'hexagons',
      sections: [
        ...front('band', 'stamp'),
        { id: 'goals', kind: 'composed', pages: 2, starts: 'right', options: { design: 'goals-quarter' } },
        {
          id: 'weeks',
          group: {
            rounds: 24,
            members: [
              { id: 'strength', kind: 'composed', options: { design: 'training-strength' }, times: 4 },
              { id: 'running', kind: 'composed', options: { design: 'training-running' }, times: 3 },
              { id: 'meals', kind: 'composed', options: { design: 'meals-week' } },
              { id: 'body', kind: 'composed', options: { design: 'body-measurements' } },
              { id: 'notes', kind: 'ruled', options: { ruling: 'college', heading: 'date' } },
            ],
          },
          fillTo: 250,
        },
      ],
      blurb:
        'Twenty-four weeks of training: four days of strength, three of running, meals, measurements and a page to think.',
      keywords: ['training log', 'workout journal', 'running and strength log'],
    }),
  },
  log(
    'reading-log',
    'reading',
    120,
    {
      about: 'A page for every book that was read',
      title: 'The Reading Log',
      subtitle: 'One hundred books, and what I thought of them',
      blurb:
        'Title, author, when and where: a page for each book, with stars to fill and lines for the sentence worth keeping.',
      keywords: ['reading log', 'book journal', 'reading tracker'],
    },
    { palette: 'ink', motif: 'leaves', matter: ['corners', 'bookplate'] },
  ),
  log(
    'film-log',
    'films',
    120,
    {
      about: 'Films that were seen, with whom and how good',
      title: 'Seen Lately',
      subtitle: 'A log of films',
      blurb: 'Who made it, whom you saw it with, and whether you would see it again.',
      keywords: ['film journal', 'movie log book', 'movie review notebook'],
    },
    { palette: 'slate', motif: 'stars', matter: ['left', 'notched'] },
  ),
  log(
    'hive-log',
    'hive-inspection',
    120,
    {
      about: 'Inspections of hives, frame by frame',
      title: 'The Hive Log',
      subtitle: 'Inspections, frame by frame',
      blurb: 'Queen seen, brood, stores, temper, weather: a page for every look into the hive.',
      keywords: ['beekeeping log book', 'hive inspection journal', 'beekeeper notebook'],
    },
    { palette: 'brick', motif: 'hexagons' },
  ),
  {
    id: 'garden-log',
    family,
    about: 'Plans of beds, then a page for each week outdoors',
    book: () => ({
      title: 'The Garden Log',
      subtitle: 'Beds, sowings and what came of them',
      trim: ['7in', '10in'],
      palette: PALETTES.moss,
      motif: 'leaves',
      sections: [
        ...front('sprigs', 'wreath'),
        { id: 'plans', kind: 'composed', pages: 8, starts: 'right', options: { design: 'garden-plan' } },
        { id: 'squares', kind: 'graph', pages: 8, options: { grid: 'square', cell: '5mm' } },
        designed('garden-log', 120),
      ],
      blurb: 'Draw the beds, note what was sown, and find out next spring what was worth it.',
      keywords: ['garden journal', 'garden planner notebook', 'vegetable garden log'],
    }),
  },
  log(
    'bird-log',
    'bird-list',
    120,
    {
      about: 'Birds by place and day',
      title: 'Birds, by Place and Day',
      subtitle: 'A log for the coat pocket',
      blurb: 'Where, when, how many, and what the weather did: lists for walks of any length.',
      keywords: ['bird watching log', 'birding journal', 'bird list notebook'],
    },
    { palette: 'moss', motif: 'leaves', trim: ['5in', '8in'], matter: ['frame', 'sprigs'] },
  ),
  log(
    'fishing-log',
    'fishing',
    120,
    {
      about: 'Water, weather, bait and catch',
      title: 'The Fishing Log',
      subtitle: 'Water, weather, bait and catch',
      blurb: 'What the water was like and what took the bait: so that the good days can be found again.',
      keywords: ['fishing log book', 'angler journal', 'fishing notebook'],
    },
    { palette: 'lake', motif: 'shells', trim: ['5.5in', '8.5in'] },
  ),
  log(
    'recipe-book',
    'recipe',
    120,
    {
      family: 'Home',
      about: 'A page a recipe, with an index to fill in',
      title: 'Our Own Recipes',
      subtitle: 'A book to write in',
      blurb: 'What it takes, how it is made, who liked it: a page for each recipe that must not be lost.',
      keywords: ['blank recipe book', 'recipe journal', 'family cookbook to write in'],
    },
    { palette: 'brick', motif: 'leaves', trim: ['7in', '10in'], matter: ['corners', 'wreath'] },
  ),
  log(
    'tasting-log',
    'tasting',
    120,
    {
      family: 'Home',
      about: 'Wine, coffee or tea, sip by sip',
      title: 'Sip by Sip',
      subtitle: 'Notes on wine, coffee and tea',
      blurb: 'Nose, body, finish, price: notes that you can trust a year later.',
      keywords: ['tasting journal', 'wine tasting log', 'coffee tasting notebook'],
    },
    { palette: 'plum', motif: 'shells', matter: ['notched', 'notched'] },
  ),
  log(
    'blood-pressure-log',
    'blood-pressure',
    110,
    {
      family: health,
      about: 'Morning and evening values, with a line for the doctor',
      title: 'Blood Pressure Log',
      subtitle: 'Morning and evening, in large rows',
      blurb: 'Clear rows for morning and evening values and pulse, and room for what the doctor should know.',
      keywords: ['blood pressure log book', 'blood pressure record', 'health log'],
    },
    { palette: 'slate', motif: 'hexagons', matter: ['plain', 'framed'] },
  ),
  log(
    'medication-log',
    'medication',
    110,
    {
      family: health,
      about: 'What was taken and when, week by week',
      title: 'Medication Log',
      subtitle: 'What was taken, and when',
      blurb: 'A week on a page: doses to tick, side effects to note, and the numbers to call.',
      keywords: ['medication log book', 'medicine tracker', 'pill log'],
    },
    { palette: 'lake', motif: 'hexagons', matter: ['plain', 'framed'] },
  ),
  log(
    'mileage-log',
    'mileage',
    110,
    {
      family: 'Work',
      about: 'Trips by car for the tax return',
      title: 'Mileage Log',
      subtitle: 'Trips, miles and purpose',
      blurb: 'Date, from, to, odometer, purpose: everything that the tax return asks for, and nothing else.',
      keywords: ['mileage log book', 'vehicle mileage record', 'car log for taxes'],
    },
    { palette: 'slate', motif: 'hexagons', trim: ['5in', '8in'], matter: ['left', 'stamp'] },
  ),
  log(
    'visitor-book',
    'visitors',
    110,
    {
      family: 'Home',
      about: 'Names and good wishes of guests, on landscape pages',
      title: 'Welcome',
      subtitle: 'A book for our guests',
      blurb: 'Names, where they came from, and a line to remember them by.',
      keywords: ['guest book', 'visitor book', 'vacation home guest book'],
    },
    { palette: 'moss', motif: 'leaves', trim: ['8.25in', '6in'], matter: ['sprigs', 'wreath'] },
  ),
  log(
    'travel-journal',
    'travel-day',
    120,
    {
      about: 'A page for each day on the road',
      title: 'On the Road',
      subtitle: 'A travel journal, day by day',
      blurb: 'Where to, how, what it cost, and what nobody will believe at home.',
      keywords: ['travel journal', 'trip diary', 'vacation journal'],
    },
    { palette: 'lake', motif: 'shells', trim: ['5.5in', '8.5in'], matter: ['band', 'stamp'] },
  ),
];
