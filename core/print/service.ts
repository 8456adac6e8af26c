import * as v from 'valibot';
import { LENGTH_PATTERN, parseLength } from '../units.ts';
import wrenfair from './services/wrenfair.json' with { type: 'json' };

const points = v.pipe(v.string(), v.regex(LENGTH_PATTERN), v.transform(parseLength));
const share = v.strictObject({ fixed: v.number(), perPage: v.number() });
const byTrimClass = v.strictObject({ regular: share, large: share });

/** The rules of a printing service. Lengths become points on reading; stroke and type minimums are points. */
const PrintServiceSchema = v.strictObject({
  id: v.string(),
  name: v.string(),
  source: v.string(),
  trims: v.array(
    v.pipe(
      v.strictObject({ name: v.string(), width: v.string(), height: v.string() }),
      v.transform((trim) => ({
        ...trim,
        points: { width: parseLength(trim.width), height: parseLength(trim.height) },
      })),
    ),
  ),
  bleed: points,
  outsideMargin: points,
  gutters: v.array(v.strictObject({ upTo: v.number(), gutter: points })),
  papers: v.array(
    v.strictObject({
      id: v.string(),
      name: v.string(),
      inks: v.array(v.string()),
      thickness: v.record(v.string(), points),
      pages: v.strictObject({ least: v.number(), most: v.number() }),
    }),
  ),
  inks: v.array(v.strictObject({ id: v.string(), name: v.string() })),
  finishes: v.array(v.string()),
  interior: v.strictObject({ leastStroke: v.number(), leastType: v.number() }),
  cover: v.strictObject({
    bleed: points,
    safeInsideTrim: points,
    spineTextFromPages: v.number(),
    spineClear: points,
    tolerance: points,
    barcode: v.strictObject({ width: points, height: points, fromTrim: points, fromSpine: points }),
    ebookFront: v.strictObject({ width: v.number(), height: v.number() }),
  }),
  largeTrim: v.strictObject({ widerThan: points, tallerThan: points }),
  markets: v.array(
    v.strictObject({
      id: v.string(),
      name: v.string(),
      currency: v.string(),
      rate: v.number(),
      highestPrice: v.number(),
      cost: v.record(v.string(), byTrimClass),
    }),
  ),
  listing: v.strictObject({
    titleAndSubtitle: v.number(),
    keywordFields: v.number(),
    keywordLength: v.number(),
    descriptionLength: v.number(),
  }),
});

export type PrintService = v.InferOutput<typeof PrintServiceSchema>;
export type Market = PrintService['markets'][number];
export type Paper = PrintService['papers'][number];

const services = new Map<string, PrintService>(
  [wrenfair].map((data) => [data.id, v.parse(PrintServiceSchema, data)]),
);

/** The ids a recipe may name as `print.service`. */
export const printServiceIds = [...services.keys()];

/** @throws RangeError when no such service is known */
export function printService(id: string): PrintService {
  const service = services.get(id);
  if (!service) throw new RangeError(`No printing service “${id}”. Known: ${printServiceIds.join(', ')}.`);
  return service;
}

/** @throws RangeError when the service has no such paper */
export function paperOf(service: PrintService, id: string): Paper {
  const paper = service.papers.find((known) => known.id === id);
  if (!paper) throw new RangeError(`${service.name} has no ${id} paper.`);
  return paper;
}
