import type { Drawing, FillRule, GroupMark, Mark, PathMark, Scene, SymbolMark } from './marks.ts';
import { readWrittenPath, type WrittenPath, writtenPath } from './written-path.ts';

/** A mark as plain data; of a symbol, the number of its drawing. */
type WrittenMark =
  | Exclude<Mark, { type: 'path' | 'group' | 'symbol' | 'image' }>
  | (Omit<PathMark, 'path'> & { path: WrittenPath })
  | (Omit<GroupMark, 'marks' | 'clip'> & {
      marks: WrittenMark[];
      clip?: { path: WrittenPath; rule?: FillRule };
    })
  | (Omit<SymbolMark, 'drawing'> & { drawing: number });

type WrittenScene = Omit<Scene, 'layers'> & { layers: { key?: string; marks: WrittenMark[] }[] };

/** Scenes as plain data, from which whoever knows nothing of their books draws the same. */
export interface WrittenScenes {
  /** What symbols of any of the scenes show. */
  drawings: WrittenMark[][];
  /** Null for a scene that is not written. */
  scenes: (WrittenScene | null)[];
}

/**
 * Longer scenes, as JSON with the drawings that none before them shows, are sooner drawn anew than sent and read: those
 * of thousands of curves.
 */
const MOST_LETTERS = 100_000;

const hasPicture = (marks: readonly Mark[]): boolean =>
  marks.some(
    (mark) =>
      mark.type === 'image' ||
      (mark.type === 'group' && hasPicture(mark.marks)) ||
      (mark.type === 'symbol' && hasPicture(mark.drawing.marks)),
  );

/** Writes scenes down. Left out are those with pictures, and very long ones. */
export function writtenScenes(scenes: readonly Scene[]): WrittenScenes {
  const drawings: WrittenMark[][] = [];
  const numbers = new Map<Drawing, number>();
  const numberOf = (drawing: Drawing): number => {
    let number = numbers.get(drawing);
    if (number === undefined) {
      number = drawings.push(drawing.marks.map(written)) - 1;
      numbers.set(drawing, number);
    }
    return number;
  };
  const written = (mark: Mark): WrittenMark => {
    if (mark.type === 'path') return { ...mark, path: writtenPath(mark.path) };
    if (mark.type === 'symbol') return { ...mark, drawing: numberOf(mark.drawing) };
    if (mark.type === 'image') throw new TypeError('Pictures are not written.');
    if (mark.type !== 'group') return mark;
    const { clip, marks, ...group } = mark;
    return {
      ...group,
      marks: marks.map(written),
      ...(clip ? { clip: { ...clip, path: writtenPath(clip.path) } } : {}),
    };
  };
  const writtenScene = (scene: Scene): WrittenScene | null => {
    if (scene.layers.some(({ marks }) => hasPicture(marks))) return null;
    const before = drawings.length;
    const layers = scene.layers.map((layer) => ({ ...layer, marks: layer.marks.map(written) }));
    if (JSON.stringify([layers, drawings.slice(before)]).length <= MOST_LETTERS) return { ...scene, layers };
    // Nor is what only a scene that is left out would show.
    drawings.length = before;
    for (const [drawing, number] of numbers) if (number >= before) numbers.delete(drawing);
    return null;
  };
  return { scenes: scenes.map(writtenScene), drawings };
}

/**
 * Reads written scenes, each when it is asked for.
 * @returns gives the scene at a place, counted from 0; null where none was written
 */
export function writtenScenesReader({ drawings, scenes }: WrittenScenes): (at: number) => Scene | null {
  const made: Drawing[] = [];
  const drawingOf = (number: number): Drawing => {
    made[number] ??= { marks: drawings[number]!.map(read) };
    return made[number];
  };
  const read = (mark: WrittenMark): Mark => {
    if (mark.type === 'path') return { ...mark, path: readWrittenPath(mark.path) };
    if (mark.type === 'symbol') return { ...mark, drawing: drawingOf(mark.drawing) };
    if (mark.type !== 'group') return mark;
    const { clip, marks, ...group } = mark;
    return {
      ...group,
      marks: marks.map(read),
      ...(clip ? { clip: { ...clip, path: readWrittenPath(clip.path) } } : {}),
    };
  };
  return (at) => {
    const scene = scenes[at];
    if (!scene) return null;
    return { ...scene, layers: scene.layers.map((layer) => ({ ...layer, marks: layer.marks.map(read) })) };
  };
}
