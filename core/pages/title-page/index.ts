import * as v from 'valibot';
import { enumOf, exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { defineKind, type PageKind } from '../kind.ts';
import { matterRoom } from '../matter/prose.ts';
import { TITLE_DESIGNS } from './designs.ts';
import { drawTitlePage } from './draw.ts';

const options = exactObject({
  design: setting(
    enumOf(['plain', 'lines', 'left', 'band', 'sprigs', 'frame', 'rounded', 'notched', 'corners']),
    'plain',
    {
      label: 'Design',
      values: {
        plain: 'Plain',
        lines: 'Between lines',
        left: 'From the left',
        band: 'On a black band',
        sprigs: 'Between sprigs',
        frame: 'In a double frame',
        rounded: 'In a round frame',
        notched: 'In a notched frame',
        corners: 'Between sprigs in the corners',
      },
    },
  ),
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
  later: { design: 'plain' },
  inHouseFaces: () => true,
  samples: [
    { name: 'Title page' },
    { name: 'Title page between lines', options: { design: 'lines' } },
    { name: 'Title page from the left', options: { design: 'left' } },
    { name: 'Title page on a black band', options: { design: 'band' } },
    { name: 'Title page between sprigs', options: { design: 'sprigs' } },
    { name: 'Title page in a double frame', options: { design: 'frame' } },
    { name: 'Title page in a round frame', options: { design: 'rounded' } },
    { name: 'Title page in a notched frame', options: { design: 'notched' } },
    { name: 'Title page with sprigs in the corners', options: { design: 'corners' } },
  ],
  earlier: [
    {
      version: 1,
      migrate: (same) => same,
      changes: 'Words are set in the typefaces of the house style, as they are on the cover.',
      kept: first as unknown as PageKind,
    },
  ],
  draw: (context) => {
    const design = TITLE_DESIGNS[context.options.design];
    if (design) return design({ ...context, body: matterRoom(context) });
    const { display, text } = context.faces;
    return drawTitlePage(context, { title: display, subtitle: text, penName: text, small: text });
  },
});
