export {
  anyBridges,
  type Bridge,
  bridgesWithRoom,
  gridWithBridges,
  isUnder,
  layOfPassages,
  seenWay,
  twinOf,
} from './bridges.ts';
export { GRIDS, type Grid, gridWithin, mazeGrid } from './grid.ts';
export { distances, ENDS, type Ends, type Maze, makeMaze, type Passages, wayThrough } from './make.ts';
export { difficulty, type Measure, mazeOfScale, mazeScale, turnsOf, usualScales } from './rate.ts';
export { sameMaze } from './same.ts';
export { cellsLeft, onlyWay } from './solve.ts';
export { neighborToward, walkOn, walkTo } from './walk.ts';
