import { rgb } from 'culori';
import type { Color, FillRule, PathMark, Stroke } from '../../scene/index.ts';
import { ResourceTrouble } from '../resource.ts';
import { type Attributes, lengthOf } from './shapes.ts';

/** A color and how much of it covers, 0 to 1; null paints nothing. */
type SvgPaint = { color: Color; opacity: number } | null;

/** What shapes inherit from the groups they stand in (SVG 1.1, chapter 11). */
export interface Painting {
  fill: SvgPaint;
  fillOpacity: number;
  rule: FillRule;
  stroke: SvgPaint;
  strokeOpacity: number;
  width: number;
  cap: NonNullable<Stroke['cap']>;
  join: NonNullable<Stroke['join']>;
  miterLimit: number;
  dash: number[];
}

export const INITIAL: Painting = {
  fill: { color: { gray: 0 }, opacity: 1 },
  fillOpacity: 1,
  rule: 'nonzero',
  stroke: null,
  strokeOpacity: 1,
  width: 1,
  cap: 'butt',
  join: 'miter',
  miterLimit: 4,
  dash: [],
};

/** Attributes with what the style attribute says on top. */
export function styled(attributes: Attributes): Attributes {
  const { style } = attributes;
  if (!style) return attributes;
  const said = style.split(';').flatMap((part) => {
    const colon = part.indexOf(':');
    return colon < 0 ? [] : [[part.slice(0, colon).trim(), part.slice(colon + 1).trim()]];
  });
  return { ...attributes, ...Object.fromEntries(said) };
}

function paintOf(written: string): SvgPaint {
  if (written === 'none' || written === 'transparent') return null;
  if (written.startsWith('url('))
    throw new ResourceTrouble('is painted with gradients or patterns. Make its colors plain.');
  const found = rgb(written === 'currentColor' ? 'black' : written);
  if (!found) throw new ResourceTrouble(`has the color “${written.slice(0, 40)}”, which is not a color.`);
  const { r, g, b, alpha = 1 } = found;
  return { color: r === g && g === b ? { gray: r } : { rgb: [r, g, b] }, opacity: alpha };
}

export const opacityOf = (at: Attributes, name: string, otherwise = 1): number => {
  const percent = /^\s*([\d.]+)%\s*$/.exec(at[name] ?? '');
  const value = percent ? Number(percent[1]) / 100 : lengthOf(at, name, otherwise);
  return Math.min(1, Math.max(0, value));
};

const enumOf = <Value extends string>(
  written: string | undefined,
  values: readonly Value[],
  now: Value,
): Value => values.find((value) => value === written) ?? now;

/** What holds inside an element that says so much. */
export function painting(at: Attributes, now: Painting): Painting {
  const paint = (name: 'fill' | 'stroke') => {
    const written = at[name];
    return written === undefined || written === 'inherit' ? now[name] : paintOf(written);
  };
  const dash = at['stroke-dasharray'];
  const dashes =
    dash === 'none'
      ? []
      : dash
          ?.split(/[\s,]+/)
          .filter(Boolean)
          .map(Number);
  const drawn = dashes?.every((length) => length >= 0) && dashes.some((length) => length > 0) ? dashes : [];
  return {
    fill: paint('fill'),
    fillOpacity: opacityOf(at, 'fill-opacity', now.fillOpacity),
    rule: enumOf(at['fill-rule'], ['nonzero', 'evenodd'], now.rule),
    stroke: paint('stroke'),
    strokeOpacity: opacityOf(at, 'stroke-opacity', now.strokeOpacity),
    width: lengthOf(at, 'stroke-width', now.width),
    cap: enumOf(at['stroke-linecap'], ['butt', 'round', 'square'], now.cap),
    join: enumOf(at['stroke-linejoin'], ['miter', 'round', 'bevel'], now.join),
    miterLimit: lengthOf(at, 'stroke-miterlimit', now.miterLimit),
    // An odd list is said twice.
    dash: dash === undefined ? now.dash : drawn.length % 2 ? [...drawn, ...drawn] : drawn,
  };
}

/** A fill or a stroke with what of it covers. */
export interface Painted {
  paint: Pick<PathMark, 'fill' | 'rule' | 'stroke'>;
  opacity: number;
}

/** How a shape is painted: its fill, and its stroke over it. */
export function paintsOf(now: Painting): Painted[] {
  const painted: Painted[] = [];
  if (now.fill)
    painted.push({
      paint: { fill: now.fill.color, rule: now.rule },
      opacity: now.fill.opacity * now.fillOpacity,
    });
  if (now.stroke && now.width > 0) {
    const { width, cap, join, miterLimit, dash } = now;
    const stroke = {
      width,
      paint: now.stroke.color,
      cap,
      join,
      miterLimit,
      ...(dash.length ? { dash } : {}),
    };
    painted.push({ paint: { stroke }, opacity: now.stroke.opacity * now.strokeOpacity });
  }
  return painted.filter(({ opacity }) => opacity > 0);
}
