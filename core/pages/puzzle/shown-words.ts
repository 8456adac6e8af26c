/** Words of the small pages by which kinds with words are offered. */
export const SHOWN_WORDS =
  'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager'.split(' ');

/** Words with their clues, a line for each. */
export const SHOWN_CLUES = `Propolis | Glue that bees make
Nectar | Sweet drink from a flower
Swarm | Half a colony on the move
Skep | What a hive of straw is called
Pollen | Yellow dust on hairy legs
Queen | Mother of all in the house
Drone | He does no work
Comb | Wall of six-sided rooms
Smoker | It calms those who live here
Veil | Worn over the face at work
Clover | Three leaves, seldom four
Heather | It colors the moor in August
Waggle | Dance that tells the way
Brood | Young ones in their cells
Sting | It hurts, and is used once
Worker | She gathers, cleans and feeds`;

/** Clues of the words that fill the small page of a dense crossword. */
export const SHOWN_DENSE = `Idols | Fans adore them
Spy | One with a secret employer
Tenet | What one firmly believes
Pie | Crust with apples in it
Swear | Take an oath
Let | Rented out
Debit | Opposite of credit
Amenity | A pool, to a hotel
Lungs | They fill with air
Hot | Like an oven
Theta | Eighth of the Greek letters
Ant | Worker on a hill
Hover | Stay in the air, as a hummingbird
Yes | Word of consent
Spent | Paid out
Its | Belonging to that thing
Dew | Drops on the grass at dawn
One | The first number
Leaden | Heavy and gray, as a winter sky
Strengths | What one is good at
Split | Divide in two
Piety | Devotion
Yet | Up to now
Bishop | It moves aslant on a board
Alone | Without company
Mutts | Dogs of no one breed
Hay | Dried grass for horses
Eve | The night before
Ten | A pair of fives
Art | It hangs in a gallery`;

/** Words that belong together, for the small pages of cards. */
export const SHOWN_PAIRS = `Bee | Hive
Bird | Nest
Fox | Den
Spider | Web
Horse | Stable
Bear | Cave
Rabbit | Burrow
Dog | Kennel`;
