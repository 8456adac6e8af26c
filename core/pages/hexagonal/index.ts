import type * as v from 'valibot';
import type { PageFrame, Rect } from '../../print/index.ts';
import { buildPath, type Mark, type Path } from '../../scene/index.ts';
import { enumOf, exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { definePaper } from '../paper/define-paper.ts';
import { overEdge, runsOver, stroked } from '../paper/lines.ts';
import { extentSetting, lookSettings, pitchOf, pitchSetting, points } from '../paper/settings.ts';
import { NO_SIDE, sideSettings } from '../paper/side.ts';

const SIDES = {
  small: points(4, 'mm'),
  medium: points(6.35, 'mm'),
  large: points(10, 'mm'),
  huge: points(15, 'mm'),
} as const;

const options = exactObject({
  size: setting(enumOf(Object.keys(SIDES) as (keyof typeof SIDES)[]), 'small', {
    label: 'Size',
    values: {
      small: 'Small, 4 mm',
      medium: 'Medium, 1/4 in',
      large: 'Large, 10 mm',
      huge: 'Very large, 15 mm',
    },
    help: 'Length of a side.',
  }),
  pitch: pitchSetting(points(2.5, 'mm'), points(40, 'mm'), 'Own side', 'a named size'),
  top: setting(enumOf(['flat', 'pointed']), 'pointed', {
    label: 'Top of a hexagon',
    values: { flat: 'Flat', pointed: 'Pointed' },
  }),
  extent: extentSetting,
  ...lookSettings(0.58),
  ...sideSettings(),
});
type HexagonalOptions = v.InferOutput<typeof options>;

/** Half the height of a hexagon across its flats, in sides. */
const HALF = Math.sqrt(3) / 2;

interface Layout {
  /** Middles of hexagons, x and y; standing on a corner. */
  middles: [number, number][];
  side: number;
}

/**
 * Whole hexagons that stand on a corner, in rows of which every second is shifted by half of one, in the middle of a
 * rectangle.
 */
function rowsIn({ x, y, width, height }: Rect, side: number): Layout {
  const wide = 2 * HALF * side;
  // Shifted rows hold one less where the others fill the width.
  const columns = Math.floor(width / wide + 1e-6);
  const rows = Math.max(0, Math.floor((height / side - 0.5) / 1.5 + 1e-6));
  const left = x + (width - columns * wide) / 2 + wide / 2;
  const top = y + (height - (1.5 * rows + 0.5) * side) / 2 + side;
  const middles: [number, number][] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns - (row % 2); column++)
      middles.push([left + (column + (row % 2) / 2) * wide, top + 1.5 * row * side]);
  return { middles, side };
}

/** Hexagons that cover a sheet, one of them in the middle of the trimmed page. */
function covering({ media, trim }: PageFrame, side: number): Layout {
  const wide = 2 * HALF * side;
  const [x, y] = [trim.x + trim.width / 2, trim.y + trim.height / 2];
  const across = Math.ceil(media.width / 2 / wide) + 2;
  const down = Math.ceil(media.height / 2 / (1.5 * side)) + 1;
  const middles: [number, number][] = [];
  for (let row = -down; row <= down; row++)
    for (let column = -across; column <= across; column++)
      middles.push([x + (column + (Math.abs(row) % 2) / 2) * wide, y + 1.5 * row * side]);
  return { middles, side };
}

/** Edges, each once: two hexagons share one. @param turned x and y change places: hexagons then stand on a side */
function edges({ middles, side }: Layout, turned: boolean): Path {
  const path = buildPath(6 * middles.length);
  const seen = new Set<string>();
  const corners: [number, number][] = [
    [0, -1],
    [HALF, -0.5],
    [HALF, 0.5],
    [0, 1],
    [-HALF, 0.5],
    [-HALF, -0.5],
  ];
  for (const [x, y] of middles) {
    let open = false;
    for (let i = 0; i < 6; i++) {
      const [a, b] = [corners[i]!, corners[(i + 1) % 6]!];
      const [x1, y1, x2, y2] = [x + a[0] * side, y + a[1] * side, x + b[0] * side, y + b[1] * side];
      const key = `${Math.round((x1 + x2) * 8)} ${Math.round((y1 + y2) * 8)}`;
      if (seen.has(key)) {
        open = false;
        continue;
      }
      seen.add(key);
      if (!open) path.move(...(turned ? ([y1, x1] as const) : ([x1, y1] as const)));
      path.line(...(turned ? ([y2, x2] as const) : ([x2, y2] as const)));
      open = true;
    }
  }
  return path.done();
}

const turnedOver = ({ x, y, width, height }: Rect): Rect => ({ x: y, y: x, width: height, height: width });
const sideOf = ({ pitch, size }: HexagonalOptions) => pitchOf(pitch, SIDES[size]);
const inside = (body: Rect): Rect => ({
  x: body.x + 1,
  y: body.y + 1,
  width: body.width - 2,
  height: body.height - 2,
});

function layoutOf(
  { body, frame, options: chosen }: Pick<DrawContext<HexagonalOptions, never>, 'body' | 'frame' | 'options'>,
  whole: boolean,
): Layout {
  const turned = chosen.top === 'flat';
  const side = sideOf(chosen);
  if (!whole) return rowsIn(turned ? turnedOver(inside(body)) : inside(body), side);
  const { media, trim } = frame;
  return covering(
    turned
      ? { ...frame, media: { width: media.height, height: media.width }, trim: turnedOver(trim) }
      : frame,
    side,
  );
}

function draw(context: DrawContext<HexagonalOptions, never>): Mark[] {
  const { frame, options: chosen } = context;
  const whole = runsOver(chosen.extent, frame);
  const marks = [
    stroked(edges(layoutOf(context, whole), chosen.top === 'flat'), chosen, { cap: 'round', join: 'round' }),
  ];
  return whole ? overEdge(marks, frame) : marks;
}

export const hexagonal = definePaper<HexagonalOptions>({
  id: 'hexagonal',
  later: NO_SIDE,
  name: 'Hexagonal grid',
  family: 'Grids',
  purpose: 'Hexagons for maps, molecules and patterns.',
  samples: [{ name: 'Small hexagons' }, { name: 'Large hexagons', options: { size: 'large', top: 'flat' } }],
  options,
  draw,
  fits: (context) => ({ count: layoutOf(context, false).middles.length, of: 'hexagon' }),
});
