import {
  Accessibility,
  type DragEndEvent,
  type DragOverEvent,
  type DragStartEvent,
  StyleInjector,
} from '@dnd-kit/dom';
import { move } from '@dnd-kit/helpers';
import { DragDropProvider } from '@dnd-kit/react';
import { useSortable } from '@dnd-kit/react/sortable';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { Plus, X } from 'lucide-react';
import { type KeyboardEvent, useState } from 'react';
import { addSection, moveSection, removeSection } from '#core/book/edit.ts';
import type { GalleryEntry } from '#core/book/gallery.ts';
import type { PlannedRun } from '#core/book/plan.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { type Entry, isGroup, type Section, sectionIn, sectionName } from '#core/book/sections.ts';
import { type PageKind, pageKinds } from '#core/pages/index.ts';
import { pageNonce } from '../../emotion.ts';
import { type Shortcut, useCommand, useListedKeys } from '../../parts/shortcuts.tsx';
import { PIGMENTS } from '../../theme.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook, useBookStore } from '../store.ts';
import { AddPagesDialog } from './add-pages-dialog.tsx';

const pagesOf = ({ first, last }: PlannedRun) => (first === last ? `p. ${first}` : `p. ${first}–${last}`);

/** The pigment a section has in running order and spreads, by its place. */
export const pigmentOf = (sections: readonly Entry[], id: string | null): string =>
  PIGMENTS[
    Math.max(
      0,
      sections.findIndex(
        (entry) => entry.id === id || (isGroup(entry) && sectionIn([entry], id) !== undefined),
      ),
    ) % PIGMENTS.length
  ]!;

const nameOf = (entry: Entry): string => (isGroup(entry) ? 'Alternating pages' : sectionName(entry));

interface RowProps {
  section: Entry;
  index: number;
  chosen: boolean;
  /** The member that is chosen, of a group. */
  chosenMember: string | null;
  onChoose: () => void;
  onMember: (id: string) => void;
  onKey: (event: KeyboardEvent) => void;
  onRemove: () => void;
}

function Row({ section, index, chosen, chosenMember, onChoose, onMember, onKey, onRemove }: RowProps) {
  const { ref, handleRef, isDragging } = useSortable({ id: section.id, index });
  const sections = useBook((state) => state.value.sections);
  const { plan } = useOpenBook();
  const body = plan.runs.find((run) => run.section === section.id && run.role === 'body');
  const solutions = plan.runs.find((run) => run.section === section.id && run.role === 'solutions');
  const count = body ? body.last - body.first + 1 : 0;
  const items = isGroup(section)
    ? `${section.group.rounds} rounds · `
    : section.items
      ? `${section.items} items · `
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
        bgcolor: chosen ? 'background.paper' : 'background.default',
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
          aria-pressed={chosen}
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
            <Typography variant="caption" component="span">
              {count} pp
            </Typography>
          </Box>
          <Typography variant="caption" component="span">
            {items}
            {body ? pagesOf(body) : 'no pages'}
            {solutions ? ` · solutions ${pagesOf(solutions)}` : ''}
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
      {sectionName(member)}
    </Box>
  );
}

const group = 'Running order';
const ORDER_KEYS: Shortcut[] = [
  { keys: 'arrows', does: 'From section to section', group },
  { keys: 'alt+arrows', does: 'Move the section', group },
  { keys: 'delete', does: 'Remove the section', group },
];

function AddCommand({
  kind,
  add,
}: {
  kind: PageKind;
  add: (entries: { kind: PageKind; options: Record<string, unknown> }[]) => void;
}) {
  useCommand({ does: `Add ${kind.name.toLowerCase()}`, group: 'Running order' }, () =>
    add([{ kind, options: {} }]),
  );
  return null;
}

/** The sections in order: chosen by click, moved by dragging or Alt and an arrow, removed by Delete. */
export function RunningOrder({
  chosen,
  after,
  onChoose,
}: {
  chosen: string | null;
  /** New pages come after this section, or at the end. */
  after: string | null;
  onChoose: (section: string) => void;
}) {
  const sections = useBook((state) => state.value.sections);
  const edit = useBook((state) => state.edit);
  /** The book as it was when pages were to be added; null while they are not. */
  const [opened, setOpened] = useState<Recipe | null>(null);
  const store = useBookStore();
  const [told, setTold] = useState('');
  useListedKeys(ORDER_KEYS);

  const focusRow = (id: string | undefined) =>
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-section="${id}"]`)?.focus());
  const remove = (index: number) => {
    const entry = sections[index]!;
    edit((recipe) => removeSection(recipe, entry.id));
    setTold(`${nameOf(entry)} removed. Undo brings it back.`);
    focusRow((sections[index + 1] ?? sections[index - 1])?.id);
  };
  const onKey = (event: KeyboardEvent, index: number) => {
    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (step && event.altKey) {
      event.preventDefault();
      edit((recipe) => moveSection(recipe, index, index + step));
      setTold(
        `Moved to place ${Math.max(1, Math.min(sections.length, index + step + 1))} of ${sections.length}.`,
      );
      focusRow(sections[index]!.id);
    } else if (step) {
      event.preventDefault();
      focusRow(sections[index + step]?.id);
    } else if (event.key === 'Delete') {
      event.preventDefault();
      remove(index);
    }
  };
  const called = (id: unknown) => {
    const entry = sections.find((section) => section.id === id);
    return entry ? nameOf(entry) : 'The section';
  };
  const placeOf = (id: unknown) => sections.findIndex((section) => section.id === id) + 1;
  /** What is said to those who cannot see it being dragged. */
  const spoken = Accessibility.configure({
    screenReaderInstructions: {
      draggable:
        'Press the space bar to pick the section up, the arrow keys to move it, the space bar again to put it down, and Escape to leave it where it was.',
    },
    announcements: {
      dragstart: ({ operation: { source } }: DragStartEvent) =>
        `${called(source?.id)} picked up from place ${placeOf(source?.id)} of ${sections.length}.`,
      dragover: ({ operation: { source, target } }: DragOverEvent) =>
        target && source?.id !== target.id
          ? `${called(source?.id)} is at place ${placeOf(target.id)} of ${sections.length}.`
          : undefined,
      dragend: ({ operation: { source }, canceled }: DragEndEvent) =>
        canceled ? `${called(source?.id)} left where it was.` : `${called(source?.id)} put down.`,
    },
  });
  /** One edit, so that one undo takes all of them away again. */
  const add = (entries: readonly Pick<GalleryEntry, 'kind' | 'options'>[]) => {
    setOpened(null);
    const at = sections.findIndex(({ id }) => id === after) + 1 || sections.length;
    let added = '';
    const refused = edit((recipe) => {
      const grown = entries.reduce(
        (so, { kind, options }, i) => addSection(so, kind, at + i, options),
        recipe,
      );
      added = grown.sections[at]!.id;
      return grown;
    });
    if (!refused) onChoose(added);
  };
  return (
    <Box
      component="section"
      aria-label="Running order"
      sx={{ borderRight: 1, borderColor: 'divider', overflow: 'auto', py: 3 }}
    >
      <Typography variant="h2" sx={{ px: 4, pb: 2 }}>
        Running order
      </Typography>
      <DragDropProvider
        plugins={(defaults) => [...defaults, StyleInjector.configure({ nonce: pageNonce() ?? '' }), spoken]}
        onDragEnd={(event) => {
          if (event.canceled) return;
          const ids = move(
            sections.map(({ id }) => id),
            event,
          );
          if (ids.some((id, i) => id !== sections[i]!.id))
            edit((recipe) => ({
              ...recipe,
              sections: ids.map((id) => recipe.sections.find((section) => section.id === id)!),
            }));
        }}
      >
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {sections.map((section, index) => (
            <Row
              key={section.id}
              section={section}
              index={index}
              chosen={section.id === chosen}
              chosenMember={isGroup(section) ? chosen : null}
              onMember={onChoose}
              onChoose={() => onChoose(section.id)}
              onKey={(event) => onKey(event, index)}
              onRemove={() => remove(index)}
            />
          ))}
        </Box>
      </DragDropProvider>
      {sections.length === 0 && (
        <Typography sx={{ px: 4 }}>The pages of your book appear here in order. Add the first.</Typography>
      )}
      <Button
        sx={{ m: 2 }}
        startIcon={<Plus size={16} />}
        onClick={() => setOpened(store.getState().value)}
        aria-haspopup="dialog"
      >
        Add pages
      </Button>
      {pageKinds().map((kind) => (
        <AddCommand key={kind.id} kind={kind} add={add} />
      ))}
      {opened && <AddPagesDialog recipe={opened} onAdd={add} onClose={() => setOpened(null)} />}
      <Box
        role="status"
        sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
      >
        {told}
      </Box>
    </Box>
  );
}
