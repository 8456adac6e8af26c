import type * as v from 'valibot';
import { printedWords } from '../../printed-words/index.ts';
import {
  BLACK,
  type FaceId,
  fitText,
  fittedLines,
  linePath,
  type Mark,
  textLine,
} from '../../scene/index.ts';
import { exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { icon } from '../blocks/icons.ts';
import { type DrawContext, defineKind } from '../kind.ts';
import { matterRoom } from '../matter/prose.ts';
import { FRAMES } from '../ornament/frames.ts';

const options = exactObject({
  heading: setting(text(0, 60), '', {
    label: 'Heading',
    help: 'Instead of “Certificate” in the language of the book.',
  }),
  done: setting(text(0, 120), '', {
    label: 'What was done',
    help: 'Instead of “has finished”, before the title of the book.',
  }),
});
type Options = v.InferOutput<typeof options>;

const said = printedWords({
  en: { heading: 'Certificate', done: 'has finished', date: 'Date', signed: 'Signed' },
  es: { heading: 'Diploma', done: 'ha completado', date: 'Fecha', signed: 'Firma' },
  de: { heading: 'Urkunde', done: 'hat durchgearbeitet', date: 'Datum', signed: 'Unterschrift' },
  fr: { heading: 'Diplôme', done: 'a terminé', date: 'Date', signed: 'Signature' },
});

function draw(context: DrawContext<Options, never>): Mark[] {
  const { book, type, faces, frame, language, options: chosen } = context;
  const body = matterRoom(context);
  const high = Math.min(body.height, body.width * 1.25);
  const { marks, inside } = FRAMES.notched({
    ...body,
    x: body.x + 4,
    width: body.width - 8,
    y: body.y + (body.height - high) / 2 + 4,
    height: high - 8,
  });
  const middle = inside.x + inside.width / 2;
  const scale = frame.grid.typeScale;
  const at = (share: number) => inside.y + inside.height * share;
  const words = (said: string, face: FaceId, max: number, share: number, lines: number): Mark[] => {
    const fitted = fitText(
      type,
      said,
      face,
      { width: inside.width * 0.9, height: inside.height * 0.2 },
      { max, min: 8, lines, leading: 1.14 },
    );
    const first = at(share) - ((fitted.lines.length - 1) / 2) * fitted.leading;
    return fittedLines(type, fitted, { face }, middle, first);
  };
  const line = (from: number, to: number, share: number): Mark => ({
    type: 'path',
    path: linePath(inside.x + inside.width * from, at(share), inside.x + inside.width * to, at(share)),
    stroke: { width: 0.9, paint: { gray: 0.2 } },
  });
  const size = Math.max(7, 9 * scale);
  const below = (words: string, share: number, from: number): Mark =>
    textLine(
      type,
      words,
      { face: faces.text, size, color: BLACK },
      inside.x + inside.width * from,
      at(share) + size * 1.4,
      'center',
    );
  return [
    ...marks,
    ...[-1, 0, 1].flatMap((i) =>
      icon('star', middle + i * 22 * scale, at(0.08) - Math.abs(i) * -3, 15 * scale),
    ),
    ...words(chosen.heading || said(language, 'heading'), faces.display, 34 * scale, 0.24, 1),
    line(0.12, 0.88, 0.42),
    ...words(chosen.done || said(language, 'done'), faces.text, 13 * scale, 0.52, 2),
    ...words(book.title, faces.display, 21 * scale, 0.65, 3),
    line(0.06, 0.44, 0.87),
    line(0.56, 0.94, 0.87),
    below(said(language, 'date'), 0.87, 0.25),
    below(said(language, 'signed'), 0.87, 0.75),
  ];
}

export const certificate = defineKind<Options, never>({
  id: 'certificate',
  version: 1,
  name: 'Certificate',
  family: 'Front and back matter',
  purpose: 'That the book was finished, with name, date and signature.',
  extent: 'single',
  defaultCount: 1,
  numbered: false,
  inHouseFaces: () => true,
  options,
  units: () => [{}],
  draw,
});
