import { useEffect, useId, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { create } from 'zustand';

/** What a key does, as it is listed under “?” and in the command palette. */
export interface Shortcut {
  /** As react-hotkeys-hook writes them: `mod+z`, `alt+1`. Of several, the first is shown; empty for none. */
  keys: string;
  does: string;
  /** Under which the list has it: the view or part of the page that it belongs to. */
  group: string;
}

interface Registered extends Shortcut {
  /** Null for a key that only the control has which it is listed for. */
  act: (() => void) | null;
}

/** Everything that can be done by a key in what is on the page now, in the order in which it came. */
export const useShortcuts = create<{ all: ReadonlyMap<string, Registered> }>(() => ({ all: new Map() }));

interface ShortcutOptions extends Shortcut {
  /** False while it does nothing; it is not listed then either. */
  when?: boolean;
  /** By the place of the key instead of its letter: digits are elsewhere on some keyboards. */
  byPlace?: boolean;
  /** Also while something is typed. */
  inFields?: boolean;
}

type Command = Omit<Shortcut, 'keys'> & { when?: boolean };

/** Something that can be done on the page at hand, for the command palette. @param keys by which it is also done */
export function useCommand({ does, group, when = true }: Command, act: () => void, keys = ''): void {
  const id = useId();
  const latest = useRef(act);
  latest.current = act;
  useEffect(() => {
    if (!when) return;
    const add = { keys, does, group, act: () => latest.current() };
    useShortcuts.setState(({ all }) => ({ all: new Map(all).set(id, add) }));
    return () =>
      useShortcuts.setState(({ all }) => {
        const left = new Map(all);
        left.delete(id);
        return { all: left };
      });
  }, [id, keys, does, group, when]);
}

/** Boxes and buttons are inputs too, but nothing is typed there. */
const isTypedIn = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement
    ? !['checkbox', 'radio', 'button', 'submit', 'range', 'file'].includes(target.type)
    : target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement;

/**
 * The one way in which the program hears a key that belongs to no single control. While something is typed, keys are letters;
 * what a control has handled itself is left alone.
 */
export function useShortcut(
  { keys, does, group, when = true, byPlace = false, inFields = false }: ShortcutOptions,
  act: () => void,
): void {
  useCommand({ does, group, when }, act, keys);
  useHotkeys(
    keys,
    (event) => {
      if (event.defaultPrevented) return;
      event.preventDefault();
      act();
    },
    {
      enabled: when,
      useKey: !byPlace,
      enableOnFormTags: true,
      enableOnContentEditable: inFields,
      ignoreEventWhen: ({ target }) => !inFields && isTypedIn(target),
    },
  );
}

/** Lists keys that a control handles itself, as a table does its arrows. @param listed the same with every call */
export function useListedKeys(listed: readonly Shortcut[]): void {
  const id = useId();
  useEffect(() => {
    useShortcuts.setState(({ all }) => {
      const more = new Map(all);
      for (const [i, shortcut] of listed.entries()) more.set(`${id} ${i}`, { ...shortcut, act: null });
      return { all: more };
    });
    return () =>
      useShortcuts.setState(({ all }) => ({
        all: new Map([...all].filter(([key]) => !key.startsWith(`${id} `))),
      }));
  }, [id, listed]);
}

/** Opens the command palette, which lists everything else. */
export const PALETTE_KEYS = 'mod+k';

const NAMES: Record<string, string> = {
  mod: 'Ctrl',
  alt: 'Alt',
  shift: 'Shift',
  escape: 'Esc',
  space: 'Space',
  delete: 'Delete',
  enter: 'Enter',
  arrows: '↑ ↓',
};

/** The keys as they are printed on a keyboard: “Ctrl Shift Z”. */
export const keysShown = (keys: string): string =>
  keys
    .split(',')[0]!
    .split('+')
    .map((key) => NAMES[key] ?? key.toUpperCase())
    .join(' ');
