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
export {
  FLOOR_HEAD,
  floorOf,
  gridWithFloors,
  isWall,
  MOST_FLOORS,
  middleOfWall,
  placeOnFloor,
  type Stairs,
  stairsAt,
  stairsWithRoom,
} from './floors.ts';
export { endsOfWall, GRIDS, type Grid, gridWithin, mazeGrid } from './grid.ts';
export { distances, ENDS, type Ends, type Maze, makeMaze, type Passages, wayThrough } from './make.ts';
export {
  difficulty,
  gridInSpace,
  type Measure,
  mazeOfEffort,
  mazeScale,
  measuredMazeScale,
  type Space,
  turnsOf,
  usualScales,
} from './rate.ts';
export { sameMaze } from './same.ts';
export { cellsLeft, onlyWay } from './solve.ts';
export { neighborToward, takeStairs, walkOn, walkTo } from './walk.ts';
