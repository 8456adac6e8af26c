import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { Form } from 'react-router';
import type { Recipe } from '#core/book/recipe.ts';
import { parseLength } from '#core/units.ts';
import { useFormats } from '../parts/formats.tsx';
import type { Picture } from '../preview/on-canvas.ts';
import { ShownPicture } from '../preview/picture.tsx';
import type { Sampler } from '../preview/renderer.ts';
import { drawingRenderer } from '../preview/renderers.ts';

/** A book to begin from. */
export interface Offered {
  id: string;
  /** One of the publisher's own books. */
  own: boolean;
  family: string;
  about: string;
  recipe: Recipe;
}

/** Height of its pages and of its cover, in CSS pixels. */
const HEIGHT = 124;

let last: Promise<void> = Promise.resolve();

/** One after the other, so that what is not wanted any more is never begun, and an opened book does not wait for it. */
function inTurn(work: () => Promise<void>): void {
  last = last.then(work, work);
}

/** Draws when it is first seen: there are many of them. */
function useSampler(recipe: Recipe, width: number) {
  const seen = useRef<HTMLLIElement>(null);
  const [sampler, setSampler] = useState<Sampler | null>(null);
  useEffect(() => {
    let wanted = true;
    const observer = new IntersectionObserver(
      ([entry]) => {
        if (!entry?.isIntersecting) return;
        observer.disconnect();
        inTurn(async () => {
          if (!wanted) return;
          const pixels = Math.round(width * (globalThis.devicePixelRatio ?? 1));
          const drawn = await drawingRenderer().sampler(recipe, pixels);
          if (wanted) setSampler(drawn);
        });
      },
      { rootMargin: '200px' },
    );
    observer.observe(seen.current!);
    return () => {
      wanted = false;
      observer.disconnect();
    };
  }, [recipe, width]);
  return { seen, sampler };
}

/** A book to begin from: its front and two spreads, and the button that begins. */
export function StartingCard({ offered: { id, own, about, recipe } }: { offered: Offered }) {
  const formats = useFormats();
  const [trimWidth, trimHeight] = [
    parseLength(recipe.print.trim.width),
    parseLength(recipe.print.trim.height),
  ];
  const width = Math.round((HEIGHT * trimWidth) / trimHeight);
  const { seen, sampler } = useSampler(recipe, width);
  const page = (picture: Picture | undefined, label: string) => (
    <ShownPicture picture={picture} width={width} height={HEIGHT} label={label} />
  );
  const name = recipe.title;
  return (
    <Box
      ref={seen}
      component="li"
      sx={{
        display: 'grid',
        gridTemplateRows: 'auto 1fr',
        gap: 2,
        p: 3,
        minWidth: 0,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
      }}
    >
      <Box sx={{ display: 'flex', gap: 2, overflow: 'hidden', height: HEIGHT }}>
        <Box sx={{ flex: 'none' }}>{page(sampler?.front, `Front of ${name}`)}</Box>
        {[0, 2].map((at) => (
          <Box
            key={at}
            sx={{
              flex: 'none',
              display: 'flex',
              outline: '1px solid',
              outlineColor: 'divider',
              outlineOffset: -1,
            }}
          >
            {page(sampler?.pages[at], `A page of ${name}`)}
            {page(sampler?.pages[at + 1], `A page of ${name}`)}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 2 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Typography variant="h3">{name}</Typography>
          <Typography variant="body2">{about}</Typography>
          <Typography variant="caption">
            {formats.size(trimWidth, trimHeight)}
            {sampler ? ` · ${sampler.count} pages` : ''}
          </Typography>
        </Box>
        <Form method="post">
          <input type="hidden" name="id" value={id} />
          {own && (
            <Button type="submit" name="intent" value="keep no longer" size="small">
              Keep no longer
            </Button>
          )}
          <Button
            type="submit"
            name="intent"
            value={own ? 'own' : 'shipped'}
            variant="outlined"
            aria-label={`Begin with ${name}`}
          >
            Begin
          </Button>
        </Form>
      </Box>
    </Box>
  );
}
