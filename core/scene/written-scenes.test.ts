import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MARK_SAMPLES, SAMPLE_SIDE } from './marks.sample.ts';
import type { Mark, Scene } from './marks.ts';
import { buildPath, rectPath } from './path.ts';
import { readWrittenPath, writtenPath } from './written-path.ts';
import { writtenScenes, writtenScenesReader } from './written-scenes.ts';

const sceneOf = (...marks: Mark[]): Scene => ({
  width: SAMPLE_SIDE,
  height: SAMPLE_SIDE,
  gray: false,
  layers: [{ key: 'ground', marks: [] }, { marks }],
});

/** As it is sent: as text. */
const sent = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** The same value without minus zero, which is zero when it is sent as text. */
function unsigned(value: unknown): unknown {
  if (typeof value === 'number') return value + 0;
  if (value instanceof Float32Array) return value.map((number) => number + 0);
  if (Array.isArray(value)) return value.map(unsigned);
  if (value === null || typeof value !== 'object' || value instanceof Uint8Array) return value;
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, unsigned(part)]));
}

const hasPicture = (marks: readonly Mark[]): boolean =>
  JSON.stringify(marks, (key, value) => (key === 'image' ? true : value)).includes('"image"');

describe('written scenes', () => {
  it('are read as the very same marks, of every kind; those with pictures are left out', () => {
    const samples = Object.values(MARK_SAMPLES);
    const at = writtenScenesReader(sent(writtenScenes(samples.map((marks) => sceneOf(...marks)))));
    const pictured = samples.map(hasPicture);
    expect(new Set(pictured)).toEqual(new Set([true, false]));
    samples.forEach((marks, i) => {
      expect(unsigned(at(i))).toEqual(pictured[i] ? null : unsigned(sceneOf(...marks)));
    });
    expect(at(samples.length)).toBeNull();
  });

  it('have a drawing once that is placed often, on one page or on several', () => {
    const drawing = { marks: [{ type: 'path', path: rectPath(0, 0, 9, 9), fill: { gray: 0 } } as const] };
    const placed = (x: number): Mark => ({ type: 'symbol', drawing, matrix: [1, 0, 0, 1, x, 0] });
    const written = writtenScenes([sceneOf(placed(0), placed(20)), sceneOf(placed(40))]);
    expect(written.drawings).toHaveLength(1);
    const at = writtenScenesReader(sent(written));
    const drawings = [0, 1].flatMap((page) =>
      at(page)!.layers[1]!.marks.map((mark) => (mark.type === 'symbol' ? mark.drawing : null)),
    );
    expect(drawings).toHaveLength(3);
    expect(new Set(drawings).size).toBe(1);
    expect(drawings[0]).toEqual(drawing);
  });

  describe('of very many curves', () => {
    const path = buildPath();
    path.move(0, 0);
    for (let i = 0; i < 20_000; i++) path.curve(i, 1.2345, 2.3456, i, i / 7, i / 3);
    const curves: Mark = { type: 'path', path: path.done(), fill: { gray: 0 } };
    const few: Mark = { type: 'path', path: rectPath(0, 0, 9, 9), fill: { gray: 0 } };
    const symbol = (...marks: Mark[]): Mark => ({
      type: 'symbol',
      drawing: { marks },
      matrix: [1, 0, 0, 1, 0, 0],
    });

    it('are left out, and the others kept', () => {
      const written = writtenScenes([sceneOf(curves), sceneOf(few)]);
      expect(written.scenes.map((scene) => scene !== null)).toEqual([false, true]);
    });

    it('are left out with their drawings, also where one is placed again, and others keep theirs', () => {
      const small = symbol(few);
      const long = symbol(symbol(few), curves);
      const scenes = [sceneOf(small), sceneOf(small, long), sceneOf(long), sceneOf(symbol(few), small)];
      const written = writtenScenes(scenes);
      expect(written.drawings).toHaveLength(2);
      const at = writtenScenesReader(sent(written));
      expect([0, 1, 2, 3].map((page) => unsigned(at(page)))).toEqual([
        unsigned(scenes[0]),
        null,
        null,
        unsigned(scenes[3]),
      ]);
    });
  });
});

describe('a written path', () => {
  it('has the same steps and, to the last bit, the same numbers', () => {
    const float = fc.float({ noNaN: true, noDefaultInfinity: true });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(float, float, float, float, float, float), { minLength: 1 }),
        (curves) => {
          const builder = buildPath().move(0, 0);
          for (const curve of curves) builder.curve(...curve).line(curve[0], curve[1]);
          const path = builder.close().done();
          const read = readWrittenPath(sent(writtenPath(path)));
          expect(read.ops).toEqual(path.ops);
          expect(unsigned(read.points)).toEqual(unsigned(path.points));
        },
      ),
    );
  });

  it('is short where its numbers are', () => {
    expect(JSON.stringify(writtenPath(rectPath(0.1, 0.2, 12.35, 700.7)))).toBe(
      '{"ops":"01113","points":[0.1,0.2,12.45,0.2,12.45,700.9,0.1,700.9]}',
    );
  });
});
