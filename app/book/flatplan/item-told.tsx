import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { kindOf, type Section } from '#core/book/sections.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useBook } from '../store.ts';

/** What is in view is drawn first. */
const REST_MS = 400;

/** What an item is like, such as its level and what it takes a person. */
export function ItemTold({ section, item }: { section: Section; item: number }) {
  const recipe = useBook((state) => state.value);
  const [told, setTold] = useState<string | null>(null);
  const hasWords = kindOf(section).told !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what the rest of the book says changes no item
  useEffect(() => {
    let wanted = hasWords;
    const rested = setTimeout(async () => {
      const words = wanted ? await drawingRenderer(recipe).told(section.id, item) : null;
      if (wanted) setTold(words);
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(rested);
    };
  }, [section, item, hasWords]);
  return told && <Typography variant="body2">{told}</Typography>;
}
