import { Resvg } from '@resvg/resvg-js';
import { describe, expect, it } from 'vitest';
import { type Alphabet, write } from '#core/letters/index.ts';
import { readPath } from '#core/scene/index.ts';

const SCALE = 16;
const MARGIN = 3;

/** How many separate pieces of ink words are, as resvg draws them. */
function piecesOf(text: string, alphabet: Alphabet): number {
  const { strokes, width } = write(text, alphabet);
  let d = '';
  for (const { path } of strokes)
    readPath(path, {
      move: (x, y) => {
        d += `M${x} ${-y}`;
      },
      line: (x, y) => {
        d += `L${x} ${-y}`;
      },
      curve: (x1, y1, x2, y2, x, y) => {
        d += `C${x1} ${-y1} ${x2} ${-y2} ${x} ${-y}`;
      },
      close: () => {
        d += 'Z';
      },
    });
  const [w, h] = [width + 2 * MARGIN, 22];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${-MARGIN} -15 ${w} ${h}" width="${w * SCALE}" height="${h * SCALE}"><path d="${d}" fill="none" stroke="#000" stroke-width="0.45" stroke-linecap="round"/></svg>`;
  const { pixels, width: columns, height: rows } = new Resvg(svg).render();
  const ink = (at: number) => pixels[4 * at + 3]! > 127;
  const seen = new Uint8Array(columns * rows);
  let pieces = 0;
  for (let start = 0; start < columns * rows; start++) {
    if (seen[start] || !ink(start)) continue;
    pieces++;
    const open = [start];
    seen[start] = 1;
    while (open.length) {
      const at = open.pop()!;
      for (const next of [at - 1, at + 1, at - columns, at + columns])
        if (next >= 0 && next < columns * rows && !seen[next] && ink(next)) {
          seen[next] = 1;
          open.push(next);
        }
    }
  }
  return pieces;
}

describe('single-stroke letters as a renderer draws them (resvg)', () => {
  const dotted: Record<string, number> = { i: 2, j: 2 };

  it.each([...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789'])(
    '%s hangs together, but for its dot',
    (sign) => expect(piecesOf(sign, 'print')).toBe(dotted[sign] ?? 1),
  );

  it.each([...'abcdefghijklmnopqrstuvwxyz'])('%s joined hangs together, but for its dot', (sign) =>
    expect(piecesOf(sign, 'joined')).toBe(dotted[sign] ?? 1),
  );

  it.each([
    'moon',
    'brown',
    'over',
    'wave',
    'vex',
    'bobbin',
    'quartz',
    'lynx',
    'kelp',
    'thumb',
    'goose',
    'robot',
  ])('%s joined is one piece; with space between letters that stand alone it is one for each', (word) => {
    const dots = [...word].filter((sign) => dotted[sign]).length;
    expect(piecesOf(word, 'joined')).toBe(1 + dots);
    expect(piecesOf(word, 'print')).toBe(word.length + dots);
  });
});
