import * as v from 'valibot';
import { exactObject, integerBetween, numberBetween, text } from '../schema.ts';
import { DEFAULT_LISTS, ListsSchema } from './phrases/lists.ts';

/**
 * What the publisher decides about the judgment. Result counts are common practice in the trade, no source; all other
 * numbers are from memory, tuned in the trial that docs/judgment.md tells of, and there to be changed.
 */
const DEFAULTS = {
  thresholds: {
    searches: 100,
    copies: 100,
    manyResults: 2000,
    sellShare: 0.02,
    reviews: 300,
    press: 0.6,
    wantedSearches: 300,
    wantedCopies: 150,
    fewResults: 1000,
    leaders: 0.9,
    books: 5,
    earnings: 25,
  },
  newcomer: {
    advertisingShare: 0.2,
    clicksPerSale: 12,
    buysPerSearch: 0.1,
    priceResponse: 1.2,
    usualRoyalty: 2.5,
    hours: 2,
    freshDays: 365,
  },
  sellsFrom: 20,
  lead: { sellingDays: 42, reviewDays: 3, ownDays: 7 },
  country: 'US',
  requestsASecond: 12,
} as const;

const MOST_OCCASIONS = 50;
const amount = (usual: number) => v.optional(numberBetween(0, 1_000_000), usual);
const share = (usual: number) => v.optional(numberBetween(0, 1), usual);

export const AssumptionsSchema = exactObject({
  /** The bounds of the verdict's conditions. */
  thresholds: v.optional(
    exactObject({
      /** No demand: not more searches a month, and not more copies of the best sellers. */
      searches: amount(DEFAULTS.thresholds.searches),
      copies: amount(DEFAULTS.thresholds.copies),
      /** Crowded: so many books on sale; not more of them sell; so many reviews; one press holds so much. */
      manyResults: amount(DEFAULTS.thresholds.manyResults),
      sellShare: share(DEFAULTS.thresholds.sellShare),
      reviews: amount(DEFAULTS.thresholds.reviews),
      press: share(DEFAULTS.thresholds.press),
      /** Open: so many searches or copies; not more books; not more held by three; books to judge by; earnings. */
      wantedSearches: v.optional(numberBetween(1, 1_000_000), DEFAULTS.thresholds.wantedSearches),
      wantedCopies: v.optional(numberBetween(1, 1_000_000), DEFAULTS.thresholds.wantedCopies),
      fewResults: amount(DEFAULTS.thresholds.fewResults),
      leaders: share(DEFAULTS.thresholds.leaders),
      books: amount(DEFAULTS.thresholds.books),
      /** In the currency of the market. */
      earnings: amount(DEFAULTS.thresholds.earnings),
    }),
    {},
  ),
  /**
   * A new book: which part of its royalty goes into advertising, how many clicks bring a sale, how many searches do,
   * by which power of its price it sells less, what it earns a copy where no book says so, how many hours it takes to make, and for how many days it is new.
   */
  newcomer: v.optional(
    exactObject({
      advertisingShare: share(DEFAULTS.newcomer.advertisingShare),
      clicksPerSale: v.optional(numberBetween(1, 1000), DEFAULTS.newcomer.clicksPerSale),
      buysPerSearch: share(DEFAULTS.newcomer.buysPerSearch),
      priceResponse: v.optional(numberBetween(0, 5), DEFAULTS.newcomer.priceResponse),
      usualRoyalty: v.optional(numberBetween(0, 1000), DEFAULTS.newcomer.usualRoyalty),
      hours: v.optional(numberBetween(0.1, 1000), DEFAULTS.newcomer.hours),
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
  /** Occasions of the publisher's own, each year on the same day. */
  occasions: v.optional(
    v.pipe(
      v.array(
        exactObject({
          name: v.pipe(text(1, 100), v.trim(), v.minLength(1)),
          /** Month and day: `05-20`. */
          day: v.pipe(
            v.string(),
            v.regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'should be a day such as “05-20”.'),
          ),
        }),
      ),
      v.maxLength(MOST_OCCASIONS),
    ),
    [],
  ),
  /** How often the marketplace is asked, at most. */
  requestsASecond: v.optional(numberBetween(0.2, 50), DEFAULTS.requestsASecond),
  lists: v.optional(ListsSchema, DEFAULT_LISTS),
});

export type NicheAssumptions = v.InferOutput<typeof AssumptionsSchema>;
/** As it is stored: what was never changed may be left out. */
export type AssumptionsInput = v.InferInput<typeof AssumptionsSchema>;

export const DEFAULT_ASSUMPTIONS: NicheAssumptions = v.parse(AssumptionsSchema, {});

/** Where each number of the assumptions lies, what it is called, and what it may be: what the interface asks for. */
export interface AssumptionField {
  path: readonly string[];
  group: AssumptionGroup;
  label: string;
  min: number;
  max: number;
  step: number;
}
export type AssumptionGroup = 'no demand' | 'crowded' | 'open' | 'newcomer' | 'lead' | 'requests';

const inGroup =
  (group: AssumptionGroup, ...path: string[]) =>
  (key: string, label: string, min: number, max: number, step = 1): AssumptionField => ({
    path: [...path, key],
    group,
    label,
    min,
    max,
    step,
  });
const noDemand = inGroup('no demand', 'thresholds');
const crowded = inGroup('crowded', 'thresholds');
const sells = inGroup('crowded');
const open = inGroup('open', 'thresholds');
const newcomer = inGroup('newcomer', 'newcomer');
const lead = inGroup('lead', 'lead');
const requests = inGroup('requests');
const MOST = 1_000_000;

export const assumptionFields: readonly AssumptionField[] = [
  noDemand('searches', 'Searches a month, at most', 0, MOST, 10),
  noDemand('copies', 'Monthly copies of the top 20, at most', 0, MOST, 10),
  crowded('manyResults', 'Books on sale, at least', 0, MOST, 100),
  sells('sellsFrom', 'Monthly copies that count as selling', 0, 100_000),
  crowded('sellShare', 'Share of books that sell, at most', 0, 1, 0.01),
  crowded('reviews', 'Median reviews of the top 20, at least', 0, MOST, 10),
  crowded('press', 'Share of the largest press, at least', 0, 1, 0.05),
  open('wantedSearches', 'Searches a month, at least', 1, MOST, 10),
  open('wantedCopies', 'Or monthly copies of the top 20', 1, MOST, 10),
  open('fewResults', 'Books on sale, at most', 0, MOST, 100),
  open('leaders', 'Share of the top 3, at most', 0, 1, 0.05),
  open('books', 'Books to judge by, at least', 0, MOST),
  open('earnings', 'Monthly earnings of a new book, at least', 0, MOST),
  newcomer('advertisingShare', 'Advertising, share of royalty', 0, 1, 0.05),
  newcomer('clicksPerSale', 'Ad clicks per sale', 1, 1000),
  newcomer('buysPerSearch', 'Copies sold per search', 0, 1, 0.01),
  newcomer('priceResponse', 'Percent fewer copies if 1% dearer', 0, 5, 0.1),
  newcomer('usualRoyalty', 'Royalty where no book says one', 0, 1000, 0.1),
  newcomer('hours', 'Hours to make the book', 0.1, 1000, 0.5),
  newcomer('freshDays', 'Days for which a book counts as new', 1, 3650),
  lead('sellingDays', 'Days of selling before an occasion', 0, 365),
  lead('reviewDays', 'Days in review', 0, 60),
  lead('ownDays', 'Days to make the book', 0, 365),
  requests('requestsASecond', 'Maximum requests per second', 0.2, 50, 0.2),
];
