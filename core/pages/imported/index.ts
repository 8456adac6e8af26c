import * as v from 'valibot';
import { pdf } from '../../resources/index.ts';
import { fitText, fittedLines, type Mark, rectPath } from '../../scene/index.ts';
import { enumOf, exactObject, identifier, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind, type ItemProblem, type Need, type Unit } from '../kind.ts';
import { type Content, contentOf, isColored, PRINT_DPI } from './contents.ts';
import { leastDots } from './dots.ts';
import { pagesIn } from './page-list.ts';
import { PLACES, type Placed, placeOn, SIZES } from './placing.ts';

export { listOf, pagesIn } from './page-list.ts';

/** No book has more pages, and no recipe more resources. */
const MOST_FILES = 5000;
/** Share of a page that may stay empty before it is said. */
const MOST_EMPTY = 0.02;

const pageList = v.pipe(
  text(1, 2000),
  v.check(
    (list) => pagesIn(list) !== null,
    ({ input }) => `is “${input}”. Write pages and ranges of pages, such as "1-4, 9".`,
  ),
);

const file = v.pipe(
  exactObject({
    pdf: v.optional(identifier),
    pages: v.optional(pageList),
    picture: v.optional(identifier),
    artwork: v.optional(identifier),
  }),
  v.check(
    ({ pdf, picture, artwork }) => [pdf, picture, artwork].filter((id) => id !== undefined).length === 1,
    'should name one of "pdf", "picture" and "artwork".',
  ),
  v.check(
    ({ pdf, pages }) => pdf !== undefined || pages === undefined,
    'names pages, which a PDF alone has.',
  ),
);

/** A file of pages: a PDF with the pages that are taken of it, all if it says none; a picture or a drawing. */
export type ImportedFile = v.InferOutput<typeof file>;

const options = exactObject({
  files: setting(v.pipe(v.array(file), v.maxLength(MOST_FILES)), [], {
    label: 'Pages',
    help: 'Each names a "pdf" with the "pages" that are taken of it (all if left out), a "picture" or an "artwork" among the resources.',
    control: 'imported-files',
  }),
  place: setting(enumOf(PLACES), 'margins', {
    label: 'Placed',
    values: { margins: 'Inside the margins', trim: 'On the trim', bleed: 'Into the bleed' },
    help: 'A PDF page with a bleed of its own lies with its trim on the trim of the book.',
  }),
  size: setting(enumOf(SIZES), 'whole', {
    label: 'Size',
    values: { whole: 'All of it is seen', fill: 'Nothing stays empty', true: 'True size' },
  }),
  turnWide: setting(v.boolean(), false, {
    label: 'Turn wide pages upright',
    help: 'A quarter clockwise, so that they are as large as can be.',
  }),
});
export type ImportedOptions = v.InferOutput<typeof options>;
type Context = DrawContext<ImportedOptions, never>;
/** Which file of its section a page is of, and which page of it. */
export interface UnitData {
  file: number;
  page: number;
}

const idOf = ({ pdf, picture, artwork }: ImportedFile): string => (pdf ?? picture ?? artwork)!;

function needs({ files }: ImportedOptions): Need[] {
  const seen = new Set<string>();
  return files.flatMap((one, i) => {
    const type = one.pdf !== undefined ? 'pdf' : one.picture !== undefined ? 'picture' : 'artwork';
    const id = idOf(one);
    if (seen.has(`${type} ${id}`)) return [];
    seen.add(`${type} ${id}`);
    return [{ id, type, path: `files.${i}.${type}` }];
  });
}

/** A page of its own for each that is taken; one that is not there has its place all the same. */
const unitOf = (one: ImportedFile, index: number, page: number): Unit => ({
  key: `${idOf(one)} ${page}`,
  data: { file: index, page } satisfies UnitData,
});

function placed(
  { options: chosen, frame, body }: Pick<Context, 'options' | 'frame' | 'body'>,
  content: Content,
) {
  const turned = chosen.turnWide && content.width > content.height && frame.trim.width < frame.trim.height;
  return placeOn(frame, body, content, { place: chosen.place, size: chosen.size, turned });
}

function onPage(content: Content, { matrix, window }: Placed, bleeds: boolean): Mark[] {
  return [
    {
      type: 'group',
      clip: { path: rectPath(window.x, window.y, window.width, window.height) },
      ...(bleeds ? { background: true } : {}),
      marks: [{ type: 'group', matrix, marks: content.marks }],
    },
  ];
}

/** What is said where a page cannot be shown, in a frame that keeps its place. */
function note({ body, type, faces }: Pick<Context, 'body' | 'type' | 'faces'>, words: string): Mark[] {
  const room = { width: body.width * 0.8, height: body.height * 0.4 };
  const fitted = fitText(type, words, faces.text, room, { max: 14, min: 7, lines: 8, leading: 1.35 });
  return [
    {
      type: 'path',
      path: rectPath(body.x + 1, body.y + 1, body.width - 2, body.height - 2),
      stroke: { width: 1, paint: { gray: 0.5 }, dash: [6, 6] },
    },
    ...fittedLines(
      type,
      fitted,
      { face: faces.text, color: { gray: 0.3 } },
      body.x + body.width / 2,
      body.y + body.height / 2,
    ),
  ];
}

const dataOf = ({ unit }: Pick<Context, 'unit'>) => unit.data as UnitData | undefined;

function draw(context: Context): Mark[] {
  const data = dataOf(context);
  const one = data && context.options.files[data.file];
  if (!one) return note(context, 'Your own pages: PDF, PNG, JPEG, WebP, TIFF or SVG');
  const content = contentOf(one, data.page, context.resources);
  if ('trouble' in content) return note(context, `This page ${content.trouble}`);
  const { media, trim } = context.frame;
  const bleeds = context.options.place === 'bleed' && media.width > trim.width;
  return onPage(content, placed(context, content), bleeds);
}

const inches = (points: number): string => String(Math.round((points / 72) * 100) / 100);

function problemsOf(context: Omit<Context, 'items' | 'hyphenate'>): ItemProblem[] {
  const { options: chosen, frame, resources, gray } = context;
  const data = dataOf(context);
  const one = data && chosen.files[data.file];
  if (!one)
    return [{ severity: 'fix', message: 'no pages are chosen. Bring in a file, or delete the section.' }];
  const content = contentOf(one, data.page, resources);
  if ('trouble' in content)
    return [{ severity: 'fix', message: `the page that was brought in ${content.trouble}` }];
  const look = (message: string): ItemProblem => ({ severity: 'look', message });
  const at = placed(context, content);
  const problems: ItemProblem[] = [];
  const dpi = leastDots(onPage(content, at, false));
  // Common practice, no source: pictures print well from 300 dots an inch on.
  if (dpi !== null && dpi < PRINT_DPI - 0.5)
    problems.push(
      look(`a picture prints at ${Math.round(dpi)} dots an inch; ${PRINT_DPI} look sharp. Use a larger one.`),
    );
  if (chosen.place !== 'margins' && at.empty > MOST_EMPTY)
    problems.push(
      look(
        `it is ${inches(content.width)} × ${inches(content.height)} in, and leaves strips of the page empty. Choose “Nothing stays empty”, or place it inside the margins.`,
      ),
    );
  if (chosen.place === 'bleed' && frame.media.width === frame.trim.width)
    problems.push(
      look('it should go into the bleed, and the book has none. Turn bleed on, or place it otherwise.'),
    );
  const { sheet } = content;
  const colored = sheet
    ? sheet.colored
    : content.marks.some((mark) => mark.type === 'image' && isColored(mark.image));
  if (gray && colored) problems.push(look('its colors print as grays, since the interior is black.'));
  if (sheet?.missingFonts.length)
    problems.push(
      look(
        `${sheet.missingFonts.join(', ')} ${sheet.missingFonts.length === 1 ? 'is' : 'are'} not in the PDF, and another typeface stands there. Save it with its fonts embedded.`,
      ),
    );
  if (sheet?.asPicture)
    problems.push(
      look(`it has ${sheet.asPicture} on it, and prints as a picture of ${PRINT_DPI} dots an inch.`),
    );
  return problems;
}

export const imported = defineKind<ImportedOptions, never>({
  id: 'imported',
  version: 1,
  name: 'Own pages',
  purpose: 'Pages that were made elsewhere: PDF, PNG, JPEG, WebP, TIFF or SVG.',
  family: 'Own pages',
  extent: 'derived',
  defaultCount: 1,
  numbered: true,
  options,
  needs,
  // One that is still to be chosen has a page to be seen and to be warned of.
  units({ options: { files }, facts }) {
    const units = files.flatMap((one, i): Unit[] => {
      if (one.pdf === undefined) return [unitOf(one, i, 1)];
      const there = facts(pdf, one.pdf)?.pages ?? 1;
      const all = Array.from({ length: there }, (_, page) => page + 1);
      const taken = one.pages === undefined ? all : pagesIn(one.pages)!.filter((page) => page <= there);
      return taken.map((page) => unitOf(one, i, page));
    });
    return units.length ? units : [{}];
  },
  ready({ options: { files }, unit, resources }) {
    const data = unit.data as UnitData | undefined;
    const one = data && files[data.file];
    return one?.pdf === undefined ? undefined : resources.value(pdf, one.pdf).open(data!.page);
  },
  draw,
  inspectUnit: problemsOf,
});
