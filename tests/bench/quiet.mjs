// Figures taken while the machine was ours: on a shared one the clock runs on while others have the processors.
import { readFileSync } from 'node:fs';

/** Milliseconds of a core that were given to others since the machine was started (proc(5), steal time); 0 if unknown. */
export function stolenMs() {
  try {
    const [, , , , , , , , steal] = readFileSync('/proc/stat', 'utf8').split('\n', 1)[0].split(/\s+/);
    return Number(steal) * 10;
  } catch {
    return 0;
  }
}

/** Share of the time above which a sample says more about the machine than about the program. */
const DISTURBED = 0.05;

export function median(values) {
  const sorted = values.slice().sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}

/**
 * Measures until enough samples were taken undisturbed, or `most` were taken: then the least disturbed count.
 * @param measure gives a number, or an object of numbers
 * @returns the samples that count, all that were taken, and words about those left out
 */
export async function quietly(wanted, most, measure) {
  const samples = [];
  const undisturbed = () => samples.filter(({ share }) => share <= DISTURBED);
  while (undisturbed().length < wanted && samples.length < most) {
    const stolen = stolenMs();
    const started = performance.now();
    const value = await measure(samples.length);
    const share = (stolenMs() - stolen) / Math.max(1, performance.now() - started);
    samples.push({ value, share });
  }
  const enough = undisturbed().length >= Math.min(3, wanted);
  const counted = enough
    ? undisturbed()
    : samples.sort((a, b) => a.share - b.share).slice(0, Math.min(3, samples.length));
  const left = samples.length - counted.length;
  const worst = Math.max(...counted.map(({ share }) => share));
  const said = [
    left ? `${left} of ${samples.length} left out, taken while the machine was given to others` : '',
    worst > DISTURBED ? `even those counted lost ${(100 * worst).toFixed(0)} % of the time` : '',
  ].filter(Boolean);
  return {
    values: counted.map(({ value }) => value),
    all: samples.map(({ value }) => value),
    note: said.length ? ` (${said.join('; ')})` : '',
  };
}

/**
 * A figure in words: the median of the undisturbed samples, and that of all, with how many each rests on.
 * @param pick the number of a sample
 */
export function figure({ values, all, note }, pick = (value) => value) {
  const of = (some) => `${median(some.map(pick)).toFixed(0)} ms of ${some.length}`;
  return `${of(values)}; of all ${all.length}: ${median(all.map(pick)).toFixed(0)} ms${note}`;
}
