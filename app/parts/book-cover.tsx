import { useEffect, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import { parseLength } from '#core/units.ts';
import type { Picture } from '../preview/on-canvas.ts';
import { ShownPicture } from '../preview/picture.tsx';
import { drawingRenderer } from '../preview/renderers.ts';

/** A book's front, small, drawn from its recipe; a blank sheet when there is none that can be read. */
export function BookCover({ recipe, title, width }: { recipe: Recipe | null; title: string; width: number }) {
  const [picture, setPicture] = useState<Picture>();
  const { trim } = recipe?.print ?? { trim: { width: '6in', height: '9in' } };
  const height = Math.round((width * parseLength(trim.height)) / parseLength(trim.width));
  useEffect(() => {
    if (!recipe) return;
    let wanted = true;
    void drawingRenderer()
      .front(width * 2, height * 2, recipe)
      .then((answer) => {
        if (wanted) setPicture(answer);
      });
    return () => {
      wanted = false;
    };
  }, [recipe, width, height]);
  return <ShownPicture picture={picture} width={width} height={height} label={`Front of ${title}`} />;
}
