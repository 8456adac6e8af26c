import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { copyOf } from '#core/book/copied.ts';
import { removeSection, reroll, togglePin } from '#core/book/edit.ts';
import { isolate, itemsBetween } from '#core/book/page-range.ts';
import { sectionIn } from '#core/book/sections.ts';
import { gather } from '#core/resources/index.ts';
import { browserLoader } from '../../preview/browser-loader.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook, useBookStore } from '../store.ts';
import { keepCopied } from './clipboard.ts';
import { nameOf } from './entries.ts';

/** What can be done to pages that are selected. Each is one step of undo. */
export function PageRange({ range: [first, last], onDone }: { range: [number, number]; onDone: () => void }) {
  const edit = useBook((state) => state.edit);
  const store = useBookStore();
  const { plan } = useOpenBook();
  const [told, tell] = useState('');
  const items = itemsBetween(plan, first, last);
  const sections = useBook((state) => state.value.sections);
  const isPinned = ({ section, item }: (typeof items)[number]): boolean => {
    const found = sectionIn(sections, section);
    return found !== undefined && 'pins' in found && found.pins?.[item] !== undefined;
  };
  const pinned = items.filter(isPinned);
  const parted = () => isolate(store.getState().value, plan, first, last);
  /** Says which sections had to stay whole. */
  const aboutShared = (shared: readonly string[]): string =>
    shared.length
      ? ` ${shared.map((id) => nameOf(sections.find((entry) => entry.id === id)!)).join(', ')} cannot be parted.`
      : '';
  const copy = () => {
    const { recipe, ids, shared } = parted();
    if (ids.length) keepCopied(copyOf(recipe, ids));
    tell(
      `${ids.length ? 'Copied: paste them in the running order.' : 'Nothing copied.'}${aboutShared(shared)}`,
    );
    return { ids, shared };
  };
  const remove = () => {
    const { recipe, ids, shared } = parted();
    if (ids.length) edit(() => ids.reduce(removeSection, recipe));
    if (shared.length) tell(`${ids.length ? 'Removed.' : 'Nothing removed.'}${aboutShared(shared)}`);
    else onDone();
  };
  const part = () => {
    const { recipe, ids, shared } = parted();
    if (ids.length) edit(() => recipe);
    tell(`${ids.length ? 'They are sections of their own now.' : 'Nothing changed.'}${aboutShared(shared)}`);
  };
  const pin = async (on: boolean) => {
    const resources = await gather(store.getState().value.resources, browserLoader);
    edit((recipe) =>
      items
        .filter((one) => isPinned(one) !== on)
        .reduce((so, { section, item }) => togglePin(so, section, item, resources), recipe),
    );
  };
  return (
    <Box
      role="toolbar"
      aria-label="Selected pages"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        px: 4,
        py: 0.5,
        bgcolor: 'action.selected',
      }}
    >
      <Typography variant="body2" sx={{ fontWeight: 700, mr: 1 }}>
        Pages {first}–{last}
      </Typography>
      {items.length > 0 && (
        <>
          <Button
            size="small"
            onClick={() =>
              edit((recipe) => items.reduce((so, { section, item }) => reroll(so, section, item), recipe))
            }
          >
            Re-roll {items.length - pinned.length}
          </Button>
          {pinned.length < items.length && (
            <Button size="small" onClick={() => void pin(true)}>
              Pin
            </Button>
          )}
          {pinned.length > 0 && (
            <Button size="small" onClick={() => void pin(false)}>
              Unpin
            </Button>
          )}
        </>
      )}
      <Button size="small" onClick={copy}>
        Copy
      </Button>
      <Button
        size="small"
        onClick={() => {
          copy();
          remove();
        }}
      >
        Cut
      </Button>
      <Button size="small" onClick={remove}>
        Remove
      </Button>
      <Button size="small" onClick={part}>
        Make a section
      </Button>
      <Button size="small" onClick={onDone}>
        Clear
      </Button>
      <Typography variant="caption" role="status">
        {told}
      </Typography>
    </Box>
  );
}
