import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { compose, fromDefinition, fromTransformAttribute } from 'transformation-matrix';
import { type GroupMark, type Mark, type Matrix, rectPath } from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';
import type { Artwork } from './index.ts';
import { INITIAL, opacityOf, type Painting, painting, paintsOf, styled } from './paint.ts';
import { type Attributes, isShape, lengthOf, outlineOf } from './shapes.ts';

const MOST_ELEMENTS = 100_000;
/** Numbers of all paths together: those of some 80,000 curves. */
const MOST_NUMBERS = 500_000;
const DEEPEST = 100;

/** What says something about a drawing and shows nothing. */
const SILENT = [
  'title',
  'desc',
  'metadata',
  'defs',
  'symbol',
  'linearGradient',
  'radialGradient',
  'clipPath',
];

/** What changes how a drawing looks and is not read: what to do about each. */
const REFUSED: Readonly<Record<string, string>> = {
  text: 'has text in it. Turn the words into outlines.',
  image: 'has pictures in it. Remove them, or use the picture itself.',
  use: 'repeats parts by reference. Save it with the parts themselves.',
  style: 'has a style sheet. Save it with colors on each shape.',
  script: 'has a program in it. Remove it.',
  foreignObject: 'has parts that cannot be drawn. Remove them.',
  mask: 'has masks. Cut the parts to shape.',
  filter: 'has effects such as blurs. Remove them.',
  pattern: 'has patterns. Make its colors plain.',
  marker: 'has markers on its lines. Turn them into outlines.',
};
const REFUSED_ATTRIBUTES = ['mask', 'filter'] as const;

/** An element as the parser gives it: its children under its name, and its attributes. */
type Parsed = { ':@'?: Record<string, string> } & Record<string, Parsed[] | string>;

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseTagValue: false,
  parseAttributeValue: false,
  processEntities: false,
});

function parsed(bytes: Uint8Array): Parsed[] {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new ResourceTrouble('is not an SVG in UTF-8. Save it again as SVG.');
  }
  if (/<!ENTITY/i.test(text)) throw new ResourceTrouble('has entities in it. Save it as plain SVG.');
  if (XMLValidator.validate(text) !== true)
    throw new ResourceTrouble('is not a readable SVG, or is cut off. Save it again as SVG.');
  try {
    return parser.parse(text) as Parsed[];
  } catch {
    throw new ResourceTrouble('has too many parts inside parts. Simplify it.');
  }
}

const nameOf = (element: Parsed): string => Object.keys(element).find((key) => key !== ':@') ?? '';

/** Size and upper left corner of the sheet (SVG 1.1, section 7). */
function sheetOf(at: Attributes): { x: number; y: number; width: number; height: number } {
  const box = at.viewBox
    ?.trim()
    .split(/[\s,]+/)
    .map(Number);
  const [x, y, width, height] =
    box?.length === 4 ? box : [0, 0, lengthOf(at, 'width'), lengthOf(at, 'height')];
  if (![x, y, width, height].every((n) => Number.isFinite(n)) || !(width! > 0 && height! > 0))
    throw new ResourceTrouble('does not say how large it is. Give it a viewBox.');
  const rounded = (n: number) => Math.round(n * 1000) / 1000;
  return { x: x!, y: y!, width: rounded(width!), height: rounded(height!) };
}

function matrixOf(transform: string | undefined): Matrix | undefined {
  if (!transform?.trim()) return undefined;
  try {
    const { a, b, c, d, e, f } = compose(fromDefinition(fromTransformAttribute(transform)));
    return [a, b, c, d, e, f];
  } catch {
    throw new ResourceTrouble(`has the transform “${transform.slice(0, 60)}”, which cannot be read.`);
  }
}

/** Finds the shapes that parts are clipped to, by id. */
function collectClips(elements: readonly Parsed[], clips: Map<string, Parsed>): void {
  for (const element of elements) {
    const name = nameOf(element);
    const id = element[':@']?.id;
    if (name === 'clipPath' && id) clips.set(id, element);
    else if (Array.isArray(element[name])) collectClips(element[name], clips);
  }
}

/** What an element is clipped to (SVG 1.1, section 14.3): one shape. @throws ResourceTrouble for more than that */
function clipOf(written: string | undefined, clips: ReadonlyMap<string, Parsed>): GroupMark['clip'] {
  if (!written || written === 'none') return undefined;
  const element = clips.get(/^url\(\s*["']?#([^"')]+)["']?\s*\)$/.exec(written.trim())?.[1] ?? '');
  const shapes = (element?.clipPath as Parsed[] | undefined)?.filter((child) => isShape(nameOf(child)));
  const at = styled(shapes?.[0]?.[':@'] ?? {});
  const whole = element?.[':@'] ?? {};
  if (
    shapes?.length !== 1 ||
    at['clip-path'] ||
    whole['clip-path'] ||
    whole.clipPathUnits === 'objectBoundingBox'
  )
    throw new ResourceTrouble('has parts clipped to more than one plain shape. Cut them to shape.');
  const path = outlineOf(nameOf(shapes[0]!), at, matrixOf(`${whole.transform ?? ''} ${at.transform ?? ''}`));
  if (!path) throw new ResourceTrouble('has parts clipped to nothing. Remove them.');
  return { path, rule: at['clip-rule'] === 'evenodd' ? 'evenodd' : 'nonzero' };
}

/**
 * Reads a drawing of shapes and paths. What it says beside that is passed over; what would change how it looks and is not
 * read here is refused, so that no drawing prints otherwise than it was drawn.
 * @returns the drawing, and how many numbers its paths have
 * @throws ResourceTrouble that says what to do
 */
export function readSvg(bytes: Uint8Array): { art: Artwork; numbers: number } {
  const root = parsed(bytes).find((element) => nameOf(element) === 'svg');
  if (!root) throw new ResourceTrouble('is not an SVG. Choose an SVG file.');
  const { x, y, width, height } = sheetOf(root[':@'] ?? {});
  const clips = new Map<string, Parsed>();
  collectClips([root], clips);
  let elements = 0;
  let numbers = 0;

  const shape = (name: string, at: Attributes, now: Painting): Mark[] => {
    const path = outlineOf(name, at);
    if (!path) return [];
    numbers += path.points.length;
    if (numbers > MOST_NUMBERS)
      throw new ResourceTrouble('has more than 80,000 curves. Simplify its lines, or use it as a picture.');
    return paintsOf(now).map(({ paint, opacity }): Mark => {
      const mark: Mark = { type: 'path', path, ...paint };
      return opacity < 1 ? { type: 'group', opacity, marks: [mark] } : mark;
    });
  };

  const marksOf = (element: Parsed, before: Painting, depth: number): Mark[] => {
    const name = nameOf(element);
    if (name === '#text' || name.includes(':') || name.startsWith('?') || SILENT.includes(name)) return [];
    if (++elements > MOST_ELEMENTS || depth > DEEPEST)
      throw new ResourceTrouble('has too many parts, or parts inside parts. Simplify it.');
    const at = styled(element[':@'] ?? {});
    const refused = REFUSED_ATTRIBUTES.find((key) => at[key] && at[key] !== 'none');
    const reason = REFUSED[refused ?? name];
    if (reason) throw new ResourceTrouble(reason);
    if (at.display === 'none' || at.visibility === 'hidden') return [];
    const now = painting(at, before);
    let marks: Mark[];
    if (isShape(name)) marks = shape(name, at, now);
    else if (['g', 'a', 'switch'].includes(name) || depth === 0)
      marks = (element[name] as Parsed[]).flatMap((child) => marksOf(child, now, depth + 1));
    else throw new ResourceTrouble(`has a part “${name.slice(0, 40)}” that is not known here. Remove it.`);
    const matrix = depth === 0 ? undefined : matrixOf(at.transform);
    const opacity = opacityOf(at, 'opacity');
    if (marks.length === 0 || opacity === 0) return [];
    const clip = clipOf(at['clip-path'], clips);
    if (!matrix && !clip && opacity === 1) return marks;
    return [
      {
        type: 'group',
        ...(matrix ? { matrix } : {}),
        ...(clip ? { clip } : {}),
        ...(opacity < 1 ? { opacity } : {}),
        marks,
      },
    ];
  };

  const marks = marksOf(root, INITIAL, 0);
  if (marks.length === 0) throw new ResourceTrouble('shows nothing.');
  // What lies beyond the sheet is not seen.
  const clip = { path: rectPath(x, y, width, height) };
  const sheet: Mark = { type: 'group', matrix: [1, 0, 0, 1, -x, -y], clip, marks };
  return { art: { width, height, drawing: { marks: [sheet] } }, numbers };
}
