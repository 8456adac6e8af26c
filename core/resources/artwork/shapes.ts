import svgpath from 'svgpath';
import { buildPath, type Matrix, type Path } from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';

export type Attributes = Readonly<Record<string, string>>;

/** A length in units of the drawing; `px` is one of them. @throws ResourceTrouble for others */
export function lengthOf(attributes: Attributes, name: string, otherwise = 0): number {
  const written = attributes[name];
  if (written === undefined) return otherwise;
  const match = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(?:px)?\s*$/i.exec(written);
  if (!match) throw new ResourceTrouble(`has ${name}="${written.slice(0, 40)}". Give it as a plain number.`);
  return Number(match[1]);
}

const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  rx > 0 && ry > 0 ? `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z` : '';

/** A rectangle, its corners rounded as SVG 1.1 section 9.2 says. */
function rectangle(at: Attributes): string {
  const [x, y, width, height] = ['x', 'y', 'width', 'height'].map((name) => lengthOf(at, name)) as [
    number,
    number,
    number,
    number,
  ];
  if (width <= 0 || height <= 0) return '';
  const rx = Math.min(lengthOf(at, 'rx', lengthOf(at, 'ry')), width / 2);
  const ry = Math.min(lengthOf(at, 'ry', lengthOf(at, 'rx')), height / 2);
  if (!(rx > 0 && ry > 0)) return `M${x} ${y}h${width}v${height}h${-width}z`;
  const corner = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}h${width - 2 * rx}${corner(rx, ry)}v${height - 2 * ry}${corner(-rx, ry)}h${2 * rx - width}${corner(-rx, -ry)}v${2 * ry - height}${corner(rx, -ry)}z`;
}

/** Shapes as path data (SVG 1.1, chapter 9). */
const SHAPES: Readonly<Record<string, (at: Attributes) => string>> = {
  path: ({ d = '' }) => d,
  rect: rectangle,
  circle: (at) => ellipse(lengthOf(at, 'cx'), lengthOf(at, 'cy'), lengthOf(at, 'r'), lengthOf(at, 'r')),
  ellipse: (at) => ellipse(lengthOf(at, 'cx'), lengthOf(at, 'cy'), lengthOf(at, 'rx'), lengthOf(at, 'ry')),
  line: (at) => `M${lengthOf(at, 'x1')} ${lengthOf(at, 'y1')}L${lengthOf(at, 'x2')} ${lengthOf(at, 'y2')}`,
  polyline: ({ points = '' }) => (points.trim() ? `M${points}` : ''),
  polygon: ({ points = '' }) => (points.trim() ? `M${points}z` : ''),
};

export const isShape = (name: string): boolean => Object.hasOwn(SHAPES, name);

/**
 * The outline of a shape, or null for one that shows nothing.
 * @param matrix that it is moved and turned by
 * @throws ResourceTrouble for data that cannot be read
 */
export function outlineOf(name: string, attributes: Attributes, matrix?: Matrix): Path | null {
  const data = SHAPES[name]!(attributes);
  if (!data.trim() || data.trim() === 'none') return null;
  const read = svgpath(data).abs().unshort().unarc();
  if (matrix) read.matrix([...matrix]);
  const { err } = read as unknown as { err: string };
  if (err) throw new ResourceTrouble(`has a ${name} that cannot be read: ${err.replace(/^SvgPath: /, '')}.`);
  const path = buildPath();
  read.iterate((segment, _, x, y) => {
    const [step, ...p] = segment as [string, ...number[]];
    if (!p.every(Number.isFinite))
      throw new ResourceTrouble(`has a ${name} with numbers that are too large.`);
    if (step === 'M') path.move(p[0]!, p[1]!);
    else if (step === 'L') path.line(p[0]!, p[1]!);
    else if (step === 'H') path.line(p[0]!, y);
    else if (step === 'V') path.line(x, p[0]!);
    else if (step === 'C') path.curve(p[0]!, p[1]!, p[2]!, p[3]!, p[4]!, p[5]!);
    else if (step === 'Q') {
      // A cubic curve with the same points (degree elevation).
      const [cx, cy, ex, ey] = p as [number, number, number, number];
      const third = (from: number, control: number) => from + (2 / 3) * (control - from);
      path.curve(third(x, cx), third(y, cy), third(ex, cx), third(ey, cy), ex, ey);
    } else path.close();
  });
  return path.done();
}
