import { motif } from '../../motifs/index.ts';
import type { PageFrame, Rect } from '../../print/index.ts';
import {
  BLACK,
  ellipsePath,
  type FaceId,
  fitText,
  fittedLines,
  linePath,
  type Mark,
  type Typesetter,
  textLine,
} from '../../scene/index.ts';
import { roundedRect, sprig } from '../blocks/pen.ts';
import { FRAMES } from '../ornament/frames.ts';

/** What is written on the page, whatever stands around it. */
export interface Owned {
  type: Typesetter;
  frame: PageFrame;
  body: Rect;
  heading: string;
  /** Lines for the name. */
  lines: number;
  /** What the owner may be asked for besides, each with its line: a telephone number, a reward. */
  asked: readonly string[];
  faces: { display: FaceId; text: FaceId };
  /** Words of the page for a child. */
  drawn: string;
}

/** From line to line, in points at 6 × 9 in; the height of the labels. */
const GAP = 30;

/** A heading with lines below it, in the middle of a box. */
function written({ type, frame, heading, lines, asked, faces }: Owned, box: Rect, max: number): Mark[] {
  const scale = frame.grid.typeScale;
  const gap = Math.min(GAP * scale, box.height / (lines + asked.length + 2.2));
  const height = Math.max(20, box.height - (lines + asked.length) * gap - gap * 0.4);
  const fitted = fitText(
    type,
    heading,
    faces.display,
    { width: box.width, height: Math.min(height, max * 2.6) },
    { max, min: 9, lines: 3, leading: 1.15 },
  );
  const whole = fitted.height + gap * (lines + asked.length + 0.3);
  const top = box.y + Math.max(0, (box.height - whole) / 2);
  const marks: Mark[] = fittedLines(
    type,
    fitted,
    { face: faces.display },
    box.x + box.width / 2,
    top + type.capHeight(faces.display) * fitted.size,
  );
  const size = Math.max(7, 9 * scale);
  const rule = (from: number, y: number): Mark => ({
    type: 'path',
    path: linePath(from, y, box.x + box.width, y),
    stroke: { width: 0.75, paint: { gray: 0.35 } },
  });
  let y = top + fitted.height + gap * 0.3;
  for (let i = 0; i < lines; i++) {
    y += gap;
    marks.push(rule(box.x, y));
  }
  for (const said of asked) {
    y += gap;
    marks.push(
      textLine(type, said, { face: faces.text, size, color: BLACK }, box.x, y - 1.5),
      rule(box.x + type.width(said, faces.text, size) + 5, y),
    );
  }
  return marks;
}

const middleOf = ({ x, y, width, height }: Rect, share: number, high: number): Rect => ({
  x: x + (width * (1 - share)) / 2,
  y: y + (height * (1 - high)) / 2,
  width: width * share,
  height: height * high,
});
const sized = ({ body }: Owned): number => Math.max(18, body.width / 15);

const inFrame =
  (frame: keyof typeof FRAMES, share: number, high: number) =>
  (owned: Owned): Mark[] => {
    const { marks, inside } = FRAMES[frame](middleOf(owned.body, share, high));
    return [...marks, ...written(owned, middleOf(inside, 0.9, 0.94), sized(owned))];
  };

/** A picture above, as on the plate that is glued into a book. */
function bookplate(owned: Owned): Mark[] {
  const { marks, inside } = FRAMES.notched(middleOf(owned.body, 0.84, 0.7));
  const edge = Math.min(inside.width * 0.5, inside.height * 0.4);
  const { drawing, scale } = motif('owl', edge);
  const x = inside.x + (inside.width - edge) / 2;
  return [
    ...marks,
    { type: 'symbol', drawing, matrix: [scale, 0, 0, scale, x, inside.y + edge * 0.08] },
    ...written(
      owned,
      {
        x: inside.x + inside.width * 0.06,
        y: inside.y + edge * 1.2,
        width: inside.width * 0.88,
        height: inside.height - edge * 1.25,
      },
      sized(owned),
    ),
  ];
}

/** Nothing around it but a sprig above and below. */
function sprigs(owned: Owned): Mark[] {
  const { body } = owned;
  const box = middleOf(body, 0.72, 0.42);
  const unit = body.width / 100;
  const middle = body.x + body.width / 2;
  const pair = (y: number): Mark[] => [
    ...sprig(middle - 1.5 * unit, y, 24 * unit, -1, 3 * unit),
    ...sprig(middle + 1.5 * unit, y, 24 * unit, 1, 3 * unit),
  ];
  return [
    ...pair(box.y - 4 * unit),
    ...written(owned, box, sized(owned)),
    ...pair(box.y + box.height + 8 * unit),
  ];
}

/** A ring for a portrait that the owner draws, and a name on a gray field. */
function portrait(owned: Owned): Mark[] {
  const { body, type, frame, heading, faces, drawn, asked } = owned;
  const scale = frame.grid.typeScale;
  const middle = body.x + body.width / 2;
  const fitted = fitText(
    type,
    heading,
    faces.display,
    { width: body.width * 0.8, height: body.height * 0.14 },
    { max: body.width / 11, min: 10, lines: 2, leading: 1.15 },
  );
  const top = body.y + body.height * 0.06;
  const pill: Rect = {
    x: body.x + body.width * 0.1,
    y: top + fitted.height + body.height * 0.03,
    width: body.width * 0.8,
    height: body.height * 0.075,
  };
  const foot = asked.length * GAP * scale;
  const free = body.y + body.height - foot - (pill.y + pill.height);
  const radius = Math.min(body.width * 0.32, free * 0.4);
  const y = pill.y + pill.height + free / 2;
  const size = Math.max(7, 9.5 * scale);
  return [
    ...fittedLines(
      type,
      fitted,
      { face: faces.display },
      middle,
      top + type.capHeight(faces.display) * fitted.size,
    ),
    { type: 'path', path: roundedRect(pill, pill.height / 2), fill: { gray: 0.9 } },
    {
      type: 'path',
      path: ellipsePath(middle, y, radius),
      stroke: { width: 1.8, paint: { gray: 0.15 } },
    },
    {
      type: 'path',
      path: ellipsePath(middle, y, radius - 5),
      stroke: { width: 1, paint: { gray: 0.55 }, dash: [0.02, 4], cap: 'round' },
    },
    textLine(
      type,
      drawn,
      { face: faces.text, size, color: BLACK },
      middle,
      y + radius - 5 - size * 1.6,
      'center',
    ),
    ...asked.flatMap((said, i): Mark[] => {
      const base = body.y + body.height - foot + (i + 0.9) * GAP * scale;
      return [
        textLine(type, said, { face: faces.text, size, color: BLACK }, pill.x, base - 1.5),
        {
          type: 'path',
          path: linePath(pill.x + type.width(said, faces.text, size) + 5, base, pill.x + pill.width, base),
          stroke: { width: 0.75, paint: { gray: 0.35 } },
        },
      ];
    }),
  ];
}

/** What stands around the owner's name, besides the plain double frame. */
export const OWNER_DESIGNS: Readonly<Record<string, (owned: Owned) => Mark[]>> = {
  rounded: inFrame('rounded', 0.86, 0.46),
  notched: inFrame('notched', 0.86, 0.46),
  stamp: inFrame('stamp', 0.82, 0.5),
  corners: inFrame('corners', 0.96, 0.62),
  wreath: inFrame('wreath', 0.98, 0.98),
  bookplate,
  sprigs,
  portrait,
};
