import { useEffect, useLayoutEffect, useRef } from 'react';
import { FIRST_PAGES, placeAmongFirst } from '#core/book/first-pages.ts';
import type { Picture } from './on-canvas.ts';
import type { PageDrawer } from './page-drawer.ts';

interface Shown {
  width: number;
  height: number;
  label: string;
}

function paint(canvas: HTMLCanvasElement, { width, height, pixels }: Picture): void {
  // Setting a size, even the same, throws the pixels away and takes new memory.
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  canvas.getContext('2d', { alpha: false })?.putImageData(new ImageData(pixels, width, height), 0, 0);
}

const style = ({ width, height }: Shown, picture = '') => ({
  width,
  height,
  display: 'block',
  background: `#fff ${picture}`,
});

/** The part of the picture of the first pages that shows a page, as it is laid behind the drawing of that page. */
function partOfFirst(picture: string, page: number, { width, height }: Shown): string {
  const place = placeAmongFirst(page);
  if (!place) return '';
  const { column, row } = place;
  return `url("${picture}") ${-column * width}px ${-row * height}px / ${FIRST_PAGES.across * width}px auto no-repeat`;
}

/** Shows a drawing. */
export function ShownPicture({ picture, ...shown }: Shown & { picture: Picture | undefined }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (picture && canvas.current) paint(canvas.current, picture);
  }, [picture]);
  return <canvas ref={canvas} role="img" aria-label={shown.label} style={style(shown)} />;
}

/**
 * Shows a page as its drawer has it, now and after every new drawing, which costs nothing but the pixels.
 * @param first address of the picture of the first pages, which is seen until there is a drawing
 */
export function PagePicture({
  pages,
  page,
  first,
  ...shown
}: Shown & { pages: PageDrawer; page: number; first?: string | null }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const show = () => {
      const picture = pages.picture(page);
      if (picture && canvas.current) paint(canvas.current, picture);
    };
    show();
    return pages.watch(page, show);
  }, [pages, page]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={shown.label}
      style={style(shown, first ? partOfFirst(first, page, shown) : '')}
    />
  );
}
