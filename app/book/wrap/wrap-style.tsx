import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { useRevalidator } from 'react-router';
import { chooseFace } from '#core/book/edit.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { compositionOf } from '#core/cover/compositions/index.ts';
import { MOTIF_NAMES } from '#core/cover/names.ts';
import { textFace, titleFace } from '#core/faces/index.ts';
import { AddTypeface } from '../../parts/add-typeface.tsx';
import { OptionFields } from '../../parts/option-fields.tsx';
import { TypefaceField } from '../../parts/typeface-field.tsx';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { MOTIF_LABELS, PALETTES } from './house-styles.ts';

/** Palette, motif and display face, the house style of the book, and what its composition asks for. */
export function WrapStyle({ children }: { children: ReactNode }) {
  const style = useBook((state) => state.value.style);
  const cover = useBook((state) => state.value.cover);
  const edit = useBook((state) => state.edit);
  const named = useBook((state) => state.value.resources);
  const { typefaces: own } = useOpenBook();
  const { revalidate } = useRevalidator();
  const [adding, setAdding] = useState(false);
  const set = (change: Partial<Recipe['style']>) =>
    edit((recipe) => ({ ...recipe, style: { ...recipe.style, ...change } }));
  const chosen = PALETTES.find(({ palette }) => JSON.stringify(palette) === JSON.stringify(style.palette));
  return (
    <Box
      component="section"
      aria-label="House style"
      sx={{ borderRight: 1, borderColor: 'divider', p: 4, overflow: 'auto', position: 'relative' }}
    >
      <Typography variant="h2" sx={{ mb: 3 }}>
        House style
      </Typography>
      <Stack spacing={4}>
        <Box
          role="radiogroup"
          aria-label="Palette"
          sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}
        >
          {PALETTES.map(({ name, palette }) => (
            <Box
              key={name}
              component="button"
              type="button"
              role="radio"
              aria-checked={chosen?.name === name}
              onClick={() => set({ palette: { ...palette } })}
              sx={{
                font: 'inherit',
                p: 1.5,
                cursor: 'pointer',
                bgcolor: 'background.paper',
                border: 2,
                borderColor: chosen?.name === name ? 'primary.main' : 'divider',
                borderRadius: 1,
                fontWeight: chosen?.name === name ? 700 : 400,
              }}
            >
              <Box sx={{ display: 'flex', height: 26, mb: 1 }}>
                {Object.values(palette).map((color, i) => (
                  <Box key={color} sx={{ flex: i === 0 ? 3 : 1 }} style={{ background: color }} />
                ))}
              </Box>
              {name}
            </Box>
          ))}
        </Box>
        <TextField
          select
          label="Motif"
          value={style.motif}
          onChange={(event) => set({ motif: event.target.value as (typeof MOTIF_NAMES)[number] })}
        >
          {MOTIF_NAMES.map((name) => (
            <MenuItem key={name} value={name}>
              {MOTIF_LABELS[name]}
            </MenuItem>
          ))}
        </TextField>
        <TypefaceField
          label="Title typeface"
          value={style.typefaces.display}
          {...{ own, named }}
          shippedFace={titleFace}
          onChange={(face) => edit((recipe) => chooseFace(recipe, 'display', face))}
        />
        <TypefaceField
          label="Text typeface"
          value={style.typefaces.text}
          {...{ own, named }}
          shippedFace={textFace}
          onChange={(face) => edit((recipe) => chooseFace(recipe, 'text', face))}
        />
        <Button onClick={() => setAdding(true)} sx={{ alignSelf: 'flex-start' }}>
          Add typefaces…
        </Button>
        {adding && <AddTypeface onClose={() => setAdding(false)} onKept={() => void revalidate()} />}
        <OptionFields
          schema={compositionOf(cover).options}
          values={cover.options}
          owner={cover.composition}
          onChange={(key, value) =>
            edit(
              (recipe) => ({
                ...recipe,
                cover: { ...recipe.cover, options: { ...recipe.cover.options, [key]: value } },
              }),
              `cover ${key}`,
            )
          }
        />
      </Stack>
      {children}
    </Box>
  );
}
