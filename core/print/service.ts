import * as v from 'valibot';
import { LENGTH_PATTERN, parseLength } from '../units.ts';
import thornback from './services/thornback.json' with { type: 'json' };
import wrenfair from './services/wrenfair.json' with { type: 'json' };

const points = v.pipe(v.string(), v.regex(LENGTH_PATTERN), v.transform(parseLength));
const share = v.strictObject({ fixed: v.number(), perPage: v.number() });
const byTrimClass = v.strictObject({ regular: share, large: share });

const sizeInPoints = v.strictObject({ width: points, height: points });

/** What holds for books of one binding. */
const BindingSchema = v.strictObject({
  id: v.string(),
  name: v.string(),
  /** Any trim between these is printed; the usual ones are below. */
  trimLimits: v.strictObject({ min: sizeInPoints, max: sizeInPoints }),
  trims: v.array(
    v.pipe(
      v.strictObject({ name: v.string(), width: v.string(), height: v.string() }),
      v.transform((trim) => ({
        ...trim,
        points: { width: parseLength(trim.width), height: parseLength(trim.height) },
      })),
    ),
  ),
  /** Beyond the trim of a page; sheets that are bound loose have it at the binding edge too. */
  bleed: v.strictObject({ width: points, atBinding: v.boolean() }),
  outsideMargin: points,
  gutters: v.array(v.strictObject({ upTo: v.number(), gutter: points })),
  /** Where the binding edge is punched: how far in, how wide the holes are, and how far apart their middles. */
  holes: v.nullable(v.strictObject({ strip: points, diameter: points, pitch: points })),
  papers: v.array(
    v.strictObject({
      id: v.string(),
      name: v.string(),
      inks: v.array(v.string()),
      thickness: v.record(v.string(), points),
      pages: v.strictObject({ min: v.number(), max: v.number() }),
    }),
  ),
  inks: v.array(v.strictObject({ id: v.string(), name: v.string() })),
  finishes: v.array(v.string()),
  /** Points. */
  interior: v.strictObject({ leastStroke: v.number(), leastType: v.number() }),
  cover: v.strictObject({
    parts: v.picklist(['one sheet', 'front and back']),
    bleed: points,
    safeInsideTrim: points,
    /** Points: words on a cover are no smaller. */
    leastType: v.number(),
    tolerance: points,
    /** Null where a book has none. */
    spine: v.nullable(v.strictObject({ textFromPages: v.number(), clear: points })),
    /** The box the service prints a barcode into; null where it prints none. */
    barcode: v.nullable(
      v.strictObject({ width: points, height: points, fromTrim: points, fromSpine: points }),
    ),
    ebookFront: v.strictObject({ width: v.number(), height: v.number() }),
  }),
  largeTrim: v.strictObject({ widerThan: points, tallerThan: points }),
  /** By market and ink. */
  costs: v.record(v.string(), v.record(v.string(), byTrimClass)),
});

/** The rules of a printing service, as its data file gives them. Lengths become points on reading. */
const PrintServiceSchema = v.strictObject({
  id: v.string(),
  name: v.string(),
  source: v.string(),
  markets: v.array(
    v.strictObject({
      id: v.string(),
      name: v.string(),
      currency: v.string(),
      rate: v.number(),
      highestPrice: v.number(),
      /** Copies that a rank stands for, beside the same rank in the first market. From memory. */
      sales: v.number(),
    }),
  ),
  listing: v.strictObject({
    titleAndSubtitle: v.number(),
    keywordFields: v.number(),
    keywordLength: v.number(),
    descriptionLength: v.number(),
  }),
  bindings: v.pipe(v.array(BindingSchema), v.minLength(1)),
});

export type PrintService = v.InferOutput<typeof PrintServiceSchema>;
type Binding = v.InferOutput<typeof BindingSchema>;
export type Market = PrintService['markets'][number];
export type Paper = Binding['papers'][number];

/** What a service wants of books of one binding: the rules a book is made by. */
export interface PrintRules extends Omit<Binding, 'id' | 'name'>, Pick<PrintService, 'markets' | 'listing'> {
  service: { id: string; name: string };
  binding: { id: string; name: string };
}

const services = new Map<string, PrintService>(
  [wrenfair, thornback].map((data) => [data.id, v.parse(PrintServiceSchema, data)]),
);

/** All services, in the order in which they are offered. */
export const printServices = (): readonly PrintService[] => [...services.values()];

/** @throws RangeError when no such service is known */
export function printService(id: string): PrintService {
  const service = services.get(id);
  if (!service)
    throw new RangeError(`No printing service “${id}”. Known: ${[...services.keys()].join(', ')}.`);
  return service;
}

const kept = new Map<string, PrintRules>();

/**
 * The rules of a service for a binding.
 * @throws RangeError when no such service is known, or it does not bind so
 */
export function printRules(serviceId: string, bindingId: string): PrintRules {
  const key = `${serviceId} ${bindingId}`;
  let rules = kept.get(key);
  if (!rules) {
    const { id, name, markets, listing, bindings } = printService(serviceId);
    const found = bindings.find((binding) => binding.id === bindingId);
    if (!found)
      throw new RangeError(
        `${name} has no ${bindingId} binding. It has: ${bindings.map((binding) => binding.id).join(', ')}.`,
      );
    const { id: bindingKey, name: bindingName, ...ofBinding } = found;
    rules = {
      ...ofBinding,
      markets,
      listing,
      service: { id, name },
      binding: { id: bindingKey, name: bindingName },
    };
    kept.set(key, rules);
  }
  return rules;
}

/** @throws RangeError when the rules know no such paper */
export function paperOf(rules: PrintRules, id: string): Paper {
  const paper = rules.papers.find((known) => known.id === id);
  if (!paper) throw new RangeError(`${rules.service.name} has no ${id} paper.`);
  return paper;
}
