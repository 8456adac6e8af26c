import type * as v from 'valibot';
import type { Mark } from '../../scene/index.ts';
import { enumOf, numberBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import type { DrawContext } from '../kind.ts';
import { darker, type LineLook, runsOver, stroked, uprightLines } from './lines.ts';
import { oneLine } from './one-line.ts';
import { points } from './settings.ts';

const SIDE = 'Side column';
const ON = { sideColumn: ['left', 'right', 'inner', 'outer'] };

/** A free column beside what the paper is of, for notes or cues. */
export const sideSettings = () => ({
  sideColumn: setting(
    enumOf(['none', ...ON.sideColumn] as ['none', 'left', 'right', 'inner', 'outer']),
    'none',
    {
      label: 'Side column',
      group: SIDE,
      values: {
        none: 'None',
        left: 'At the left',
        right: 'At the right',
        inner: 'By the spine',
        outer: 'By the outer edge',
      },
    },
  ),
  sideWidth: setting(numberBetween(15, 90), 40, {
    label: 'Width of the side column',
    help: 'No more than half of what is between the margins.',
    unit: 'mm',
    step: 1,
    when: ON,
    group: SIDE,
  }),
  sideLabel: setting(text(0, 30), '', {
    label: 'Words above the side column',
    when: ON,
    group: SIDE,
  }),
});

/** What papers say that had no side column once; see `later`. */
export const NO_SIDE = { sideColumn: 'none', sideWidth: 40, sideLabel: '' };

type Settings = ReturnType<typeof sideSettings>;
export type SideOptions = { [Key in keyof Settings]: v.InferOutput<Settings[Key]> };

/** From the line beside the column to what the paper is of, in points. */
const GAP = points(4, 'mm');

type Room<Options> = Pick<DrawContext<Options, never>, 'frame' | 'body' | 'options'>;

/** Whether the column is at the left of a page: mirrored on facing pages where it is by the spine or the outer edge. */
const isLeft = ({ sideColumn: at }: SideOptions, page: 'recto' | 'verso'): boolean =>
  at === 'left' || (at !== 'right' && (page === 'recto') === (at === 'inner'));

/** A paper beside its side column, if it has one. */
export interface Sidelong<Context> {
  /** With the room that the column leaves. */
  beside: Context;
  /** The line and the words above the column; `fits` says whether they have room. */
  column(set: Pick<DrawContext<never, never>, 'type' | 'faces'>): { marks: Mark[]; fits: boolean };
}

/** The room of a paper, and its column; null where it has none, or where its grid runs over the edge of the page. */
export function besideColumn<Context extends Room<unknown>>(context: Context): Sidelong<Context> | null {
  const given = context.options as Partial<SideOptions & LineLook & { extent: 'margins' | 'bleed' }>;
  if (!given.sideColumn || given.sideColumn === 'none' || runsOver(given.extent ?? 'margins', context.frame))
    return null;
  const options = given as SideOptions;
  const { body, frame } = context;
  const width = Math.min(points(options.sideWidth, 'mm'), body.width / 2);
  const left = isLeft(options, frame.side);
  const line = left ? body.x + width : body.x + body.width - width;
  const { gray = 0.55, color = '', weight = 0.75 } = given;
  return {
    beside: {
      ...context,
      body: { ...body, x: left ? line + GAP : body.x, width: body.width - width - GAP },
    },
    column({ type, faces }) {
      const marks: Mark[] = [stroked(uprightLines(body, [line]), darker({ gray, color, weight }, 0.35))];
      if (!options.sideLabel.trim()) return { marks, fits: true };
      const size = 9 * frame.grid.typeScale;
      const words = oneLine(
        type,
        options.sideLabel,
        { face: faces.text, size },
        { x: left ? body.x : line + GAP, y: body.y + size, width: width - GAP },
      );
      return { marks: words ? [...marks, words] : marks, fits: words !== null };
    },
  };
}
