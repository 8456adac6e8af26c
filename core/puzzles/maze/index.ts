export { GRIDS, type Grid, gridWithin, mazeGrid } from './grid.ts';
export { ENDS, type Maze, makeMaze } from './make.ts';
export { difficulty, mazeOfScale, mazeScale, usualScales } from './rate.ts';
export { onlyWay } from './solve.ts';
