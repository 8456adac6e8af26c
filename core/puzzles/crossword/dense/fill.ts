import type { RandomStream } from '../../../random.ts';
import type { KnownWord } from '../../vocabulary/index.ts';
import {
  countOf,
  type Dictionary,
  everything,
  has,
  LETTERS,
  letterAt,
  type Shelf,
  sharedBy,
  without,
} from './dictionary.ts';
import { type Pattern, runs } from './pattern.ts';

interface Slot {
  cells: readonly number[];
  shelf: Shelf;
  /** By place: the slot that crosses there, and the place in it. */
  crossings: readonly ({ slot: number; at: number } | null)[];
  /** By place × 26 + letter: where in a set a word with that letter was last met, to look there first. */
  met: Uint16Array;
}

/** Words tried in a slot before the search goes back. */
const BRANCHES = 6;
/** Words of a slot that are looked at, at most, spread over all that fit; so many of them are compared by what can cross them. */
const LOOKED_AT = 200;
const COMPARED = 40;
/** How much a score may be mixed up, so that grids differ. */
const NOISE = 25;
/** What a bit of crossing words counts, in points of the score. */
const CROSSED = 5;
/** By how many bits the choice of a place for a word of the publisher is left to chance. */
const CHANCE_FIRST = 6;
/** Failures for each slot after which the search begins again, with what it learned of hard slots. */
const FAILURES_A_SLOT = 0.8;
const RESTARTS = 10;
/** Steps between which other work is let in. */
const STRETCH = 8;
const ALL_LETTERS = (1 << LETTERS) - 1;

/**
 * Fills a pattern with words, each once and no two of a family. Arc consistency after every word (Mackworth 1977), the slot first that has
 * the fewest words for its weight (Boussemart et al. 2004), restarts that keep the weights.
 * @param first words of which some are placed before all others, as far as they fit
 * @param most how many of them
 * @returns a word for each run of the pattern, or null where none was found
 */
export function* fillSteps(
  pattern: Pattern,
  dictionary: Dictionary,
  first: readonly string[],
  most: number,
  random: RandomStream,
): Generator<void, string[] | null> {
  const slots = slotsOf(pattern, dictionary);
  if (!slots) return null;
  const weights = slots.map(() => 1);
  for (let restart = 0; restart < RESTARTS; restart++) {
    const found = yield* search(slots, weights, random.shuffled(first).slice(0, most), random);
    if (found) return found;
  }
  return null;
}

/** The runs of a pattern; null where there are no words of the length of one. */
function slotsOf(pattern: Pattern, dictionary: Dictionary): Slot[] | null {
  const all = runs(pattern);
  const at = new Map<number, { slot: number; at: number }[]>();
  all.forEach((cells, slot) => {
    cells.forEach((cell, i) => {
      at.set(cell, [...(at.get(cell) ?? []), { slot, at: i }]);
    });
  });
  const slots: Slot[] = [];
  for (const [slot, cells] of all.entries()) {
    const shelf = dictionary.get(cells.length);
    if (!shelf) return null;
    slots.push({
      cells,
      shelf,
      crossings: cells.map((cell) => at.get(cell)!.find((one) => one.slot !== slot) ?? null),
      met: new Uint16Array(cells.length * LETTERS),
    });
  }
  return slots;
}

interface State {
  domains: Uint32Array[];
  /** Letters that each cell may have, a bit for each. */
  masks: Uint32Array;
  counts: number[];
  /** Index of the word in its shelf; −1 for none yet. */
  chosen: number[];
}

function* search(
  slots: readonly Slot[],
  weights: number[],
  first: readonly string[],
  random: RandomStream,
): Generator<void, string[] | null> {
  const domains = slots.map(({ shelf }) => everything(shelf));
  const masks = new Uint32Array(1 + Math.max(...slots.flatMap(({ cells }) => cells))).fill(ALL_LETTERS);
  let state: State = { domains, masks, counts: domains.map(countOf), chosen: slots.map(() => -1) };
  if (!narrow(slots, state, weights, [...slots.keys()])) return null;
  for (const word of [...first].sort((a, b) => b.length - a.length))
    state = withFirst(slots, state, weights, word, random) ?? state;
  let failures = 0;
  let steps = 0;
  const go = function* (now: State): Generator<void, State | null> {
    const s = pick(slots, now, weights);
    if (s < 0) return now;
    if (++steps % STRETCH === 0) yield;
    for (const w of candidates(slots, now, s, random)) {
      const next = place(slots, now, weights, s, w);
      if (next) {
        const done = yield* go(next);
        if (done) return done;
      }
      if (++failures > FAILURES_A_SLOT * slots.length) return null;
    }
    return null;
  };
  const done = yield* go(state);
  return done && slots.map(({ shelf }, s) => shelf.words[done.chosen[s]!]!.letters);
}

/** A word where most words can cross it; null where it fits nowhere. */
function withFirst(
  slots: readonly Slot[],
  state: State,
  weights: number[],
  letters: string,
  random: RandomStream,
): State | null {
  const fits = slots.flatMap((slot, s) => {
    const { shelf, cells } = slot;
    if (cells.length !== letters.length || state.chosen[s]! >= 0) return [];
    const w = shelf.words.findIndex((word) => word.letters === letters);
    if (w < 0 || !has(state.domains[s]!, w)) return [];
    const chance = random.unit() * CHANCE_FIRST;
    return [{ s, w, worth: crossingOf(slot, state, slots)(shelf.words[w]!) + chance }];
  });
  for (const { s, w } of fits.sort((a, b) => b.worth - a.worth)) {
    const next = place(slots, state, weights, s, w);
    if (next) return next;
  }
  return null;
}

/** Tells how many of the words that cross a slot can still cross one of its words: their share, in bits over all letters. */
function crossingOf({ crossings }: Slot, { domains, counts }: State, slots: readonly Slot[]) {
  const known = new Map<number, number>();
  const bits = (at: number, letter: number): number => {
    const crossing = crossings[at];
    if (!crossing) return 0;
    const key = at * LETTERS + letter;
    let found = known.get(key);
    if (found === undefined) {
      const { having } = slots[crossing.slot]!.shelf;
      const words = sharedBy(domains[crossing.slot]!, having[crossing.at * LETTERS + letter]!);
      found = Math.log2(words / counts[crossing.slot]!);
      known.set(key, found);
    }
    return found;
  };
  return (word: KnownWord): number => crossings.reduce((sum, _, at) => sum + bits(at, letterAt(word, at)), 0);
}

/** The slot without a word that has the fewest for its weight; −1 where all have one. */
function pick(slots: readonly Slot[], { counts, chosen }: State, weights: readonly number[]): number {
  let best = -1;
  let least = Number.POSITIVE_INFINITY;
  for (let s = 0; s < slots.length; s++) {
    if (chosen[s]! >= 0) continue;
    const worth = counts[s]! / weights[s]!;
    if (worth < least) {
      least = worth;
      best = s;
    }
  }
  return best;
}

/** The words of a slot that are tried: the best ones by score and a little chance, those first that most words can cross. */
function candidates(slots: readonly Slot[], state: State, s: number, random: RandomStream): number[] {
  const slot = slots[s]!;
  const { words } = slot.shelf;
  const domain = state.domains[s]!;
  const some: { w: number; worth: number }[] = [];
  const every = Math.max(1, state.counts[s]! / LOOKED_AT);
  let due = Math.floor(random.unit() * every);
  let met = 0;
  for (let block = 0; block < domain.length; block++)
    for (let bits = domain[block]!; bits; bits &= bits - 1) {
      if (met++ < due) continue;
      due += every;
      const w = block * 32 + lowest(bits);
      some.push({ w, worth: words[w]!.score + random.unit() * NOISE });
    }
  const crossing = crossingOf(slot, state, slots);
  return some
    .sort((a, b) => b.worth - a.worth)
    .slice(0, COMPARED)
    .map(({ w, worth }) => ({ w, worth: worth + CROSSED * crossing(words[w]!) }))
    .sort((a, b) => b.worth - a.worth)
    .slice(0, BRANCHES)
    .map(({ w }) => w);
}

/** The place of the lowest one in a 32-bit number that has one. */
const lowest = (bits: number): number => 31 - Math.clz32(bits & -bits);

/** The state after a word is placed; null where a slot is left without any. */
function place(slots: readonly Slot[], before: State, weights: number[], s: number, w: number): State | null {
  const state: State = {
    domains: [...before.domains],
    masks: Uint32Array.from(before.masks),
    counts: [...before.counts],
    chosen: [...before.chosen],
  };
  const only = new Uint32Array(slots[s]!.shelf.width);
  only[w >> 5]! |= 1 << (w & 31);
  state.domains[s] = only;
  state.counts[s] = 1;
  state.chosen[s] = w;
  const { family } = slots[s]!.shelf.words[w]!;
  const touched = [s];
  for (let other = 0; other < slots.length; other++) {
    if (other === s || state.chosen[other]! >= 0) continue;
    for (const twin of slots[other]!.shelf.families.get(family) ?? []) {
      if (!has(state.domains[other]!, twin)) continue;
      state.domains[other] = without(state.domains[other]!, twin);
      state.counts[other]!--;
      touched.push(other);
      if (state.counts[other] === 0) {
        weights[other]!++;
        return null;
      }
    }
  }
  return narrow(slots, state, weights, touched) ? state : null;
}

/** Takes words out of slots as long as crossing slots have no word with their letters. @returns false where a slot is left empty */
function narrow(
  slots: readonly Slot[],
  state: State,
  weights: number[],
  touched: readonly number[],
): boolean {
  const queue = new Set(touched);
  for (const s of queue) {
    queue.delete(s);
    const { cells, crossings } = slots[s]!;
    for (const [at, cell] of cells.entries()) {
      const left = lettersLeft(slots[s]!, state.domains[s]!, at, state.masks[cell]!);
      const gone = state.masks[cell]! & ~left;
      if (!gone) continue;
      state.masks[cell] = left;
      const crossing = crossings[at];
      if (!crossing) continue;
      const { slot: other, at: there } = crossing;
      const less = withoutLetters(slots[other]!.shelf, state.domains[other]!, there, gone);
      const count = countOf(less);
      if (count === state.counts[other]) continue;
      state.domains[other] = less;
      state.counts[other] = count;
      if (count === 0) {
        weights[other]!++;
        weights[s]!++;
        return false;
      }
      queue.add(other);
    }
  }
  return true;
}

/** Of letters, those that a word of a slot still has at a place; a bit for each. */
function lettersLeft({ shelf, met }: Slot, domain: Uint32Array, at: number, letters: number): number {
  let left = 0;
  for (let bits = letters; bits; bits &= bits - 1) {
    const letter = lowest(bits);
    const key = at * LETTERS + letter;
    const having = shelf.having[key]!;
    let there = met[key]!;
    if (!(domain[there]! & having[there]!)) {
      there = meetingOf(domain, having);
      if (there < 0) continue;
      met[key] = there;
    }
    left |= 1 << letter;
  }
  return left;
}

/** A set without the words that have one of some letters at a place; a bit for each. */
function withoutLetters(shelf: Shelf, set: Uint32Array, at: number, letters: number): Uint32Array {
  const less = Uint32Array.from(set);
  for (let bits = letters; bits; bits &= bits - 1) {
    const having = shelf.having[at * LETTERS + lowest(bits)]!;
    for (let i = 0; i < less.length; i++) less[i]! &= ~having[i]!;
  }
  return less;
}

/** Where two sets first have a word in common; −1 where they have none. */
function meetingOf(a: Uint32Array, b: Uint32Array): number {
  for (let i = 0; i < a.length; i++) if (a[i]! & b[i]!) return i;
  return -1;
}
