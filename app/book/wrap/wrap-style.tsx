import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Recipe } from '#core/book/recipe.ts';
import { MOTIF_NAMES } from '#core/cover/names.ts';
import { Choice } from '../../parts/choice.tsx';
import { NumberField } from '../../parts/number-field.tsx';
import { useBook } from '../store.ts';
import { MOTIF_LABELS, PALETTES } from './house-styles.ts';

/** Palette, motif and display face: the house style of the book. */
export function WrapStyle() {
  const style = useBook((state) => state.recipe.style);
  const scale = useBook((state) => state.recipe.cover.adjust.titleScale) as number;
  const edit = useBook((state) => state.edit);
  const set = (change: Partial<Recipe['style']>) =>
    edit((recipe) => ({ ...recipe, style: { ...recipe.style, ...change } }));
  const chosen = PALETTES.find(({ palette }) => JSON.stringify(palette) === JSON.stringify(style.palette));
  return (
    <Box
      component="section"
      aria-label="House style"
      sx={{ borderRight: 1, borderColor: 'divider', p: 4, overflow: 'auto' }}
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
                {Object.values(palette).map((colour, i) => (
                  <Box key={colour} sx={{ flex: i === 0 ? 3 : 1 }} style={{ background: colour }} />
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
        <Choice
          label="Display face"
          value={style.typefaces.display as string}
          choices={[
            { value: 'alegreya-bold', label: 'Alegreya' },
            { value: 'alegreya-sans-bold', label: 'Alegreya Sans' },
          ]}
          onChange={(display) =>
            set({ typefaces: { ...style.typefaces, display: display as 'alegreya-bold' } })
          }
        />
        <NumberField
          label="Title size, %"
          value={Math.round(scale * 100)}
          least={50}
          most={150}
          step={5}
          onCommit={(percent) =>
            edit(
              (recipe) => ({
                ...recipe,
                cover: { ...recipe.cover, adjust: { ...recipe.cover.adjust, titleScale: percent / 100 } },
              }),
              'titleScale',
            )
          }
        />
      </Stack>
    </Box>
  );
}
