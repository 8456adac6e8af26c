import Box from '@mui/material/Box';
import { tokens } from '../theme.ts';

/** A line of a few numbers, so small that only its way shows. */
export function Spark({
  values,
  label,
  width = 84,
  height = 24,
}: {
  values: number[];
  label: string;
  width?: number;
  height?: number;
}) {
  if (values.length < 2) return <Box component="span" sx={{ display: 'inline-block', width, height }} />;
  // From zero: a tenth more is not to look like twice as much.
  const [min, max] = [Math.min(0, ...values), Math.max(...values)];
  const points = values.map((value, i) => {
    const x = 2 + (i / (values.length - 1)) * (width - 4);
    const y = max > min ? height - 3 - ((value - min) / (max - min)) * (height - 6) : height / 2;
    return `${x.toFixed(1)},${y.toFixed(1)}`;
  });
  const [x, y] = points.at(-1)!.split(',');
  return (
    <svg width={width} height={height} role="img" aria-label={label} style={{ verticalAlign: 'middle' }}>
      <polyline points={points.join(' ')} fill="none" stroke={tokens.verdigris} strokeWidth={1.5} />
      <circle cx={x} cy={y} r={2.5} fill={tokens.verdigris} />
    </svg>
  );
}
