import { inequalityByHand } from '#core/pages/inequality/by-hand.ts';
import { cellsByHand } from './cells-by-hand.tsx';

export default cellsByHand(inequalityByHand, {
  signs: 'Digits',
  help: 'Type a number to give it, or take it out with Backspace. Click between two cells, or press Shift and an arrow key: a sign is put there, turned, and taken out.',
});
