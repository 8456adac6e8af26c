/** Numbers in order, for quantiles of the same ones. */
export const inOrder = (values: readonly number[]): Float64Array => new Float64Array(values).sort();

/** Quantile by linear interpolation between order statistics (Hyndman and Fan 1996, type 7); 0 of nothing. */
export const quantile = (values: readonly number[], q: number): number => quantileOf(inOrder(values), q);

/** The same of numbers that are in order already. */
export function quantileOf(sorted: Float64Array, q: number): number {
  if (sorted.length === 0) return 0;
  const at = (sorted.length - 1) * q;
  const below = Math.floor(at);
  return sorted[below]! + (at - below) * ((sorted[below + 1] ?? sorted[below]!) - sorted[below]!);
}

export const median = (values: readonly number[]): number => quantile(values, 0.5);
