import { kakuroByHand } from '#core/pages/kakuro/by-hand.ts';
import { cellsByHand } from './cells-by-hand.tsx';

export default cellsByHand(kakuroByHand, {
  signs: 'Digits',
  help: 'Type a digit of the answer: the sums follow. Backspace makes a cell dark; a digit typed into a dark cell opens it.',
});
