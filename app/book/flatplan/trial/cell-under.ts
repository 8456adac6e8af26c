import type { PointerEvent } from 'react';

/** The cell that the pointer is over, by the number that it carries; null beside all of them. */
export function cellUnder({ clientX, clientY }: PointerEvent): number | null {
  const under = document.elementFromPoint(clientX, clientY)?.closest('[data-cell]');
  return under ? Number(under.getAttribute('data-cell')) : null;
}
