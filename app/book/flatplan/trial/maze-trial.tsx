import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { gridOf, type MazeItem } from '#core/pages/maze/fill.ts';
import { takeStairs, walkOn, walkTo } from '#core/puzzles/maze/index.ts';
import { tokens } from '../../../theme.ts';
import { ARROWS } from './arrows.ts';
import { cellNear, MazeSheet, WayLine } from './maze-sheet.tsx';
import type { TrialProps } from './trial-props.ts';

/** Steps that the pointer may be ahead. */
const AHEAD = 12;
/** A maze that is walked with arrow keys, or by drawing the way. */
export default function MazeTrial({ item, onSolved }: TrialProps<MazeItem>) {
  const { open, start, goal, way } = item;
  const grid = useMemo(() => gridOf(item), [item]);
  const [trail, setTrail] = useState<readonly number[]>([start]);
  const [shown, setShown] = useState(false);
  const solved = trail.at(-1) === goal;
  const take = (next: readonly number[]) => {
    if (next === trail || solved) return;
    setTrail(next);
    if (next.at(-1) === goal) onSolved();
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 220px', gap: 6 }}>
      <MazeSheet
        {...{ grid, open, start, goal }}
        at={trail.at(-1)!}
        helpId="walk-help"
        onPointer={(x, y) => take(walkTo(grid, open, trail, cellNear(grid, x, y), AHEAD))}
        onKeyDown={(event) => {
          const to = ARROWS[event.key];
          if (to) take(walkOn(grid, open, trail, ...to));
          else if (event.key === 'Enter' && grid.floors) take(takeStairs(grid, open, trail));
          else return;
          event.preventDefault();
        }}
      >
        {shown && <WayLine grid={grid} cells={way} color={tokens.gold} width={0.5} opacity={0.45} />}
        <WayLine grid={grid} cells={trail} color={tokens.verdigris} width={0.3} />
      </MazeSheet>
      <Box>
        <Typography id="walk-help" variant="body2">
          Draw the way from the dot to the ring, or go there with the arrow keys. Going back takes the line
          away.
          {grid.floors &&
            ' An arrow in a cell leads to the same place one floor up or down: draw on there, or press Enter.'}
        </Typography>
        <Typography sx={{ mt: 4 }} role="status">
          {trail.length} {trail.length === 1 ? 'cell' : 'cells'} of the line; the way has {way.length}
        </Typography>
        <Box sx={{ mt: 4, display: 'grid', justifyItems: 'start', gap: 1 }}>
          <Button size="small" disabled={solved || trail.length < 2} onClick={() => setTrail([start])}>
            Back to the start
          </Button>
          <Button size="small" aria-pressed={shown} onClick={() => setShown(!shown)}>
            {shown ? 'Hide the way' : 'Show the way'}
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
