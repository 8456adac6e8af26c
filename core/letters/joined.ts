import { out, tail } from './ends.ts';
import { type Letter, letter, straight, stroke } from './stroke.ts';

/** A joined letter begins and ends on the base line, or ends high, where o, v, w and b leave off. */
export interface JoinedLetter extends Letter {
  endsHigh: boolean;
}

/** Where a high end stands, and the next letter begins. */
export const HIGH = 3.6;

type Pen = ReturnType<typeof stroke>;
const low = (width: number, ...hands: readonly Pen[]): JoinedLetter => ({
  ...letter(width, ...hands),
  endsHigh: false,
});
const high = (width: number, ...hands: readonly Pen[]): JoinedLetter => ({
  ...letter(width, ...hands),
  endsHigh: true,
});

const dot = (x: number) => straight([x, 7.45], [x, 6.95]);

/** How letters are led into, from the base line or from a high end. */
const ways = (from: number) => {
  const begin = stroke(0, from);
  const out = from > 0 ? 0.7 : 0;
  return {
    /** Up to the head of a stem. */
    stem: (x = 2.3, y = 5) => begin.curve(1.1, from - out, x - 0.4, Math.max(2.6, from), x, y),
    /** Over the top, to where a bowl begins. */
    over: () => begin.curve(1, from - out * 0.2, 1.4, 5.2, 4.2, 5).curve(5, 4.95, 5.5, 4.7, 5.8, 4.4),
    /** Over a hump and down into a stem. */
    hump: (x = 2.6) => begin.curve(0.9, from, 1, 5, x - 0.7, 5).curve(x - 0.2, 5, x, 4.5, x, 3.8),
    /** Up the right side of a loop, and round into its stem. */
    loop: (x = 1.3) =>
      begin
        .curve(1.4, from - out, x + 2.1, 4.6, x + 2.1, 8)
        .curve(x + 2.1, 9.4, x + 1.6, 10, x + 1, 10)
        .curve(x + 0.3, 10, x, 9, x, 7.6),
    begin,
  };
};

/** A hump from the foot of a stem to the next stem. */
const over = (pen: Pen, x: number, width: number) =>
  pen
    .curve(x, 3, x + width * 0.3, 5, x + width * 0.66, 5)
    .curve(x + width * 0.9, 5, x + width, 4.4, x + width, 3.6);
/** A bowl from its upper right, counterclockwise round to its right side. */
const bowl = (pen: Pen) =>
  pen
    .curve(5.3, 4.9, 4.7, 5, 4.2, 5)
    .curve(2.8, 5, 1.9, 3.9, 1.9, 2.5)
    .curve(1.9, 1, 2.7, 0, 3.8, 0)
    .curve(4.9, 0, 5.8, 1.2, 5.8, 2.6);

/**
 * Small letters that are joined: each begins where the one before it ends. Capitals are those that stand alone. Drawn for this
 * program.
 * @param from height at which the letter before ends
 */
export function joinedLetters(from: number): Readonly<Record<string, JoinedLetter>> {
  const way = () => ways(from);
  return {
    a: low(6.9, out(bowl(way().over()).line([5.8, 5]), 5.8)),
    b: high(
      6.2,
      way()
        .loop()
        .line([1.3, 1.6])
        .curve(1.3, 0.5, 2, 0, 3, 0)
        .curve(4.4, 0, 5, 1.4, 5, 3)
        .curve(5, 4.2, 4.6, 4.9, 4, 4.9)
        .curve(4.2, 3.9, 5.2, HIGH, 6.2, HIGH),
    ),
    c: low(
      5.8,
      way()
        .over()
        .curve(5.3, 4.9, 4.7, 5, 4.2, 5)
        .curve(2.8, 5, 1.9, 3.9, 1.9, 2.5)
        .curve(1.9, 1, 2.7, 0, 3.9, 0)
        .curve(4.6, 0, 5.2, 0, 5.8, 0),
    ),
    d: low(6.9, out(bowl(way().over()).line([5.8, 10]), 5.8)),
    e: low(
      5,
      way()
        .begin.curve(1.6, from > 0 ? from - 1.6 : 0, 4.4, 2.2, 4.4, 3.8)
        .curve(4.4, 4.6, 3.9, 5, 3.3, 5)
        .curve(2.2, 5, 1.5, 3.9, 1.5, 2.5)
        .curve(1.5, 1, 2.4, 0, 3.6, 0)
        .curve(4.1, 0, 4.6, 0, 5, 0),
    ),
    f: low(
      4.4,
      way()
        .loop(1.6)
        .line([1.6, -3.2])
        .curve(1.6, -4.4, 2, -5, 2.6, -5)
        .curve(3.4, -5, 3.6, -4, 3.6, -3)
        .curve(3.6, -1.4, 2.8, -0.2, 1.8, 0)
        .curve(2.6, 0.1, 3.4, 0, 4.4, 0),
    ),
    g: low(7.3, tail(bowl(way().over()).line([5.8, 5]), 5.8)),
    h: low(6, out(over(way().loop().line([1.3, 0]), 1.3, 3.6), 4.9)),
    i: low(3.4, out(way().stem(), 2.3), dot(2.3)),
    j: low(4.1, tail(way().stem(2.6), 2.6), dot(2.6)),
    k: low(
      5.6,
      way()
        .loop()
        .line([1.3, 0])
        .curve(1.3, 3, 2.4, 5, 3.8, 5)
        .curve(5, 5, 5, 2.9, 3.2, 2.8)
        .line([2.2, 2.8])
        .curve(4, 2.8, 3.7, 0, 5.6, 0),
    ),
    l: low(2.6, way().loop().line([1.3, 1.4]).curve(1.3, 0.5, 1.8, 0, 2.6, 0)),
    m: low(9.3, out(over(over(way().hump().line([2.6, 0]), 2.6, 2.8).line([5.4, 0]), 5.4, 2.8), 8.2)),
    n: low(6.7, out(over(way().hump().line([2.6, 0]), 2.6, 3), 5.6)),
    o: high(
      6.8,
      way()
        .begin.curve(1, from, 1.4, 5.2, 4, 5)
        .curve(2.7, 5, 1.9, 3.9, 1.9, 2.5)
        .curve(1.9, 1, 2.6, 0, 3.8, 0)
        .curve(5, 0, 5.7, 1.1, 5.7, 2.5)
        .curve(5.7, 3.9, 5, 5, 3.9, 5)
        .curve(4.4, 3.9, 5.8, HIGH, 6.8, HIGH),
    ),
    p: low(
      6.8,
      way()
        .stem()
        .line([2.3, -5])
        .lift(2.3, 2)
        .curve(2.3, 4, 3.1, 5, 4.2, 5)
        .curve(5.3, 5, 6, 3.9, 6, 2.5)
        .curve(6, 1, 5.3, 0, 4.2, 0)
        .curve(3.6, 0, 3, 0.2, 2.6, 0.7)
        .curve(3.2, 0, 5.4, 0, 6.8, 0),
    ),
    q: low(
      7.5,
      bowl(way().over())
        .line([5.8, 5])
        .line([5.8, -4])
        .curve(5.8, -5.2, 7, -5.2, 7, -4)
        .curve(7, -2.4, 6.2, 0, 7.5, 0),
    ),
    r: low(
      5.2,
      out(way().stem(2, 5.5).curve(2.2, 4.7, 3.1, 4.7, 3.6, 4.8).curve(4.1, 4.8, 4.1, 4, 4.1, 3.2), 4.1),
    ),
    s: low(
      5.4,
      way()
        .stem(2.6, 5.2)
        .curve(2.8, 3.6, 4.3, 2.8, 4.3, 1.4)
        .curve(4.3, 0.4, 3.4, 0, 2.6, 0)
        .curve(2, 0, 1.5, 0.3, 1.3, 0.8)
        .curve(1.8, 0, 4, 0, 5.4, 0),
    ),
    t: low(3.5, out(way().stem(2.4, 8.4), 2.4), straight([0.9, 6.2], [4, 6.2])),
    u: low(
      7.2,
      out(
        way()
          .stem()
          .line([2.3, 1.6])
          .curve(2.3, 0.5, 2.9, 0, 3.9, 0)
          .curve(5.2, 0, 6.1, 1.8, 6.1, 3.4)
          .line([6.1, 5]),
        6.1,
      ),
    ),
    v: high(
      7.2,
      way()
        .hump(2.2)
        .curve(2.4, 1.8, 2.8, 0, 3.6, 0)
        .curve(4.8, 0, 5.6, 3, 5.6, 5)
        .curve(5.8, 3.9, 6.4, HIGH, 7.2, HIGH),
    ),
    w: high(
      9.6,
      way()
        .stem()
        .line([2.3, 1.6])
        .curve(2.3, 0.5, 2.8, 0, 3.6, 0)
        .curve(4.6, 0, 5.1, 1.2, 5.1, 2.6)
        .line([5.1, 5], [5.1, 1.6])
        .curve(5.1, 0.5, 5.6, 0, 6.4, 0)
        .curve(7.6, 0, 8, 2.6, 8, 5)
        .curve(8.2, 3.9, 8.8, HIGH, 9.6, HIGH),
    ),
    x: low(
      5.6,
      way()
        .begin.curve(0.9, from, 0.9, 5, 1.7, 5)
        .curve(2.6, 5, 3, 3.6, 3.4, 2.5)
        .curve(3.8, 1.2, 4.4, 0, 5.6, 0),
      straight([5.2, 5], [1.4, 0]),
    ),
    y: low(
      7.4,
      tail(
        way()
          .stem()
          .line([2.3, 1.8])
          .curve(2.3, 0.6, 2.9, 0, 3.8, 0)
          .curve(5, 0, 5.9, 1.6, 5.9, 3)
          .line([5.9, 5]),
        5.9,
      ),
    ),
    z: low(
      5.6,
      way().begin.curve(0.9, from, 0.9, 5, 1.9, 5).line([4.6, 5], [1.4, 0]).curve(2.6, 0.3, 4, 0, 5.6, 0),
    ),
  };
}
