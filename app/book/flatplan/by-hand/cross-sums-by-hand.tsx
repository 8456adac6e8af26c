import { crossSumsByHand } from '#core/pages/cross-sums/by-hand.ts';
import { cellsByHand } from './cells-by-hand.tsx';

export default cellsByHand(crossSumsByHand, {
  signs: 'Digits',
  emptying: null,
  help: 'Type a digit: it changes places with the cell that had it. Click a sign, or press Shift and an arrow key, for another one. The space bar gives a digit or hides it.',
});
