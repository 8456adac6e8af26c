import { useEffect } from 'react';

/** What the focus may go to when what had it is gone: the part of the page that it stood in. */
const PART = 'section, nav, main, form, table, [role="region"], [role="dialog"]';

const isDisabled = (element: HTMLElement): boolean => element.matches(':disabled');

/**
 * Keeps the focus where the work is. An element that is taken out of the page, or disabled while a job runs, would leave it
 * with the page as a whole, so that the next Tab begins at the top: it goes to the nearest part of the page that is still
 * there, and back to what was disabled once it is not.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let last: HTMLElement | null = null;
    let parts: HTMLElement[] = [];
    let waits = false;
    const onFocus = ({ target }: FocusEvent) => {
      if (!(target instanceof HTMLElement)) return;
      last = target;
      waits = false;
      parts = [];
      for (let part = target.parentElement?.closest<HTMLElement>(PART); part; ) {
        parts.push(part);
        part = part.parentElement?.closest<HTMLElement>(PART);
      }
    };
    // A click on nothing leaves the focus on purpose.
    const onPointer = () => {
      last = null;
    };
    const look = () => {
      if (!last || (document.activeElement !== null && document.activeElement !== document.body)) return;
      if (last.isConnected) {
        if (isDisabled(last)) waits = true;
        else if (waits) last.focus({ preventScroll: true });
        return;
      }
      const part = parts.find(({ isConnected }) => isConnected);
      last = null;
      if (!part) return;
      if (!part.hasAttribute('tabindex')) part.tabIndex = -1;
      part.focus({ preventScroll: true });
    };
    const observer = new MutationObserver(look);
    observer.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ['disabled'],
    });
    addEventListener('focusin', onFocus);
    addEventListener('pointerdown', onPointer, true);
    return () => {
      observer.disconnect();
      removeEventListener('focusin', onFocus);
      removeEventListener('pointerdown', onPointer, true);
    };
  }, []);
}
