import { inches, POINTS_PER } from '../units.ts';
import type { Rect } from './geometry.ts';

/** How the pages of a book are set, whatever stands on them. */
export interface PageSetting {
  /** As narrow as the service allows, or as a typographer sets a page of this trim. */
  margins: 'service' | 'page';
  /** Larger type, wider lines. */
  largePrint: boolean;
  /** In large print, the size that type is meant to have at the least. */
  largeType?: LargeType | undefined;
  /** Where page numbers stand. */
  numbers: 'bottom' | 'top';
}

/** Sizes of large print, in points. 14 is the least that is called so; common practice, no source. */
export const LARGE_TYPES = [14, 16, 18] as const;
export type LargeType = (typeof LARGE_TYPES)[number];

/** Margins from the trim, in points; `outer` holds for both sides of a page that is hung. */
export interface PageMargins {
  top: number;
  bottom: number;
  inner: number;
  outer: number;
}

/** The measures that all pages of a trim share. */
export interface PageGrid {
  margins: PageMargins;
  /** From writing line to writing line, in points. */
  pitch: number;
  /** Sizes of type at 6 × 9 in are multiplied by it. */
  typeScale: number;
  /** No type is set smaller than this where there is room for it, in points; 0 where nothing is asked. */
  leastType: number;
}

const mm = (n: number): number => n * POINTS_PER.mm;

/**
 * Measures by the diagonal of the trim, in millimeters: 5 × 8, 6 × 9, 7 × 10 and 8.5 × 11 in. Found by looking at printed
 * pages; common practice, no source.
 */
const TRIMS = [
  { diagonal: Math.hypot(5, 8), pitch: 7, top: 11, bottom: 14, inner: 14, outer: 9.5, typeScale: 0.94 },
  {
    diagonal: Math.hypot(6, 9),
    pitch: 25.4 * (9 / 32),
    top: 12,
    bottom: 15,
    inner: 16,
    outer: 11,
    typeScale: 1,
  },
  { diagonal: Math.hypot(7, 10), pitch: 7.5, top: 13, bottom: 16, inner: 17, outer: 12, typeScale: 1.06 },
  { diagonal: Math.hypot(8.5, 11), pitch: 8, top: 15, bottom: 18, inner: 19, outer: 14, typeScale: 1.14 },
] as const;
type Measure = Exclude<keyof (typeof TRIMS)[number], 'diagonal'>;

/** In large print lines lie so much further apart, and type is so much larger. */
const LARGE = { pitch: 1.35, type: 1.5 };
/** What is said beside a puzzle has so many points at 6 × 9 in. */
const NOTE = 9;

/** The measures of pages of a trim in points, between those of the usual trims. */
export function pageGrid(
  trim: { width: number; height: number },
  { largePrint, largeType }: Pick<PageSetting, 'largePrint' | 'largeType'>,
): PageGrid {
  const diagonal = Math.hypot(trim.width, trim.height) / inches(1);
  const above = TRIMS.findIndex((row) => row.diagonal >= diagonal);
  const [lower, upper] =
    above === 0
      ? [TRIMS[0], TRIMS[0]]
      : above === -1
        ? [TRIMS.at(-1)!, TRIMS.at(-1)!]
        : [TRIMS[above - 1]!, TRIMS[above]!];
  const share = lower === upper ? 0 : (diagonal - lower.diagonal) / (upper.diagonal - lower.diagonal);
  const leastType = largePrint ? (largeType ?? 0) : 0;
  const at = (key: Measure): number => lower[key] + share * (upper[key] - lower[key]);
  return {
    margins: { top: mm(at('top')), bottom: mm(at('bottom')), inner: mm(at('inner')), outer: mm(at('outer')) },
    pitch: mm(at('pitch')) * (largePrint ? LARGE.pitch : 1),
    typeScale: largePrint ? Math.max(at('typeScale') * LARGE.type, leastType / NOTE) : at('typeScale'),
    leastType,
  };
}

/** The size of type that has so many points on a page of 6 × 9 in, in points. */
export const typeSize = ({ typeScale, leastType }: PageGrid, size: number): number =>
  Math.max(leastType, size * typeScale);

/** What is left of a rectangle between two others, on each side the nearer to its middle. */
export function innermost(one: Rect, other: Rect): Rect {
  const x = Math.max(one.x, other.x);
  const y = Math.max(one.y, other.y);
  return {
    x,
    y,
    width: Math.min(one.x + one.width, other.x + other.width) - x,
    height: Math.min(one.y + one.height, other.y + other.height) - y,
  };
}
