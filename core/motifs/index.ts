import { LRUCache } from 'lru-cache';
import type { Artwork } from '../resources/artwork/index.ts';
import { type Drawing, type Mark, meanScale } from '../scene/index.ts';
import type { DRAWINGS } from './drawings.ts';

/** Drawings that ship, by what they show. */
export type MotifId = keyof typeof DRAWINGS;

/** Marks to be scaled by so much. */
interface Motif {
  drawing: Drawing;
  scale: number;
}

let read: ((id: MotifId) => Artwork) | null = null;
let loading: Promise<void> | null = null;
const kept = new LRUCache<string, Motif>({ max: 200 });

/** Loads the drawings and what reads them. Pages are drawn synchronously: who draws them loads it first. */
export function loadMotifs(): Promise<void> {
  loading ??= Promise.all([import('./drawings.ts'), import('../resources/artwork/read-svg.ts')])
    .then(([{ DRAWINGS: all }, { readSvg }]) => {
      read = (id) => readSvg(new TextEncoder().encode(all[id])).art;
    })
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
}

/** Thinnest line of a service, in points, and a little more. */
const LEAST_LINE = 0.78;

/**
 * A drawing that fills a square, with no line thinner than prints.
 * @param edge of the square, in points
 * @throws Error when the drawings were not loaded
 */
export function motif(id: MotifId, edge: number): Motif {
  if (!read) throw new Error('The drawings were not loaded before a page was drawn.');
  const key = `${id} ${edge.toFixed(1)}`;
  let found = kept.get(key);
  if (!found) {
    const { width, height, drawing } = read(id);
    const scale = edge / Math.max(width, height);
    found = { scale, drawing: { marks: drawing.marks.map((mark) => printable(mark, scale)) } };
    kept.set(key, found);
  }
  return found;
}

function printable(mark: Mark, scale: number): Mark {
  if (mark.type === 'group')
    return {
      ...mark,
      marks: mark.marks.map((one) => printable(one, mark.matrix ? scale * meanScale(mark.matrix) : scale)),
    };
  if (mark.type !== 'path' || !mark.stroke) return mark;
  return { ...mark, stroke: { ...mark.stroke, width: Math.max(mark.stroke.width, LEAST_LINE / scale) } };
}
