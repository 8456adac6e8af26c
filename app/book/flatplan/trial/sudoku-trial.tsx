import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { type KeyboardEvent, useMemo, useState } from 'react';
import { type SudokuItem, shapeOfItem } from '#core/pages/sudoku/fill.ts';
import {
  type Attempt,
  attemptAt,
  clashes,
  mistakes,
  nextStep,
  noteAll,
  putDigit,
  readGrid,
  SIGNS,
  type Step,
  stepInWords,
  takeStep,
  toggleNote,
} from '#core/puzzles/sudoku/index.ts';
import { SignKeys } from './sign-keys.tsx';
import { SudokuGrid } from './sudoku-grid.tsx';
import type { TrialProps } from './trial-props.ts';

/** What was said last, and the step that it is about. */
interface Told {
  words: string;
  step?: Step;
  /** Cells that are marked as wrong. */
  wrong?: readonly number[];
}

/** A sudoku that is filled in by keyboard or mouse, with the steps of a person to be asked for one by one. */
export default function SudokuTrial({ item, onSolved }: TrialProps<SudokuItem>) {
  const shape = useMemo(() => shapeOfItem(item), [item]);
  const givens = useMemo(() => readGrid(item.size, item.givens), [item]);
  const solution = useMemo(() => readGrid(item.size, item.solution), [item]);
  const [states, setStates] = useState<readonly Attempt[]>(() => [attemptAt(givens)]);
  const [at, setAt] = useState(() => Math.max(0, item.givens.indexOf('.')));
  const [notesOn, setNotesOn] = useState(false);
  const [told, setTold] = useState<Told | null>(null);
  const [trace, setTrace] = useState<readonly string[]>([]);
  const attempt = states.at(-1)!;
  const solved = attempt.values.every((value, cell) => value === solution[cell]);
  const take = (next: Attempt) => {
    if (next === attempt || solved) return;
    setStates([...states, next]);
    setTold(null);
    if (next.values.every((value, cell) => value === solution[cell])) onSolved();
  };
  const enter = (digit: number) => {
    if (givens[at]) return;
    if (notesOn && digit) take(toggleNote(attempt, at, digit));
    else if (attempt.values[at] !== digit) take(putDigit(attempt, shape, at, digit));
  };
  const undo = () => {
    if (states.length < 2 || solved) return;
    setStates(states.slice(0, -1));
    setTold(null);
  };
  const check = () => {
    const wrong = mistakes(attempt, solution);
    setTold({
      words: wrong.length
        ? `${wrong.length === 1 ? 'One digit is' : `${wrong.length} digits are`} wrong.`
        : 'All digits are right so far.',
      wrong,
    });
  };
  const look = () => {
    if (mistakes(attempt, solution).length) return check();
    const step = nextStep(attempt, shape, item.cages);
    setTold(
      step ? { words: stepInWords(step, shape), step } : { words: 'Logic sees no further step from here.' },
    );
  };
  const doStep = () => {
    if (!told?.step) return;
    setTrace([...trace, told.words]);
    if (told.step.put) setAt(told.step.put[0]);
    take(takeStep(attempt, shape, told.step));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const key = event.key.toLowerCase();
    const ctrl = event.ctrlKey || event.metaKey;
    if (ctrl && key === 'z') undo();
    else if (!ctrl && key === 'n') setNotesOn(!notesOn);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const looked = told?.step
    ? [
        ...told.step.cells,
        ...told.step.removes.map(([cell]) => cell),
        ...(told.step.put ? [told.step.put[0]] : []),
      ]
    : [];
  return (
    <SignKeys
      signs={[...SIGNS.slice(0, item.size)]}
      disabled={solved || givens[at]! > 0}
      onSign={(sign) => enter(sign ? SIGNS.indexOf(sign) + 1 : 0)}
    >
      {(keys) => (
        <Box
          onKeyDown={onKeyDown}
          sx={{ display: 'grid', gridTemplateColumns: '460px minmax(0, 1fr)', gap: 6, alignItems: 'start' }}
        >
          <SudokuGrid
            item={item}
            shape={shape}
            attempt={attempt}
            at={at}
            onAt={setAt}
            looked={new Set(looked)}
            wrong={new Set(told?.wrong ?? clashes(attempt, shape))}
          />
          <Box sx={{ display: 'grid', gap: 3 }}>
            {keys}
            <FormControlLabel
              control={<Switch size="small" checked={notesOn} onChange={() => setNotesOn(!notesOn)} />}
              label="Notes (N)"
            />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
              <Button size="small" disabled={solved} onClick={() => take(noteAll(attempt, shape))}>
                Note all
              </Button>
              <Button size="small" disabled={solved || states.length < 2} onClick={undo}>
                Undo
              </Button>
              <Button size="small" disabled={solved} onClick={check}>
                Check
              </Button>
              <Button size="small" disabled={solved} onClick={look}>
                Next step
              </Button>
            </Box>
            <Box aria-live="polite" sx={{ minHeight: 84 }}>
              {told && !solved && (
                <Box
                  sx={{
                    display: 'flex',
                    alignItems: 'start',
                    gap: 2,
                    p: 2,
                    border: 1,
                    borderLeft: 4,
                    borderRadius: 1,
                    borderColor: told.wrong?.length ? 'error.main' : 'primary.main',
                  }}
                >
                  <Typography variant="body2" sx={{ flex: 1 }}>
                    {told.words}
                  </Typography>
                  {told.step && (
                    <Button size="small" sx={{ whiteSpace: 'nowrap', mt: -0.5 }} onClick={doStep}>
                      Do it
                    </Button>
                  )}
                </Box>
              )}
            </Box>
            {trace.length > 0 && (
              <Box>
                <Typography variant="h3">Steps</Typography>
                <Box
                  component="ol"
                  reversed
                  sx={{ m: 0, pl: 5, maxHeight: 130, overflow: 'auto', position: 'relative' }}
                >
                  {[...trace].reverse().map((words, i) => (
                    <Typography component="li" variant="body2" key={trace.length - i}>
                      {words}
                    </Typography>
                  ))}
                </Box>
              </Box>
            )}
          </Box>
        </Box>
      )}
    </SignKeys>
  );
}
