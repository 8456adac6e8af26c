import Box from '@mui/material/Box';
import { useRevalidator } from 'react-router';
import type { PlacedLayer } from '#core/cover/wrap.ts';
import { keepPenName } from '../keep-pen-name.ts';
import { useFrozen, useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { fieldIn, withField } from './fields.ts';

/** Text of a layer that may be changed where it stands; on the spine, which lies on its side, it only follows. */
function useWords({ field = '', hidden, panel }: PlacedLayer) {
  const recipe = useBook((state) => state.value);
  const frozen = { title: useFrozen('title').stays, penName: useFrozen('penName').stays }[field];
  return frozen || hidden || panel === 'spine' ? undefined : fieldIn(recipe, field);
}

const placeOf = ({ box }: PlacedLayer, scale: number) => ({
  left: box.x * scale - 4,
  top: box.y * scale - 4,
  width: box.width * scale + 8,
  height: box.height * scale + 8,
});

/** Lies over the text of a layer, and begins to change it. */
export function ChangeText({
  layer,
  scale,
  onOpen,
}: {
  layer: PlacedLayer;
  scale: number;
  onOpen: (layer: PlacedLayer) => void;
}) {
  if (!useWords(layer)) return null;
  return (
    <Box
      component="button"
      type="button"
      aria-label={`Change the ${layer.name.toLowerCase()}`}
      onClick={() => onOpen(layer)}
      style={placeOf(layer, scale)}
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

/**
 * Text of the cover, changed where it stands.
 * @param layer as it stood when this began: what is typed makes it wider, moves it, or leaves nothing of it
 */
export function InPlaceText({
  layer,
  scale,
  onClose,
}: {
  layer: PlacedLayer;
  scale: number;
  onClose: () => void;
}) {
  const edit = useBook((state) => state.edit);
  const { penNames } = useOpenBook();
  const { revalidate } = useRevalidator();
  const words = useWords(layer);
  if (!words) return null;
  const { name, field = '' } = layer;
  const close = async () => {
    onClose();
    const penName = words.text.trim();
    // A name is typed once in its life: other books find it in the list. It can be added there again if this fails.
    if (field !== 'penName' || !penName || penNames.includes(penName)) return;
    if ((await keepPenName(penName)) === null) void revalidate();
  };
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
      style={{ ...placeOf(layer, scale), minHeight: 44, minWidth: 160 }}
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
