import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches } from '../units.ts';
import {
  coverSheets,
  gutterFor,
  lowestPrice,
  type PageSpec,
  type PrintSpec,
  pageFrame,
  paperOf,
  printCost,
  printRules,
  printService,
  printServices,
  royalty,
  showMoney,
  showRate,
  spineWidth,
  toCents,
} from './index.ts';

const service = printRules('wrenfair', 'paperback');
/** The one sheet of a paperback's cover. */
const wrapOf = (one: PrintSpec, pages: number) => {
  const [sheet] = coverSheets(service, one, pages);
  const { front, back, spine, barcode, ...more } = sheet!;
  return {
    ...more,
    front: front!.trim,
    back: back!.trim,
    backSafe: back!.safe,
    spine: spine!,
    barcode: barcode!,
  };
};
const [home, britain] = service.markets;
const PLAIN = { margins: 'service', largePrint: false, numbers: 'bottom' } as const;
const spec = (width: number, height: number, more: Partial<PageSpec> = {}): PageSpec => ({
  trim: { width: inches(width), height: inches(height) },
  bleed: false,
  ink: 'black',
  paper: 'white',
  setting: PLAIN,
  ...more,
});

describe('page geometry (common practice, no source)', () => {
  it('a page with bleed is trim + 0.125 in wide and + 0.25 in high', () => {
    expect(
      pageFrame(service, spec(8.5, 11, { bleed: true }), gutterFor(service, 100), 'recto').media,
    ).toEqual({
      width: 621,
      height: 810,
    });
    const small = pageFrame(service, spec(6, 9, { bleed: true }), gutterFor(service, 167), 'recto');
    expect(small.media).toEqual({ width: inches(6.125), height: inches(9.25) });
    expect(gutterFor(service, 167)).toBe(inches(0.5));
    expect(small.safe.x).toBe(inches(0.5));
    expect(small.media.height - small.safe.y - small.safe.height).toBeCloseTo(inches(0.375), 9);
  });

  it('mirrors recto and verso', () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 828 }), fc.boolean(), (pages, bleed) => {
        const recto = pageFrame(service, spec(6, 9, { bleed }), gutterFor(service, pages), 'recto');
        const verso = pageFrame(service, spec(6, 9, { bleed }), gutterFor(service, pages), 'verso');
        expect(verso.media.width - verso.safe.x - verso.safe.width).toBeCloseTo(recto.safe.x, 9);
        expect(verso.safe.width).toBe(recto.safe.width);
        expect(recto.trim.x).toBe(0);
      }),
    );
  });
});

describe('every trim of the service', () => {
  const trims = service.trims.map(({ name, points }) => ({ name, ...points }));
  const papers = service.papers.map(({ id, inks, pages }) => ({ id, ink: inks[0]!, pages }));
  const anySpec = fc
    .record({ trim: fc.constantFrom(...trims), paper: fc.constantFrom(...papers), bleed: fc.boolean() })
    .chain(({ trim, paper, bleed }) =>
      fc.record({
        spec: fc.constant<PageSpec>({ trim, bleed, ink: paper.ink, paper: paper.id, setting: PLAIN }),
        pages: fc.integer({ min: paper.pages.min, max: paper.pages.max }),
      }),
    );

  it('the gutter never shrinks as pages are added, and its steps are those of the trade (from memory)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 827 }), (pages) => {
        expect(gutterFor(service, pages + 1)).toBeGreaterThanOrEqual(gutterFor(service, pages));
      }),
    );
    for (const [pages, gutter] of [
      [24, 0.375],
      [150, 0.375],
      [151, 0.5],
      [300, 0.5],
      [301, 0.625],
      [500, 0.625],
      [501, 0.75],
      [700, 0.75],
      [701, 0.875],
      [828, 0.875],
    ] as const)
      expect(gutterFor(service, pages)).toBeCloseTo(inches(gutter), 9);
  });

  it('leaves room to print on, inside the trim, on either side', () => {
    fc.assert(
      fc.property(
        anySpec,
        fc.constantFrom('recto' as const, 'verso' as const),
        ({ spec: one, pages }, side) => {
          const { media, trim, safe } = pageFrame(service, one, gutterFor(service, pages), side);
          expect(safe.width).toBeGreaterThan(inches(2));
          expect(safe.height).toBeGreaterThan(inches(2));
          expect(safe.x).toBeGreaterThanOrEqual(trim.x + inches(0.25) - 1e-9);
          expect(safe.x + safe.width).toBeLessThanOrEqual(trim.x + trim.width - inches(0.25) + 1e-9);
          expect(trim.x + trim.width).toBeLessThanOrEqual(media.width + 1e-9);
          expect(trim.y + trim.height).toBeLessThanOrEqual(media.height + 1e-9);
        },
      ),
    );
  });

  it('the parts of a wrap lie side by side without a gap, the barcode on the back and off the spine', () => {
    fc.assert(
      fc.property(anySpec, ({ spec: one, pages }) => {
        const { media, back, spine, front, barcode, spineText } = wrapOf(one, pages);
        expect(back.x + back.width).toBeCloseTo(spine.x, 9);
        expect(spine.x + spine.width).toBeCloseTo(front.x, 9);
        expect(front.x + front.width + back.x).toBeCloseTo(media.width, 9);
        expect(spine.width).toBeCloseTo(spineWidth(service, one, pages), 9);
        expect(barcode.x).toBeGreaterThanOrEqual(back.x);
        expect(barcode.x + barcode.width).toBeLessThanOrEqual(spine.x - inches(0.25) + 1e-9);
        expect([barcode.width, barcode.height]).toEqual([inches(2), inches(1.2)]);
        if (spineText) {
          expect(spineText.x - spine.x).toBeCloseTo(inches(0.0625), 9);
          expect(spine.x + spine.width - spineText.x - spineText.width).toBeCloseTo(inches(0.0625), 9);
        }
      }),
    );
  });

  it('every further page costs the same, and earns less', () => {
    fc.assert(
      fc.property(anySpec, fc.constantFrom(...service.markets), ({ spec: one, pages }, market) => {
        const cost = (count: number) => printCost(service, market, one, count);
        expect(cost(pages + 2) - cost(pages + 1)).toBeCloseTo(cost(pages + 1) - cost(pages), 9);
        expect(cost(pages + 1)).toBeGreaterThan(cost(pages));
        expect(royalty(market, 20, cost(pages + 1))).toBeLessThan(royalty(market, 20, cost(pages)));
        expect(royalty(market, lowestPrice(market, cost(pages)), cost(pages))).toBeLessThan(
          market.rate * 0.0101,
        );
      }),
    );
  });
});

describe('cover geometry (common practice, no source)', () => {
  it('6 × 9 in, 100 pages, white: 12.475 × 9.25 in', () => {
    const wrap = wrapOf(spec(6, 9), 100);
    expect(wrap.media.width / 72).toBeCloseTo(12.4752, 6);
    expect(wrap.media.height / 72).toBeCloseTo(9.25, 9);
  });

  it('8.5 × 11 in, 104 pages, white: 17.484 in, within 1/16 in of the quoted 5249 px at 300 dpi', () => {
    const { width } = wrapOf(spec(8.5, 11), 104).media;
    expect(width / 72).toBeCloseTo(17.484, 3);
    expect(Math.abs(width / 72 - 5249 / 300)).toBeLessThan(1 / 16);
  });

  it('carries no spine text under 100 pages', () => {
    expect(wrapOf(spec(6, 9), 98).spineText).toBeNull();
    expect(wrapOf(spec(6, 9), 100).spineText).not.toBeNull();
  });

  it('keeps the barcode inside the safe area of the back', () => {
    const { barcode, backSafe } = wrapOf(spec(5, 8), 120);
    expect(barcode.x + barcode.width).toBeCloseTo(backSafe.x + backSafe.width, 9);
    expect(barcode.y + barcode.height).toBeCloseTo(backSafe.y + backSafe.height, 9);
  });

  it('spine grows in step with the pages', () => {
    expect(spineWidth(service, spec(6, 9, { paper: 'cream' }), 112) / 72).toBeCloseTo(0.28, 9);
  });
});

describe('money (worked figures common in the trade, no source)', () => {
  it('$0.85 + 257 × $0.012 = $3.93; list $12.83 gives $3.76', () => {
    const cost = printCost(service, home!, spec(6, 9), 257);
    expect(toCents(cost)).toBe(3.93);
    expect(toCents(royalty(home!, 12.83, cost))).toBe(3.76);
    expect(6044 * royalty(home!, 12.83, cost)).toBeGreaterThan(22000);
  });

  it('£9.99 with a print cost of £3.42 gives £2.57', () => {
    const cost = printCost(service, britain!, spec(6, 9), 272);
    expect(toCents(cost)).toBe(3.42);
    expect(toCents(royalty(britain!, 9.99, cost))).toBe(2.57);
  });

  it('the lowest price is the least cent amount without a loss', () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 828 }), (pages) => {
        const cost = printCost(service, home!, spec(8.5, 11), pages);
        const floor = lowestPrice(home!, cost);
        expect(royalty(home!, floor, cost)).toBeGreaterThanOrEqual(-1e-9);
        expect(royalty(home!, floor - 0.01, cost)).toBeLessThan(0);
      }),
    );
  });

  it('is written as Unicode CLDR has it for English, read by Intl, in every currency that a service pays', () => {
    const paid = printServices().flatMap(({ markets }) => markets.map((market) => market.currency));
    for (const currency of new Set([...paid, 'CAD', 'EUR', 'AUD', 'PLN'])) {
      const intl = (more: Intl.NumberFormatOptions = {}) =>
        new Intl.NumberFormat('en-US', { style: 'currency', currency, ...more });
      const [whole, rate] = [intl(), intl({ maximumFractionDigits: 4 })];
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 2_000_000_000 }), (tenThousandths) => {
          const amount = tenThousandths / 10_000;
          expect(showMoney(amount, currency)).toBe(whole.format(amount));
          expect(showRate(amount, currency)).toBe(rate.format(amount));
          // A loss is written with its sign first; half a cent of it may be rounded either way.
          const cents = Math.round(amount * 100) / 100 || 0.01;
          expect(showMoney(-cents, currency)).toBe(whole.format(-cents));
        }),
      );
      expect([8.985, 1234567.895, 0].map((amount) => showMoney(amount, currency))).toEqual(
        [8.985, 1234567.895, 0].map((amount) => whole.format(amount)),
      );
    }
    expect([showMoney(-1.5, 'USD'), showMoney(1234.5, 'GBP'), showRate(0.012, 'USD')]).toEqual([
      '-$1.50',
      '£1,234.50',
      '$0.012',
    ]);
  });

  it('an unknown service or paper is an error that names it', () => {
    expect(() => printService('nobody')).toThrow(/nobody/);
    expect(() => paperOf(service, 'pink')).toThrow(/pink/);
  });
});

describe('a coil-bound book (Thornback Bindery, invented; on the pattern of common practice)', () => {
  const coil = printRules('thornback', 'coil');

  it('has no spine, front and back apart, each trim + 2 × 0.125 in, and no box for a barcode', () => {
    const sheets = coverSheets(coil, spec(6, 9), 120);
    expect(sheets.map(({ id }) => id)).toEqual(['front', 'back']);
    for (const { media, spine, spineText, barcode } of sheets) {
      expect([media.width / 72, media.height / 72]).toEqual([6.25, 9.25]);
      expect([spine, spineText, barcode]).toEqual([null, null, null]);
    }
    expect(sheets[0]!.front!.safe).toEqual(sheets[1]!.back!.safe);
    expect(spineWidth(coil, spec(6, 9), 120)).toBe(0);
  });

  it('keeps everything off its holes, whatever the page count, and bleeds at the binding edge too', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 400 }), fc.boolean(), (pages, bleed) => {
        for (const side of ['recto', 'verso'] as const) {
          const { media, trim, safe } = pageFrame(coil, spec(6, 9, { bleed }), gutterFor(coil, pages), side);
          const inner = side === 'recto' ? safe.x - trim.x : trim.x + trim.width - safe.x - safe.width;
          expect(inner).toBeGreaterThanOrEqual(coil.holes!.strip);
          expect(media.width - trim.width).toBeCloseTo(bleed ? inches(0.25) : 0, 9);
        }
      }),
    );
  });

  it('an unknown binding is answered with those there are', () => {
    expect(() => printRules('wrenfair', 'coil')).toThrow('Wrenfair has no coil binding. It has: paperback.');
    expect(() => printRules('nobody', 'coil')).toThrow(/No printing service “nobody”/);
  });
});
