import * as v from 'valibot';
import type { Rect } from '../../../print/index.ts';
import type { Mark } from '../../../scene/index.ts';
import { enumOf, text } from '../../../schema.ts';
import { defineBlock } from '../block.ts';
import { ICONS, icon } from '../icons.ts';
import { circle, label, labelWidth, type Pen, rule, size, sizes, sprig, words } from '../pen.ts';
import { drawField, field, shared } from './field.ts';

/** Height without and with a row of fields below, in units. */
const BAND = 4;
const FIELDS = 2;

/** A thick line with a thin one under it. */
const doubleRule = ({ x, width }: Pick<Rect, 'x' | 'width'>, y: number): Mark[] => [
  rule([x, y], [x + width, y], 1.8),
  rule([x, y + 2.6], [x + width, y + 2.6], 0.75),
];

const below = (pen: Pen, fields: readonly unknown[]): boolean =>
  fields.length > 0 && pen.look.head === 'sprigs';

/** The title of a page, with a few fields beside it, or below it where the look sets titles in the middle. */
export const head = defineBlock({
  type: 'head',
  name: 'Heading',
  fresh: { title: 'Title', fields: [{ label: 'Date' }] },
  entries: {
    title: text(0, 60),
    fields: v.optional(v.pipe(v.array(field), v.maxLength(4)), []),
    icon: v.optional(enumOf(ICONS)),
    /** A few words at the right, or below where the look sets titles in the middle. */
    aside: v.optional(text(0, 80)),
  },
  least: ({ fields, aside }, _, pen) => BAND + (below(pen, aside ? [...fields, aside] : fields) ? FIELDS : 0),
  step: () => 0,
  draw(block, rect, pen) {
    const own = sizes(pen);
    const band = BAND * pen.unit;
    const { head: how, faces } = pen.look;
    const right = rect.x + rect.width;
    if (how === 'sprigs')
      return [
        ...inTheMiddle(block.title, rect, pen),
        ...(block.aside
          ? label(pen, block.aside, {
              x: rect.x + rect.width / 2,
              y: rect.y + (BAND + FIELDS) * pen.unit - pen.unit * 0.6,
              width: rect.width,
              align: 'center',
            })
          : underneath(block.fields, rect, pen)),
      ];
    const baseline = rect.y + band * 0.66;
    const discEdge = how === 'disc' && block.icon ? size(pen, 9) : 0;
    const left = rect.x + (discEdge ? discEdge + size(pen, 2.5) : 0);
    const fieldsWidth = block.aside
      ? Math.min(rect.width * 0.5, labelWidth(pen, block.aside))
      : Math.min(rect.width * 0.62, block.fields.reduce((sum, one) => sum + one.width, 0) * size(pen, 27));
    const marks: Mark[] = [];
    if (block.icon && discEdge) {
      const middle = baseline - own.title * 0.3;
      marks.push(
        circle(rect.x + discEdge / 2, middle, discEdge / 2, { fill: 0.9, weight: 0 }),
        ...icon(block.icon, rect.x + discEdge / 2, middle, discEdge * 0.58),
      );
    }
    marks.push(
      ...words(pen, block.title, {
        x: left,
        y: baseline,
        face: faces.title,
        size: own.title,
        width: right - left - (fieldsWidth > 0 ? fieldsWidth + size(pen, 4) : 0),
      }),
    );
    if (block.aside)
      marks.push(
        ...label(pen, block.aside, { x: right, y: baseline, width: fieldsWidth + 1, align: 'right' }),
      );
    for (const { of, x, width } of shared(
      block.fields,
      { x: right - fieldsWidth, width: fieldsWidth },
      size(pen, 3),
    ))
      marks.push(...drawField(pen, of, { x, width }, baseline + own.label * 0.1));
    if (how === 'rule') marks.push(...doubleRule(rect, rect.y + band * 0.84));
    return marks;
  },
});

function inTheMiddle(title: string, rect: Rect, pen: Pen): Mark[] {
  const own = sizes(pen);
  const middle = rect.x + rect.width / 2;
  const baseline = rect.y + BAND * pen.unit * 0.64;
  const said = words(pen, title, {
    x: middle,
    y: baseline,
    face: pen.look.faces.title,
    size: own.title,
    width: rect.width * 0.74,
    align: 'center',
  });
  const text = said[0];
  const wide = text?.type === 'text' ? pen.type.width(text.text, text.face, text.size) : 0;
  const gap = size(pen, 4);
  const length = Math.min((rect.width - wide) / 2 - gap, size(pen, 34));
  const leafLength = size(pen, 3.3);
  const y = baseline - own.title * 0.2;
  if (length < 2 * leafLength) return said;
  return [
    ...said,
    ...sprig(middle - wide / 2 - gap, y, length, -1, leafLength),
    ...sprig(middle + wide / 2 + gap, y, length, 1, leafLength),
  ];
}

function underneath(fields: readonly Parameters<typeof drawField>[1][], rect: Rect, pen: Pen): Mark[] {
  if (fields.length === 0) return [];
  const y = rect.y + (BAND + FIELDS) * pen.unit - pen.unit * 0.3;
  return shared(fields, rect, size(pen, 4)).flatMap(({ of, x, width }) =>
    drawField(pen, of, { x, width }, y),
  );
}
