/** What the invented titles are made of. Weights say how often; a season is a day of the year and how much it lifts. */

export interface Topic {
  words: readonly string[];
  weight: number;
  /** Month and day of the peak, and by how many times sales rise before it. */
  season?: readonly [month: number, day: number, lift: number];
}

export interface Shelf {
  id: string;
  name: string;
  topics: readonly Topic[];
}

const topic = (words: string, weight: number, season?: Topic['season']): Topic => ({
  words: words.split('|'),
  weight,
  ...(season ? { season } : {}),
});

export const SHELVES: readonly Shelf[] = [
  {
    id: 'garden',
    name: 'Garden and hedgerow',
    topics: [
      topic('Beekeeping|Beekeeper’s|Honey Bee|Hive', 5, [5, 20, 1.5]),
      topic('Hedgerow|Garden Bird|Birdwatching', 6, [4, 20, 1]),
      topic('Gardening|Vegetable Garden|Allotment', 12, [3, 25, 2]),
      topic('Wildflower|Meadow|Botanical', 7, [4, 25, 1]),
      topic('Mushroom|Woodland|Forest', 7, [9, 25, 1]),
      topic('Butterfly|Moth', 6, [6, 1, 0.8]),
    ],
  },
  {
    id: 'animals',
    name: 'Animals',
    topics: [
      topic('Cat|Kitten', 14),
      topic('Dog|Puppy', 14),
      topic('Horse|Pony|Riding', 9),
      topic('Dinosaur|Fossil', 9, [12, 10, 1]),
      topic('Farm Animal|Hen|Goat', 6),
      topic('Owl|Fox|Badger', 6),
    ],
  },
  {
    id: 'sky-and-sea',
    name: 'Sky and sea',
    topics: [
      topic('Night Sky|Stargazing|Constellation', 5, [8, 12, 1]),
      topic('Tide Pool|Seashore|Seaside', 4, [7, 10, 1.5]),
      topic('Ocean|Whale|Dolphin', 8, [7, 1, 0.6]),
      topic('Weather|Storm|Cloud', 3),
      topic('Moon|Lunar', 6),
    ],
  },
  {
    id: 'kitchen',
    name: 'Food and kitchen',
    topics: [
      topic('Baking|Bread|Kitchen', 10, [12, 1, 0.6]),
      topic('Recipe|Family Recipe', 12, [12, 5, 0.8]),
      topic('Tea|Teatime', 5),
      topic('Coffee|Coffee Tasting', 6),
      topic('Preserving|Jam and Chutney', 3, [8, 25, 1.2]),
    ],
  },
  {
    id: 'crafts',
    name: 'Crafts',
    topics: [
      topic('Knitting|Crochet|Yarn', 10, [10, 20, 1]),
      topic('Sewing|Quilting|Patchwork', 8),
      topic('Pottery|Ceramics', 4),
      topic('Woodworking|Whittling', 5),
      topic('Watercolor|Sketching', 7),
    ],
  },
  {
    id: 'outdoors',
    name: 'Sports and outdoors',
    topics: [
      topic('Camping|Hiking|Trail', 12, [6, 15, 1.4]),
      topic('Fishing|Angling', 8, [5, 1, 1]),
      topic('Running|Marathon', 8, [1, 3, 1.5]),
      topic('Cycling|Bike Ride', 6, [5, 10, 1]),
      topic('Swimming|Wild Swimming', 4, [6, 20, 1]),
      topic('Golf|Golfing', 7, [6, 12, 1]),
    ],
  },
  {
    id: 'occasions',
    name: 'Holidays and seasons',
    topics: [
      topic('Christmas|Winter', 16, [12, 14, 9]),
      topic('Halloween|Pumpkin', 12, [10, 22, 8]),
      topic('Easter|Spring', 8, [4, 1, 6]),
      topic('Valentine|Sweetheart', 6, [2, 8, 7]),
      topic('Harvest|Autumn', 6, [10, 5, 2.5]),
      topic('Summer|Summer Holiday', 8, [6, 25, 3]),
    ],
  },
  {
    id: 'family',
    name: 'Family and friends',
    topics: [
      topic('Mother|Mum', 10, [5, 6, 4]),
      topic('Father|Dad', 9, [6, 14, 4]),
      topic('Grandma|Grandpa', 9),
      topic('Baby|Newborn', 9),
      topic('Wedding|Bride', 9, [5, 15, 1]),
      topic('Birthday|Party', 8),
    ],
  },
  {
    id: 'work',
    name: 'Work and school',
    topics: [
      topic('Nurse|Nursing', 8, [5, 8, 1.5]),
      topic('Teacher|Classroom', 9, [8, 20, 2.5]),
      topic('Office|Meeting', 8, [1, 5, 1]),
      topic('Student|College', 9, [8, 25, 2.5]),
      topic('Small Business|Bookkeeping', 8, [1, 4, 1.5]),
    ],
  },
  {
    id: 'calm',
    name: 'Health and calm',
    topics: [
      topic('Gratitude|Thankful', 12, [1, 3, 1.2]),
      topic('Mindful|Calm', 10, [1, 4, 1]),
      topic('Fitness|Workout', 10, [1, 2, 2.5]),
      topic('Blood Pressure|Blood Sugar', 8),
      topic('Sleep|Dream', 6),
      topic('Pregnancy|Mum to Be', 5),
    ],
  },
  {
    id: 'travel',
    name: 'Travel and places',
    topics: [
      topic('Travel|Road Trip', 9, [6, 10, 1.5]),
      topic('Caravan|Campervan', 5, [5, 25, 1.2]),
      topic('Castle|Old House', 4),
      topic('City|World Capital', 5),
      topic('Train|Railway', 5, [12, 8, 0.8]),
    ],
  },
  {
    id: 'arts',
    name: 'Music and arts',
    topics: [
      topic('Music|Piano|Guitar', 8),
      topic('Film|Cinema', 6),
      topic('Reading|Book Lover', 9, [12, 10, 0.8]),
      topic('Poetry|Lyric', 5),
      topic('Chess|Board Game', 4, [12, 8, 1]),
    ],
  },
  {
    id: 'wonder',
    name: 'Myth and wonder',
    topics: [
      topic('Dragon|Castle Guard', 7),
      topic('Fairy|Enchanted', 7),
      topic('Mermaid|Sea Maiden', 6, [6, 20, 0.6]),
      topic('Robot|Space Ship', 6),
      topic('Pirate|Treasure', 5),
      topic('Unicorn|Rainbow', 8),
    ],
  },
  {
    id: 'everyday',
    name: 'Everyday',
    topics: [
      topic('Large Print|Extra Large Print', 14),
      topic('Everyday|Big', 14),
      topic('Five Minute|Daily', 8),
      topic('Travel Size|Handbag', 5),
    ],
  },
];

export interface BookKind {
  id: string;
  name: string;
  titles: readonly string[];
  weight: number;
  /** Trims in inches, each as often as it is named. */
  trims: readonly (readonly [number, number])[];
  /** Fewest pages, and the spread above them. */
  pages: readonly [min: number, spread: number];
  color?: number;
  year?: boolean;
}

const LARGE = [8.5, 11] as const;
const SMALL = [6, 9] as const;

export const KINDS: readonly BookKind[] = [
  {
    id: 'word-search',
    name: 'Word searches',
    titles: ['Word Search', 'Word Search Puzzles', 'Word Hunt', 'Word Search Book'],
    weight: 22,
    trims: [SMALL, LARGE, LARGE, [8, 10]],
    pages: [70, 80],
  },
  {
    id: 'journal',
    name: 'Journals and notebooks',
    titles: ['Journal', 'Lined Journal', 'Notebook', 'Writing Journal', 'Diary'],
    weight: 24,
    trims: [SMALL, SMALL, [5.5, 8.5], [5, 8]],
    pages: [96, 50],
  },
  {
    id: 'log',
    name: 'Log books',
    titles: ['Log Book', 'Logbook', 'Record Book', 'Tracker'],
    weight: 14,
    trims: [SMALL, LARGE],
    pages: [90, 50],
  },
  {
    id: 'planner',
    name: 'Planners',
    titles: ['Planner', 'Weekly Planner', 'Planner and Organizer', 'Monthly Planner'],
    weight: 12,
    trims: [LARGE, SMALL, [7, 10]],
    pages: [100, 60],
    year: true,
  },
  {
    id: 'coloring',
    name: 'Coloring books',
    titles: ['Coloring Book', 'Coloring Pages'],
    weight: 14,
    trims: [LARGE, [8.5, 8.5]],
    pages: [50, 60],
    color: 0.04,
  },
  {
    id: 'sudoku',
    name: 'Sudoku',
    titles: ['Sudoku', 'Sudoku Puzzles', 'Sudoku Book'],
    weight: 8,
    trims: [LARGE, SMALL],
    pages: [80, 80],
  },
  {
    id: 'mazes',
    name: 'Mazes',
    titles: ['Mazes', 'Maze Book'],
    weight: 4,
    trims: [LARGE, [8, 10]],
    pages: [60, 60],
  },
  {
    id: 'crossword',
    name: 'Crosswords',
    titles: ['Crosswords', 'Crossword Puzzles'],
    weight: 5,
    trims: [LARGE, SMALL],
    pages: [80, 60],
  },
  {
    id: 'activity',
    name: 'Activity books',
    titles: ['Activity Book', 'Puzzle and Activity Book'],
    weight: 6,
    trims: [LARGE],
    pages: [60, 60],
    color: 0.12,
  },
  {
    id: 'guest',
    name: 'Guest and memory books',
    titles: ['Guest Book', 'Memory Book', 'Keepsake Book'],
    weight: 5,
    trims: [[8.25, 6], SMALL, [8.5, 8.5]],
    pages: [80, 40],
    color: 0.03,
  },
];

/** Each as often as it is named; the empty one is a title without it. */
export const AUDIENCES = [
  ...Array(9).fill(''),
  ...Array(5).fill(' for Adults'),
  ...Array(4).fill(' for Kids'),
  ' for Women',
  ' for Women',
  ' for Men',
  ' for Seniors',
  ' for Seniors',
  ' for Teens',
  ' for Beginners',
  ' for Dads',
  ' for Moms',
  ' for Grandparents',
  ' for Couples',
] as readonly string[];

export const EXTRAS = [
  ...Array(9).fill(''),
  ': 100 Pages',
  ': Large Print',
  ': Large Print',
  ': A Relaxing Gift',
  ': 120 Pages to Fill',
  ' – Volume 2',
  ': Fun and Calm',
  ': 80 Puzzles with Solutions',
  ': Pocket Edition',
  ': Easy to Hard',
] as readonly string[];

export const NUMBERS = [50, 80, 100, 101, 150, 200, 365, 500] as const;

export const FIRST_NAMES =
  'Marla Enid Osric Petra Linus Wilma Corin Thea Jory Senna Ivo Blythe Alder Maud Tobiah Una'.split(' ');
export const LAST_NAMES =
  'Quarrow Tansley Overfield Pindle Marchbank Lowther Fennimore Gossard Hathersage Brindlewood Oakshott Wintle Sedgeley'.split(
    ' ',
  );
