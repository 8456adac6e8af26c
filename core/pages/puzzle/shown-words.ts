/** Words of the small pages by which kinds with words are offered. */
export const SHOWN_WORDS =
  'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager'.split(' ');
