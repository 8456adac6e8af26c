import Box from '@mui/material/Box';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import type { PlacedLayer } from '#core/cover/wrap.ts';
import { keepPenName } from '../keep-pen-name.ts';
import { useFrozen, useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { fieldIn, withField } from './fields.ts';

/** Cover text, changed where it stands; on the spine, which lies on its side, it only follows. */
export function InPlaceText({ layer, scale }: { layer: PlacedLayer; scale: number }) {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  const [open, setOpen] = useState(false);
  const field = layer.field ?? '';
  const words = fieldIn(recipe, field);
  const { penNames } = useOpenBook();
  const { revalidate } = useRevalidator();
  const frozen = { title: useFrozen('title').stays, penName: useFrozen('penName').stays }[field];
  if (!words || frozen || layer.hidden || layer.panel === 'spine') return null;
  const { name, box } = layer;
  const close = async () => {
    setOpen(false);
    const penName = words.text.trim();
    // A name is typed once in its life: other books find it in the list. It can be added there again if this fails.
    if (field !== 'penName' || !penName || penNames.includes(penName)) return;
    if ((await keepPenName(penName)) === null) void revalidate();
  };
  const place = {
    left: box.x * scale - 4,
    top: box.y * scale - 4,
    width: box.width * scale + 8,
    height: box.height * scale + 8,
  };
  if (!open) {
    return (
      <Box
        component="button"
        type="button"
        aria-label={`Change the ${name.toLowerCase()}`}
        onClick={() => setOpen(true)}
        style={place}
        sx={{
          position: 'absolute',
          p: 0,
          bgcolor: 'transparent',
          border: '1px solid transparent',
          cursor: 'text',
          '&:hover': { borderColor: '#fff' },
        }}
      />
    );
  }
  return (
    <Box
      component="textarea"
      aria-label={name}
      autoFocus
      defaultValue={words.text}
      onFocus={(event: React.FocusEvent<HTMLTextAreaElement>) => event.target.select()}
      onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) =>
        edit(
          (now) => withField(now, field, event.target.value.replace(/\n/g, words.lines ? '\n' : ' ')),
          field,
        )
      }
      onBlur={() => void close()}
      onKeyDown={(event: React.KeyboardEvent) => {
        if (event.key === 'Escape' || (event.key === 'Enter' && !words.lines)) void close();
      }}
      style={{ ...place, minHeight: 44, minWidth: 160 }}
      sx={{
        position: 'absolute',
        zIndex: 2,
        font: 'inherit',
        p: 1,
        bgcolor: 'background.paper',
        color: 'text.primary',
        border: 2,
        borderColor: 'primary.main',
        borderRadius: 1,
        resize: 'none',
      }}
    />
  );
}
