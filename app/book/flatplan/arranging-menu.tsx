import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { EllipsisVertical } from 'lucide-react';
import { useState } from 'react';
import { keysShown, type Shortcut, useCommand, useListedKeys } from '../../parts/shortcuts.tsx';
import type { Arranging } from './use-arranging.ts';

const group = 'Running order';
const KEYS: Shortcut[] = [
  { keys: 'arrows', does: 'From section to section', group },
  { keys: 'shift+arrows', does: 'Select sections up to there', group },
  { keys: 'alt+arrows', does: 'Move what is selected', group },
  { keys: 'mod+a', does: 'Select all sections', group },
  { keys: 'mod+c', does: 'Copy what is selected', group },
  { keys: 'mod+x', does: 'Cut what is selected', group },
  { keys: 'mod+v', does: 'Paste behind it', group },
  { keys: 'mod+d', does: 'Duplicate what is selected', group },
  { keys: 'delete', does: 'Remove what is selected', group },
];

/** What can be done to the sections that are selected. */
export function ArrangingMenu({ arranging }: { arranging: Arranging }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  useListedKeys(KEYS);
  const { selected } = arranging;
  const some = selected.length > 0;
  const acts: { name: string; keys: string; when: boolean; act: () => void }[] = [
    { name: 'Copy', keys: 'mod+c', when: some, act: () => arranging.copy() },
    { name: 'Cut', keys: 'mod+x', when: some, act: () => arranging.cut() },
    { name: 'Paste', keys: 'mod+v', when: true, act: () => arranging.paste() },
    { name: 'Duplicate', keys: 'mod+d', when: some, act: () => arranging.duplicate() },
    { name: 'Remove', keys: 'delete', when: some, act: () => arranging.remove(selected) },
  ];
  return (
    <>
      <IconButton
        size="small"
        aria-label="Arrange sections"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <EllipsisVertical size={18} />
      </IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {acts.map(({ name, keys, when, act }) => (
          <MenuItem
            key={name}
            disabled={!when}
            onClick={() => {
              setAnchor(null);
              act();
            }}
            sx={{ gap: 4, justifyContent: 'space-between' }}
          >
            {name}
            <Typography variant="caption">{keysShown(keys)}</Typography>
          </MenuItem>
        ))}
      </Menu>
      {acts.map(({ name, when, act }) => (
        <ArrangingCommand key={name} does={`${name} sections`} when={when} act={act} />
      ))}
    </>
  );
}

function ArrangingCommand({ does, when, act }: { does: string; when: boolean; act: () => void }) {
  useCommand({ does, group, when }, act);
  return null;
}
