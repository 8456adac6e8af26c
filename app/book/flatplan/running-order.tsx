import {
  Accessibility,
  type DragEndEvent,
  type DragOverEvent,
  type DragStartEvent,
  StyleInjector,
} from '@dnd-kit/dom';
import { move } from '@dnd-kit/helpers';
import { DragDropProvider } from '@dnd-kit/react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Grid2x2Plus, Plus } from 'lucide-react';
import { type KeyboardEvent, useState } from 'react';
import { addSection, moveSections } from '#core/book/edit.ts';
import type { GalleryEntry } from '#core/book/gallery.ts';
import { openAt } from '#core/book/page-range.ts';
import { addMix, type MixOrder, type MixPart } from '#core/book/puzzle-mix.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { isGroup, sectionsOf } from '#core/book/sections.ts';
import { addStandingPage } from '#core/book/standing-page.ts';
import { type PageKind, pageKinds } from '#core/pages/index.ts';
import { pageNonce } from '../../emotion.ts';
import { useCommand } from '../../parts/shortcuts.tsx';
import { useOpenBook } from '../open-book.tsx';
import { useBook, useBookStore } from '../store.ts';
import { useLargeType } from '../use-large-type.ts';
import { AddPagesDialog } from './add-pages-dialog.tsx';
import { ArrangingMenu } from './arranging-menu.tsx';
import { nameOf } from './entries.ts';
import { useGalleryAhead } from './gallery-drawings.ts';
import { PuzzleMixDialog } from './puzzle-mix-dialog.tsx';
import { Row } from './running-row.tsx';
import { useArranging } from './use-arranging.ts';

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

/** Pages that are to be added behind one. */
export interface AddingBehind {
  behind: number;
  /** The book as it was then. */
  recipe: Recipe;
}

/** The sections in order: chosen by click, moved by dragging or Alt and an arrow, removed by Delete. */
export function RunningOrder({
  chosen,
  after,
  adding,
  onChoose,
  onAdded,
}: {
  chosen: string | null;
  /** New pages come after this section, or at the end. */
  after: string | null;
  /** Where they come instead, while somebody chooses them. */
  adding: AddingBehind | null;
  onChoose: (section: string) => void;
  /** Nothing is to be added there any more. */
  onAdded: () => void;
}) {
  const sections = useBook((state) => state.value.sections);
  const edit = useBook((state) => state.edit);
  const { plan } = useOpenBook();
  /** The book as it was when pages were to be added; null while they are not. */
  const [opened, setOpened] = useState<Recipe | null>(null);
  useGalleryAhead(opened !== null || adding !== null);
  /** As `opened`, where puzzles were to be added by kind and level. */
  const [mixing, setMixing] = useState<Recipe | null>(null);
  const store = useBookStore();
  const arranging = useArranging(chosen, onChoose);
  const { selected, focus } = arranging;

  const onKey = (event: KeyboardEvent, index: number) => {
    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    const beside = sections[index + step]?.id;
    const own = sections[index]!.id;
    // What has the focus is meant, with all that are selected where it is one of them.
    const meant = selected.includes(own) ? selected : [own];
    const byLetter: Record<string, (() => void) | undefined> = {
      a: arranging.all,
      c: () => arranging.copy(meant),
      x: () => arranging.cut(meant),
      v: () => arranging.paste(meant),
      d: () => arranging.duplicate(meant),
    };
    const extend = () => {
      if (beside) arranging.upTo(beside);
      focus(beside);
    };
    const act = step
      ? event.altKey
        ? () => arranging.move(step, meant)
        : event.shiftKey
          ? extend
          : () => focus(beside)
      : event.key === 'Delete'
        ? () => arranging.remove(meant)
        : event.key === 'Escape'
          ? arranging.none
          : event.ctrlKey || event.metaKey
            ? byLetter[event.key.toLowerCase()]
            : undefined;
    if (!act) return;
    event.preventDefault();
    act();
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
  const place = sections.findIndex(({ id }) => id === after) + 1 || sections.length;
  const giveLargeType = useLargeType();
  /** One edit, so that one undo takes all of them away again, with what large print makes of them. */
  const grow = (grown: (recipe: Recipe) => { from: Recipe; recipe: Recipe; id: string }) => {
    const key = `add to ${sections.length}`;
    let before: ReadonlySet<string> = new Set();
    let added = '';
    const refused = edit((recipe) => {
      const { from, recipe: longer, id } = grown(recipe);
      // Parts of a section that they were put into are as they were.
      before = new Set(sectionsOf(from.sections).map((section) => section.id));
      added = id;
      return longer;
    }, key);
    if (refused) return;
    onChoose(added);
    const all = sectionsOf(store.getState().value.sections).map(({ id }) => id);
    void giveLargeType(
      key,
      all.filter((id) => !before.has(id)),
    );
  };
  const addMixed = (parts: readonly MixPart[], order: MixOrder) => {
    setMixing(null);
    grow((from) => ({ from, ...addMix(from, parts, order, place) }));
  };
  useCommand({ does: 'Add puzzles by kind and level', group: 'Running order' }, () =>
    setMixing(store.getState().value),
  );
  const toAddTo = opened ?? adding?.recipe;
  const closeGallery = () => {
    setOpened(null);
    onAdded();
  };
  const add = (entries: readonly Pick<GalleryEntry, 'kind' | 'options' | 'standing'>[]) => {
    closeGallery();
    grow((before) => {
      const { recipe: from, at } = adding
        ? openAt(before, plan, adding.behind + 1)
        : { recipe: before, at: place };
      const longer = entries.reduce(
        (so, { kind, options, standing }, i) =>
          standing ? addStandingPage(so, standing, at + i) : addSection(so, kind, at + i, options),
        from,
      );
      return { from, recipe: longer, id: longer.sections[at]!.id };
    });
  };
  return (
    <Box
      component="section"
      aria-label="Running order"
      sx={{ borderRight: 1, borderColor: 'divider', overflow: 'auto', py: 3, position: 'relative' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', pl: 4, pr: 2, pb: 2 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Running order
        </Typography>
        <ArrangingMenu arranging={arranging} />
      </Box>
      <DragDropProvider
        plugins={(defaults) => [...defaults, StyleInjector.configure({ nonce: pageNonce() ?? '' }), spoken]}
        onDragEnd={(event) => {
          if (event.canceled) return;
          const ids = move(
            sections.map(({ id }) => id),
            event,
          );
          if (!ids.some((id, i) => id !== sections[i]!.id)) return;
          const dragged = String(event.operation.source?.id);
          // With one of them, all that are selected are dragged.
          const moved = selected.includes(dragged) ? selected : [dragged];
          const before = ids.slice(ids.indexOf(dragged) + 1).find((id) => !moved.includes(id));
          edit((recipe) => {
            const to = recipe.sections.findIndex(({ id }) => id === before);
            return moveSections(recipe, moved, to < 0 ? recipe.sections.length : to);
          });
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
              selected={selected.length > 1 && selected.includes(section.id)}
              onChoose={(event) => arranging.click(event, section.id)}
              onKey={(event) => onKey(event, index)}
              onRemove={() => arranging.remove([section.id])}
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
      <Button
        sx={{ m: 2, mt: 0 }}
        startIcon={<Grid2x2Plus size={16} />}
        onClick={() => setMixing(store.getState().value)}
        aria-haspopup="dialog"
      >
        Puzzles by level
      </Button>
      {pageKinds().map((kind) => (
        <AddCommand key={kind.id} kind={kind} add={add} />
      ))}
      {mixing && (
        <PuzzleMixDialog recipe={mixing} at={place} onAdd={addMixed} onClose={() => setMixing(null)} />
      )}
      {toAddTo && <AddPagesDialog recipe={toAddTo} onAdd={add} onClose={closeGallery} />}
      <Box
        role="status"
        sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
      >
        {arranging.told}
      </Box>
    </Box>
  );
}
