import * as v from 'valibot';
import { exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { defineKind, type PageKind } from '../kind.ts';
import { drawTitlePage } from './draw.ts';

const options = exactObject({
  series: setting(v.boolean(), true, {
    label: 'Show the series line',
    help: 'A line such as “Volume 2 of Hive & Hedge”, in a book that belongs to a series.',
  }),
});

export type TitlePageOptions = v.InferOutput<typeof options>;

/** What every version says of itself. */
const titled = {
  id: 'title-page',
  name: 'Title page',
  family: 'Front and back matter',
  purpose: 'Title, subtitle, pen name and imprint, from the book.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  options,
  units: () => [{}],
} as const;

/** In Alegreya, whatever the house style says. */
const first = defineKind<TitlePageOptions, never>({
  ...titled,
  version: 1,
  draw: (context) =>
    drawTitlePage(context, {
      title: 'alegreya-bold',
      subtitle: 'alegreya-italic',
      penName: 'alegreya-bold',
      small: 'alegreya-sans-regular',
    }),
});

export const titlePage = defineKind<TitlePageOptions, never>({
  ...titled,
  version: 2,
  inHouseFaces: () => true,
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes: 'Words are set in the typefaces of the house style, as they are on the cover.',
      kept: first as unknown as PageKind,
    },
  ],
  draw: (context) => {
    const { display, text } = context.faces;
    return drawTitlePage(context, { title: display, subtitle: text, penName: text, small: text });
  },
});
