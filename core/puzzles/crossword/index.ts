export { type Arrowed, arrowGrid } from './arrows.ts';
export { type FreeFormOrder, freeFormSteps } from './free-form.ts';
export { type Crossword, numbersOf, type ReadRun, runsOf } from './grid.ts';
