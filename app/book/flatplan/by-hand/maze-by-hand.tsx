import { alpha } from '@mui/material/styles';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { type KeyboardEvent, useMemo, useState } from 'react';
import { type MazeDraft, mazePinned, wallNear, watchMaze, withWall } from '#core/pages/maze/by-hand.ts';
import { gridOf, type MazeItem } from '#core/pages/maze/fill.ts';
import { neighborToward, stairsAt } from '#core/puzzles/maze/index.ts';
import { tokens } from '../../../theme.ts';
import { ARROWS } from '../trial/arrows.ts';
import { cellNear, MazeSheet } from '../trial/maze-sheet.tsx';
import { ByHandFrame } from './by-hand-frame.tsx';
import type { ByHandProps } from './by-hand-props.ts';
import { useChanges } from './use-changes.ts';

/** What a click changes. */
const TOOLS = { wall: 'Walls', stairs: 'Stairs', start: 'Start', goal: 'Goal' } as const;
type Tool = keyof typeof TOOLS;
const HELP: Readonly<Record<Tool, string>> = {
  wall: 'Click a wall to open it, or the place of one to close it. With the keyboard: arrow keys go from cell to cell, Shift and an arrow key opens or closes the wall there, S and G put the start and the goal.',
  stairs:
    'Click a pale arrow to put stairs there, or an arrow to take them away at both ends. With the keyboard: T.',
  start: 'Click the cell of the start. At the edge, the outer wall opens there.',
  goal: 'Click the cell of the goal. At the edge, the outer wall opens there.',
};

/** Keys that lead to the same cell of another floor: so many up. */
const FLOORS: Readonly<Record<string, number>> = { PageUp: 1, PageDown: -1 };
const FLOORS_HELP = 'Page Up and Page Down go to the same cell one floor up or down.';

/** Walls that are opened and closed, and ends that are moved, while a solver looks for the one way. */
export default function MazeByHand({ item, onClose, onKeep }: ByHandProps<MazeItem>) {
  const grid = useMemo(() => gridOf(item), [item]);
  const { open, start, goal } = item;
  const changes = useChanges<MazeDraft>(useMemo(() => ({ open, start, goal }), [open, start, goal]));
  const [at, setAt] = useState(start);
  const [tool, setTool] = useState<Tool>('wall');
  const { now } = changes;
  const watched = useMemo(() => watchMaze(item, now), [item, now]);
  const put = (end: 'start' | 'goal', cell: number) => {
    if (now[end] !== cell) changes.change({ ...now, [end]: cell });
  };
  /** Where stairs lead up and down, those up first. */
  const turnStairs = (cell: number) => {
    const all = stairsAt(grid, cell);
    const chosen = all.find(({ isUp }) => isUp) ?? all[0];
    if (chosen) changes.change(withWall(grid, now, chosen.wall));
  };
  const onPointer = (x: number, y: number, begins: boolean) => {
    const cell = cellNear(grid, x, y);
    setAt(cell);
    if (!begins) return;
    if (tool === 'wall') changes.change(withWall(grid, now, wallNear(grid, x, y)));
    else if (tool === 'stairs') turnStairs(cell);
    else put(tool, cell);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const to = ARROWS[event.key];
    if (to) {
      const { cell, wall } = neighborToward(grid, at, ...to);
      if (event.shiftKey && wall >= 0) changes.change(withWall(grid, now, wall));
      else if (!event.shiftKey) setAt(cell);
    } else if (event.key.toLowerCase() === 's') put('start', at);
    else if (event.key.toLowerCase() === 'g') put('goal', at);
    else if (event.key.toLowerCase() === 't') turnStairs(at);
    else if (grid.floors && FLOORS[event.key]) {
      const cell = at + FLOORS[event.key]! * grid.floors.cells;
      if (cell >= 0 && cell < grid.cells) setAt(cell);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <ByHandFrame
      watched={watched}
      changes={changes}
      onKeep={() => onKeep(mazePinned(item, now))}
      onClose={onClose}
      side={
        <>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="What a click changes"
            value={tool}
            onChange={(_, chosen: Tool | null) => chosen && setTool(chosen)}
          >
            {Object.entries(TOOLS)
              .filter(([id]) => id !== 'stairs' || grid.floors)
              .map(([id, name]) => (
                <ToggleButton key={id} value={id}>
                  {name}
                </ToggleButton>
              ))}
          </ToggleButtonGroup>
          <Typography id="maze-help" variant="body2">
            {HELP[tool]} {grid.floors && FLOORS_HELP}
          </Typography>
        </>
      }
    >
      <MazeSheet
        {...{ grid, at, onPointer, onKeyDown }}
        places={tool === 'stairs'}
        open={now.open}
        start={now.start}
        goal={now.goal}
        helpId="maze-help"
      >
        <g fill={watched.isSound ? alpha(tokens.gold, 0.4) : alpha(tokens.rubric, 0.3)}>
          {watched.cells.map((cell) => (
            <circle key={cell} cx={grid.x[cell]} cy={grid.y[cell]} r={0.34} />
          ))}
        </g>
      </MazeSheet>
    </ByHandFrame>
  );
}
