import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage } from '../../book/index.ts';
import { sceneToSvg } from '../../export/svg.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { loadMotifs, motif } from '../../motifs/index.ts';
import { motifOutline, type Point } from '../../motifs/outline.ts';
import { proofBook } from '../../proof/index.ts';
import { boundsOf } from '../../scene/index.ts';
import { dotsOn, overlap, placeNumbers } from './dots.ts';

const type = typesetterFromDisk();
beforeAll(loadMotifs);

const ids = [
  'acorn',
  'whale',
  'snail',
  'owl',
  'leaf',
  'ivy',
  'pea',
  'daisy',
  'jar',
  'tomato',
  'night',
  'gull',
] as const;

/** Whether lines from a to b and from c to d cross within both. */
function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

const isInside = (line: readonly Point[], x: number, y: number): boolean => {
  let inside = false;
  line.forEach(([x1, y1], i) => {
    const [x2, y2] = line[(i + 1) % line.length]!;
    if (y1 > y !== y2 > y && x < x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) inside = !inside;
  });
  return inside;
};

describe('the outline of a drawing', () => {
  it('holds what librsvg, the renderer in sharp, paints of it, and little else', async () => {
    const edge = 200;
    for (const id of ids) {
      const { drawing, scale } = motif(id, edge);
      const scene = {
        width: edge,
        height: edge,
        gray: false,
        layers: [
          {
            marks: [{ type: 'symbol' as const, drawing, matrix: [scale, 0, 0, scale, 0, 0] as const }],
          },
        ],
      };
      const svg = sceneToSvg(scene as never, type, { width: edge, height: edge });
      const { data } = await sharp(Buffer.from(svg))
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const outline = motifOutline(id).map(
        ([x, y]): Point => [
          x * edge * (224 / 220) - (2 * edge) / 220,
          y * edge * (224 / 220) - (2 * edge) / 220,
        ],
      );
      let [both, either] = [0, 0];
      for (let y = 0; y < edge; y += 2)
        for (let x = 0; x < edge; x += 2) {
          const painted = data[(y * edge + x) * 4 + 3]! > 127;
          const within = isInside(outline, x + 0.5, y + 0.5);
          if (painted && within) both++;
          if (painted || within) either++;
        }
      expect(both / either, id).toBeGreaterThan(0.82);
    }
  });
});

describe('dots to join', () => {
  it('stand on the outline in its order; joined, they cross nowhere and give the shape', () => {
    for (const id of ids)
      for (const count of [16, 32, 60]) {
        const outline = motifOutline(id);
        const dots = dotsOn(outline, count);
        expect(dots.length, id).toBeGreaterThan(0.7 * count);
        expect(dots.length).toBeLessThanOrEqual(count);
        const places = dots.map((dot) => outline.indexOf(dot));
        expect(places.every((at) => at >= 0)).toBe(true);
        const falls = places.filter((at, i) => at < places[(i + places.length - 1) % places.length]!);
        expect(falls, `${id}: once around`).toHaveLength(1);
        let crossings = 0;
        for (let i = 0; i < dots.length; i++)
          for (let k = i + 2; k < dots.length; k++)
            if (
              (k + 1) % dots.length !== i &&
              cross(dots[i]!, dots[(i + 1) % dots.length]!, dots[k]!, dots[(k + 1) % dots.length]!)
            )
              crossings++;
        expect(crossings, `${id} ${count}`).toBe(0);
        let [both, either] = [0, 0];
        for (let y = 0; y < 1; y += 0.02)
          for (let x = 0; x < 1; x += 0.02) {
            const [a, b] = [isInside(outline, x, y), isInside(dots, x, y)];
            if (a && b) both++;
            if (a || b) either++;
          }
        expect(both / either, `${id} ${count}`).toBeGreaterThan(count < 20 ? 0.7 : 0.85);
      }
  });

  it('have numbers that cover no dot and no other number', () => {
    for (const id of ids) {
      const dots = dotsOn(motifOutline(id), 40).map(([x, y]): Point => [x * 520, y * 520]);
      const boxes = placeNumbers(dots, (n) => ({ width: n < 10 ? 6 : 11, height: 8 }), 3.4, {
        x: -40,
        y: -40,
        width: 600,
        height: 600,
      });
      const found = boxes.filter((box) => box !== null);
      expect(found, id).toHaveLength(dots.length);
      found.forEach((box, i) => {
        expect(
          found.some((other, k) => k !== i && overlap(box, other)),
          `${id} ${i + 1}`,
        ).toBe(false);
        expect(dots.some(([x, y]) => overlap(box, { x: x - 1.9, y: y - 1.9, width: 3.8, height: 3.8 }))).toBe(
          false,
        );
      });
    }
  });

  it('are without a finding on every trim, with as many dots as it holds', async () => {
    for (const [width, height, dots] of [
      ['5in', '8in', 32],
      ['8.25in', '6in', 32],
      ['8.5in', '11in', 60],
    ] as const) {
      const recipe = recipeOf([{ id: 'd', kind: 'dots-to-join', pages: 24, options: { dots } }], {
        quill: 4,
        print: { service: 'wrenfair', trim: { width, height } },
      });
      const findings = (await proofBook(bookFrom(recipe), type)).filter(({ place }) => place.view === 'page');
      expect(findings, width).toEqual([]);
    }
  });

  it('come with another picture on each page, or shuffled by the seed, and alike pages are written once', () => {
    const keys = (options: object) =>
      bookFrom(recipeOf([{ id: 'd', kind: 'dots-to-join', pages: 20, options }], { quill: 4 }))
        .plan.pages.filter(({ unit }) => unit)
        .map(({ unit }) => unit!.key);
    const listed = keys({});
    expect(new Set(listed.slice(0, ids.length)).size).toBe(ids.length);
    expect(listed[ids.length]).toBe(listed[0]);
    const shuffled = keys({ order: 'shuffled' });
    expect(shuffled).not.toEqual(listed);
    expect(new Set(shuffled)).toEqual(new Set(listed));
    expect(new Set(keys({ picture: 'owl' }))).toEqual(new Set(['owl']));
    const book = bookFrom(recipeOf([{ id: 'd', kind: 'dots-to-join', pages: 2 }], { quill: 4 }));
    expect(boundsOf(drawPage(book, 1, type).layers[0]!.marks, type)).not.toBeNull();
  });
});
