import * as v from 'valibot';
import { loadMotifs } from '../../motifs/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { BLACK, fitText, fittedLines, linePath, type Mark, rectPath } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterRoom } from '../matter/prose.ts';
import { OWNER_DESIGNS } from './designs.ts';

const options = exactObject({
  design: setting(
    enumOf(['framed', 'rounded', 'notched', 'stamp', 'corners', 'wreath', 'bookplate', 'sprigs', 'portrait']),
    'framed',
    {
      label: 'Design',
      values: {
        framed: 'Double frame',
        rounded: 'Round frame',
        notched: 'Notched frame',
        stamp: 'Stamp',
        corners: 'Sprigs in the corners',
        wreath: 'Wreath',
        bookplate: 'Bookplate with an owl',
        sprigs: 'Between sprigs',
        portrait: 'Portrait to draw',
      },
    },
  ),
  heading: setting(text(0, 60), '', {
    label: 'Heading',
    help: 'Instead of “This book belongs to” in the language of the book.',
  }),
  lines: setting(integerBetween(1, 6), 1, { label: 'Lines', help: 'Lines to write the owner’s name on.' }),
  contact: setting(v.boolean(), false, {
    label: 'Lines for a telephone number and a reward',
    help: 'In every design but the double frame.',
  }),
});

type BelongsToOptions = v.InferOutput<typeof options>;

const owned = printedWords({
  en: {
    heading: 'This book belongs to',
    phone: 'Telephone',
    reward: 'If found, the reward is',
    drawn: 'me, drawn by me',
  },
  es: {
    heading: 'Este libro pertenece a',
    phone: 'Teléfono',
    reward: 'Recompensa si se encuentra',
    drawn: 'yo, dibujado por mí',
  },
  de: {
    heading: 'Dieses Buch gehört',
    phone: 'Telefon',
    reward: 'Finderlohn',
    drawn: 'ich, von mir gezeichnet',
  },
  fr: {
    heading: 'Ce livre appartient à',
    phone: 'Téléphone',
    reward: 'Récompense si on le trouve',
    drawn: 'moi, dessiné par moi',
  },
});

const LINE_GAP = 34;

function draw(context: DrawContext<BelongsToOptions, never>): Mark[] {
  const { frame, language, options, type, faces } = context;
  const { heading, lines, contact } = options;
  const design = OWNER_DESIGNS[options.design];
  return design
    ? design({
        type,
        frame,
        body: matterRoom(context),
        heading: heading || owned(language, 'heading'),
        lines,
        asked: contact ? [owned(language, 'phone'), owned(language, 'reward')] : [],
        faces,
        drawn: owned(language, 'drawn'),
      })
    : drawFramed(context);
}

function drawFramed({
  body,
  language,
  options: { heading, lines },
  type,
}: DrawContext<BelongsToOptions, never>): Mark[] {
  const face = 'alegreya-italic';
  const middle = body.x + body.width / 2;
  const width = body.width * 0.72;
  const fitted = fitText(
    type,
    heading || owned(language, 'heading'),
    face,
    { width, height: 90 },
    { max: Math.max(20, body.width / 17), min: 10, lines: 2 },
  );
  const top = body.y + body.height * 0.38;
  const height = fitted.height + lines * LINE_GAP + 84;
  const box = { x: middle - body.width * 0.43, y: top - 44, width: body.width * 0.86, height };
  const around = (inset: number, weight: number): Mark => ({
    type: 'path',
    path: rectPath(box.x + inset, box.y + inset, box.width - 2 * inset, box.height - 2 * inset),
    stroke: { width: weight, paint: BLACK },
  });
  const rules = Array.from({ length: lines }, (_, i): Mark => {
    const y = top + fitted.height + 14 + (i + 0.6) * LINE_GAP;
    return {
      type: 'path',
      path: linePath(middle - width / 2, y, middle + width / 2, y),
      stroke: { width: 0.75, paint: { gray: 0.3 } },
    };
  });
  const words = fittedLines(type, fitted, { face }, middle, top + fitted.size * 0.8);
  return [around(0, 1.5), around(5, 0.75), ...words, ...rules];
}

export const belongsTo = defineKind({
  id: 'belongs-to',
  version: 2,
  later: { design: 'framed', contact: false },
  // The heading that was usual stood in the options, whatever the language of the book.
  earlier: [
    {
      version: 1,
      migrate: ({ heading, ...options }) =>
        heading === undefined || heading === owned('en', 'heading') ? options : { ...options, heading },
    },
  ],
  name: 'Belongs to',
  family: 'Front and back matter',
  purpose: 'A frame with a line for the owner’s name.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  romanNumbers: true,
  options,
  inHouseFaces: ({ design }) => design !== 'framed',
  prepare: async ({ design }) => {
    if (design === 'bookplate') await loadMotifs();
  },
  samples: [
    { name: 'Belongs to, double frame' },
    { name: 'Belongs to, round frame', options: { design: 'rounded' } },
    { name: 'Belongs to, notched frame', options: { design: 'notched', contact: true } },
    { name: 'Belongs to, stamp', options: { design: 'stamp' } },
    { name: 'Belongs to, sprigs in the corners', options: { design: 'corners', contact: true } },
    { name: 'Belongs to, wreath', options: { design: 'wreath' } },
    { name: 'Belongs to, bookplate', options: { design: 'bookplate' } },
    { name: 'Belongs to, between sprigs', options: { design: 'sprigs' } },
    { name: 'Belongs to, portrait to draw', options: { design: 'portrait' } },
  ],
  units: () => [{}],
  draw,
});
