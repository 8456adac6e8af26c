import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { KeyboardEvent } from 'react';
import { pathsOf } from '#core/pages/composed/edit-design.ts';
import { type Shortcut, useListedKeys } from '../../parts/shortcuts.tsx';
import { saidBy, sortName } from './names.ts';
import type { DesignWork } from './use-design.ts';

const group = 'Page design';
const KEYS: Shortcut[] = [
  { keys: 'arrows', does: 'From block to block', group },
  { keys: 'alt+arrows', does: 'Move the block', group },
  { keys: 'alt+→', does: 'Put the block beside, or into, the one before', group },
  { keys: 'mod+d', does: 'Repeat the block', group },
  { keys: 'delete', does: 'Remove the block', group },
];

/** All blocks of a page in their order, those in others set in. */
export function Outline({ work }: { work: DesignWork }) {
  useListedKeys(KEYS);
  const { design, selected, choose } = work;
  const rows = [...pathsOf(design.blocks)];
  const at = rows.findIndex(([path]) => path.join() === selected?.join());
  const onKey = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step && event.altKey) (step < 0 ? work.up : work.down)();
    else if (step) {
      const next = rows[Math.max(0, Math.min(rows.length - 1, at + step))];
      if (next) choose(next[0]);
    } else if (event.key === 'ArrowRight' && event.altKey) work.nest();
    else if (event.key === 'Delete') work.remove();
    else if (event.key.toLowerCase() === 'd' && (event.ctrlKey || event.metaKey)) work.repeat();
    else return;
    event.preventDefault();
  };
  return (
    <Box
      role="listbox"
      aria-label="Blocks of the page"
      aria-activedescendant={at >= 0 ? `block-${rows[at]![0].join('-')}` : undefined}
      tabIndex={0}
      onKeyDown={onKey}
      sx={{ overflow: 'auto', position: 'relative', minHeight: 120 }}
    >
      {rows.map(([path, block], i) => (
        <Box
          key={path.join('-')}
          id={`block-${path.join('-')}`}
          role="option"
          aria-selected={i === at}
          onClick={() => choose(path)}
          sx={{
            py: 0.75,
            pr: 2,
            cursor: 'pointer',
            borderLeft: 3,
            borderColor: i === at ? 'primary.main' : 'transparent',
            bgcolor: i === at ? 'action.selected' : 'transparent',
            '&:hover': { bgcolor: 'action.hover' },
          }}
          style={{ paddingLeft: 8 + 14 * (path.length - 1) }}
        >
          <Typography variant="body2" component="span" sx={{ fontWeight: 500 }}>
            {sortName(block.type)}
          </Typography>
          {saidBy(block) && (
            <Typography variant="caption" component="span" sx={{ ml: 1 }}>
              {saidBy(block)}
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}
