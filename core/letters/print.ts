import { arc, type Letter, letter, straight, stroke } from './stroke.ts';

/** A dot of the pen, so long that it is seen with its direction. */
const dot = (x: number, y: number) => straight([x, y + 0.25], [x, y - 0.25]);
const bowl = () => arc(2.5, 2.5, 2.5, 2.5, 40, 400);
/** A bowl at the right of a stem, from where it leaves it to where it comes back. */
const rightBowl = () => arc(2.5, 2.5, 2.5, 2.5, 180, -180);

/** The second half of letters that two make: an e that begins in the side of the first. */
const secondE = () => stroke(4.4, 2.6).line([8.78, 2.6]).arc(6.6, 2.5, 2.2, 2.5, 2, 318);
/** The bars of an E on a stem. */
const bars = (stem: number, end: number) => [
  straight([stem, 10], [end, 10]),
  straight([stem, 5.2], [end - 0.8, 5.2]),
  straight([stem, 0], [end, 0]),
];

let drawn: Readonly<Record<string, Letter>> | null = null;

/**
 * Letters that stand alone, of straight lines and parts of circles, each as a hand is taught to make it: from above, from the
 * left, round counterclockwise first. Drawn for this program, when they are first asked for.
 */
export function printLetters(): Readonly<Record<string, Letter>> {
  drawn ??= drawLetters();
  return drawn;
}

const drawLetters = (): Readonly<Record<string, Letter>> => ({
  a: letter(5, bowl(), straight([5, 5], [5, 0])),
  b: letter(5, straight([0, 10], [0, 0]), rightBowl()),
  c: letter(4.5, arc(2.5, 2.5, 2.5, 2.5, 42, 318)),
  d: letter(5, bowl(), straight([5, 10], [5, 0])),
  e: letter(5, stroke(0.02, 2.6).line([4.98, 2.6]).arc(2.5, 2.5, 2.5, 2.5, 2, 318)),
  f: letter(3.4, arc(2.5, 8.4, 1.6, 1.6, 40, 180).line([0.9, 0]), straight([-0.6, 5], [2.8, 5])),
  g: letter(5, bowl(), straight([5, 5], [5, -2.5]).arc(2.5, -2.5, 2.5, 2.5, 0, -145)),
  h: letter(4.4, straight([0, 10], [0, 0]), arc(2.2, 2.8, 2.2, 2.2, 180, 0).line([4.4, 0])),
  i: letter(0, straight([0, 5], [0, 0]), dot(0, 7.2)),
  j: letter(2.2, straight([2.2, 5], [2.2, -3]).arc(0.2, -3, 2, 2, 0, -140), dot(2.2, 7.2)),
  k: letter(4, straight([0, 10], [0, 0]), straight([3.7, 5], [0, 2]), straight([1.25, 3], [4, 0])),
  l: letter(0, straight([0, 10], [0, 0])),
  m: letter(
    7.2,
    straight([0, 5], [0, 0]),
    arc(1.8, 3.2, 1.8, 1.8, 180, 0).line([3.6, 0]),
    arc(5.4, 3.2, 1.8, 1.8, 180, 0).line([7.2, 0]),
  ),
  n: letter(4.4, straight([0, 5], [0, 0]), arc(2.2, 2.8, 2.2, 2.2, 180, 0).line([4.4, 0])),
  o: letter(5, arc(2.5, 2.5, 2.5, 2.5, 90, 450)),
  p: letter(5, straight([0, 5], [0, -5]), rightBowl()),
  q: letter(5.6, bowl(), straight([5, 5], [5, -5], [6.2, -3.9])),
  r: letter(3.6, straight([0, 5], [0, 0]), arc(2.2, 2.8, 2.2, 2.2, 180, 45)),
  s: letter(4, arc(2.05, 3.75, 1.85, 1.25, 25, 270).arc(2.05, 1.25, 2.05, 1.25, 90, -155)),
  t: letter(3.2, straight([1.6, 9], [1.6, 0]), straight([0, 5], [3.2, 5])),
  u: letter(
    4.4,
    straight([0, 5], [0, 2.2]).arc(2.2, 2.2, 2.2, 2.2, 180, 360).line([4.4, 5]).lift(4.4, 2.2).line([4.4, 0]),
  ),
  v: letter(4.4, straight([0, 5], [2.2, 0], [4.4, 5])),
  w: letter(6.8, straight([0, 5], [1.7, 0], [3.4, 5], [5.1, 0], [6.8, 5])),
  x: letter(4, straight([0, 5], [4, 0]), straight([4, 5], [0, 0])),
  y: letter(4.4, straight([0, 5], [2.2, 0]), straight([4.4, 5], [0, -5])),
  z: letter(4, straight([0, 5], [4, 5], [0, 0], [4, 0])),
  ß: letter(
    4.8,
    stroke(0, 0)
      .line([0, 7.8])
      .arc(2.2, 7.8, 2.2, 2.2, 180, -38)
      .line([1.9, 4.9])
      .arc(2.3, 2.5, 2.5, 2.5, 88, -140),
  ),
  æ: letter(8.8, arc(2.2, 2.5, 2.2, 2.5, 40, 400), secondE()),
  œ: letter(8.8, arc(2.2, 2.5, 2.2, 2.5, 90, 450), secondE()),
  ø: letter(5, arc(2.5, 2.5, 2.5, 2.5, 90, 450), straight([4.7, 5.4], [0.3, -0.4])),
  ł: letter(1.6, straight([0.8, 10], [0.8, 0]), straight([-0.6, 4.4], [2.2, 6])),
  A: letter(
    7.6,
    straight([3.8, 10], [0, 0]),
    straight([3.8, 10], [7.6, 0]),
    straight([1.33, 3.5], [6.27, 3.5]),
  ),
  B: letter(
    5.8,
    straight([0, 10], [0, 0]),
    straight([0, 10], [3, 10])
      .arc(3, 7.6, 2.4, 2.4, 90, -90)
      .line([0, 5.2])
      .lift(3, 5.2)
      .arc(3.2, 2.6, 2.6, 2.6, 90, -90)
      .line([0, 0]),
  ),
  C: letter(8, arc(4.8, 5, 4.8, 5, 45, 315)),
  D: letter(
    6.8,
    straight([0, 10], [0, 0]),
    straight([0, 10], [1.8, 10]).arc(1.8, 5, 5, 5, 90, -90).line([0, 0]),
  ),
  E: letter(
    5.2,
    straight([0, 10], [0, 0]),
    straight([0, 10], [5.2, 10]),
    straight([0, 5.2], [4.4, 5.2]),
    straight([0, 0], [5.2, 0]),
  ),
  F: letter(5.2, straight([0, 10], [0, 0]), straight([0, 10], [5.2, 10]), straight([0, 5.2], [4.4, 5.2])),
  G: letter(9, arc(4.8, 5, 4.6, 5, 45, 352).line([9.36, 4.7], [5.6, 4.7])),
  H: letter(6.6, straight([0, 10], [0, 0]), straight([6.6, 10], [6.6, 0]), straight([0, 5.2], [6.6, 5.2])),
  I: letter(3.6, straight([1.8, 10], [1.8, 0]), straight([0, 10], [3.6, 10]), straight([0, 0], [3.6, 0])),
  J: letter(
    6,
    straight([4.6, 10], [4.6, 2.6]).arc(2.3, 2.6, 2.3, 2.6, 0, -165),
    straight([2.6, 10], [6.4, 10]),
  ),
  K: letter(6.2, straight([0, 10], [0, 0]), straight([6, 10], [0, 4.6]), straight([1.7, 6.13], [6.2, 0])),
  L: letter(5, straight([0, 10], [0, 0], [5, 0])),
  M: letter(
    8.4,
    straight([0, 10], [0, 0]),
    straight([0, 10], [4.2, 1.4], [8.4, 10]),
    straight([8.4, 10], [8.4, 0]),
  ),
  N: letter(6.8, straight([0, 10], [0, 0]), straight([0, 10], [6.8, 0]), straight([6.8, 10], [6.8, 0])),
  O: letter(9.2, arc(4.6, 5, 4.6, 5, 90, 450)),
  P: letter(
    5.6,
    straight([0, 10], [0, 0]),
    straight([0, 10], [3, 10]).arc(3, 7.4, 2.6, 2.6, 90, -90).line([0, 4.8]),
  ),
  Q: letter(9.2, arc(4.6, 5, 4.6, 5, 90, 450), straight([5.6, 3], [9, -0.4])),
  R: letter(
    5.8,
    straight([0, 10], [0, 0]),
    straight([0, 10], [3, 10]).arc(3, 7.4, 2.6, 2.6, 90, -90).line([0, 4.8]),
    straight([2.6, 4.8], [5.8, 0]),
  ),
  S: letter(6, arc(3.05, 7.55, 2.75, 2.45, 30, 270).arc(3.05, 2.55, 3.05, 2.55, 90, -155)),
  T: letter(7.2, straight([3.6, 10], [3.6, 0]), straight([0, 10], [7.2, 10])),
  U: letter(6.6, straight([0, 10], [0, 3.3]).arc(3.3, 3.3, 3.3, 3.3, 180, 360).line([6.6, 10])),
  V: letter(7.2, straight([0, 10], [3.6, 0], [7.2, 10])),
  W: letter(10.4, straight([0, 10], [2.6, 0], [5.2, 10], [7.8, 0], [10.4, 10])),
  X: letter(6.6, straight([0, 10], [6.6, 0]), straight([6.6, 10], [0, 0])),
  Y: letter(6.8, straight([0, 10], [3.4, 5]), straight([6.8, 10], [3.4, 5], [3.4, 0])),
  Z: letter(6.4, straight([0, 10], [6.4, 10], [0, 0], [6.4, 0])),
  Æ: letter(
    9.6,
    straight([5.2, 10], [0, 0]),
    straight([5.2, 10], [5.2, 0]),
    straight([1.82, 3.5], [5.2, 3.5]),
    ...bars(5.2, 9.6),
  ),
  Œ: letter(10, arc(4.4, 5, 4.4, 5, 74, 286), straight([5.6, 10], [5.6, 0]), ...bars(5.6, 10)),
  Ø: letter(9.2, arc(4.6, 5, 4.6, 5, 90, 450), straight([8.4, 10.4], [0.8, -0.4])),
  Ł: letter(5, straight([0, 10], [0, 0], [5, 0]), straight([-1.2, 4.4], [2.6, 6.4])),
  '0': letter(6, arc(3, 5, 3, 5, 90, 450)),
  '1': letter(2.4, straight([0, 8.2], [2.2, 10], [2.2, 0])),
  '2': letter(5.8, arc(2.9, 7.2, 2.8, 2.8, 160, -38).line([0, 0], [5.8, 0])),
  '3': letter(5.6, arc(2.7, 7.6, 2.4, 2.4, 150, -90).arc(2.7, 2.6, 2.9, 2.6, 90, -150)),
  '4': letter(6, straight([3.6, 10], [0, 3.2], [6, 3.2]), straight([4.6, 6.4], [4.6, 0])),
  '5': letter(
    5.8,
    straight([0.9, 10], [0.75, 5.6]).arc(2.7, 3.2, 3.1, 3.2, 129, -145),
    straight([0.9, 10], [5.4, 10]),
  ),
  '6': letter(5.6, stroke(4.8, 10).curve(1.9, 8.4, 0, 5.8, 0, 2.9).arc(2.8, 2.9, 2.8, 2.9, 180, 540)),
  '7': letter(5.6, straight([0, 10], [5.6, 10], [1.6, 0])),
  '8': letter(
    5.8,
    arc(2.9, 7.6, 2.35, 2.4, 40, 270).arc(2.9, 2.6, 2.9, 2.6, 90, -270).arc(2.9, 7.6, 2.35, 2.4, -90, 40),
  ),
  '9': letter(5.6, arc(2.8, 7.1, 2.8, 2.9, 30, 360).line([4.6, 0])),
  '.': letter(0.3, dot(0.15, 0.25)),
  ',': letter(0.6, straight([0.5, 0.5], [0, -1.2])),
  '!': letter(0, straight([0, 10], [0, 2.8]), dot(0, 0.25)),
  '?': letter(4.6, arc(2.3, 7.6, 2.3, 2.4, 165, -70).line([2.3, 2.8]), dot(2.3, 0.25)),
  '¡': letter(0, dot(0, 9.75), straight([0, 7.2], [0, 0])),
  '¿': letter(4.6, dot(2.3, 9.75), straight([2.3, 7.2], [2.3, 5.4]).arc(2.3, 2.4, 2.3, 2.4, 110, 345)),
  ':': letter(0.3, dot(0.15, 4.6), dot(0.15, 0.25)),
  ';': letter(0.6, dot(0.4, 4.6), straight([0.5, 0.5], [0, -1.2])),
  '"': letter(1.4, straight([0, 10], [0, 8]), straight([1.4, 10], [1.4, 8])),
  '“': letter(2, straight([0.5, 10], [0, 8.2]), straight([2, 10], [1.5, 8.2])),
  '”': letter(2, straight([0.5, 10], [0, 8.2]), straight([2, 10], [1.5, 8.2])),
  '’': letter(0.6, straight([0.5, 10], [0, 8.2])),
  '-': letter(2.8, straight([0, 2.6], [2.8, 2.6])),
  '&': letter(
    6.4,
    straight([6.4, 0], [1.6, 7.2])
      .arc(2.9, 8.2, 1.7, 1.8, 210, -45)
      .line([0.8, 4.2])
      .arc(2.4, 2.3, 2.4, 2.3, 140, 350),
  ),
});

/** Marks above and below letters, about the middle of a letter that is five high. */
export const letterMarks = (): Readonly<Record<string, Letter>> => ({
  // Combining grave, acute, circumflex, tilde, diaeresis, ring, caron, cedilla (Unicode, block Combining Diacritical Marks).
  '\u0300': letter(1.6, straight([-0.8, 8], [0.8, 6.4])),
  '\u0301': letter(1.6, straight([0.8, 8], [-0.8, 6.4])),
  '\u0302': letter(2.4, straight([-1.2, 6.4], [0, 8], [1.2, 6.4])),
  '\u0303': letter(
    3,
    stroke(-1.5, 6.6).curve(-0.8, 8.2, -0.3, 7.6, 0, 7.2).curve(0.3, 6.8, 0.8, 6.2, 1.5, 7.8),
  ),
  '\u0308': letter(2.4, dot(-1.1, 7.2), dot(1.1, 7.2)),
  '\u030A': letter(1.8, arc(0, 7.4, 0.9, 0.9, 90, 450)),
  '\u030C': letter(2.4, straight([-1.2, 8], [0, 6.4], [1.2, 8])),
  '\u0327': letter(1.6, straight([0, 0], [0, -0.8]).arc(-0.1, -1.6, 0.8, 0.8, 80, -130)),
});
