export { byPairs, byPlaces, bySingles, linesOf, type Mask, numbersOf } from './looks.ts';
export { latinSquare } from './square.ts';
