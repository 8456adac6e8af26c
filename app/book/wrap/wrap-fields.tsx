import Box from '@mui/material/Box';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { compositionOf } from '#core/cover/compositions/index.ts';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { OptionFields } from '../../parts/option-fields.tsx';
import { PenNameField } from '../pen-name-field.tsx';
import { useBook } from '../store.ts';
import { TitleField } from '../title-field.tsx';
import { withField } from './fields.ts';
import { Thumbnail } from './thumbnail.tsx';

/** The words on the cover: fields of the book, the same ones as in listing and title page. */
export function WrapFields() {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  return (
    <Box
      component="aside"
      aria-label="Cover text"
      sx={{
        bgcolor: 'background.paper',
        borderLeft: 1,
        borderColor: 'divider',
        p: 4,
        overflow: 'auto',
        position: 'relative',
      }}
    >
      <Typography variant="h2" sx={{ mb: 3 }}>
        Cover text
      </Typography>
      <Stack spacing={3.5}>
        <TitleField />
        <LiveTextField
          label="Subtitle"
          value={recipe.subtitle as string}
          onCommit={(subtitle) => edit((now) => ({ ...now, subtitle }), 'subtitle')}
        />
        <PenNameField />
        <OptionFields
          schema={compositionOf(recipe.cover).fields}
          values={recipe.cover.fields}
          owner={recipe.cover.composition}
          onChange={(key, value) => edit((now) => withField(now, key, value as string), key)}
        />
      </Stack>
      <Typography variant="h2" sx={{ mt: 4, mb: 2 }}>
        Thumbnail, 160 px
      </Typography>
      <Thumbnail />
    </Box>
  );
}
