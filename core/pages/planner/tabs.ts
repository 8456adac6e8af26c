import type { PageFrame, Rect } from '../../print/index.ts';
import { type Mark, rectPath, textLine } from '../../scene/index.ts';
import type { Pen } from '../blocks/pen.ts';
import { points } from '../paper/settings.ts';

/** Width of a tab inside the trim, and of the room that its name takes beside it. */
const TAB = points(5, 'mm');
const NAME = points(3.4, 'mm');
const GAP = points(1, 'mm');
/** Of a name, in points. */
const TYPE = 7.5;

const bleeds = ({ media, trim }: PageFrame): boolean => media.height > trim.height;

/** How far the name of a tab reaches into the page from the safe edge, or the tab itself where there is no bleed. */
const REACH = NAME + 2 * GAP;

/** The room that tabs at the outer edge leave. */
export function besideTabs(body: Rect, { side, safe }: PageFrame): Rect {
  if (side === 'verso') {
    const x = Math.max(body.x, safe.x + REACH);
    return { ...body, x, width: body.x + body.width - x };
  }
  const right = Math.min(body.x + body.width, safe.x + safe.width - REACH);
  return { ...body, width: right - body.x };
}

/**
 * The tab of a month at the outer edge: black into the bleed, with the name of the month beside it, upright; twelve of them
 * share the height of the page.
 */
export function drawTab(name: string, month: number, body: Rect, frame: PageFrame, pen: Pen): Mark[] {
  const { trim, media, safe, side } = frame;
  const step = body.height / 12;
  const height = step * 0.86;
  const y = body.y + month * step + (step - height) / 2;
  const out = bleeds(frame);
  const right = side === 'recto';
  const safeEdge = right ? safe.x + safe.width : safe.x;
  const inward = right ? -1 : 1;
  const edge = right ? (out ? media.width : safeEdge) : out ? 0 : safeEdge;
  const inner = out ? (right ? trim.x + trim.width - TAB : trim.x + TAB) : safeEdge + inward * REACH;
  const middle = safeEdge + inward * (GAP + NAME / 2);
  const face = pen.look.faces.label;
  const wide = pen.type.width(name, face, TYPE);
  const size = Math.max(7, Math.min(TYPE, (TYPE * height * 0.92) / wide));
  // Read from the inside out: with the page turned so that its outer edge is below.
  const turn = right ? ([0, 1, -1, 0] as const) : ([0, -1, 1, 0] as const);
  const baseline = pen.type.capHeight(face) * size * 0.5;
  const fits = pen.type.width(name, face, size) <= height;
  return [
    {
      type: 'path',
      path: rectPath(Math.min(edge, inner), y, Math.abs(edge - inner), height),
      fill: { gray: 0 },
      ...(out ? { background: true } : {}),
    },
    ...(fits
      ? [
          {
            type: 'group' as const,
            matrix: [...turn, middle, y + height / 2] as [number, number, number, number, number, number],
            marks: [
              textLine(
                pen.type,
                name,
                { face, size, color: { gray: out ? 0 : 1 } },
                0,
                right ? baseline : baseline,
                'center',
              ),
            ],
          },
        ]
      : []),
  ];
}
