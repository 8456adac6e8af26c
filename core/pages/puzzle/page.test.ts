import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxesFor } from './page.ts';

describe('boxes for several puzzles on a page', () => {
  it('are of one size, apart, and inside of the room, in the columns that leave the grids largest', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1, 2, 4, 6, 9),
        fc.integer({ min: 200, max: 700 }),
        fc.integer({ min: 200, max: 700 }),
        fc.constantFrom(0.6, 1, 1.8),
        (count, width, height, ratio) => {
          const room = { x: 30, y: 40, width, height };
          const [gap, above] = [20, 15];
          const boxes = boxesFor(count, room, { gap, above, ratio });
          expect(boxes).toHaveLength(count);
          for (const box of boxes) {
            expect([box.width, box.height]).toEqual([boxes[0]!.width, boxes[0]!.height]);
            expect(box.x).toBeGreaterThanOrEqual(room.x - 1e-6);
            expect(box.y).toBeGreaterThanOrEqual(room.y - 1e-6);
            expect(box.x + box.width).toBeLessThanOrEqual(room.x + width + 1e-6);
            expect(box.y + box.height).toBeLessThanOrEqual(room.y + height + 1e-6);
          }
          boxes.forEach((one, i) => {
            for (const other of boxes.slice(i + 1))
              expect(
                other.x >= one.x + one.width - 1e-6 ||
                  one.x >= other.x + other.width - 1e-6 ||
                  other.y >= one.y + one.height - 1e-6,
              ).toBe(true);
          });
          // No number of columns would hold wider grids.
          for (let columns = 1; columns <= count; columns++) {
            const rows = Math.ceil(count / columns);
            const wide = Math.min(
              (width - gap * (columns - 1)) / columns,
              ((height - gap * (rows - 1)) / rows - above) * ratio,
            );
            expect(boxes[0]!.width).toBeGreaterThanOrEqual(wide - 1e-6);
          }
        },
      ),
    );
  });

  it('several in a single row stand in the middle of the height', () => {
    const one = boxesFor(1, { x: 0, y: 0, width: 200, height: 400 }, { gap: 20, above: 0 });
    expect(one[0]!.y).toBe(0);
    const below = boxesFor(2, { x: 0, y: 0, width: 420, height: 400 }, { gap: 20, above: 0, ratio: 2 });
    expect(below.map(({ y }) => y)).toEqual([0, 210]);
    const beside = boxesFor(2, { x: 0, y: 0, width: 420, height: 240 }, { gap: 20, above: 0 });
    expect(beside.map(({ y }) => y)).toEqual([20, 20]);
  });
});
