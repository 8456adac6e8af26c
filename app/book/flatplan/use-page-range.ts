import { useCallback, useState } from 'react';
import { copyOf, paste } from '#core/book/copied.ts';
import { duplicate, reroll, togglePin } from '#core/book/edit.ts';
import { isolate, itemsBetween, movePages, openAt, removePages } from '#core/book/page-range.ts';
import { sectionIn } from '#core/book/sections.ts';
import { gather } from '#core/resources/index.ts';
import { browserLoader } from '../../preview/browser-loader.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook, useBookStore } from '../store.ts';
import { copiedSections, keepCopied } from './clipboard.ts';
import { nameOf } from './entries.ts';

/** Pages from one to another, both among them. */
export type Range = readonly [first: number, last: number];

/**
 * What can be done to pages that are selected. Each is one step of undo.
 * @param range null where none are: then nothing is done
 * @param onMoved is told where pages stand that were moved, or are of another section now
 */
export function usePageRange(range: Range | null, onMoved: (range: Range) => void) {
  const edit = useBook((state) => state.edit);
  const store = useBookStore();
  const { plan } = useOpenBook();
  const [told, tell] = useState('');
  // The same for ever: hundreds of pages are given what is made of it.
  const clear = useCallback(() => tell(''), []);
  const sections = useBook((state) => state.value.sections);
  const [first, last] = range ?? [1, 0];
  const items = itemsBetween(plan, first, last);
  const isPinned = ({ section, item }: (typeof items)[number]): boolean => {
    const found = sectionIn(sections, section);
    return found !== undefined && 'pins' in found && found.pins?.[item] !== undefined;
  };
  const recipe = () => store.getState().value;
  const parted = () => isolate(recipe(), plan, first, last);
  /** Says which sections had to stay whole. */
  const aboutShared = (shared: readonly string[]): string =>
    shared.length
      ? ` ${shared.map((id) => nameOf(sections.find((entry) => entry.id === id)!)).join(', ')} cannot be parted.`
      : '';
  const copy = () => {
    const { recipe: so, ids, shared } = parted();
    if (ids.length) keepCopied(copyOf(so, ids));
    tell(
      `${ids.length ? 'Copied: paste them behind another page, or in the running order.' : 'Nothing copied.'}${aboutShared(shared)}`,
    );
  };
  /** @returns whether all of them went */
  const remove = (): boolean => {
    const { recipe: so, removed, shared } = removePages(recipe(), plan, first, last);
    if (removed) edit(() => so);
    tell(shared.length ? `${removed ? 'Removed.' : 'Nothing removed.'}${aboutShared(shared)}` : '');
    return shared.length === 0;
  };
  const move = (pages: Range, before: number) => {
    const { recipe: so, moved, shared } = movePages(recipe(), plan, pages, before);
    if (!moved) {
      tell(
        shared.length
          ? `Nothing moved.${aboutShared(shared)}`
          : 'Nothing moved: the pages there are all alike.',
      );
      return;
    }
    if (edit(() => so)) return;
    tell(`Moved to page ${moved[0]}.${aboutShared(shared)}`);
    onMoved(moved);
  };
  return {
    range,
    told,
    items: items.length,
    pinned: items.filter(isPinned).length,
    copy,
    remove,
    cut() {
      copy();
      return remove();
    },
    /** Puts what was copied behind the pages. */
    paste() {
      const copied = copiedSections();
      if (!copied) return tell('Nothing was copied yet. Select pages and copy them first.');
      const { recipe: so, at } = openAt(recipe(), plan, last + 1);
      const pasted = paste(so, copied, at);
      if (!edit(() => pasted.recipe)) tell('Pasted.');
    },
    /** Puts copies of the pages behind them. */
    duplicate() {
      const { recipe: so, ids, shared } = parted();
      if (ids.length) edit(() => duplicate(so, ids).recipe);
      tell(`${ids.length ? 'Added once more.' : 'Nothing added.'}${aboutShared(shared)}`);
    },
    move,
    part() {
      const { recipe: so, ids, shared } = parted();
      if (ids.length && !edit(() => so)) onMoved(range!);
      tell(
        `${ids.length ? 'They are sections of their own now.' : 'Nothing changed.'}${aboutShared(shared)}`,
      );
    },
    reroll: () => edit((so) => items.reduce((next, { section, item }) => reroll(next, section, item), so)),
    async pin(on: boolean) {
      const resources = await gather(recipe().resources, browserLoader);
      edit((so) =>
        items
          .filter((one) => isPinned(one) !== on)
          .reduce((next, { section, item }) => togglePin(next, section, item, resources), so),
      );
    },
    clear,
  };
}

export type PageActions = ReturnType<typeof usePageRange>;
