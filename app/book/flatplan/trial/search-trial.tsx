import Box from '@mui/material/Box';
import { type KeyboardEvent, useState } from 'react';
import { cellsBetween, markedWord, type SearchTrial } from '#core/pages/puzzle/trial.ts';
import { tokens } from '../../../theme.ts';
import { cellByArrow, SearchSheet, Stroke } from './search-sheet.tsx';
import type { TrialProps } from './trial-props.ts';
import { WordsToFind } from './words-to-find.tsx';

/** A grid in which words are marked, by drawing over them or from end to end with the keyboard. */
export default function SearchGridTrial({ item: trial, onSolved }: TrialProps<SearchTrial>) {
  const { columns, letters, words } = trial;
  const rows = letters.length / columns;
  const [found, setFound] = useState<ReadonlySet<number>>(new Set());
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      letters.findIndex((letter) => letter !== null),
    ),
  );
  /** Where a word begins that is being marked. */
  const [from, setFrom] = useState<number | null>(null);
  const [shown, setShown] = useState<number | null>(null);
  const mark = (first: number, last: number) => {
    const word = markedWord(trial, first, last);
    setFrom(null);
    if (word === null || found.has(word)) return;
    const next = new Set(found).add(word);
    setFound(next);
    setShown(null);
    if (next.size === words.length) onSolved();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const to = cellByArrow(event.key, at, columns, rows);
    if (to !== null) setAt(to);
    else if (event.key === ' ' || event.key === 'Enter') {
      if (from === null) setFrom(at);
      else mark(from, at);
    } else if (event.key === 'Escape' && from !== null) setFrom(null);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const drawn = from === null ? null : cellsBetween(columns, from, at);
  const open = words.findIndex((_, i) => !found.has(i));
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 260px', gap: 6 }}>
      <SearchSheet
        {...{ columns, letters, at, onKeyDown }}
        helpId="search-help"
        onPress={(cell) => {
          setAt(cell);
          setFrom(cell);
        }}
        onDrag={(cell) => {
          if (from !== null) setAt(cell);
        }}
        onRelease={(cell) => {
          // A click leaves the beginning marked, for the keyboard to go on.
          if (from !== null && cell !== from) mark(from, cell);
        }}
      >
        {[...found].map((word) => (
          <Stroke
            key={word}
            columns={columns}
            cells={words[word]!.cells}
            color={tokens.verdigris}
            opacity={0.25}
          />
        ))}
        {shown !== null && (
          <Stroke columns={columns} cells={words[shown]!.cells} color={tokens.gold} opacity={0.45} />
        )}
        {drawn && <Stroke columns={columns} cells={drawn} color={tokens.gold} opacity={0.6} />}
      </SearchSheet>
      <WordsToFind
        help="Draw over a word, or go with the arrow keys and press the space bar at both of its ends."
        helpId="search-help"
        found={found.size}
        total={words.length}
        onShow={open < 0 ? null : () => setShown(open)}
        words={words.map(({ word, shown: listed }, i) => ({
          word,
          shown: listed,
          sx: found.has(i)
            ? { textDecoration: 'line-through', color: 'text.secondary' }
            : { fontWeight: i === shown ? 700 : 400 },
        }))}
      />
    </Box>
  );
}
