import { filling, front, PALETTES, type StartingPoint } from './starting-point.ts';

const family = 'Papers and workbooks';

export const papers: StartingPoint[] = [
  {
    id: 'music-paper',
    family,
    about: 'Twelve staves without clefs',
    book: () => ({
      title: 'Twelve Staves',
      subtitle: 'Music paper, ruled and numbered',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.ink,
      motif: 'stars',
      sections: [
        ...front('corners', 'corners'),
        { id: 'contents', kind: 'index', pages: 2, options: { title: 'Contents', columns: '1' } },
        filling('music', 110, { clef: 'none', staves: 12 }, { starts: 'right' }),
      ],
      blurb:
        'Twelve even staves on every page, a contents list to fill in, and page numbers to find the tune again.',
      keywords: ['music manuscript paper', 'blank sheet music', 'staff paper notebook'],
    }),
  },
  {
    id: 'piano-manuscript',
    family,
    about: 'Grand staves for two hands, with room for titles',
    book: () => ({
      title: 'For Two Hands',
      subtitle: 'Manuscript paper with grand staves',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.slate,
      motif: 'shells',
      sections: [
        ...front('plain', 'bookplate'),
        filling('music', 110, { clef: 'grand', staves: 10, heading: 'title' }, { starts: 'right' }),
      ],
      blurb: 'Five grand staves on every page, joined by their brace, with a line for the title.',
      keywords: ['piano manuscript paper', 'grand staff notebook', 'music composition book'],
    }),
  },
  {
    id: 'guitar-songbook',
    family,
    about: 'Tablature with chord boxes and lines for words',
    book: () => ({
      title: 'Songs for Six Strings',
      subtitle: 'Tablature, chords and words',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.brick,
      motif: 'leaves',
      sections: [
        ...front('left', 'stamp'),
        filling(
          'music',
          110,
          { clef: 'guitar-tab', staves: 6, chords: 'guitar', bars: 4, lyrics: true, heading: 'title' },
          { starts: 'right' },
        ),
      ],
      blurb:
        'Six lines for six strings, boxes for the chords above them, lines for the words below, and a title for every song.',
      keywords: ['guitar tab notebook', 'blank guitar tablature', 'songwriting journal'],
    }),
  },
  {
    id: 'handwriting-workbook',
    family,
    about: 'The alphabet to trace, then lines to write on',
    book: () => ({
      title: 'My First Letters',
      subtitle: 'Trace, then write',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.lake,
      motif: 'stars',
      numbering: { form: '1', place: 'center' },
      sections: [
        ...front('rounded', 'portrait'),
        { id: 'letters', kind: 'tracing', starts: 'right', options: { what: 'letters', letters: 'both' } },
        { id: 'numbers', kind: 'tracing', options: { what: 'numbers', from: 0, to: 20 } },
        filling('handwriting', 80, { height: '3/4in', picture: 'third' }),
        { id: 'done', kind: 'certificate', options: { done: 'can write all letters from A to Z' } },
      ],
      blurb:
        'Twenty-six letters and the first numbers to trace with a finger, a crayon, a pencil; then pages to draw and write.',
      keywords: ['letter tracing book', 'handwriting practice for kids', 'alphabet workbook'],
    }),
  },
  {
    id: 'calligraphy-pad',
    family,
    about: 'Guide lines for a broad nib, with slant',
    book: () => ({
      title: 'Thick and Thin',
      subtitle: 'Practice paper for a broad nib',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.plum,
      motif: 'leaves',
      sections: [
        ...front('sprigs', 'sprigs'),
        {
          id: 'upright',
          kind: 'calligraphy',
          pages: 40,
          starts: 'right',
          options: { nib: 3, slant: 5, guides: 8 },
        },
        filling('calligraphy', 100, { nib: 2, slant: 35, guides: 12 }),
      ],
      blurb: 'Heights counted in widths of the nib, slanted guides, and lines that keep out of the way.',
      keywords: ['calligraphy practice paper', 'hand lettering pad', 'calligraphy guide sheets'],
    }),
  },
  {
    id: 'graph-notebook',
    family,
    about: 'Squares of five millimeters, heavier every fifth',
    book: () => ({
      title: 'The Squared Notebook',
      subtitle: 'Five millimeters, heavier every fifth',
      trim: ['7.5in', '9.25in'],
      paper: 'white',
      palette: PALETTES.slate,
      motif: 'hexagons',
      sections: [
        ...front('plain', 'framed'),
        filling('graph', 120, { grid: 'square', cell: '5mm', heavyEvery: '5' }, { starts: 'right' }),
      ],
      blurb: 'Whole squares to the margins on every page, for sums, plans and patterns.',
      keywords: ['graph paper notebook', 'squared paper', 'grid notebook 5 mm'],
    }),
  },
  {
    id: 'study-notes',
    family,
    about: 'Notes with a column for cues and a summary',
    book: () => ({
      title: 'Study Notes',
      subtitle: 'Cues, notes and a summary on every page',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.moss,
      motif: 'hexagons',
      sections: [
        ...front('band', 'stamp'),
        { id: 'index', kind: 'index', pages: 2, starts: 'right' },
        filling('cornell', 120, { heading: 'subject and date', labels: true }),
      ],
      blurb: 'A column for the questions, room for the answers, and a line at the foot that says it all.',
      keywords: ['cornell notes notebook', 'study notebook', 'college note taking'],
    }),
  },
  {
    id: 'comic-book',
    family,
    about: 'Empty panels in changing arrangements',
    book: () => ({
      title: 'Draw Your Own Comic',
      subtitle: 'Panels in every arrangement',
      trim: ['8.5in', '11in'],
      paper: 'white',
      palette: PALETTES.brick,
      motif: 'stars',
      sections: [
        ...front('left', 'portrait'),
        {
          id: 'plan',
          kind: 'sketch',
          pages: 8,
          starts: 'right',
          options: { frames: 6, columns: 2, caption: 'below' },
        },
        filling('comic', 110, { arrangement: 'varied' }),
      ],
      blurb:
        'Pages to plan the story, then a hundred pages of panels in every arrangement: strips, grids, towers, and scenes that fill the page.',
      keywords: ['blank comic book', 'comic panels for kids', 'draw your own comic'],
    }),
  },
];
