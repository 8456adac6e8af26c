/** Quantile by linear interpolation between order statistics (Hyndman and Fan 1996, type 7); 0 of nothing. */
export function quantile(values: readonly number[], q: number): number {
  if (values.length === 0) return 0;
  const sorted = Float64Array.from(values).sort();
  const at = (sorted.length - 1) * q;
  const below = Math.floor(at);
  return sorted[below]! + (at - below) * ((sorted[below + 1] ?? sorted[below]!) - sorted[below]!);
}

export const median = (values: readonly number[]): number => quantile(values, 0.5);
