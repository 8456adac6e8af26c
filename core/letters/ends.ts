import type { stroke } from './stroke.ts';

type Pen = ReturnType<typeof stroke>;

/** Out of a stem onto the base line. */
export const out = (pen: Pen, x: number) => pen.line([x, 1.2]).curve(x, 0.4, x + 0.4, 0, x + 1.1, 0);

/** A tail below a stem, and back up to the base line. */
export const tail = (pen: Pen, x: number) =>
  pen
    .line([x, -2.8])
    .curve(x, -4.4, x - 0.8, -5, x - 1.7, -5)
    .curve(x - 2.9, -5, x - 3.3, -4, x - 2.5, -2.9)
    .curve(x - 1.7, -1.8, x + 0.2, 0, x + 1.5, 0);
