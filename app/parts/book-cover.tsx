import { useEffect, useState } from 'react';
import type { Recipe } from '#core/book/recipe.ts';
import { parseLength } from '#core/units.ts';
import { ShownPicture } from '../preview/picture.tsx';
import { drawingPress } from '../preview/press.ts';
import type { Picture } from '../preview/press.worker.ts';

/** A book's front, small, drawn from its recipe. */
export function BookCover({ recipe, width }: { recipe: Recipe; width: number }) {
  const [picture, setPicture] = useState<Picture>();
  const { trim } = recipe.print;
  const height = Math.round((width * parseLength(trim.height)) / parseLength(trim.width));
  useEffect(() => {
    let wanted = true;
    void drawingPress()
      .front(width * 2, height * 2, recipe)
      .then((answer) => {
        if (wanted) setPicture(answer);
      });
    return () => {
      wanted = false;
    };
  }, [recipe, width, height]);
  return <ShownPicture picture={picture} width={width} height={height} label={`Front of ${recipe.title}`} />;
}
