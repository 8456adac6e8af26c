import { useEffect, useState } from 'react';
import type { Section } from '#core/book/sections.ts';
import { complain } from '../../parts/notices.tsx';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useBookStore } from '../store.ts';

/** An item of a section as it is now, made in the background; null until it is there. */
export function useItem({ id }: Section, item: number): object | null {
  const store = useBookStore();
  const [made, setMade] = useState<object | null>(null);
  useEffect(() => {
    let wanted = true;
    void (async () => {
      try {
        let found: unknown = null;
        // Asked again where another recipe came in between.
        while (wanted && found === null) found = await drawingRenderer(store.getState().value).item(id, item);
        if (found === undefined) throw new Error('its section lacks what it is made from.');
        if (wanted) setMade(found as object | null);
      } catch (error) {
        complain(`The puzzle could not be made: ${(error as Error).message}`);
      }
    })();
    return () => {
      wanted = false;
    };
  }, [store, id, item]);
  return made;
}
