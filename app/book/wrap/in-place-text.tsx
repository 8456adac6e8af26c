import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import type { Rect } from '#core/print/index.ts';
import type { FieldBox } from '../../preview/press.worker.ts';
import { useBook } from '../store.ts';

const NAMES: Record<string, string> = { title: 'Title', subtitle: 'Subtitle', blurb: 'Blurb' };

const read = (recipe: Recipe, field: string) =>
  field === 'blurb' ? recipe.cover.fields.blurb : recipe[field as 'title'];

const write = (recipe: Recipe, field: string, text: string): Recipe =>
  field === 'blurb'
    ? { ...recipe, cover: { ...recipe.cover, fields: { ...recipe.cover.fields, blurb: text } } }
    : { ...recipe, [field]: text };

/** Words on the cover that are changed where they stand. The pen name comes from its list and is not typed here. */
export function InPlaceText({ box, scale, spine }: { box: FieldBox; scale: number; spine: Rect | null }) {
  const recipe = useBook((state) => state.recipe);
  const edit = useBook((state) => state.edit);
  const [open, setOpen] = useState(false);
  const name = NAMES[box.sourceField];
  if (!name || (spine && box.left < spine.x + spine.width && box.right > spine.x)) return null;
  const place = {
    left: box.left * scale - 4,
    top: box.top * scale - 4,
    width: (box.right - box.left) * scale + 8,
    height: (box.bottom - box.top) * scale + 8,
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
      defaultValue={read(recipe, box.sourceField)}
      onFocus={(event: React.FocusEvent<HTMLTextAreaElement>) => event.target.select()}
      onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) =>
        edit(
          (now) =>
            write(
              now,
              box.sourceField,
              event.target.value.replace(/\n/g, box.sourceField === 'blurb' ? '\n' : ' '),
            ),
          box.sourceField,
        )
      }
      onBlur={() => setOpen(false)}
      onKeyDown={(event: React.KeyboardEvent) => {
        if (event.key === 'Escape' || (event.key === 'Enter' && box.sourceField !== 'blurb')) setOpen(false);
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
