import type { Drawing } from '../../scene/index.ts';
import { exactObject, numberBetween } from '../../schema.ts';
import { defineType } from '../resource.ts';

const MB = 1024 * 1024;
/** Of a side, in units of the drawing. */
const MOST_UNITS = 100_000;

const side = numberBetween(0.001, MOST_UNITS);

/** A drawing of outlines: marks on a sheet of its own size, its upper left corner at 0, 0. */
export interface Artwork {
  width: number;
  height: number;
  drawing: Drawing;
}

/** A drawing of outlines (SVG 1.1, shapes and paths with plain colors). */
export const artwork = defineType({
  id: 'artwork',
  name: 'Artwork',
  extension: 'svg',
  mostBytes: 20 * MB,
  facts: exactObject({ width: side, height: side }),
  read: async (bytes) => {
    // Loaded when it is wanted: what reads XML and colors is large.
    const { readSvg } = await import('./read-svg.ts');
    const { art, numbers } = readSvg(bytes);
    const { width, height } = art;
    return { value: art, facts: { width, height }, bytes: 8 * numbers };
  },
});
