export {
  type Attempt,
  attemptAt,
  clashes,
  mistakes,
  nextStep,
  noteAll,
  putDigit,
  takeStep,
  toggleNote,
} from './attempt.ts';
export { coversOf } from './cover.ts';
export { type Cage, killerAnswers, killerSteps, LARGEST_KILLER, rateKiller } from './killer/index.ts';
export { SYMMETRIES, sudokuSteps } from './make.ts';
export { rate } from './rate.ts';
export { type PrintedSudoku, sameSudoku } from './same.ts';
export {
  gridText,
  readGrid,
  type Shape,
  SIGNS,
  SIZES,
  type Size,
  shapeOf,
  shapeWith,
  VARIANTS,
  type Variant,
} from './shape.ts';
export { markOfCells, stepInPrint, stepInWords } from './step-words.ts';
export { type Step, TECHNIQUES, type Technique } from './techniques.ts';
