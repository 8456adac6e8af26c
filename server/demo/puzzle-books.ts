import { parseRecipe, type Recipe } from '#core/book/recipe.ts';
import { SHOWN_CLUES } from '#core/pages/puzzle/shown-words.ts';
import { resourcesOfBank } from '../banks/ready.ts';

/** Clues of the words that fill the dense crosswords: another seed has other words. */
const DENSE_CLUES = `Alike | As two peas are
Altos | Low voices of a choir
Antelopes | They leap over the savanna
Ape | Climber without a tail
Arc | Part of a circle
Area | Length times width
Art | It hangs in a gallery
Ate | Had supper
Attempted | Had a try at
Baby | Cradle sleeper
Ballad | Song that tells a story
Boo | Word of a ghost
Brakes | They stop a bicycle
Cabinet | Cupboard for china
Canoe | Boat with a paddle
Careering | Rushing downhill
Dew | Drops on the grass at dawn
Distorter | Crooked mirror, say
Ear | Corn comes on it
Echo | Answer of a valley
Eggs | A dozen in a box
Eke | Make last, with “out”
Elk | Large deer of the north
Errs | Makes a mistake
Extol | Praise highly
Gem | Stone in a ring
Goat | Bearded eater of hedges
Ice | Cover of a winter pond
Lap | Where a cat likes to lie
Laws | They are passed, and kept
Leg | A spider has eight
Lottery | Game of numbered tickets
Metro | Trains below the town
Motto | Words under a coat of arms
Nest | Home of twigs
Odd | Like three and seven
Oxen | They pull the plow
Pea | Round, green, in a pod
Pebble | Smooth stone of the beach
Pie | Blackberries under a crust
Random | Without any order
Ratio | Two to one, for one
Reaps | Brings in the corn
Sad | Blue
See | Use the eyes
Serials | Stories in parts
She | Her, as a subject
Silo | Tower for fodder
Smile | Wordless thanks
Tenet | What one firmly believes
Top | Lid of a jar
Torso | Statue without limbs
Trait | Mark of a character
Trod | Walked on
Wee | Very small
Weep | As willows do
Yes | Word of consent
Yield | Give way`;

/** Words of the crosswords with their clues, a line for each. Made up for the demo. */
const CLUES = `${SHOWN_CLUES}
Lantern | It shows the way after dark
Hedge | A living fence
Wren | Small bird with a loud song
Acorn | An oak begins as one
Bramble | Thorns first, then jam
Badger | Striped digger of the night
Thistle | Purple, and prickly
Orchard | Rows of apple trees
Meadow | Grass that is mown for hay
Foxglove | Spotted bells, not for eating
Sparrow | Chirper under the roof
Beetle | It has a shell on its back
Willow | Tree that weeps by the water
Hazel | Its nuts fall in September
Moth | It comes to the light
Otter | Swimmer with a rudder
Fern | It uncurls in spring
Nettle | It stings, too
Robin | Red breast on the spade
Snail | Its house goes with it
Toad | Warty guest of the pond
Ivy | It climbs without a ladder
Rowan | Tree with red berries
Dew | Drops of the early morning
Frost | It paints windows
Puddle | What rain leaves behind
Kettle | It sings for tea
Stile | Steps over a fence
Ember | It glows when the fire is low
Harvest | What autumn brings in
Mitten | It keeps four fingers together
Compass | It always knows the north
Blackbird | Evening singer with a golden beak
Cuckoo | It leaves its egg in another's nest
Swallow | It comes home from Africa in April
Kestrel | It hangs in the wind over a field
Pheasant | Long tail, loud call, short flight
Magpie | One for sorrow
Starling | Thousands of them turn at dusk
Woodpecker | Drummer in the trees
Nightingale | It sings when others sleep
Partridge | Where it sat, there was a pear tree
Rabbit | White tail that runs for its burrow
Hare | It boxes in March
Weasel | Thin hunter that fits into any hole
Mole | Its hills ruin the lawn
Vole | Small, round, and always hungry
Shrew | It has the longest nose of all mice, and is none
Hedgehog | It rolls up and waits
Dormouse | It sleeps the winter through
Squirrel | It forgets where it buried them
Fox | Red coat, white tip
Deer | It looks up, and is gone
Adder | Zigzag on its back
Newt | It has a crest in spring
Dragonfly | Four wings over the pond
Cricket | It plays in the grass at night
Grasshopper | Long legs in a dry meadow
Ladybug | Seven spots, often
Butterfly | First it crawls, then it flies
Caterpillar | It eats until it sleeps
Spider | Eight legs and a thread
Earthworm | It turns the soil for nothing
Slug | It eats the lettuce at night
Ant | It carries more than itself
Wasp | Guest at every picnic
Buttercup | Held below the chin, it shines
Daisy | He loves me, he loves me not
Dandelion | Clock that is blown
Poppy | Red among the corn
Cornflower | Blue among the wheat
Primrose | Pale yellow on the first warm bank
Violet | Sweet, small, and out of sight
Cowslip | Yellow bells on a stalk in May
Honeysuckle | Sweet climber that moths visit
Campion | Pink star by the lane
Yarrow | Flat white heads, feathery leaves
Clematis | Old man's beard in autumn
Mallow | Purple stripes by the roadside
Teasel | It once combed wool
Burdock | It travels on your coat
Plantain | It grows where people tread
Mint | You smell it when you step on it
Parsley | Cow's lace by the lane
Elder | White plates in June, black berries later
Blackthorn | Its flowers come before its leaves
Hawthorn | May, as country people say
Holly | Green and prickly at Christmas
Oak | It may stand for nine hundred years
Beech | Smooth gray bark, copper leaves
Birch | White bark that peels
Chestnut | Children play with what falls from it
Sycamore | Its seeds are wings
Alder | It grows with its feet in the brook
Maple | Its sap is boiled to syrup
Rosehip | Red fruit after the flower of June
Sloe | Blue, and sour until the frost
Mushroom | It comes up overnight
Toadstool | Red cap, white spots
Moss | Cushion on the north side
Lichen | Gray crust on old stones
Cobweb | Strung with dew at dawn
Stream | It talks all the way down the hill
Brook | Small, clear, and quick
Bridge | It carries you over
Gate | Leave it as you found it
Ditch | The lane's other edge
Furrow | What the plow leaves
Haystack | Bad place for a needle
Scarecrow | It wears old clothes and works all day
Lane | Grass grows in the middle of it
Mill | It stands still without wind
Barn | The owl lives here
Basket | Blackberries go home in it
Thimble | Armor for one finger
Teapot | Short and stout
Candle | It grows shorter as it works
Blanket | Half of it is always on the other side
Window | Frost writes on it
Garden | Where Sunday goes
Spade | One of four suits, and digs
Apple | It fell, and somebody thought about it
Pear | It hangs like a lamp
Plum | Thumb in a pie finds it
Walnut | Small brain in a hard shell
Pumpkin | Face with a candle in it
Autumn | It pays in gold
Thunder | It comes after the flash
Rainbow | Seven, after rain
Shower | It is over before the umbrella is up
Sunset | Red, and tomorrow fair
Twilight | Not day, not yet night
Shadow | Longest in the evening`;

const SAYINGS = `Where there are bees, there is honey. | Old saying
The lantern does not choose the road, it only shows the next step. | Odile Marrow
A hedge between keeps friendship green. | Old saying
Plant the tree whose shade is for somebody else. | Teodor Vance
Whoever reads by lantern light learns to turn the page slowly. | Odile Marrow
A year is a long hedge: trim a little every day. | Teodor Vance
Do not count the jars before the bees are home. | Odile Marrow
The wren is small and does not know it. | Teodor Vance`;

const palettes = {
  ember: { ground: '#4b2a1e', accent: '#eec56a', second: '#b3723a', light: '#f7ecd9' },
  fern: { ground: '#2f3f2b', accent: '#e6c97a', second: '#8f9f5a', light: '#f5f1e2' },
  dusk: { ground: '#3d2640', accent: '#eec7a4', second: '#a0708f', light: '#f6eee8' },
  sea: { ground: '#12464a', accent: '#f0b8a0', second: '#7fb7a8', light: '#f7f1e1' },
};

/** Books of puzzles that the press has made, with their labels. Ids are given by the caller, since every workspace has its own. */
export function puzzleBooks(
  idFor: (name: string) => string,
): { recipe: Recipe; labels: readonly string[] }[] {
  const common = { quill: 4, imprint: 'Tin Lantern Press', language: 'en' };
  const large = { trim: { width: '8.5in', height: '11in' }, paper: 'white' };
  const front = [
    { id: 'title', kind: 'title-page' },
    { id: 'owner', kind: 'belongs-to' },
  ];
  return [
    {
      ...common,
      id: idFor('sudoku'),
      seed: 'ember-9',
      title: 'Embers & Nines',
      subtitle: 'One hundred sudoku, from very easy to very hard',
      penName: 'Teodor Vance',
      print: { service: 'wrenfair', ...large },
      style: { palette: palettes.ember, motif: 'stars' },
      sections: [
        ...front,
        {
          ...{ id: 'grids', kind: 'sudoku', items: 100 },
          options: { perPage: 2, level: 'rising' },
          solutions: { perPage: 12 },
        },
      ],
      cover: { fields: { blurb: 'One hundred grids that grow harder page by page, each with one answer.' } },
      listing: {
        description:
          'One hundred sudoku on large pages, two to a page, from very easy to very hard. Every grid has exactly one answer, and every answer is at the back.',
        keywords: ['sudoku for adults', 'sudoku gift'],
        prices: { us: 8.99, gb: 7.99 },
      },
    },
    {
      ...common,
      id: idFor('mazes'),
      seed: 'fern-3',
      title: 'Mazes for Small Foxes',
      subtitle: 'Sixty ways through the fern',
      penName: 'Odile Marrow',
      print: { service: 'wrenfair', ...large },
      style: { palette: palettes.fern, motif: 'leaves' },
      sections: [
        ...front,
        {
          ...{ id: 'first', kind: 'maze', items: 24 },
          options: { columns: 15, rows: 10, level: 1, perPage: 2, start: 'bee', goal: 'flower' },
          solutions: { perPage: 12 },
        },
        {
          ...{ id: 'round', kind: 'maze', items: 18 },
          options: { grid: 'circle', columns: 20, rows: 20, ends: 'middle', level: 'rising' },
          solutions: { perPage: 12 },
        },
        {
          ...{ id: 'combs', kind: 'maze', items: 12 },
          options: { grid: 'hexagon', columns: 14, rows: 16, level: 'rising' },
          solutions: { perPage: 12 },
        },
        {
          ...{ id: 'bridges', kind: 'maze', items: 6 },
          options: { columns: 14, rows: 16, bridges: 60, level: 'rising', goal: 'flower' },
          solutions: { perPage: 6 },
        },
      ],
      cover: {
        fields: { blurb: 'Square ones, round ones, and some like honeycomb: find the way to the flower.' },
      },
      listing: {
        description:
          'Sixty mazes for children: easy ones first, then round ones, some of six-sided cells, and six with bridges.',
        keywords: ['mazes for kids', 'activity book for children'],
        prices: { us: 7.99, gb: 6.99 },
      },
    },
    {
      ...common,
      id: idFor('crosswords'),
      seed: 'dusk-5',
      title: 'Crosswords from the Hedge',
      subtitle: 'Thirty crosswords for quiet evenings',
      series: { name: 'Hive & Hedge', volume: 5 },
      penName: 'Odile Marrow',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, paper: 'cream' },
      style: { palette: palettes.dusk, motif: 'leaves' },
      sections: [
        ...front,
        {
          ...{ id: 'crosswords', kind: 'crossword', items: 30 },
          options: { clues: CLUES, words: 20 },
          solutions: { perPage: 4 },
        },
        {
          ...{ id: 'dense', kind: 'crossword', items: 2 },
          options: {
            ...{ layout: 'dense', columns: 9, rows: 9, around: 'black' },
            fillClues: DENSE_CLUES,
          },
          solutions: { perPage: 4 },
        },
        {
          ...{ id: 'arrows', kind: 'crossword', items: 6 },
          options: { clues: CLUES, clueSide: 'grid', columns: 8, rows: 11, words: 10 },
          solutions: { perPage: 6 },
        },
        {
          ...{ id: 'sayings', kind: 'cryptogram', items: 8 },
          options: { texts: SAYINGS, given: 3 },
          solutions: { perPage: 12 },
        },
      ],
      cover: { fields: { blurb: 'What grows, hums and hides in the hedge, asked across and down.' } },
      listing: {
        description:
          'Thirty crosswords about bees, birds and what grows by the lane, two dense ones, six more with their clues in the grid, and eight sayings in cipher. All answers are at the back.',
        keywords: ['crossword puzzles for adults', 'nature crossword'],
        prices: { us: 6.99, gb: 5.99 },
      },
    },
    {
      ...common,
      id: idFor('mixed'),
      seed: 'tide-7',
      title: 'The Large Lantern Puzzle Book',
      subtitle: 'Word searches, sudoku, mazes and more in large print',
      penName: 'Teodor Vance',
      print: { service: 'wrenfair', ...large },
      style: { palette: palettes.sea, motif: 'shells', largePrint: true, largeType: 14, largeAnswers: true },
      resources: resourcesOfBank('sky'),
      sections: [
        ...front,
        {
          ...{ id: 'skies', kind: 'word-search', items: 20 },
          options: { words: { bank: 'sky' }, columns: 14, rows: 14, wordsPerPuzzle: 12, level: 'rising' },
          solutions: { perPage: 4 },
        },
        {
          ...{ id: 'stars', kind: 'word-search', items: 8 },
          options: {
            words: { bank: 'sky' },
            ...{ shape: 'star', columns: 22, rows: 22, wordsPerPuzzle: 8 },
          },
          solutions: { perPage: 4 },
        },
        {
          ...{ id: 'sudoku', kind: 'sudoku', items: 16 },
          options: { perPage: 1, level: 'rising' },
          solutions: { perPage: 6 },
        },
        {
          ...{ id: 'mazes', kind: 'maze', items: 12 },
          options: { columns: 20, rows: 24, level: 'rising' },
          solutions: { perPage: 6 },
        },
        {
          ...{ id: 'sayings', kind: 'cryptogram', items: 8 },
          options: { texts: SAYINGS, given: 4, key: false },
          solutions: { perPage: 4 },
        },
        {
          ...{ id: 'numbers', kind: 'number-search', items: 8 },
          options: { columns: 12, rows: 12, numbers: 12 },
          solutions: { perPage: 4 },
        },
      ],
      cover: { fields: { blurb: 'Seventy-two puzzles in letters that are easy on the eyes.' } },
      listing: {
        description:
          'Seventy-two puzzles in large print: word searches, sudoku, mazes, sayings in cipher and number searches, with every answer at the back.',
        keywords: ['large print puzzle book', 'activity book for seniors'],
        prices: { us: 10.99, gb: 9.99 },
      },
    },
  ].map((recipe, i) => ({ recipe: parseRecipe(recipe), labels: LABELS[i]! }));
}

/** Of these books, in their order. */
const LABELS: readonly (readonly string[])[] = [['Fall list'], ['Summer list'], ['Fall list'], ['Gifts']];
