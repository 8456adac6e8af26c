import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { picture, type Resources } from '../../resources/index.ts';
import { plainParts } from '../../rich-text/index.ts';
import { beginningOf, fitText, fittedLines, type Mark, rectPath } from '../../scene/index.ts';
import { exactObject, identifier, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind, type Need } from '../kind.ts';
import { matterHeading, matterRoom, setProse } from '../matter/prose.ts';

/** More would be too small to be told apart. */
export const MOST_BOOKS = 8;
/** So many stand one below the other; more stand in two columns. */
const IN_ONE_COLUMN = 4;
/** Letters of what is said of one. */
export const MOST_SAID = 400;

const otherBook = exactObject({
  title: text(1, 200),
  text: v.optional(text(0, MOST_SAID), ''),
  picture: v.optional(identifier),
});
/** A book as it is shown in another: its title, what is said of it, and a picture of its front. */
export type OtherBook = v.InferOutput<typeof otherBook>;

const options = exactObject({
  heading: setting(text(0, 80), '', {
    label: 'Heading',
    help: 'Instead of “More books by …” in the language of the book.',
  }),
  books: setting(v.pipe(v.array(otherBook), v.maxLength(MOST_BOOKS)), [], {
    label: 'Books',
    help: 'Each has a "title", a "text" of what is said of it, and a "picture" of its front among the resources.',
    control: 'other-books',
  }),
});
type Options = v.InferOutput<typeof options>;
type Context = Pick<
  DrawContext<Options, never>,
  'options' | 'body' | 'frame' | 'type' | 'faces' | 'language' | 'resources' | 'book'
>;

const said = printedWords({
  en: { by: 'More books by {name}', more: 'More books' },
  es: { by: 'Otros libros de {name}', more: 'Otros libros' },
  de: { by: 'Weitere Bücher von {name}', more: 'Weitere Bücher' },
  fr: { by: 'Autres livres de {name}', more: 'Autres livres' },
});

const GAP = 14;

/** A picture of a front in the upper left of a box, as large as it fits, with a thin line round it. */
function front(resources: Resources, id: string, box: Rect): { marks: Mark[]; width: number } {
  const image = resources.value(picture, id);
  const scale = Math.min(box.width / image.width, box.height / image.height);
  const [width, height] = [image.width * scale, image.height * scale];
  return {
    width,
    marks: [
      { type: 'image', image, x: box.x, y: box.y, width, height },
      {
        type: 'path',
        path: rectPath(box.x + 0.375, box.y + 0.375, width - 0.75, height - 0.75),
        stroke: { width: 0.75, paint: { gray: 0.35 } },
      },
    ],
  };
}

function laidOut(context: Context) {
  const { options: chosen, type, faces, frame, language, resources, book } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const { penName } = book;
  const heading = matterHeading(
    {
      type,
      faces,
      heading: chosen.heading || (penName ? said(language, 'by', { name: penName }) : said(language, 'more')),
      max: 24 * scale,
    },
    { ...body, y: body.y + body.height * 0.04, height: body.height * 0.96 },
  );
  const { books } = chosen;
  const columns = books.length > IN_ONE_COLUMN && body.width > body.height * 0.45 ? 2 : 1;
  const rows = Math.ceil(books.length / columns);
  const room = { ...body, y: heading.bottom, height: body.y + body.height - heading.bottom };
  // A book alone is not blown up to fill its page.
  const rowHeight = Math.min((room.height - GAP * (rows - 1)) / rows, room.height * 0.42);
  const width = (room.width - GAP * (columns - 1)) / columns;
  let fits = true;
  const marks = books.flatMap((one, i) => {
    const box: Rect = {
      x: room.x + (i % columns) * (width + GAP),
      y: room.y + Math.floor(i / columns) * (rowHeight + GAP),
      width,
      height: rowHeight,
    };
    const cover =
      one.picture === undefined
        ? { marks: [], width: 0 }
        : front(resources, one.picture, { ...box, width: width * 0.42 });
    const beside = cover.width ? cover.width + GAP : 0;
    const words: Rect = { ...box, x: box.x + beside, width: width - beside };
    const title = fitText(
      type,
      one.title,
      faces.display,
      { width: words.width, height: words.height * 0.45 },
      { max: 15 * scale, min: 9, lines: 4, leading: 1.2 },
    );
    const { x, align } = beginningOf(title.direction, words);
    const top = words.y + type.capHeight(faces.display) * title.size;
    const below = words.y + title.height + 3;
    const prose = one.text
      ? setProse({ type, faces, max: 11 * scale, min: 8 }, plainParts(one.text), {
          ...words,
          y: below,
          height: words.y + words.height - below,
        })
      : { marks: [], fits: true };
    fits &&= prose.fits;
    return [
      ...cover.marks,
      ...fittedLines(type, title, { face: faces.display }, x, top, align),
      ...prose.marks,
    ];
  });
  return { marks: [...heading.marks, ...marks], fits };
}

const needs = ({ books }: Options): Need[] =>
  books.flatMap(({ picture: id }, i) =>
    id === undefined ? [] : [{ id, type: 'picture', path: `books.${i}.picture` }],
  );

export const otherBooks = defineKind<Options, never>({
  id: 'other-books',
  version: 1,
  name: 'Other books',
  family: 'Front and back matter',
  purpose: 'Fronts and a few words of other books of yours.',
  samples: [
    {
      name: 'Other books',
      shown: {
        books: [
          { title: 'A Year at the Hive', text: 'A page for every visit, and twelve letters to a beginner.' },
          { title: 'Night Skies', text: 'Ninety word searches for clear nights, and a few for cloudy ones.' },
          { title: 'Tide Pool Field Notes', text: 'What lives between the tides, and room to draw it.' },
        ],
      },
    },
  ],
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  romanNumbers: true,
  inHouseFaces: () => true,
  options,
  needs,
  units: () => [{}],
  draw: (context) => laidOut(context).marks,
  inspectUnit(context) {
    const { options: chosen } = context;
    if (chosen.books.length === 0)
      return [{ severity: 'look', message: 'the page shows no books. Choose some, or delete the page.' }];
    return laidOut(context).fits
      ? []
      : [
          {
            severity: 'fix',
            message: 'what is said of the books does not fit. Shorten it, or show fewer books.',
          },
        ];
  },
});
