import { out, tail } from './ends.ts';
import { type stroke as begin, type Letter, letter, straight, stroke } from './stroke.ts';

/** A capital of the joined alphabet: where it ends on the base line, the next letter goes on from there. */
export interface JoinedCapital extends Letter {
  joins: boolean;
}

type Pen = ReturnType<typeof begin>;
const joins = (width: number, ...hands: readonly Pen[]): JoinedCapital => ({
  ...letter(width, ...hands),
  joins: true,
});
const alone = (width: number, ...hands: readonly Pen[]): JoinedCapital => ({
  ...letter(width, ...hands),
  joins: false,
});

/** A little wave that leads from the left into the top of a stem. */
const flag = (x: number) => stroke(x - 1.8, 8.8).curve(x - 1.4, 9.6, x - 0.6, 10.2, x, 9.4);
/** The wave above a stem. */
const roof = () => stroke(0, 9).curve(1, 10.1, 2.3, 10.1, 3.6, 9.7).curve(4.8, 9.4, 6, 9.5, 6.8, 10);
/** From the top of a stem to a hook at its foot, to the left. */
const hooked = (x: number) =>
  stroke(x, 9.7)
    .line([x, 2])
    .curve(x, 0.7, x - 0.7, 0, x - 1.7, 0)
    .curve(x - 2.6, 0, x - 3.2, 0.5, x - 3.3, 1.3);
/** The bowl of a P at its stem, from the left over its top to where it comes back. */
const roundTop = () => stroke(0, 8.9).curve(0.7, 9.7, 1.7, 10, 2.9, 10).curve(4.9, 10, 6, 8.9, 6, 7.3);

/** Capitals of the joined alphabet, round and without loops that would be taken for letters. Drawn for this program. */
export const joinedCapitals = (): Readonly<Record<string, JoinedCapital>> => ({
  A: joins(
    7.5,
    out(
      stroke(6.4, 8)
        .curve(5.8, 9.4, 4.8, 10, 3.7, 10)
        .curve(1.5, 10, 0, 7.6, 0, 4.5)
        .curve(0, 1.7, 1.1, 0, 2.7, 0)
        .curve(4.6, 0, 6.4, 2.6, 6.4, 6)
        .line([6.4, 9.8]),
      6.4,
    ),
  ),
  B: alone(
    6.6,
    straight([1.2, 9.8], [1.2, 0]),
    stroke(0, 8.9)
      .curve(0.8, 9.7, 2, 10, 3.2, 10)
      .curve(4.8, 10, 5.8, 9.1, 5.8, 7.8)
      .curve(5.8, 6.3, 4.6, 5.3, 2.8, 5.3)
      .curve(5, 5.3, 6.6, 4.4, 6.6, 2.7)
      .curve(6.6, 0.9, 5.2, 0, 3.4, 0)
      .curve(2.4, 0, 1.7, 0, 1.2, 0),
  ),
  C: joins(
    7.2,
    stroke(6.2, 8)
      .curve(5.7, 9.4, 4.7, 10, 3.7, 10)
      .curve(1.5, 10, 0, 7.6, 0, 4.8)
      .curve(0, 1.9, 1.6, 0, 4, 0)
      .curve(5.2, 0, 6.2, 0, 7.2, 0),
  ),
  D: alone(
    7.2,
    straight([1.6, 9.8], [1.6, 0]),
    stroke(0, 8.9)
      .curve(0.8, 9.8, 2, 10, 3, 10)
      .curve(5.6, 10, 7.2, 8, 7.2, 5)
      .curve(7.2, 2, 5.4, 0, 2.8, 0)
      .line([1.6, 0]),
  ),
  E: joins(
    6.2,
    stroke(5.2, 8.6)
      .curve(4.8, 9.6, 3.9, 10, 3.1, 10)
      .curve(1.7, 10, 0.9, 9.1, 0.9, 7.9)
      .curve(0.9, 6.3, 2, 5.3, 3.6, 5.3)
      .curve(1.4, 5.3, 0, 4.2, 0, 2.6)
      .curve(0, 0.9, 1.3, 0, 3.2, 0)
      .curve(4.3, 0, 5.3, 0, 6.2, 0),
  ),
  F: alone(6.2, hooked(3.6), roof(), straight([2.2, 5.2], [5.4, 5.2])),
  G: joins(
    7.7,
    tail(
      stroke(6, 8.2)
        .curve(5.5, 9.4, 4.5, 10, 3.6, 10)
        .curve(1.5, 10, 0, 7.7, 0, 5)
        .curve(0, 2.2, 1.4, 0.4, 3.2, 0.4)
        .curve(5, 0.4, 6.2, 2, 6.2, 4.6)
        .line([6.2, 5]),
      6.2,
    ),
  ),
  H: joins(
    8.7,
    flag(1.8).line([1.8, 0]),
    out(straight([7.6, 10], [7.6, 2]), 7.6),
    straight([1.8, 5.2], [7.6, 5.2]),
  ),
  I: joins(2.9, out(flag(1.8).line([1.8, 2]), 1.8)),
  J: joins(4.1, tail(flag(2.6).line([2.6, 0]), 2.6)),
  K: joins(
    8.2,
    flag(1.8).line([1.8, 0]),
    stroke(7, 10)
      .curve(5.4, 7.4, 3.8, 5.8, 1.8, 5.2)
      .curve(4.2, 5.3, 4.9, 3.2, 5.7, 1.6)
      .curve(6.2, 0.5, 7, 0, 8.2, 0),
  ),
  L: joins(
    6,
    stroke(4.8, 8.4)
      .curve(4.8, 9.4, 4.2, 10, 3.4, 10)
      .curve(2.4, 10, 1.8, 9, 1.8, 7.4)
      .line([1.8, 2.4])
      .curve(1.8, 1, 1.3, 0.2, 0.7, 0.2)
      .curve(0.1, 0.2, 0, 0.9, 0.6, 1.1)
      .curve(1.6, 1.4, 3, 0, 6, 0),
  ),
  M: joins(
    9.9,
    flag(1.4).line([1.4, 0]),
    stroke(1.4, 6.8).curve(1.8, 9, 2.8, 10, 3.8, 10).curve(4.7, 10, 5.1, 9.2, 5.1, 8).line([5.1, 0]),
    out(stroke(5.1, 6.8).curve(5.5, 9, 6.5, 10, 7.5, 10).curve(8.4, 10, 8.8, 9.2, 8.8, 8), 8.8),
  ),
  N: joins(
    7.3,
    flag(1.4).line([1.4, 0]),
    out(stroke(1.4, 6.8).curve(1.8, 9, 3.2, 10, 4.3, 10).curve(5.6, 10, 6.2, 9.2, 6.2, 7.8), 6.2),
  ),
  O: alone(
    7.6,
    stroke(3.9, 10)
      .curve(1.5, 10, 0, 7.7, 0, 5)
      .curve(0, 2.2, 1.5, 0, 3.8, 0)
      .curve(6.1, 0, 7.6, 2.3, 7.6, 5)
      .curve(7.6, 7.8, 6.2, 10, 3.9, 10),
  ),
  P: alone(6, straight([1.4, 9.8], [1.4, 0]), roundTop().curve(6, 5.6, 4.8, 4.6, 3, 4.6).line([1.4, 4.6])),
  Q: joins(
    8.4,
    stroke(3.9, 10)
      .curve(1.5, 10, 0, 7.7, 0, 5)
      .curve(0, 2.2, 1.5, 0, 3.8, 0)
      .curve(6.1, 0, 7.6, 2.3, 7.6, 5)
      .curve(7.6, 7.8, 6.2, 10, 3.9, 10),
    stroke(4.2, 3).curve(5.2, 2.6, 6, 0, 8.4, 0),
  ),
  R: joins(
    7.2,
    straight([1.4, 9.8], [1.4, 0]),
    roundTop()
      .curve(6, 5.7, 4.8, 4.8, 2.6, 4.8)
      .curve(4, 4.5, 4.6, 2.4, 5.2, 1.3)
      .curve(5.7, 0.4, 6.3, 0, 7.2, 0),
  ),
  S: alone(
    5.8,
    stroke(5.2, 8.4)
      .curve(4.8, 9.5, 3.9, 10, 3, 10)
      .curve(1.6, 10, 0.7, 9.1, 0.7, 7.8)
      .curve(0.7, 5, 5.7, 5.3, 5.7, 2.5)
      .curve(5.7, 0.9, 4.4, 0, 2.9, 0)
      .curve(1.6, 0, 0.5, 0.5, 0, 1.6),
  ),
  T: alone(6.4, hooked(3.6), roof()),
  U: joins(
    7.5,
    out(
      flag(1.6)
        .line([1.6, 3])
        .curve(1.6, 1.1, 2.4, 0, 3.7, 0)
        .curve(5.3, 0, 6.4, 1.8, 6.4, 4)
        .line([6.4, 10]),
      6.4,
    ),
  ),
  V: alone(
    7.2,
    stroke(0, 9)
      .curve(0.5, 9.9, 1.1, 9.9, 1.4, 8.9)
      .line([3.6, 0])
      .curve(5, 3, 5.9, 6.6, 6.1, 9)
      .curve(6.2, 9.8, 6.7, 10.1, 7.2, 9.8),
  ),
  W: alone(
    10.2,
    stroke(0, 9)
      .curve(0.5, 9.9, 1, 9.9, 1.2, 8.9)
      .line([3, 0], [5, 7.4], [6.8, 0])
      .curve(8, 3, 8.9, 6.6, 9.1, 9)
      .curve(9.2, 9.8, 9.7, 10.1, 10.2, 9.8),
  ),
  X: joins(
    6.8,
    stroke(0, 9).curve(0.5, 9.9, 1.2, 9.9, 1.7, 8.9).line([5.2, 1]).curve(5.5, 0.3, 6, 0, 6.8, 0),
    straight([6, 10], [0.6, 0]),
  ),
  Y: joins(
    7.3,
    tail(
      flag(1.4)
        .line([1.4, 7])
        .curve(1.4, 5.5, 2.2, 4.7, 3.3, 4.7)
        .curve(4.8, 4.7, 5.8, 6.2, 5.8, 8)
        .line([5.8, 10]),
      5.8,
    ),
  ),
  Z: joins(
    6.4,
    stroke(0, 8.9).curve(0.6, 9.8, 1.2, 10, 2, 10).line([5.8, 10], [0.6, 0]).curve(2.4, 0.4, 4.4, 0, 6.4, 0),
  ),
});
