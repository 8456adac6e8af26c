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
export const SHOWN_DENSE = `Twig | A bird carries it to the nest
Owe | Be in debt
Wine | It ages in a cellar
Rods | Anglers cast with them
Once | How fairy tales begin, with “upon a time”
Ergo | Therefore, to a philosopher
Kiss | It wakes a sleeping beauty
Sew | Work with needle and thread
Death | A will is read after it
She | That woman
This | The one right here
Ions | Atoms with a charge
Opus | Numbered work of a composer
Rock | Move a cradle
Seep | Leak slowly
Key | It turns in a lock
Eddy | Whirl in a stream
Two | A pair
Wink | Close one eye
Incidence | How often something happens
Geese | They fly in a V
Ore | Rock with metal in it
Worshiped | Adored
Edge | Sharp side of a blade
Sow | Put seed into the ground
Sat | Took a chair
Those | Not these
Sir | A knight is called so
Hook | Where the bait hangs
Sued | Took to court
Sky | Clouds cross it
Spy | One with a secret employer`;
