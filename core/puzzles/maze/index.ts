export { GRIDS, type Grid, gridWithin, mazeGrid } from './grid.ts';
export { ENDS, type Maze, makeMaze } from './make.ts';
export { difficulty, mazeOfScale, mazeScale, usualScales } from './rate.ts';
export { sameMaze } from './same.ts';
export { onlyWay } from './solve.ts';
export { walkOn, walkTo } from './walk.ts';
