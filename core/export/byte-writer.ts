import { CLOSE, CURVE, LINE, MOVE } from '../scene/index.ts';

const POWERS = Array.from({ length: 16 }, (_, i) => 10 ** i);
const MINUS = 45;
const POINT = 46;
const ZERO = 48;
const SPACE = 32;
const LINE_END = 10;
/** The operator of each step of a path. */
const OPERATORS = new Uint8Array(4);
OPERATORS[MOVE] = 109;
OPERATORS[LINE] = 108;
OPERATORS[CURVE] = 99;
OPERATORS[CLOSE] = 104;
/** Room for any one number: sign, sixteen digits, point and more. */
const NUMBER_BYTES = 32;

/** Puts bytes together, numbers as plain decimals: strings would be the cost of writing a large drawing. */
export class ByteWriter {
  #bytes: Uint8Array;
  #length = 0;

  /** @param expected bytes, so that a large content is not copied as it grows */
  constructor(expected = 1024) {
    this.#bytes = new Uint8Array(expected);
  }

  get length(): number {
    return this.#length;
  }

  /** What was written so far; good until more is written. */
  bytes(): Uint8Array {
    return this.#bytes.subarray(0, this.#length);
  }

  #room(more: number): void {
    if (this.#length + more <= this.#bytes.length) return;
    const wider = new Uint8Array(Math.max(this.#bytes.length * 2, this.#length + more));
    wider.set(this.bytes());
    this.#bytes = wider;
  }

  /** Begins anew on the same memory. */
  clear(): void {
    this.#length = 0;
  }

  append(bytes: Uint8Array): void {
    this.#room(bytes.length);
    this.#bytes.set(bytes, this.#length);
    this.#length += bytes.length;
  }

  /** Sixteen bits as four hexadecimal digits. */
  hex4(value: number): void {
    this.#room(4);
    for (let shift = 12; shift >= 0; shift -= 4) {
      const digit = (value >> shift) & 15;
      this.#bytes[this.#length++] = digit + (digit < 10 ? ZERO : 87);
    }
  }

  byte(code: number): void {
    this.#room(1);
    this.#bytes[this.#length++] = code;
  }

  /** Characters of ISO 8859-1, one byte each. */
  text(text: string): void {
    this.#room(text.length);
    for (let i = 0; i < text.length; i++) this.#bytes[this.#length++] = text.charCodeAt(i);
  }

  /** Rounded to `places` decimals, trailing zeros dropped, never an exponent, never −0. */
  number(value: number, places: number): void {
    this.#room(NUMBER_BYTES);
    const scaled = Math.round(value * POWERS[places]!);
    if (places === 2 && scaled > -MOST_HUNDREDTHS && scaled < MOST_HUNDREDTHS) {
      this.#length = writeHundredths(this.#bytes, this.#length, scaled);
      return;
    }
    if (places === 0 && scaled > -MOST_BY_TABLE && scaled < MOST_BY_TABLE) {
      this.#length = writeInteger(this.#bytes, this.#length, scaled);
      return;
    }
    if (!(Math.abs(scaled) <= Number.MAX_SAFE_INTEGER))
      throw new RangeError(`${value} is not a number that a page can hold.`);
    this.#length = writeDecimal(this.#bytes, this.#length, scaled, places);
  }

  /**
   * The steps of a path as a content stream writes them: numbers, then `m`, `l`, `c` or `h`.
   * @param base that y is turned round
   */
  path(ops: Uint8Array, points: Float32Array, base: number, places: number): void {
    let i = 0;
    for (let k = 0; k < ops.length; k++) {
      const op = ops[k]!;
      const count = op === CURVE ? 6 : op === CLOSE ? 0 : 2;
      this.#room(count * NUMBER_BYTES + 2);
      for (const last = i + count; i < last; i += 2) {
        this.number(points[i]!, places);
        this.#bytes[this.#length++] = SPACE;
        this.number(base - points[i + 1]!, places);
        this.#bytes[this.#length++] = SPACE;
      }
      this.#bytes[this.#length++] = OPERATORS[op]!;
      this.#bytes[this.#length++] = LINE_END;
    }
  }
}

/** Whole numbers, and whole numbers of hundredths, up to here are written by table. */
const MOST_BY_TABLE = 10_000;
const MOST_HUNDREDTHS = 100 * MOST_BY_TABLE;

/** The digits of 0 to 9,999 in four bytes each. */
const DIGITS = new Uint8Array(40_000);
for (let n = 0; n < 10_000; n++) {
  DIGITS[4 * n] = ZERO + Math.floor(n / 1000);
  DIGITS[4 * n + 1] = ZERO + (Math.floor(n / 100) % 10);
  DIGITS[4 * n + 2] = ZERO + (Math.floor(n / 10) % 10);
  DIGITS[4 * n + 3] = ZERO + (n % 10);
}

/** Nearly all numbers of a page: points with two decimals. @returns where the next byte goes */
function writeHundredths(bytes: Uint8Array, start: number, scaled: number): number {
  let at = start;
  let n = scaled | 0;
  if (n < 0) {
    bytes[at++] = MINUS;
    n = -n;
  }
  const whole = (n / 100) | 0;
  const rest = n - whole * 100;
  at = writeInteger(bytes, at, whole);
  if (rest === 0) return at;
  bytes[at++] = POINT;
  bytes[at++] = DIGITS[4 * rest + 2]!;
  if (rest % 10 !== 0) bytes[at++] = DIGITS[4 * rest + 3]!;
  return at;
}

/** @returns where the next byte goes */
function writeInteger(bytes: Uint8Array, start: number, value: number): number {
  let at = start;
  let n = value | 0;
  if (n < 0) {
    bytes[at++] = MINUS;
    n = -n;
  }
  const digits = 4 * n;
  if (n >= 1000) bytes[at++] = DIGITS[digits]!;
  if (n >= 100) bytes[at++] = DIGITS[digits + 1]!;
  if (n >= 10) bytes[at++] = DIGITS[digits + 2]!;
  bytes[at++] = DIGITS[digits + 3]!;
  return at;
}

/** @returns where the next byte goes */
function writeDecimal(bytes: Uint8Array, start: number, value: number, places: number): number {
  let at = start;
  let scaled = value;
  if (scaled === 0) {
    bytes[at++] = ZERO;
    return at;
  }
  if (scaled < 0) {
    bytes[at++] = MINUS;
    scaled = -scaled;
  }
  let decimals = places;
  while (decimals > 0 && scaled % 10 === 0) {
    scaled /= 10;
    decimals--;
  }
  let digits = decimals + 1;
  while (digits < 16 && scaled >= POWERS[digits]!) digits++;
  const end = at + digits + (decimals > 0 ? 1 : 0);
  at = end;
  for (let i = 0; i < digits; i++) {
    if (i === decimals && decimals > 0) bytes[--at] = POINT;
    const rest = Math.floor(scaled / 10);
    bytes[--at] = ZERO + (scaled - rest * 10);
    scaled = rest;
  }
  return end;
}
