import { useDraggable } from '@dnd-kit/react';
import Box from '@mui/material/Box';
import { SORTS } from './names.ts';

/** Sorts of block to put on the page: by a click behind the one that is selected, or dragged to a place. */
export function Palette({ onAdd }: { onAdd: (type: string) => void }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.5 }}>
      {SORTS.map(({ type, name }) => (
        <Sort key={type} type={type} name={name} onAdd={() => onAdd(type)} />
      ))}
    </Box>
  );
}

function Sort({ type, name, onAdd }: { type: string; name: string; onAdd: () => void }) {
  const { ref } = useDraggable({ id: `new ${type}`, data: { type } });
  return (
    <Box
      ref={ref}
      component="button"
      type="button"
      aria-label={`Add ${name.toLowerCase()}`}
      onClick={onAdd}
      sx={{
        font: 'inherit',
        fontSize: 13,
        lineHeight: 1.2,
        textAlign: 'left',
        color: 'text.primary',
        px: 1,
        py: 0.75,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
        cursor: 'grab',
        '&:hover': { borderColor: 'primary.main' },
      }}
    >
      {name}
    </Box>
  );
}
