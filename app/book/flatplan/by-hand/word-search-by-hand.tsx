import Box from '@mui/material/Box';
import ListItemButton from '@mui/material/ListItemButton';
import Typography from '@mui/material/Typography';
import { type KeyboardEvent, useMemo, useState } from 'react';
import {
  cellsToward,
  searchDraft,
  searchPinned,
  watchSearch,
  withLetter,
  withWord,
} from '#core/pages/word-search/by-hand.ts';
import type { SearchItem } from '#core/pages/word-search/fill.ts';
import type { WordSearchOptions } from '#core/pages/word-search/options.ts';
import { tokens } from '../../../theme.ts';
import { cellByArrow, SearchSheet, Stroke } from '../trial/search-sheet.tsx';
import { ByHandFrame } from './by-hand-frame.tsx';
import type { ByHandProps } from './by-hand-props.ts';
import { useChanges } from './use-changes.ts';

const LETTER = /^\p{L}\p{M}*$/u;

/** Words that are moved and letters that are changed, while every word is looked for anew. */
export default function WordSearchByHand({ item, options, onClose, onKeep }: ByHandProps<SearchItem>) {
  const { words, search } = item;
  const { columns, rows } = search;
  const all = options as WordSearchOptions;
  const changes = useChanges(useMemo(() => searchDraft(item), [item]));
  const { now } = changes;
  const watched = useMemo(() => watchSearch(item, now, all), [item, now, all]);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      now.letters.findIndex((letter) => letter !== null),
    ),
  );
  /** The word that is moved. */
  const [chosen, setChosen] = useState<number | null>(null);
  /** Where it would begin. */
  const [from, setFrom] = useState<number | null>(null);
  const length = chosen === null ? 0 : words[chosen]!.letters.length;
  const drawn = chosen !== null && from !== null ? cellsToward(item, now, from, at, length) : null;
  const move = (begin: number, toward: number) => {
    setFrom(null);
    const cells = chosen === null ? null : cellsToward(item, now, begin, toward, length);
    if (chosen === null || !cells || begin === toward) return;
    changes.change(withWord(item, now, chosen, cells, all));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const to = cellByArrow(event.key, at, columns, rows);
    const letter = event.key.toLocaleUpperCase('en');
    if (to !== null) setAt(to);
    else if (event.key === ' ' && chosen !== null) {
      if (from === null) setFrom(at);
      else move(from, at);
    } else if (event.key === 'Escape' && chosen !== null) {
      setFrom(null);
      setChosen(null);
    } else if (LETTER.test(letter)) changes.change(withLetter(now, at, letter));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <ByHandFrame
      watched={watched}
      changes={changes}
      onKeep={() => onKeep(searchPinned(item, now))}
      onClose={onClose}
      side={
        <>
          <Typography id="search-help" variant="body2">
            {chosen === null
              ? 'Choose a word to move it, or a cell to type another letter.'
              : `Draw where ${words[chosen]!.letters.join('')} goes: from its first letter on. Or press the space bar at its first letter, and again in the direction of its last.`}
          </Typography>
          <Box
            component="ul"
            aria-label="Words"
            sx={{
              m: 0,
              p: 0,
              listStyle: 'none',
              columnCount: 2,
              maxHeight: 220,
              overflow: 'auto',
              position: 'relative',
            }}
          >
            {words.map(({ word }, i) => (
              <li key={word}>
                <ListItemButton
                  dense
                  selected={i === chosen}
                  aria-pressed={i === chosen}
                  sx={{ py: 0, px: 1, typography: 'body2' }}
                  onClick={() => {
                    setFrom(null);
                    setChosen(i === chosen ? null : i);
                  }}
                >
                  {word}
                </ListItemButton>
              </li>
            ))}
          </Box>
        </>
      }
    >
      <SearchSheet
        {...{ columns, at, onKeyDown }}
        letters={now.letters}
        helpId="search-help"
        onPress={(cell) => {
          setAt(cell);
          if (chosen !== null) setFrom(cell);
        }}
        onDrag={(cell) => {
          if (from !== null) setAt(cell);
        }}
        onRelease={(cell) => {
          if (from !== null) move(from, cell);
        }}
      >
        {now.cells.map((cells, i) => (
          <Stroke
            key={words[i]!.word}
            columns={columns}
            cells={cells}
            color={i === chosen ? tokens.gold : tokens.verdigris}
            opacity={i === chosen ? 0.6 : 0.18}
          />
        ))}
        {!watched.isSound && (
          <g strokeWidth={0.9}>
            {watched.cells.map((cell) => (
              <Stroke key={cell} columns={columns} cells={[cell, cell]} color={tokens.rubric} opacity={0.4} />
            ))}
          </g>
        )}
        {drawn && <Stroke columns={columns} cells={drawn} color={tokens.gold} opacity={0.5} />}
      </SearchSheet>
    </ByHandFrame>
  );
}
