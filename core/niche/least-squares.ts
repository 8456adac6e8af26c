/** A straight line through points, y = intercept + slope × x, by ordinary least squares. */
export interface Line {
  intercept: number;
  slope: number;
  interceptError: number;
  slopeError: number;
  /** Standard deviation of the residuals, with n − 2 degrees of freedom. */
  residualDeviation: number;
  rSquared: number;
  n: number;
  meanX: number;
  /** Sum of squared distances from the mean of x. */
  sumXX: number;
  residuals: number[];
  /** Leverage of each point (the diagonal of the hat matrix). */
  leverages: number[];
}

const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/**
 * Ordinary least squares for one predictor, on centered values so that digits are not lost (Draper and Smith, Applied
 * Regression Analysis, ch. 1).
 * @throws RangeError with fewer than three points, or when all x are equal
 */
export function leastSquares(x: readonly number[], y: readonly number[]): Line {
  const n = x.length;
  if (n !== y.length) throw new RangeError(`There are ${n} values of x and ${y.length} of y.`);
  if (n < 3) throw new RangeError(`A line and its error need three points; there are ${n}.`);
  const meanX = sumOf(x) / n;
  const meanY = sumOf(y) / n;
  const dx = x.map((value) => value - meanX);
  const dy = y.map((value) => value - meanY);
  const sumXX = sumOf(dx.map((d) => d * d));
  if (sumXX === 0) throw new RangeError('All values of x are equal; there is no line through them.');
  const sumYY = sumOf(dy.map((d) => d * d));
  const slope = sumOf(dx.map((d, i) => d * dy[i]!)) / sumXX;
  const intercept = meanY - slope * meanX;
  const residuals = dx.map((d, i) => dy[i]! - slope * d);
  const squares = sumOf(residuals.map((r) => r * r));
  const residualDeviation = Math.sqrt(squares / (n - 2));
  return {
    intercept,
    slope,
    interceptError: residualDeviation * Math.sqrt(1 / n + (meanX * meanX) / sumXX),
    slopeError: residualDeviation / Math.sqrt(sumXX),
    residualDeviation,
    rSquared: sumYY === 0 ? 1 : 1 - squares / sumYY,
    n,
    meanX,
    sumXX,
    residuals,
    leverages: dx.map((d) => 1 / n + (d * d) / sumXX),
  };
}
