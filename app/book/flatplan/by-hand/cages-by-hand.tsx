import { cagesByHand } from '#core/pages/cages/by-hand.ts';
import { cellsByHand } from './cells-by-hand.tsx';

export default cellsByHand(cagesByHand, {
  signs: 'Calculations',
  emptying: 'Set the cell apart',
  help: 'Draw from a cage into a cell beside it: the cell joins the cage. Backspace sets a cell apart. Type + − × ÷ for what the cage does. With the keyboard: arrow keys go from cell to cell, Shift and an arrow key takes the next cell along.',
});
