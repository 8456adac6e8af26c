import * as v from 'valibot';
import type { Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { plainParts } from '../../rich-text/index.ts';
import { BLACK, fitText, fittedLines, type Mark } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterHeading, matterRoom, setProse } from '../matter/prose.ts';
import { points } from '../paper/settings.ts';
import { codeOf, codePath, LEVELS, QUIET } from './code.ts';

/** A longer link makes a code of more modules than a phone reads at this size. */
const MOST_LINK = 300;
/** The smallest module that phones read from paper at arm's length, in millimeters. Common practice, no source. */
const LEAST_MODULE = 0.4;

const link = v.pipe(
  text(0, MOST_LINK),
  v.check(
    (given) => given === '' || (/^https?:\/\/[^\s/]+\.[^\s]+$/.test(given) && URL.canParse(given)),
    ({ input }) => `is “${input}”. Write the whole address, such as "https://example.com/gift".`,
  ),
);

const options = exactObject({
  heading: setting(text(0, 80), '', {
    label: 'Heading',
    help: 'Instead of “A gift for you” in the language of the book.',
  }),
  text: setting(text(0, 2000), '', {
    label: 'Text',
    help: 'What they get. An empty line begins a paragraph.',
    rows: 5,
  }),
  link: setting(link, '', { label: 'Link', help: 'The whole address that the code leads to.' }),
  size: setting(integerBetween(15, 90), 38, { label: 'Edge of the code', unit: 'mm' }),
  level: setting(enumOf(LEVELS), 'M', {
    label: 'Read with damage of',
    values: { L: '7%', M: '15%', Q: '25%', H: '30%' },
    help: 'More of it makes finer modules.',
  }),
  shown: setting(v.boolean(), true, { label: 'Print the link below the code' }),
});
type Options = v.InferOutput<typeof options>;
type Context = Pick<
  DrawContext<Options, never>,
  'body' | 'frame' | 'options' | 'type' | 'faces' | 'language'
>;

const said = printedWords({
  en: { heading: 'A gift for you', scan: 'Scan this with your phone, or type in:' },
  es: { heading: 'Un regalo para ti', scan: 'Escanéalo con el móvil o escribe:' },
  de: { heading: 'Ein Geschenk für Sie', scan: 'Mit dem Telefon einlesen oder eintippen:' },
  fr: { heading: 'Un cadeau pour vous', scan: 'Scannez ce code ou saisissez :' },
});

const GAP = 14;

/** What stands where: heading and text above, the code in the middle of what is left, its link below. */
function laidOut(context: Context) {
  const { options: chosen, type, faces, frame, language } = context;
  const body = matterRoom(context);
  const scale = frame.grid.typeScale;
  const heading = matterHeading(
    { type, faces, heading: chosen.heading || said(language, 'heading'), max: 24 * scale },
    body,
  );
  const edge = points(chosen.size, 'mm');
  const code = chosen.link ? codeOf(chosen.link, chosen.level) : null;
  const quiet = code ? (edge / code.size) * QUIET : 0;
  const foot = chosen.shown && chosen.link ? 34 * scale : 0;
  const room: Rect = { ...body, y: heading.bottom, height: body.y + body.height - heading.bottom };
  const forText = Math.max(0, room.height - edge - 2 * quiet - foot - GAP);
  const prose = chosen.text
    ? setProse({ type, faces, max: 11.5 * scale, min: 8 }, plainParts(chosen.text), {
        ...room,
        height: forText,
      })
    : { marks: [], height: 0, fits: true };
  const top = room.y + prose.height + (chosen.text ? GAP : 0);
  const free = body.y + body.height - top - edge - 2 * quiet - foot;
  const square = {
    x: body.x + (body.width - edge) / 2,
    y: top + quiet + Math.max(0, free * 0.35),
    width: edge,
  };
  const fits = prose.fits && free >= -1e-6 && edge + 2 * quiet <= body.width + 1e-6;
  return { body, heading, prose, code, quiet, square, scale, fits };
}

function draw(context: DrawContext<Options, never>): Mark[] {
  const { options: chosen, type, faces, language } = context;
  const { body, heading, prose, code, quiet, square, scale, fits } = laidOut(context);
  const marks = [...heading.marks, ...prose.marks];
  if (!code || !fits) return marks;
  marks.push({ type: 'path', path: codePath(code, square), fill: BLACK });
  if (!chosen.shown) return marks;
  const middle = body.x + body.width / 2;
  const words = (given: string, y: number, max: number): Mark[] => {
    const fitted = fitText(
      type,
      given,
      faces.text,
      { width: body.width, height: max * 1.4 },
      { max, min: 7, lines: 1, leading: 1.2 },
    );
    return fittedLines(type, fitted, { face: faces.text }, middle, y);
  };
  const below = square.y + square.width + quiet;
  return [
    ...marks,
    ...words(said(language, 'scan'), below + 12 * scale, Math.max(7, 9 * scale)),
    ...words(chosen.link.replace(/^https?:\/\//, ''), below + 27 * scale, Math.max(7, 11 * scale)),
  ];
}

export const giveAway = defineKind<Options, never>({
  id: 'give-away',
  version: 1,
  name: 'Give-away',
  family: 'Front and back matter',
  purpose: 'A gift behind a link, with a QR code that leads there.',
  samples: [
    {
      name: 'Give-away with QR code',
      shown: {
        link: 'https://example.com/gift',
        text: 'Ten more pages to print at home, for readers of this book.',
      },
    },
  ],
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  romanNumbers: true,
  inHouseFaces: () => true,
  options,
  units: () => [{}],
  draw,
  inspectUnit(context) {
    const { options: chosen } = context;
    if (!chosen.link)
      return [
        { severity: 'fix', message: 'the code has no link to lead to. Write one, or delete the page.' },
      ];
    const { code, fits } = laidOut(context);
    if (!fits)
      return [
        {
          severity: 'fix',
          message: 'text and code do not fit on the page. Shorten the text, or make the code smaller.',
        },
      ];
    const module = chosen.size / code!.size;
    if (module >= LEAST_MODULE) return [];
    return [
      {
        severity: 'look',
        message: `the modules of the code are ${module.toFixed(2)} mm; phones want ${LEAST_MODULE} mm. Make the code ${Math.ceil(LEAST_MODULE * code!.size)} mm wide, or shorten the link.`,
      },
    ];
  },
});
