import * as v from 'valibot';
import { exactObject, integerBetween, numberBetween, text } from '../schema.ts';
import { DEFAULT_LISTS, ListsSchema } from './phrases/lists.ts';

/**
 * Two values between which a part of the verdict is judged: at `poor` and beyond it counts nothing, at `good` and
 * beyond it counts whole, and evenly in between.
 */
const scale = (max: number) =>
  v.pipe(
    exactObject({ poor: numberBetween(0, max), good: numberBetween(0, max) }),
    v.check(({ poor, good }) => poor !== good, 'should be two different numbers.'),
  );
const weight = numberBetween(0, 10);

export const PARTS = ['results', 'demand', 'earnings', 'reviews', 'leaders', 'fresh'] as const;
export type PartId = (typeof PARTS)[number];

/**
 * What the publisher decides about the sums. Result counts are common practice in the trade, no source; all other
 * numbers are from memory and there to be changed.
 */
const DEFAULTS = {
  scales: {
    results: { poor: 2000, good: 1000 },
    demand: { poor: 100, good: 600 },
    earnings: { poor: 10, good: 60 },
    reviews: { poor: 300, good: 30 },
    leaders: { poor: 0.8, good: 0.4 },
    fresh: { poor: 0, good: 0.2 },
  },
  weights: { results: 3, demand: 2, earnings: 2, reviews: 1, leaders: 1, fresh: 1 },
  words: { openFrom: 6.5, tryFrom: 4 },
  newcomer: { reachesBest: 0.5, reachesWorst: 0.8, advertisingShare: 0.2, freshDays: 365 },
  sellsFrom: 20,
  lead: { sellingDays: 42, reviewDays: 3, ownDays: 7 },
  country: 'US',
  requestsASecond: 12,
} as const;

export const AssumptionsSchema = exactObject({
  scales: v.optional(
    exactObject({
      results: v.optional(scale(1_000_000), DEFAULTS.scales.results),
      demand: v.optional(scale(1_000_000), DEFAULTS.scales.demand),
      earnings: v.optional(scale(1_000_000), DEFAULTS.scales.earnings),
      reviews: v.optional(scale(1_000_000), DEFAULTS.scales.reviews),
      leaders: v.optional(scale(1), DEFAULTS.scales.leaders),
      fresh: v.optional(scale(1), DEFAULTS.scales.fresh),
    }),
    {},
  ),
  weights: v.optional(
    exactObject({
      results: v.optional(weight, DEFAULTS.weights.results),
      demand: v.optional(weight, DEFAULTS.weights.demand),
      earnings: v.optional(weight, DEFAULTS.weights.earnings),
      reviews: v.optional(weight, DEFAULTS.weights.reviews),
      leaders: v.optional(weight, DEFAULTS.weights.leaders),
      fresh: v.optional(weight, DEFAULTS.weights.fresh),
    }),
    {},
  ),
  /** Points of 10 from which a niche is called open, and worth a try. */
  words: v.optional(
    exactObject({
      openFrom: v.optional(numberBetween(0, 10), DEFAULTS.words.openFrom),
      tryFrom: v.optional(numberBetween(0, 10), DEFAULTS.words.tryFrom),
    }),
    {},
  ),
  /**
   * A typical newcomer: between which places among the rivals it comes to stand (0 the best rank, 1 the last), which
   * part of the royalty goes into advertising, and for how many days a book counts as new.
   */
  newcomer: v.optional(
    exactObject({
      reachesBest: v.optional(numberBetween(0, 1), DEFAULTS.newcomer.reachesBest),
      reachesWorst: v.optional(numberBetween(0, 1), DEFAULTS.newcomer.reachesWorst),
      advertisingShare: v.optional(numberBetween(0, 1), DEFAULTS.newcomer.advertisingShare),
      freshDays: v.optional(integerBetween(1, 3650), DEFAULTS.newcomer.freshDays),
    }),
    {},
  ),
  /** Copies in 30 days from which a rival counts as a seller. */
  sellsFrom: v.optional(numberBetween(0, 100_000), DEFAULTS.sellsFrom),
  /** Days a book should sell before an occasion, lie in review, and take to make. */
  lead: v.optional(
    exactObject({
      sellingDays: v.optional(integerBetween(0, 365), DEFAULTS.lead.sellingDays),
      reviewDays: v.optional(integerBetween(0, 60), DEFAULTS.lead.reviewDays),
      ownDays: v.optional(integerBetween(0, 365), DEFAULTS.lead.ownDays),
    }),
    {},
  ),
  /** ISO 3166-1 code of the country whose occasions are shown. */
  country: v.optional(
    v.pipe(text(2, 2), v.regex(/^[A-Z]{2}$/, 'should be a country code such as “US”.')),
    DEFAULTS.country,
  ),
  /** How often the marketplace is asked, at most. */
  requestsASecond: v.optional(numberBetween(0.2, 50), DEFAULTS.requestsASecond),
  lists: v.optional(ListsSchema, DEFAULT_LISTS),
});

export type NicheAssumptions = v.InferOutput<typeof AssumptionsSchema>;
/** As it is stored: what was never changed may be left out. */
export type AssumptionsInput = v.InferInput<typeof AssumptionsSchema>;

export const DEFAULT_CHOICES: NicheAssumptions = v.parse(AssumptionsSchema, {});

/** Where each number of the choices lies, what it is called, and what it may be: what the interface asks for. */
export interface AssumptionField {
  path: readonly string[];
  group: 'verdict' | 'words' | 'newcomer' | 'lead' | 'asking';
  label: string;
  min: number;
  max: number;
  step: number;
}

const inGroup =
  (group: AssumptionField['group'], ...path: string[]) =>
  (key: string, label: string, min: number, max: number, step = 1): AssumptionField => ({
    path: [...path, key],
    group,
    label,
    min,
    max,
    step,
  });
const words = inGroup('words', 'words');
const newcomer = inGroup('newcomer', 'newcomer');
const lead = inGroup('lead', 'lead');
const asking = inGroup('asking');

export const assumptionFields: readonly AssumptionField[] = [
  ...PARTS.flatMap((part) => {
    const share = part === 'leaders' || part === 'fresh';
    const scaled = inGroup('verdict', 'scales', part);
    const [max, step] = share ? [1, 0.05] : [1_000_000, 1];
    return [
      scaled('poor', 'Scores 0 at', 0, max, step),
      scaled('good', 'Full score at', 0, max, step),
      inGroup('verdict', 'weights')(part, 'Weight', 0, 10, 0.5),
    ];
  }),
  words('openFrom', 'Open from, of 10 points', 0, 10, 0.5),
  words('tryFrom', 'Worth a try from, of 10 points', 0, 10, 0.5),
  newcomer('reachesBest', 'Best position reached (0 top, 1 bottom)', 0, 1, 0.05),
  newcomer('reachesWorst', 'Worst position reached', 0, 1, 0.05),
  newcomer('advertisingShare', 'Advertising, share of royalty', 0, 1, 0.05),
  newcomer('freshDays', 'Days for which a book counts as new', 1, 3650),
  asking('sellsFrom', 'Monthly sales that count as selling', 0, 100_000),
  lead('sellingDays', 'Days of selling before an occasion', 0, 365),
  lead('reviewDays', 'Days in review', 0, 60),
  lead('ownDays', 'Days to make the book', 0, 365),
  asking('requestsASecond', 'Maximum requests per second', 0.2, 50, 0.2),
];
