import Button from '@mui/material/Button';
import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { Link } from 'react-router';
import { changeSection } from '#core/book/edit.ts';
import { SAVED_FAMILY } from '#core/book/gallery.ts';
import type { Section } from '#core/book/sections.ts';
import { DESIGNS, type DesignId } from '#core/pages/composed/designs/index.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

const IDS = Object.keys(DESIGNS) as DesignId[];
const FAMILIES = [...new Set(IDS.map((id) => DESIGNS[id].family))];
const OWN = 'own';
const SAVED = 'saved ';

/** Which design a composed page has: one that ships, or one that the recipe brought. */
export function DesignField({
  section,
  label,
  onChange,
}: {
  section: Section;
  label: string;
  onChange: (value: unknown) => string | null;
}) {
  const design = section.options.design as DesignId | { name: string };
  const own = typeof design === 'object';
  const { designs } = useOpenBook();
  const edit = useBook((state) => state.edit);
  const take = (id: string) => {
    const saved = designs.find((one) => SAVED + one.id === id);
    if (!saved) return onChange(id);
    // With its look, in one step.
    return edit((recipe) =>
      changeSection(recipe, section.id, (now) => ({
        ...now,
        options: { ...now.options, design: saved.design, look: saved.look },
      })),
    );
  };
  return (
    <>
      <TextField
        select
        label={label}
        value={own ? OWN : design}
        onChange={(event) => event.target.value !== OWN && take(event.target.value)}
        fullWidth
      >
        {own && <MenuItem value={OWN}>{design.name}</MenuItem>}
        {designs.length > 0 && <ListSubheader>{SAVED_FAMILY}</ListSubheader>}
        {designs.map(({ id, name }) => (
          <MenuItem key={id} value={SAVED + id}>
            {name}
          </MenuItem>
        ))}
        {FAMILIES.flatMap((family) => [
          <ListSubheader key={family}>{family}</ListSubheader>,
          ...IDS.filter((id) => DESIGNS[id].family === family).map((id) => (
            <MenuItem key={id} value={id}>
              {DESIGNS[id].name}
            </MenuItem>
          )),
        ])}
      </TextField>
      <Button component={Link} to={`../design?section=${section.id}`} size="small" sx={{ mt: 1 }}>
        Arrange the page…
      </Button>
    </>
  );
}
