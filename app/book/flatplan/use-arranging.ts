import { type MouseEvent, useState } from 'react';
import { copyOf, paste } from '#core/book/copied.ts';
import { duplicate, moveSections, removeSection } from '#core/book/edit.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { useBook, useBookStore } from '../store.ts';
import { copiedSections, keepCopied } from './clipboard.ts';
import { nameOf } from './entries.ts';

/**
 * What is selected of the running order, and what can be done to it. Everything is one edit, so that one undo takes it back.
 * @param chosen whose settings are shown
 */
export function useArranging(chosen: string | null, onChoose: (id: string) => void) {
  const sections = useBook((state) => state.value.sections);
  const edit = useBook((state) => state.edit);
  const store = useBookStore();
  const [marked, setMarked] = useState<readonly string[]>([]);
  /** Where a range that is being selected began. */
  const [anchor, setAnchor] = useState<string | null>(null);
  const [told, tell] = useState('');
  const ids = sections.map(({ id }) => id);
  const there = marked.filter((id) => ids.includes(id));
  const selected = there.length ? there : ids.filter((id) => id === chosen);

  const focus = (id: string | undefined) =>
    requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-section="${id}"]`)?.focus());
  const only = (id: string) => {
    setMarked([]);
    setAnchor(id);
    onChoose(id);
  };
  const upTo = (id: string) => {
    const from = ids.indexOf(anchor ?? chosen ?? id);
    const to = ids.indexOf(id);
    setMarked(ids.slice(Math.min(from, to), Math.max(from, to) + 1));
    setAnchor(ids[from] ?? id);
    onChoose(id);
  };
  const named = (some: readonly string[]): string =>
    some.length === 1 ? nameOf(sections.find(({ id }) => id === some[0])!) : `${some.length} sections`;

  const remove = (some: readonly string[], said = 'removed') => {
    if (some.length === 0) return;
    const last = ids.findLastIndex((id) => some.includes(id));
    const next =
      ids.slice(last + 1).find((id) => !some.includes(id)) ??
      ids.slice(0, last).findLast((id) => !some.includes(id));
    const words = `${named(some)} ${said}. Undo brings ${some.length === 1 ? 'it' : 'them'} back.`;
    if (edit((recipe) => some.reduce(removeSection, recipe))) return;
    tell(words);
    setMarked([]);
    if (next) onChoose(next);
    focus(next);
  };
  /** Takes an edit that brings new entries, and selects them. */
  const bring = (change: (recipe: Recipe) => { recipe: Recipe; ids: string[] }, said: string) => {
    let brought: string[] = [];
    const refused = edit((recipe) => {
      const changed = change(recipe);
      brought = changed.ids;
      return changed.recipe;
    });
    if (refused || !brought[0]) return;
    tell(`${brought.length === 1 ? 'One section' : `${brought.length} sections`} ${said}.`);
    setMarked(brought.length > 1 ? brought : []);
    onChoose(brought[0]);
    focus(brought[0]);
  };

  return {
    selected,
    told,
    tell,
    focus,
    remove,
    upTo,
    click(event: Pick<MouseEvent, 'shiftKey' | 'ctrlKey' | 'metaKey'>, id: string) {
      if (event.shiftKey) return upTo(id);
      if (!event.ctrlKey && !event.metaKey) return only(id);
      const others = selected.filter((one) => one !== id);
      setMarked(selected.includes(id) && others.length ? others : [...others, id]);
      setAnchor(id);
      if (!selected.includes(id)) onChoose(id);
    },
    all: () => setMarked(ids),
    none: () => setMarked([]),
    copy(some = selected) {
      if (some.length === 0) return;
      keepCopied(copyOf(store.getState().value, some));
      tell(`${named(some)} copied.`);
    },
    cut(some = selected) {
      if (some.length === 0) return;
      keepCopied(copyOf(store.getState().value, some));
      remove(some, 'cut');
    },
    /** Behind what is selected, or at the end. */
    paste(behind = selected) {
      const copied = copiedSections();
      if (!copied) return tell('Nothing was copied yet. Select sections and copy them first.');
      const at = ids.findLastIndex((id) => behind.includes(id)) + 1 || ids.length;
      bring((recipe) => paste(recipe, copied, at), 'pasted');
    },
    duplicate: (some = selected) => bring((recipe) => duplicate(recipe, some), 'added'),
    /** By one place. */
    move(step: -1 | 1, some = selected) {
      const places = some.map((id) => ids.indexOf(id));
      const to = step < 0 ? Math.min(...places) - 1 : Math.max(...places) + 2;
      if (to < 0 || to > ids.length) return;
      edit((recipe) => moveSections(recipe, some, to));
      const place = step < 0 ? to + 1 : to - some.length + 1;
      tell(`Moved to place ${place} of ${ids.length}.`);
      focus(some.includes(chosen ?? '') ? chosen! : some[0]);
    },
  };
}

export type Arranging = ReturnType<typeof useArranging>;
