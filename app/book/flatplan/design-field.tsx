import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Section } from '#core/book/sections.ts';
import { DESIGNS, type DesignId } from '#core/pages/composed/designs/index.ts';

const IDS = Object.keys(DESIGNS) as DesignId[];
const FAMILIES = [...new Set(IDS.map((id) => DESIGNS[id].family))];
const OWN = 'own';

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
  return (
    <TextField
      select
      label={label}
      value={own ? OWN : design}
      onChange={(event) => event.target.value !== OWN && onChange(event.target.value)}
      fullWidth
    >
      {own && <MenuItem value={OWN}>{design.name}</MenuItem>}
      {FAMILIES.flatMap((family) => [
        <ListSubheader key={family}>{family}</ListSubheader>,
        ...IDS.filter((id) => DESIGNS[id].family === family).map((id) => (
          <MenuItem key={id} value={id}>
            {DESIGNS[id].name}
          </MenuItem>
        )),
      ])}
    </TextField>
  );
}
