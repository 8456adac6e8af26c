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
