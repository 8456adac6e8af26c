import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import Typography from '@mui/material/Typography';
import { showLayer } from '#core/book/edit.ts';
import { isHidden, type PlacedLayer } from '#core/cover/wrap.ts';
import { useBook } from '../store.ts';

const PANELS = { front: 'Front', spine: 'Spine', back: 'Back', sheet: 'All of it' } as const;

/** What the cover is made of, panel by panel, the uppermost first: to be chosen, hidden and shown. */
export function CoverLayers({
  layers,
  chosen,
  onChoose,
}: {
  layers: readonly PlacedLayer[];
  chosen: string | null;
  onChoose: (layer: string | null) => void;
}) {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  // A cover in two parts has the background twice; it is hidden and shown as one.
  const once = layers.filter(({ id }, i) => layers.findIndex((other) => other.id === id) === i).reverse();
  return (
    <Box component="section" aria-label="Layers of the cover" sx={{ mt: 5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Layers
      </Typography>
      {Object.entries(PANELS).map(([panel, name]) => {
        const here = once.filter((layer) => layer.panel === panel);
        return here.length === 0 ? null : (
          <Box key={panel}>
            <Typography variant="caption" color="text.secondary">
              {name}
            </Typography>
            <List dense disablePadding aria-label={name}>
              {here.map((layer) => (
                <ListItem
                  key={layer.id}
                  disablePadding
                  secondaryAction={
                    layer.role === 'ground' ? null : (
                      <Checkbox
                        edge="end"
                        size="small"
                        checked={!isHidden(recipe, layer.id)}
                        onChange={(_, shown) => edit((now) => showLayer(now, layer.id, shown))}
                        slotProps={{ input: { 'aria-label': `Show: ${layer.name}` } }}
                      />
                    )
                  }
                >
                  <ListItemButton
                    selected={layer.id === chosen}
                    onClick={() => onChoose(layer.id === chosen ? null : layer.id)}
                    sx={{ px: 1.5, py: 0.25 }}
                  >
                    <ListItemText
                      primary={layer.name}
                      slotProps={{
                        primary: {
                          noWrap: true,
                          color: isHidden(recipe, layer.id) ? 'text.disabled' : 'text.primary',
                        },
                      }}
                    />
                  </ListItemButton>
                </ListItem>
              ))}
            </List>
          </Box>
        );
      })}
    </Box>
  );
}
