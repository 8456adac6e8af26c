import { StyleInjector } from '@dnd-kit/dom';
import { move } from '@dnd-kit/helpers';
import { DragDropProvider } from '@dnd-kit/react';
import { useSortable } from '@dnd-kit/react/sortable';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import { type KeyboardEvent, useState } from 'react';
import { pageNonce } from '../emotion.ts';
import { type Shortcut, useListedKeys } from '../parts/shortcuts.tsx';

const group = 'Keywords';
const KEYS: Shortcut[] = [
  { keys: 'alt+arrows', does: 'Move the keyword', group },
  { keys: 'delete', does: 'Remove the keyword', group },
];

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 };

/** Keywords in their order, the first of which are used: moved by dragging or Alt and an arrow, removed by Delete. */
export function KeywordOrder({
  keywords,
  used,
  onChange,
}: {
  keywords: readonly string[];
  /** How many of the first are used. */
  used: number;
  onChange: (keywords: string[]) => void;
}) {
  const [told, setTold] = useState('');
  useListedKeys(KEYS);
  const focus = (word: string | undefined) =>
    requestAnimationFrame(() =>
      document.querySelector<HTMLElement>(`[data-keyword="${CSS.escape(word ?? '')}"]`)?.focus(),
    );
  const remove = (index: number) => {
    onChange(keywords.filter((_, i) => i !== index));
    setTold(`“${keywords[index]}” removed. Undo brings it back.`);
    focus(keywords[index + 1] ?? keywords[index - 1]);
  };
  const onKey = (event: KeyboardEvent, index: number) => {
    const step = STEPS[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') remove(index);
    else if (step && event.altKey) {
      const place = Math.max(0, Math.min(keywords.length - 1, index + step));
      const next = keywords.filter((_, i) => i !== index);
      next.splice(place, 0, keywords[index]!);
      onChange(next);
      setTold(`“${keywords[index]}” is at place ${place + 1} of ${keywords.length}.`);
      focus(keywords[index]);
    } else if (step) focus(keywords[index + step]);
    else return;
    event.preventDefault();
  };
  return (
    <>
      <DragDropProvider
        plugins={(defaults) => [...defaults, StyleInjector.configure({ nonce: pageNonce() ?? '' })]}
        onDragEnd={(event) => {
          if (event.canceled) return;
          const next = move([...keywords], event);
          if (next.some((word, i) => word !== keywords[i])) onChange(next);
        }}
      >
        <Box
          component="ul"
          aria-label="Keywords in order"
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', listStyle: 'none', m: 0, p: 0 }}
        >
          {keywords.map((word, i) => (
            <Keyword
              key={word}
              word={word}
              index={i}
              used={i < used}
              onKey={(event) => onKey(event, i)}
              onRemove={() => remove(i)}
            />
          ))}
        </Box>
      </DragDropProvider>
      <Box
        role="status"
        sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
      >
        {told}
      </Box>
    </>
  );
}

function Keyword({
  word,
  index,
  used,
  onKey,
  onRemove,
}: {
  word: string;
  index: number;
  used: boolean;
  onKey: (event: KeyboardEvent) => void;
  onRemove: () => void;
}) {
  const { ref, handleRef, isDragging } = useSortable({ id: word, index });
  return (
    <Box component="li" ref={ref} sx={{ opacity: isDragging ? 0.6 : 1, cursor: 'grab' }}>
      <Chip
        ref={handleRef}
        size="small"
        tabIndex={0}
        data-keyword={word}
        color={used ? 'primary' : 'default'}
        variant={used ? 'filled' : 'outlined'}
        label={word}
        onKeyDown={onKey}
        onDelete={onRemove}
        title="Drag, or Alt and an arrow, to move it"
      />
    </Box>
  );
}
