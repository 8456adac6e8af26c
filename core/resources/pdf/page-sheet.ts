import type { Mark, Matrix, Path } from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';
import { shadingOf } from './colors.ts';
import type { Glyphs } from './glyphs.ts';
import {
  type GraphicsState,
  initialState,
  isShading,
  type PdfPaint,
  type PlacedShading,
} from './graphics-state.ts';

/** What a page has that marks do not say: it is then taken as a picture. */
export class BeyondMarks extends Error {
  override name = 'BeyondMarks';
}

/** A page of a file that is opened. */
export interface OpenedPage {
  ops: Readonly<Record<string, number>>;
  /** From the page's own coordinates to its sheet. */
  matrix: Matrix;
  width: number;
  height: number;
  glyphs: Glyphs;
  /** What pdf.js keeps under a name, or null. */
  find(name: string): unknown;
  /** Whether a layer is printed. */
  layerShown(properties: unknown): boolean;
  /** Begins the names of its pictures. */
  id: string;
}

/** Marks of one page; a page of letters has some five thousand. */
const MOST_MARKS = 300_000;
/** Nobody means more. */
const MOST_NESTED = 500;

/** Where the marks of a page gather while its steps are gone through. */
export interface PageSheet {
  page: OpenedPage;
  state: GraphicsState;
  marks: Mark[];
  /** Something on it is neither black, white nor gray. */
  colored: boolean;
  /** One for each part that is open, such as a layer: true while what is in it does not print. */
  hidden: boolean[];
  /** Puts marks where they go now, faded as one. @throws ResourceTrouble for too many */
  put(drawn: readonly Mark[], opacity?: number): void;
  /** Has what comes be cut by a path on the sheet. */
  cut(path: Path, rule: 'nonzero' | 'evenodd'): void;
  save(): void;
  restore(): void;
  /** Draws in other coordinates, and goes on as it was. */
  within(matrix: Matrix, draw: () => void): void;
  /** Takes note of what something is painted with. */
  seen(paint: PdfPaint): void;
}

export function openSheet(page: OpenedPage): PageSheet {
  const marks: Mark[] = [];
  const saved: GraphicsState[] = [];
  let count = 0;
  const hides = () => sheet.hidden.includes(true);
  const sheet: PageSheet = {
    page,
    marks,
    state: initialState(page.matrix, marks),
    colored: false,
    hidden: [],
    put(drawn, opacity = 1) {
      if (hides() || drawn.length === 0) return;
      count += drawn.length;
      if (count > MOST_MARKS) throw new ResourceTrouble('has too much on it. Save it more simply.');
      if (opacity < 1) sheet.state.into.push({ type: 'group', opacity, marks: [...drawn] });
      else for (const mark of drawn) sheet.state.into.push(mark);
    },
    cut(path, rule) {
      const inside: Mark[] = [];
      if (!hides()) sheet.state.into.push({ type: 'group', clip: { path, rule }, marks: inside });
      sheet.state.into = inside;
    },
    save() {
      if (saved.length > MOST_NESTED) throw new ResourceTrouble('is nested too deeply. Save it more simply.');
      saved.push({ ...sheet.state });
    },
    restore() {
      sheet.state = saved.pop() ?? sheet.state;
    },
    within(matrix, draw) {
      sheet.save();
      const depth = saved.length;
      sheet.state = { ...sheet.state, matrix };
      draw();
      // What was opened inside and not closed ends here.
      saved.length = depth;
      sheet.restore();
    },
    seen(paint) {
      if (!paint) return;
      const colors = isShading(paint) ? paint.gradient.stops.map(({ color }) => color) : [paint];
      sheet.colored ||= colors.some((color) => 'rgb' in color);
    },
  };
  return sheet;
}

/** A shading by its name. @throws BeyondMarks for one that no gradient of ours says */
export function shadingNamed({ find }: OpenedPage, name: string, matrix: Matrix): PlacedShading {
  const found = find(name) as { getIR?(): readonly unknown[] } | readonly unknown[] | null;
  const described = found && 'getIR' in found && found.getIR ? found.getIR() : found;
  const shading = described ? shadingOf(described as readonly unknown[]) : null;
  if (!shading) throw new BeyondMarks('shadings');
  return { ...shading, matrix };
}
