import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inBatches } from './batches.ts';

const numbers = (length: number) => Array.from({ length }, (_, i) => i);
const soon = (ms: number) => new Promise((next) => setTimeout(next, ms));

describe('handing rows on in batches', () => {
  it('hands on every row once, never three batches at a time, and the last batch when all others are in', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 1, max: 9 }),
        fc.infiniteStream(fc.integer({ min: 0, max: 2 })),
        async (length, size, waits) => {
          const rows = numbers(length);
          const taken: number[] = [];
          let under = 0;
          const told: number[] = [];
          const done = await inBatches(
            rows,
            size,
            async (batch, last) => {
              under++;
              expect(under).toBeLessThanOrEqual(last ? 1 : 2);
              expect(batch.length).toBeLessThanOrEqual(size);
              if (last) expect(taken.length + batch.length).toBe(length);
              await soon(waits.next().value!);
              taken.push(...batch);
              under--;
            },
            { onDone: (now) => told.push(now) },
          );
          expect(done).toBe(length);
          expect(taken.sort((a, b) => a - b)).toEqual(rows);
          expect(told).toEqual(told.slice().sort((a, b) => a - b));
        },
      ),
      { numRuns: 40 },
    );
  });

  it('stops between two batches and says how many rows are in', async () => {
    let stop = false;
    let batches = 0;
    const done = await inBatches(
      numbers(100),
      10,
      async (_, last) => {
        expect(last).toBe(false);
        batches++;
        if (batches === 4) stop = true;
      },
      { stopped: () => stop },
    );
    expect(done).toBe(batches * 10);
    expect(batches).toBeLessThan(7);
  });

  it('comes to rest before it says what went wrong, and begins no further batch', async () => {
    const begun: number[] = [];
    const ended: number[] = [];
    const broken = inBatches(numbers(100), 10, async (batch) => {
      begun.push(batch[0]!);
      await soon(batch[0] === 0 ? 1 : 5);
      if (batch[0] === 0) throw new Error('The connection broke.');
      ended.push(batch[0]!);
    });
    await expect(broken).rejects.toThrow('The connection broke.');
    expect(begun).toEqual([0, 10]);
    expect(ended).toEqual([10]);
  });
});
