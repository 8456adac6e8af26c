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
import { lettersToType } from './letters-to-type.ts';
import { SignKeys } from './sign-keys.tsx';
import type { TrialProps } from './trial-props.ts';
import { useCursor } from './use-cursor.ts';

const DIGITS = [...'0123456789'];

/** What can be written into cells. */
function signsOf(trial: CellTrial): string[] {
  const { entry } = trial;
  if (entry.of === 'digits') return DIGITS.slice(1, entry.most + 1);
  if (entry.of === 'numbers') return DIGITS;
  if (entry.of === 'marks') return [FILLED_MARK];
  return lettersToType(trial);
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
  letters: 'Choose a cell and type.',
  marks: 'Click a cell to fill it, again to mark it as empty. Draw to do so with many.',
};

/** Where words cross. */
const CROSSING = 'A second click, or the space bar, turns to the other word.';

/** Cells that are filled in by keyboard or mouse. */
export default function CellsTrial({ item: trial, onSolved }: TrialProps<CellTrial>) {
  const { cells, entry } = trial;
  const signs = useMemo(() => signsOf(trial), [trial]);
  const [states, setStates] = useState<readonly TrialState[]>(() => [trialStart(trial)]);
  const crosses = useMemo(
    () => entry.of === 'letters' && cells.some((_, cell) => runsAt(trial, cell).length > 1),
    [trial, cells, entry],
  );
  const cursor = useCursor(trial);
  const { at, run } = cursor;
  const saidBy = useId();
  const [notesOn, setNotesOn] = useState(false);
  const [told, setTold] = useState<{ words: string; wrong: readonly number[] } | null>(null);
  /** What drawing over cells writes. */
  const brush = useRef<string | null>(null);
  const state = states.at(-1)!;
  const solved = isTrialSolved(trial, state);
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
    if (sign) {
      take(written(trial, state, at, sign));
      cursor.step(1);
      return;
    }
    // As in a text: what is taken out is what stands here, or otherwise before.
    const out = state.values[at] ? at : alongRun(trial, run, at, -1);
    take(written(trial, state, out, ''));
    if (out !== at) cursor.step(-1);
  };
  const paint = (cell: number, begins: boolean) => {
    if (entry.of !== 'marks') {
      if (begins) cursor.choose(cell);
      return;
    }
    if (begins) brush.current = NEXT_MARK[state.values[cell]!]!;
    cursor.choose(cell);
    if (brush.current !== null) take(written(trial, state, cell, brush.current));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const key = event.key.toLowerCase();
    const ctrl = event.ctrlKey || event.metaKey;
    const isSpace = key === ' ' && !(event.target instanceof HTMLButtonElement);
    if (ctrl && key === 'z') undo();
    else if (ctrl || event.altKey) return;
    else if (isSpace && entry.of === 'letters') cursor.choose(at);
    else if (isSpace && entry.of === 'marks') paint(at, true);
    else if (key === 'x' && entry.of === 'marks') enter(EMPTY_MARK);
    else if (key === 'n' && entry.of === 'digits') setNotesOn(!notesOn);
    else if (!cursor.onArrow(event)) return;
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
            <Typography variant="body2">
              {crosses ? `${HELP[entry.of]} ${CROSSING}` : HELP[entry.of]}
            </Typography>
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
              onRun={(chosen) =>
                cursor.follow(chosen, chosen.cells.find((cell) => !state.values[cell]) ?? chosen.cells[0]!)
              }
            />
          </Box>
        </Box>
      )}
    </SignKeys>
  );
}
