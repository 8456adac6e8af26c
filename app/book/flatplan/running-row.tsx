import { useSortable } from '@dnd-kit/react/sortable';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { X } from 'lucide-react';
import type { KeyboardEvent, MouseEvent } from 'react';
import type { PlannedRun } from '#core/book/planned.ts';
import { type Entry, isGroup, type Section } from '#core/book/sections.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { nameOf, pigmentOf } from './entries.ts';

const pagesOf = ({ first, last }: PlannedRun) => (first === last ? `p. ${first}` : `p. ${first}–${last}`);

interface RowProps {
  section: Entry;
  index: number;
  chosen: boolean;
  /** What is done is done to it, alone or with others. */
  selected: boolean;
  /** The member that is chosen, of a group. */
  chosenMember: string | null;
  onChoose: (event: MouseEvent) => void;
  onMember: (id: string) => void;
  onKey: (event: KeyboardEvent) => void;
  onRemove: () => void;
}

export function Row({
  section,
  index,
  chosen,
  selected,
  chosenMember,
  onChoose,
  onMember,
  onKey,
  onRemove,
}: RowProps) {
  const { ref, handleRef, isDragging } = useSortable({ id: section.id, index });
  const sections = useBook((state) => state.value.sections);
  const { plan } = useOpenBook();
  const body = plan.runs.find((run) => run.section === section.id && run.role === 'body');
  const behind = plan.runs.filter((run) => run.section === section.id && run.role !== 'body');
  const count = body ? body.last - body.first + 1 : 0;
  const filled = plan.filled?.entry === section.id ? plan.filled.count : null;
  const items = isGroup(section)
    ? filled === null
      ? `${section.group.rounds} ${section.group.rounds === 1 ? 'round' : 'rounds'} · `
      : ''
    : section.items
      ? `${filled ?? section.items} ${(filled ?? section.items) === 1 ? 'item' : 'items'} · `
      : '';
  return (
    <Box
      ref={ref}
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'stretch',
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: selected ? 'action.selected' : chosen ? 'background.paper' : 'background.default',
        opacity: isDragging ? 0.6 : 1,
        '& .remove': { opacity: 0 },
        '&:hover .remove, &:focus-within .remove': { opacity: 1 },
      }}
    >
      <Box
        ref={handleRef}
        aria-label={`Drag ${nameOf(section)}`}
        sx={{ width: 18, cursor: 'grab', display: 'flex', alignItems: 'center', justifyContent: 'flex-end' }}
      >
        <Box sx={{ width: 5, height: 32, borderRadius: 1, bgcolor: pigmentOf(sections, section.id) }} />
      </Box>
      <Box sx={{ flex: 1, minWidth: 0, py: 1.5, pl: 2 }}>
        <Box
          component="button"
          type="button"
          data-section={section.id}
          aria-pressed={chosen || selected}
          aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown Delete"
          onClick={onChoose}
          onKeyDown={onKey}
          sx={{
            ...PLAIN_BUTTON,
            width: '100%',
            p: 0,
          }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
            <Box component="span" sx={{ fontWeight: 500 }}>
              {nameOf(section)}
            </Box>
            <Typography variant="caption" component="span" sx={{ flex: 'none' }}>
              {count} pp
            </Typography>
          </Box>
          <Typography variant="caption" component="span">
            {items}
            {body ? pagesOf(body) : 'no pages'}
            {behind.map((run) => ` · ${run.role} ${pagesOf(run)}`)}
            {section.fillTo ? ` · fills to ${section.fillTo}` : ''}
          </Typography>
        </Box>
        {isGroup(section) &&
          section.group.members.map((member) => (
            <Member
              key={member.id}
              member={member}
              chosen={member.id === chosenMember}
              onChoose={() => onMember(member.id)}
            />
          ))}
      </Box>
      <IconButton
        className="remove"
        size="small"
        aria-label={`Remove ${nameOf(section)}`}
        title="Delete"
        onClick={onRemove}
        sx={{ alignSelf: 'center', color: 'text.secondary' }}
      >
        <X size={16} />
      </IconButton>
    </Box>
  );
}

const PLAIN_BUTTON = {
  font: 'inherit',
  color: 'inherit',
  textAlign: 'left',
  border: 0,
  bgcolor: 'transparent',
  cursor: 'pointer',
} as const;

/** One of the sections that alternate in a group. */
function Member({ member, chosen, onChoose }: { member: Section; chosen: boolean; onChoose: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      sx={{ ...PLAIN_BUTTON, display: 'block', width: '100%', pl: 3, fontWeight: chosen ? 700 : 400 }}
    >
      {nameOf(member)}
      {member.times ? ` × ${member.times}` : ''}
    </Box>
  );
}
