import { numberPyramidByHand } from '#core/pages/number-pyramid/by-hand.ts';
import { cellsByHand } from './cells-by-hand.tsx';

export default cellsByHand(numberPyramidByHand, {
  signs: 'Digits',
  help: 'Type a number of the lowest row: the bricks above follow. The space bar gives the number of a brick or hides it.',
});
