import { useEffect, useMemo, useState } from 'react';
import { designBook, otherTrims, type Trim } from '#core/book/design-page.ts';
import type { Renderer } from '../../preview/first-drawing.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useBook } from '../store.ts';

/** A design on one trim, as it was drawn last. */
export type DrawnDesign = Awaited<ReturnType<Renderer['design']>> & { trim: Trim };

/**
 * Draws a design on the trim of its book, and then on others; after every change, what is drawn for an older one is left out.
 * @param width of a page, in device pixels
 * @param small of the pages on other trims
 */
export function useDesignPages(section: string, width: number, small: number) {
  const recipe = useBook((state) => state.value);
  const trims = useMemo(() => otherTrims(recipe), [recipe]);
  const [drawn, setDrawn] = useState<DrawnDesign | null>(null);
  const [others, setOthers] = useState<readonly DrawnDesign[]>([]);
  useEffect(() => {
    if (width === 0) return;
    let wanted = true;
    const draw = async (trim: Trim, pixels: number): Promise<DrawnDesign> => ({
      ...(await drawingRenderer().design(designBook(recipe, section, trim), pixels)),
      trim,
    });
    const all = async () => {
      const own = await draw(recipe.print.trim, width);
      if (!wanted) return;
      setDrawn(own);
      performance.mark('quill-drawn', { detail: { pages: 1 } });
      const smaller: DrawnDesign[] = [];
      for (const trim of trims) {
        smaller.push(await draw(trim, small));
        if (!wanted) return;
      }
      setOthers(smaller);
    };
    void all();
    return () => {
      wanted = false;
    };
  }, [recipe, section, trims, width, small]);
  return { drawn, others };
}
