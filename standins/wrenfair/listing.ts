import * as v from 'valibot';

const line = (max: number) => v.pipe(v.string(), v.maxLength(max));
const length = v.pipe(v.string(), v.regex(/^\d+(\.\d+)? (in|mm)$/, 'is not a length such as “6 in”'));

/** Characters of title and subtitle together. */
const MOST_IN_NAMES = 200;

/** What Wrenfair wants to know of a paperback. */
export const ListingSchema = v.pipe(
  v.object({
    title: v.pipe(line(200), v.minLength(1, 'is empty')),
    subtitle: line(200),
    penName: v.pipe(line(100), v.minLength(1, 'is empty')),
    description: v.pipe(line(4000), v.minLength(1, 'is empty')),
    keywords: v.pipe(v.array(line(50)), v.maxLength(7)),
    trim: v.object({ width: length, height: length }),
    bleed: v.boolean(),
    ink: v.picklist(['black', 'color']),
    paper: line(20),
    pages: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(2000)),
    prices: v.array(v.object({ market: line(10), price: v.nullable(v.number()) })),
  }),
  v.check(
    ({ title, subtitle }) => [...title, ...subtitle].length <= MOST_IN_NAMES,
    `title and subtitle have more than ${MOST_IN_NAMES} characters together`,
  ),
);

export type Listing = v.InferOutput<typeof ListingSchema>;

/** One state of a book, as it is opened or changed. */
export const RevisionSchema = v.object({
  revision: v.pipe(line(100), v.minLength(1, 'is empty')),
  listing: ListingSchema,
});
