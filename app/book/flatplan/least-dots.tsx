import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import type { Section } from '#core/book/sections.ts';
import { PRINT_DPI } from '#core/pages/imported/contents.ts';
import type { UnitData } from '#core/pages/imported/index.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

/** Of a long PDF, so many pages are looked at: the proof looks at all. */
const MOST_PAGES = 24;
/** What is in view is drawn first. */
const REST_MS = 400;

/** How many dots an inch the pictures of a file have where they are printed, at the size that they have there. */
export function LeastDots({ section, file }: { section: Section; file: number }) {
  const recipe = useBook((state) => state.value);
  const { plan } = useOpenBook();
  const [dots, setDots] = useState<number | null>(null);
  const pages = useMemo(
    () =>
      plan.pages
        .filter(
          ({ section: of, unit }) => of === section.id && (unit?.data as UnitData | undefined)?.file === file,
        )
        .map(({ number }) => number)
        .slice(0, MOST_PAGES),
    [plan, section.id, file],
  );
  const asked = String(pages);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what the rest of the book says moves no picture
  useEffect(() => {
    let wanted = true;
    const rested = setTimeout(async () => {
      const least = await drawingRenderer(recipe).leastDots(pages);
      if (wanted) setDots(least);
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(rested);
    };
  }, [section.options, recipe.print, recipe.style, asked]);
  if (dots === null) return null;
  const few = dots < PRINT_DPI - 0.5;
  return (
    <Typography
      variant="caption"
      component="span"
      sx={{ color: few ? 'warning.main' : 'text.secondary', whiteSpace: 'nowrap' }}
    >
      {Math.round(dots)} dpi
    </Typography>
  );
}
