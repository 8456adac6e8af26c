import { CartesianGrid, Line, LineChart, Tooltip, XAxis, YAxis } from 'recharts';
import { useFormats } from '../parts/formats.tsx';
import { tokens } from '../theme.ts';
import { axis, ChartFrame, ChartTooltip, MARGIN, PLOT } from './chart-frame.tsx';

/** A number of the looks over time. */
export function LooksChart({
  question,
  height,
  points,
  show,
  rank = false,
}: {
  question: string;
  height: number;
  points: { day: string; value: number | null }[];
  show: (value: number) => string;
  /** The smaller, the better: drawn upside down, and not from zero. */
  rank?: boolean;
}) {
  const formats = useFormats();
  const data = points.map(({ day, value }) => ({ at: Date.parse(day), day, value }));
  return (
    <ChartFrame question={question} height={height}>
      <LineChart data={data} margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke={tokens.rule} strokeDasharray="2 4" vertical={false} />
        <XAxis
          type="number"
          dataKey="at"
          domain={['dataMin', 'dataMax']}
          height={PLOT.bottom}
          tickCount={3}
          tickFormatter={formats.dayOfYear}
          {...axis}
        />
        <YAxis
          width={PLOT.left}
          tickFormatter={show}
          tickCount={3}
          {...axis}
          axisLine={false}
          domain={rank ? ['auto', 'auto'] : [0, 'auto']}
          reversed={rank}
        />
        <Tooltip
          content={({ payload }) => {
            const point = payload?.[0]?.payload as (typeof data)[number] | undefined;
            return point?.value == null ? null : (
              <ChartTooltip>
                {formats.day(point.day)}: {show(point.value)}
              </ChartTooltip>
            );
          }}
        />
        <Line
          dataKey="value"
          stroke={tokens.verdigris}
          strokeWidth={2}
          dot={{ r: 2.5 }}
          isAnimationActive={false}
          connectNulls
        />
      </LineChart>
    </ChartFrame>
  );
}
