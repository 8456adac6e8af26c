import type { KeyboardEvent } from 'react';
import { type Shortcut, useListedKeys } from '../../parts/shortcuts.tsx';
import type { usePageRange } from './use-page-range.ts';

const group = 'Spreads';
const PAGE_KEYS: Shortcut[] = [
  { keys: 'arrows', does: 'From page to page', group },
  { keys: 'shift+arrows', does: 'Select pages up to there', group },
  { keys: 'enter', does: 'See the page at full size', group },
  { keys: 'alt+left', does: 'Move the selected pages back by one', group },
  { keys: 'alt+right', does: 'Move the selected pages on by one', group },
  { keys: 'mod+c', does: 'Copy the selected pages', group },
  { keys: 'mod+x', does: 'Cut the selected pages', group },
  { keys: 'mod+v', does: 'Paste behind the selected pages', group },
  { keys: 'mod+d', does: 'Duplicate the selected pages', group },
  { keys: 'delete', does: 'Remove the selected pages', group },
];

/**
 * What keys do to pages: go from one to another, and act on those that are selected.
 * @param page the one that is chosen
 * @param last the number of pages
 * @param inRow pages beside each other
 */
export function usePageKeys({
  page,
  last,
  inRow,
  actions,
  onGo,
  onOpen,
  onClear,
}: {
  page: number | null;
  last: number;
  inRow: number;
  actions: ReturnType<typeof usePageRange>;
  onGo: (page: number, extend: boolean) => void;
  onOpen: (page: number) => void;
  onClear: () => void;
}) {
  useListedKeys(PAGE_KEYS);
  return (event: KeyboardEvent) => {
    const at = page ?? 0;
    const steps: Record<string, number> = {
      ArrowRight: at + 1,
      ArrowLeft: at - 1,
      ArrowDown: at + inRow,
      ArrowUp: at - inRow,
      Home: 1,
      End: last,
    };
    const to = steps[event.key];
    const byLetter: Record<string, () => unknown> = {
      c: actions.copy,
      x: actions.cut,
      v: actions.paste,
      d: actions.duplicate,
    };
    const meant = actions.range;
    const act = event.ctrlKey || event.metaKey ? byLetter[event.key.toLowerCase()] : undefined;
    if (to !== undefined && !event.altKey) onGo(to, event.shiftKey);
    else if (event.key === 'Enter' && page) onOpen(page);
    else if (event.key === 'Escape') onClear();
    else if (meant && act) act();
    else if (meant && event.key === 'Delete') actions.remove();
    else if (meant && event.altKey && event.key === 'ArrowLeft' && meant[0] > 1)
      actions.move(meant, meant[0] - 1);
    else if (meant && event.altKey && event.key === 'ArrowRight' && meant[1] < last)
      actions.move(meant, meant[1] + 2);
    else return;
    event.preventDefault();
  };
}
