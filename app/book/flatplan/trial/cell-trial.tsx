import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { visuallyHidden } from '@mui/utils';
import { type KeyboardEvent, useId, useMemo, useRef, useState } from 'react';
import {
  alongRun,
  type CellTrial,
  cellToward,
  clashingCells,
  EMPTY_MARK,
  FILLED_MARK,
  isTrialSolved,
  noted,
  numberWith,
  runsAt,
  type TrialState,
  trialStart,
  written,
  wrongCells,
} from '#core/pages/puzzle/trial.ts';
import { CellSheet } from './cell-sheet.tsx';
import { ClueList } from './clue-list.tsx';
import { SignKeys } from './sign-keys.tsx';
import type { TrialProps } from './trial-props.ts';

const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const LATIN = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
const DIGITS = [...'0123456789'];

/** What can be written into cells. */
function signsOf({ entry, cells }: CellTrial): string[] {
  if (entry.of === 'digits') return DIGITS.slice(1, entry.most + 1);
  if (entry.of === 'numbers') return DIGITS;
  if (entry.of === 'marks') return [FILLED_MARK];
  const own = new Set(cells.map(({ answer }) => answer));
  const isLatin = [...own].some((letter) => LATIN.includes(letter));
  return [...new Set([...(isLatin ? LATIN : []), ...[...own].sort()])];
}

/** After a mark comes its contrary, and after that none. */
const NEXT_MARK: Readonly<Record<string, string>> = {
  '': FILLED_MARK,
  [FILLED_MARK]: EMPTY_MARK,
  [EMPTY_MARK]: '',
};

const HELP: Readonly<Record<CellTrial['entry']['of'], string>> = {
  digits: 'Choose a cell and type a digit.',
  numbers: 'Choose a cell and type a number.',
  letters: 'Choose a cell and type. A second click, or the space bar, turns to the other direction.',
  marks: 'Click a cell to fill it, again to mark it as empty. Draw to do so with many.',
};

/** Cells that are filled in by keyboard or mouse. */
export default function CellsTrial({ item: trial, onSolved }: TrialProps<CellTrial>) {
  const { cells, entry } = trial;
  const signs = useMemo(() => signsOf(trial), [trial]);
  const [states, setStates] = useState<readonly TrialState[]>(() => [trialStart(trial)]);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      cells.findIndex(({ given }) => !given),
    ),
  );
  /** Which of the runs of a cell is followed. */
  const [turn, setTurn] = useState(0);
  const saidBy = useId();
  const [notesOn, setNotesOn] = useState(false);
  const [told, setTold] = useState<{ words: string; wrong: readonly number[] } | null>(null);
  /** What drawing over cells writes. */
  const brush = useRef<string | null>(null);
  const state = states.at(-1)!;
  const solved = isTrialSolved(trial, state);
  const here = runsAt(trial, at);
  const run = here[turn % Math.max(1, here.length)];
  const isFull = entry.of !== 'marks' && state.values.every(Boolean);
  const take = (next: TrialState) => {
    if (next === state || solved) return;
    setStates([...states, next]);
    setTold(null);
    if (isTrialSolved(trial, next)) onSolved();
  };
  const undo = () => {
    if (states.length < 2 || solved) return;
    setStates(states.slice(0, -1));
    setTold(null);
  };
  const enter = (sign: string) => {
    if (entry.of === 'marks') return take(written(trial, state, at, state.values[at] === sign ? '' : sign));
    if (entry.of === 'numbers') {
      const before = state.values[at]!;
      return take(
        written(trial, state, at, sign ? numberWith(before, sign, entry.longest) : before.slice(0, -1)),
      );
    }
    if (entry.of === 'digits')
      return take(
        notesOn && sign
          ? cells[at]?.given
            ? state
            : noted(state, at, Number(sign))
          : written(trial, state, at, sign),
      );
    take(written(trial, state, at, sign));
    // Taking out goes back, as in a text.
    setAt(alongRun(trial, run, at, sign ? 1 : -1));
  };
  const choose = (cell: number) => {
    const own = runsAt(trial, cell);
    if (cell === at && entry.of === 'letters') setTurn((turn + 1) % Math.max(1, own.length));
    // The direction stays, as far as there is one.
    else setTurn(Math.max(0, Math.min(own.length - 1, directionIn(own))));
    setAt(cell);
  };
  /** Which of some runs goes on in the direction of the one that is followed. */
  const directionIn = (own: ReturnType<typeof runsAt>): number => {
    if (!run || run.cells.length < 2) return 0;
    const goesDown = ({ cells: of }: { cells: readonly number[] }) =>
      cells[of[0]!]!.y !== cells[of.at(-1)!]!.y;
    const down = goesDown(run);
    return own.findIndex((one) => goesDown(one) === down);
  };
  const paint = (cell: number, begins: boolean) => {
    if (entry.of !== 'marks') {
      if (begins) choose(cell);
      return;
    }
    if (begins) brush.current = NEXT_MARK[state.values[cell]!]!;
    setAt(cell);
    if (brush.current !== null) take(written(trial, state, cell, brush.current));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const to = ARROWS[event.key];
    const ctrl = event.ctrlKey || event.metaKey;
    const inButton = event.target instanceof HTMLButtonElement;
    if (ctrl && event.key.toLowerCase() === 'z') undo();
    else if (ctrl || event.altKey) return;
    else if (to) choose(cellToward(trial, at, ...to));
    else if (event.key === ' ' && !inButton && entry.of === 'letters') choose(at);
    else if (event.key === ' ' && !inButton && entry.of === 'marks') paint(at, true);
    else if (event.key.toLowerCase() === 'x' && entry.of === 'marks') enter(EMPTY_MARK);
    else if (event.key.toLowerCase() === 'n' && entry.of === 'digits') setNotesOn(!notesOn);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const check = () => {
    const wrong = wrongCells(trial, state);
    const wordOf = { digits: 'digit', numbers: 'number', letters: 'letter', marks: 'cell' }[entry.of];
    setTold({
      words: wrong.length
        ? wrong.length === 1
          ? `One ${wordOf} is wrong.`
          : `${wrong.length} ${wordOf}s are wrong.`
        : 'All is right so far.',
      wrong,
    });
  };
  const says = isFull && !solved && !told ? 'All cells are filled, but something is wrong.' : told?.words;
  return (
    <SignKeys
      signs={signs}
      name={entry.of === 'letters' ? 'Letters' : 'Digits'}
      disabled={solved || cells[at]?.given === true}
      onSign={enter}
    >
      {(keys) => (
        <Box
          onKeyDown={onKeyDown}
          sx={{
            display: 'grid',
            gridTemplateColumns: 'minmax(0, 1fr) 260px',
            gap: 6,
            alignItems: 'start',
            minHeight: 480,
          }}
        >
          <CellSheet
            trial={trial}
            state={state}
            at={at}
            run={entry.of === 'letters' ? run : undefined}
            wrong={new Set(told?.wrong ?? clashingCells(trial, state))}
            saidBy={saidBy}
            onCell={paint}
            onEnd={() => {
              brush.current = null;
            }}
          />
          <Box id={saidBy} role="status" sx={visuallyHidden}>
            {[run?.name, cells[at]?.corner, cells[at]?.below, state.values[at] || 'empty']
              .filter(Boolean)
              .join(', ')}
          </Box>
          <Box sx={{ display: 'grid', gap: 3 }}>
            {entry.of !== 'marks' && keys}
            <Typography variant="body2">{HELP[entry.of]}</Typography>
            {entry.of === 'digits' && (
              <FormControlLabel
                control={<Switch size="small" checked={notesOn} onChange={() => setNotesOn(!notesOn)} />}
                label="Notes (N)"
              />
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
              <Button size="small" disabled={solved || states.length < 2} onClick={undo}>
                Undo
              </Button>
              <Button size="small" disabled={solved} onClick={check}>
                Check
              </Button>
              <Button
                size="small"
                disabled={solved || !cells[at] || cells[at].given === true}
                onClick={() => take(written(trial, state, at, cells[at]!.answer || EMPTY_MARK))}
              >
                Show this cell
              </Button>
            </Box>
            <Typography
              aria-live="polite"
              variant="body2"
              color={told?.wrong.length ? 'error.main' : 'text.primary'}
              sx={{ minHeight: 20, fontWeight: 700 }}
            >
              {!solved && says}
            </Typography>
            <ClueList
              trial={trial}
              state={state}
              run={run}
              onRun={(chosen) => {
                const first = chosen.cells.find((cell) => !state.values[cell]) ?? chosen.cells[0]!;
                setAt(first);
                setTurn(Math.max(0, runsAt(trial, first).indexOf(chosen)));
              }}
            />
          </Box>
        </Box>
      )}
    </SignKeys>
  );
}
