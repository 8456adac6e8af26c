import { type PlacedStroke, write } from '../../letters/index.ts';
import { motif } from '../../motifs/index.ts';
import type { Rect } from '../../print/index.ts';
import { buildPath, ellipsePath, linePath, type Mark, rectPath, textLine } from '../../scene/index.ts';
import { entryOn, MODEL, type Room, unitOf } from './layout.ts';
import { together } from './rows.ts';

/** The large model: strokes in gray, a number where each begins, and an arrow beside it. */
export function modelMarks(context: Room, box: Rect, height: number): Mark[] {
  const { options: chosen, type, faces, unit: page } = context;
  const entry = entryOn(page);
  const tall = height * MODEL;
  const unit = unitOf(tall);
  const written = write(entry.model, chosen.alphabet);
  const pictured = entry.motif !== undefined || entry.count !== undefined;
  const room = pictured ? box.width * 0.6 : box.width;
  const left = box.x + (room - written.width * unit) / 2;
  const base = box.y + box.height / 2 + tall * 0.42;
  const thick = tall * 0.085;
  const marks: Mark[] = [
    {
      type: 'path',
      path: rectPath(box.x + 0.7, box.y + 0.7, box.width - 1.4, box.height - 1.4),
      stroke: { width: 1.25, paint: { gray: 0.3 }, join: 'round' },
    },
    ...[0, 5, 10].map(
      (line): Mark => ({
        type: 'path',
        path: linePath(box.x + 6, base - line * unit, box.x + room - 6, base - line * unit),
        stroke: { width: 0.75, paint: { gray: 0.6 }, ...(line === 5 ? { dash: [4, 3] } : {}) },
      }),
    ),
    {
      type: 'path',
      path: together(written.strokes, left, base, unit),
      stroke: { width: thick, paint: { gray: 0.55 }, cap: 'round', join: 'round' },
    },
  ];
  if (chosen.arrows && written.strokes.length <= MOST_NUMBERED)
    for (const { start, heading, number } of apartFrom(written.strokes.filter(({ goesOn }) => !goesOn))) {
      const [x, y] = [left + start[0] * unit, base - start[1] * unit];
      const radius = Math.max(4.6, tall * 0.062);
      const size = Math.max(7, radius * 1.5);
      const [cos, sin] = [Math.cos(heading), -Math.sin(heading)];
      // The arrow runs beside the stroke, on its left.
      const [ax, ay] = [
        x + sin * thick * 1.25 + cos * radius * 1.2,
        y - cos * thick * 1.25 + sin * radius * 1.2,
      ];
      const length = tall * 0.15;
      const [bx, by] = [ax + cos * length, ay + sin * length];
      const wing = thick * 0.5;
      marks.push(
        {
          type: 'path',
          path: linePath(ax, ay, bx, by),
          stroke: { width: 1, paint: { gray: 0 }, cap: 'round' },
        },
        {
          type: 'path',
          path: buildPath(4)
            .move(bx + cos * wing, by + sin * wing)
            .line(bx - cos * wing + sin * wing * 0.7, by - sin * wing - cos * wing * 0.7)
            .line(bx - cos * wing - sin * wing * 0.7, by - sin * wing + cos * wing * 0.7)
            .close()
            .done(),
          fill: { gray: 0 },
        },
        { type: 'path', path: ellipsePath(x, y, radius), fill: { gray: 0 } },
        textLine(
          type,
          String(number),
          { face: faces.text, size, color: { gray: 1 } },
          x,
          y + type.capHeight(faces.text) * size * 0.5,
          'center',
        ),
      );
    }
  if (entry.motif) {
    const edge = Math.min(box.width * 0.34, box.height * 0.86);
    const { drawing, scale } = motif(entry.motif, edge);
    const [x, y] = [box.x + box.width * 0.8 - edge / 2, box.y + (box.height - edge) / 2];
    marks.push({ type: 'symbol', drawing, matrix: [scale, 0, 0, scale, x, y] });
  }
  if (entry.count !== undefined)
    marks.push(...counted(entry.count, { ...box, x: box.x + box.width * 0.62, width: box.width * 0.34 }));
  return marks;
}

/** Longer words have no numbers on their strokes: the rows show where each begins. */
const MOST_NUMBERED = 8;

/** Strokes that begin where another does have their numbers beside each other. */
function apartFrom(strokes: readonly PlacedStroke[]): PlacedStroke[] {
  const seen: [number, number][] = [];
  return strokes.map((one) => {
    let [x, y] = one.start;
    // On along the stroke, until its number is free of those before it.
    while (seen.some(([sx, sy]) => Math.hypot(sx - x, sy - y) < 1.35)) {
      x += 0.3 * Math.cos(one.heading);
      y += 0.3 * Math.sin(one.heading);
    }
    seen.push([x, y]);
    return { ...one, start: [x, y] };
  });
}

/** Rings to count, five in a row. */
function counted(count: number, { x, y, width, height }: Rect): Mark[] {
  const rows = Math.ceil(count / 5);
  const columns = Math.min(5, count);
  const step = Math.min(width / 5, height / 5);
  const left = x + (width - (columns - 1) * step) / 2;
  const top = y + (height - (rows - 1) * step) / 2;
  return Array.from({ length: count }, (_, i) => ({
    type: 'path',
    path: ellipsePath(left + (i % 5) * step, top + Math.floor(i / 5) * step, step * 0.34),
    fill: { gray: 0.85 },
    stroke: { width: 1.25, paint: { gray: 0.15 } },
  }));
}
