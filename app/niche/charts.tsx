import Box from '@mui/material/Box';
import Popper from '@mui/material/Popper';
import { memo, useDeferredValue, useEffect, useMemo, useState } from 'react';
import {
  Bar,
  BarChart,
  CartesianGrid,
  Cell,
  ScatterChart,
  Tooltip,
  useXAxisScale,
  useYAxisScale,
  XAxis,
  YAxis,
} from 'recharts';
import {
  type Dot,
  histogram,
  niceStep,
  type Range,
  type RivalNumber,
  scatterPoints,
  trimShares,
} from '#core/niche/index.ts';
import { useFormats } from '../parts/formats.tsx';
import { tokens } from '../theme.ts';
import { axis, ChartFrame, ChartTooltip, MARGIN, PLOT } from './chart-frame.tsx';
import { type NicheDesk, useNiche } from './niche-desk.tsx';
import { copies, count } from './show.ts';
import { traitWords } from './trait-words.ts';

type ChartNumber = RivalNumber | 'age';

interface SpreadProps {
  desk: NicheDesk;
  question: string;
  by: ChartNumber;
  /** What the horizontal axis shows. */
  across: string;
  /** What the height of a bar is. */
  upwards: 'count' | 'copies';
  height: number;
  show: (value: number) => string;
}

const COPIES = 'Copies a month';
const UPWARDS = { count: 'Books', copies: COPIES } as const;

/** The rivals on the table, without a chart's own range: it stays in view while it is moved. */
const usePlacesBut = ({ filtered }: NicheDesk, by: ChartNumber | 'trim'): Uint32Array =>
  useMemo(() => filtered.without(by), [filtered, by]);

/** How a number is spread over the rivals on the table, or over what they sell; dragging marks a range of it. */
function SpreadChart({ desk, question, by, across, upwards, height, show }: SpreadProps) {
  const { indexed, filter, setFilter } = desk;
  const rowIndices = usePlacesBut(desk, by);
  const data = useMemo(() => histogram(indexed, rowIndices, by), [indexed, rowIndices, by]);
  const domain: [number, number] = [data[0]?.from ?? 0, data.at(-1)?.to ?? 1];
  return (
    <ChartFrame
      question={question}
      height={height}
      domain={domain}
      range={filter[by]}
      onRange={(range) => setFilter(withRange(filter, by, toTheEnd(range, data.at(-1)!)))}
      across={across}
      upwards={UPWARDS[upwards]}
    >
      <BarChart
        data={data.map((bar) => ({ ...bar, middle: (bar.from + bar.to) / 2 }))}
        margin={MARGIN}
        barCategoryGap={1}
        accessibilityLayer={false}
      >
        <CartesianGrid stroke={tokens.rule} strokeDasharray="2 4" vertical={false} />
        <XAxis
          type="number"
          dataKey="middle"
          domain={domain}
          height={PLOT.bottom}
          tickFormatter={show}
          tickCount={4}
          {...axis}
        />
        <YAxis width={PLOT.left} allowDecimals={false} {...axis} axisLine={false} tickCount={3} />
        <Tooltip
          cursor={false}
          content={({ payload }) => {
            const bar = payload?.[0]?.payload as (typeof data)[number] | undefined;
            return bar ? (
              <ChartTooltip>
                {show(bar.from)} {bar.open ? 'and more' : `to ${show(bar.to)}`}: {count(bar.count)}{' '}
                {bar.count === 1 ? 'book' : 'books'}, {copies(bar.copies)} copies a month
              </ChartTooltip>
            ) : null;
          }}
        />
        <Bar dataKey={upwards} fill={tokens.verdigris} isAnimationActive={false} maxBarSize={26} />
      </BarChart>
    </ChartFrame>
  );
}

/** A range that ends in an open bar has no end. */
const toTheEnd = (range: Range | undefined, { open, from }: { open: boolean; from: number }) =>
  range && open && range[1] > from ? ([range[0], Number.POSITIVE_INFINITY] as const) : range;

const withRange = <F extends object>(filter: F, by: ChartNumber, range: Range | undefined): F => {
  const { [by as keyof F]: _, ...others } = filter;
  return (range ? { ...others, [by]: range } : others) as F;
};

interface DotsProps {
  desk: NicheDesk;
  question: string;
  x: ChartNumber;
  across: string;
  height: number;
  show: (value: number) => string;
}

/** A number against copies a month, on a scale of powers since a few books sell most of them. */
function SalesChart({ desk, question, x, across, height, show }: DotsProps) {
  const { indexed, filter, setFilter } = desk;
  const rowIndices = usePlacesBut(desk, x);
  const { dots: data, beyond } = useMemo(
    () => scatterPoints(indexed, rowIndices, x, 'copies'),
    [indexed, rowIndices, x],
  );
  const step = data.length
    ? niceStep(Math.max(...data.map((dot) => dot.x)) - Math.min(...data.map((dot) => dot.x)) || 1, 6)
    : 1;
  const domain: [number, number] = data.length
    ? [
        Math.floor(Math.min(...data.map((dot) => dot.x)) / step) * step,
        Math.ceil(Math.max(...data.map((dot) => dot.x)) / step + 0.01) * step,
      ]
    : [0, 1];
  const powers = powersOver(data.map((dot) => dot.y));
  return (
    <ChartFrame
      question={question}
      height={height}
      domain={domain}
      range={filter[x]}
      onRange={(range) => setFilter(withRange(filter, x, range))}
      across={across}
      upwards={COPIES}
      {...(beyond ? { note: `${count(beyond)} further out.` } : {})}
    >
      <ScatterChart margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke={tokens.rule} strokeDasharray="2 4" />
        <XAxis
          type="number"
          dataKey="x"
          domain={domain}
          height={PLOT.bottom}
          tickFormatter={show}
          ticks={ticksOver(domain)}
          allowDataOverflow
          {...axis}
        />
        <YAxis
          type="number"
          dataKey="y"
          allowDataOverflow
          scale="log"
          domain={[powers[0]!, powers.at(-1)!]}
          ticks={powers}
          tickFormatter={(power: number) => (power < 1 ? String(power) : count(power))}
          width={PLOT.left}
          axisLine={false}
          {...axis}
        />
        <Dots dots={data} desk={desk} />
      </ScatterChart>
    </ChartFrame>
  );
}

/**
 * Dots as large as the books they stand for, and a word about the one under the pointer. Drawn on the axes of the
 * chart, but not as its own scatter, which puts handlers on every dot and takes half as long again.
 */
function Dots({ dots: all, desk }: { dots: Dot[]; desk: NicheDesk }) {
  const [x, y] = [useXAxisScale(), useYAxisScale()];
  const [over, setOver] = useState<(Dot & { circle: SVGElement }) | null>(null);
  if (!x || !y) return null;
  const rival = over && desk.rivals?.[over.at];
  return (
    <g
      fill={tokens.verdigris}
      fillOpacity={0.6}
      onPointerOver={({ target }) => {
        const circle = target as SVGElement;
        const dot = all.find(({ at }) => String(at) === circle.dataset.at);
        setOver(dot ? { ...dot, circle } : null);
      }}
      onPointerLeave={() => setOver(null)}
    >
      {all.map((dot) => (
        <circle
          key={dot.at}
          data-at={dot.at}
          cx={x(dot.x)}
          cy={y(dot.y)}
          r={Math.min(9, 3.5 + Math.log2(dot.count))}
        />
      ))}
      {over && rival && (
        <Popper
          open
          anchorEl={over.circle}
          placement="right"
          sx={{ pointerEvents: 'none', zIndex: 'tooltip' }}
        >
          <ChartTooltip>
            {over.count > 1 ? (
              `${count(over.count)} books near this point`
            ) : (
              <>
                <strong>{rival.title}</strong>
                <br />
                {desk.money.exact(rival.price)} · {copies(rival.copies)} copies a month
              </>
            )}
          </ChartTooltip>
        </Popper>
      )}
    </g>
  );
}

/** Round numbers along an axis, with room between them. */
function ticksOver([from, to]: [number, number]): number[] {
  const step = niceStep(to - from, 4);
  const first = Math.ceil(from / step);
  return Array.from({ length: Math.floor(to / step) - first + 1 }, (_, i) => (first + i) * step);
}

/** Powers of ten that take in all values. */
function powersOver(values: number[]): number[] {
  if (values.length === 0) return [1, 10];
  const from = Math.floor(Math.log10(Math.min(...values)));
  const to = Math.max(from + 1, Math.ceil(Math.log10(Math.max(...values)) + 1e-9));
  return Array.from({ length: to - from + 1 }, (_, i) => 10 ** (from + i));
}

/** Which trims the rivals on the table have; choosing one narrows to it. */
function TrimChart({ desk, height }: { desk: NicheDesk; height: number }) {
  const formats = useFormats();
  const { indexed, filter, setFilter } = desk;
  const rowIndices = usePlacesBut(desk, 'trim');
  const shares = useMemo(() => trimShares(indexed, rowIndices).slice(0, 5), [indexed, rowIndices]);
  return (
    <ChartFrame question="Which trims sell?" height={height} across={COPIES} upwards="Trim">
      <BarChart data={shares} layout="vertical" margin={MARGIN} accessibilityLayer={false}>
        <XAxis type="number" hide />
        <YAxis
          type="category"
          dataKey="trim"
          width={72}
          tickFormatter={(name: string) => traitWords('trim', name, formats, desk.money)}
          {...axis}
          axisLine={false}
        />
        <Bar
          dataKey="copies"
          isAnimationActive={false}
          maxBarSize={18}
          cursor="pointer"
          label={{
            position: 'insideLeft',
            fontSize: 12,
            fill: '#fff',
            formatter: (value) => count(Number(value)),
          }}
          onClick={(bar) => {
            const trim = (bar.payload as { trim?: string } | undefined)?.trim;
            const { trim: chosen, ...others } = filter;
            setFilter(trim && trim !== chosen ? { ...others, trim } : others);
          }}
        >
          {shares.map(({ trim }) => (
            <Cell key={trim} fill={filter.trim && filter.trim !== trim ? tokens.rule : tokens.verdigris} />
          ))}
        </Bar>
      </BarChart>
    </ChartFrame>
  );
}

interface PlotProps {
  desk: NicheDesk;
  height: number;
}

/** The two that every look begins with. */
const FirstPlots = memo(function FirstPlots({ desk, height }: PlotProps) {
  return (
    <>
      <SalesChart
        desk={desk}
        question="At which prices do books sell?"
        x="price"
        across="Price"
        height={height}
        show={(value) => (value % 1 ? desk.money.exact(value) : desk.money.whole(value))}
      />
      <SpreadChart
        desk={desk}
        question="How long are the books that sell?"
        by="pages"
        across="Pages"
        upwards="copies"
        height={height}
        show={count}
      />
    </>
  );
});

const MorePlots = memo(function MorePlots({ desk, height }: PlotProps) {
  return (
    <>
      <TrimChart desk={desk} height={height} />
      <SalesChart
        desk={desk}
        question="Do new books sell?"
        x="age"
        across="Days on sale"
        height={height}
        show={count}
      />
      <SpreadChart
        desk={desk}
        question="What do the books earn?"
        by="earnings"
        across="Earnings a month"
        upwards="count"
        height={height}
        show={desk.money.whole}
      />
    </>
  );
});

/**
 * Charts of the rivals on the table. They follow it a moment later, so that neither typing nor the first sight of the
 * numbers is held up by drawing.
 */
export function RivalCharts({ height, which }: { height: number; which: 'first' | 'all' }) {
  const desk = useDeferredValue(useNiche());
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    // After the next picture: until then the verdict and the table are what somebody waits for.
    const frame = requestAnimationFrame(() => setTimeout(() => setSeen(true)));
    return () => cancelAnimationFrame(frame);
  }, []);
  return seen && desk.rivals ? (
    <Plots desk={desk} height={height} which={which} />
  ) : (
    <Box sx={{ height: height + 24 }} />
  );
}

function Plots({ desk, height, which }: { desk: NicheDesk; height: number; which: 'first' | 'all' }) {
  // The bench reads when the charts have followed.
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once for what they are drawn from
  useEffect(() => {
    performance.mark('quill-charts');
  }, [desk.filtered]);
  return (
    <>
      <FirstPlots desk={desk} height={height} />
      {which === 'all' && <MorePlots desk={desk} height={height} />}
    </>
  );
}
