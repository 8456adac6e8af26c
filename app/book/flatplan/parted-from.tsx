import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { beginAnew } from '#core/book/edit.ts';
import { kindOf, type Section } from '#core/book/sections.ts';
import { useBook } from '../store.ts';

/** What a part of a longer section has of it, by what the section is counted in, and how it is ended. */
const SAID = {
  items: {
    told: 'Puzzles were moved or taken out. Those that are here stay what they were.',
    action: 'Make all of them anew',
  },
  pages: {
    told: 'Pages were moved or taken out. Those that are here stay what they were.',
    action: 'Begin with the first',
  },
  derived: {
    told: 'Pages were moved or taken out. Those that are here are some of those that the settings make.',
    action: 'Have all of them',
  },
} as const;

/** Tells that a section does not have what its settings make, one after the other. */
export function PartedFrom({ section }: { section: Section }) {
  const edit = useBook((state) => state.edit);
  const { extent } = kindOf(section);
  if (!section.partOf || extent === 'single') return null;
  const { told, action } = SAID[extent];
  return (
    <Alert severity="info" variant="outlined">
      {told}
      <Button size="small" onClick={() => edit((recipe) => beginAnew(recipe, section.id))}>
        {action}
      </Button>
    </Alert>
  );
}
