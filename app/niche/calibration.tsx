import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useFetcher, useSearchParams } from 'react-router';
import { CartesianGrid, ComposedChart, Line, Scatter, Tooltip, XAxis, YAxis } from 'recharts';
import {
  copiesAMonth,
  copiesRange,
  defaultCurve,
  fitCurve,
  INTERVAL_LEVEL,
  researchMarkets,
} from '#core/niche/index.ts';
import { readTyped, salesTable } from '#core/niche/own/index.ts';
import type { KeptPair } from '#server/niches/assumptions.ts';
import { FormField, useCheckedForm } from '../parts/checked-form.tsx';
import { Mark } from '../parts/mark.tsx';
import { offerUndo } from '../parts/notices.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { tokens } from '../theme.ts';
import { axis, ChartFrame, ChartTooltip, PLOT } from './chart-frame.tsx';
import { ImportDialog } from './import/import-dialog.tsx';
import { copies, count } from './show.ts';

const STEPS = 24;
const minus = (value: number): string => value.toFixed(2).replace('-', '−');

/** Own pairs of rank and sales, the curve they give, how sure it is, and which of them lie apart. */
export function Calibration({ pairs, market }: { pairs: KeptPair[]; market: string }) {
  const [, setSearch] = useSearchParams();
  const fetcher = useFetcher<{ problem?: string | null }>();
  const [bringing, setBringing] = useState(false);
  const fitted = useMemo(() => fitCurve(pairs, market), [pairs, market]);
  const fits = 'curve' in fitted && fitted.curve.slope < 0 ? fitted : null;
  const curve = fits?.curve ?? defaultCurve(market);
  const ranks = pairs.map((pair) => pair.rank);
  const [low, high] = [Math.min(500, ...ranks), Math.max(300_000, ...ranks)];
  const line = Array.from({ length: STEPS + 1 }, (_, i) => {
    const at = low * (high / low) ** (i / STEPS);
    const range = copiesRange(at, curve);
    return {
      rank: at,
      usual: copiesAMonth(at, defaultCurve(market)),
      fitted: copiesAMonth(at, curve),
      low: range.low,
      high: range.high,
    };
  });
  const dots = pairs.map((pair, i) => ({ ...pair, apart: fits?.outliers[i] ?? false }));
  const values = [...line.flatMap((point) => [point.low, point.high]), ...pairs.map((pair) => pair.copies)];
  const powers = (from: number, to: number) =>
    Array.from(
      { length: Math.ceil(Math.log10(to)) - Math.floor(Math.log10(from)) + 1 },
      (_, i) => 10 ** (Math.floor(Math.log10(from)) + i),
    );
  const ticks = powers(Math.max(0.1, Math.min(...values)), Math.max(...values));
  const across = powers(low, high);
  const send = (fields: Record<string, string>) =>
    void fetcher.submit(fields, { method: 'post', action: `/niches/assumptions?market=${market}` });
  const remove = ({ id, ...pair }: KeptPair) => {
    send({ intent: 'remove pair', id });
    offerUndo(`Rank ${count(pair.rank)} removed`, () =>
      send({ intent: 'add pair', rank: String(pair.rank), copies: String(pair.copies) }),
    );
  };
  const { form, fields, reset } = useCheckedForm(
    (typed) => readTyped(salesTable, typed),
    (pair) => {
      send({ intent: 'add pair', rank: String(pair.rank), copies: String(pair.copies) });
      reset();
    },
  );
  return (
    <Box component="section" aria-label="Your own sales">
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Your own sales
        </Typography>
        <SaveCsv
          name={`sales ${market}`}
          disabled={pairs.length === 0}
          rows={() => [['rank', 'copies in 30 days'], ...pairs.map((pair) => [pair.rank, pair.copies])]}
        />
        <TextField
          select
          label="Market"
          value={market}
          onChange={(event) => setSearch({ market: event.target.value })}
          sx={{ width: 150 }}
        >
          {researchMarkets().map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
        A rank of one of your books, and the copies it sold in the 30 days around it. From four pairs on, all
        estimates of this market follow your curve instead of the default one.
      </Typography>
      <ChartFrame question="Copies a month by rank" height={250}>
        <ComposedChart
          margin={{ top: PLOT.top, right: PLOT.right, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke={tokens.rule} strokeDasharray="2 4" />
          <XAxis
            type="number"
            dataKey="rank"
            scale="log"
            domain={[across[0]!, across.at(-1)!]}
            ticks={across}
            tickFormatter={count}
            height={PLOT.bottom}
            allowDataOverflow
            {...axis}
          />
          <YAxis
            type="number"
            scale="log"
            domain={[ticks[0]!, ticks.at(-1)!]}
            ticks={ticks}
            tickFormatter={(value: number) => (value < 1 ? String(value) : count(value))}
            width={PLOT.left}
            allowDataOverflow
            {...axis}
            axisLine={false}
          />
          <Tooltip
            content={({ payload }) => {
              const dot = payload?.find((one) => (one.payload as { copies?: number }).copies !== undefined)
                ?.payload as (typeof dots)[number] | undefined;
              return dot ? (
                <ChartTooltip>
                  Rank {count(dot.rank)}: {copies(dot.copies)} copies{dot.apart ? ', outlier' : ''}
                </ChartTooltip>
              ) : null;
            }}
          />
          <Line
            data={line}
            dataKey="usual"
            name="usual"
            stroke={tokens.inkSoft}
            strokeDasharray="5 4"
            dot={false}
            isAnimationActive={false}
          />
          <Line
            data={line}
            dataKey="low"
            stroke={tokens.verdigris}
            strokeOpacity={0.4}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            data={line}
            dataKey="high"
            stroke={tokens.verdigris}
            strokeOpacity={0.4}
            dot={false}
            isAnimationActive={false}
          />
          {fits && (
            <Line
              data={line}
              dataKey="fitted"
              stroke={tokens.verdigris}
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          )}
          <Scatter
            data={dots}
            dataKey="copies"
            isAnimationActive={false}
            shape={({
              cx = 0,
              cy = 0,
              payload,
            }: {
              cx?: number;
              cy?: number;
              payload?: { apart: boolean };
            }) =>
              payload?.apart ? (
                <path d={`M${cx - 5} ${cy - 5}l10 10m0 -10l-10 10`} stroke={tokens.rubric} strokeWidth={2} />
              ) : (
                <circle cx={cx} cy={cy} r={4} fill={tokens.ink} />
              )
            }
          />
        </ComposedChart>
      </ChartFrame>
      <Typography variant="body2" sx={{ mb: 2 }} role="status">
        {fits
          ? `Copies = ${copies(copiesAMonth(1000, curve))} at rank 1,000, falling as rank to the power of ${minus(fits.curve.slope)} (between ${minus(fits.slopeRange.low)} and ${minus(fits.slopeRange.high)}, ${INTERVAL_LEVEL * 100}% confidence). R² ${fits.line.rSquared.toFixed(2)}, ${pairs.length} pairs${fits.outliers.some(Boolean) ? `; ${fits.outliers.filter(Boolean).length} ${fits.outliers.filter(Boolean).length === 1 ? 'outlier, which counts until you remove it' : 'outliers, which count until you remove them'}` : ''}. The dashed line is the default curve; 9 of 10 books should fall between the pale ones.`
          : 'lacking' in fitted
            ? `${fitted.lacking} Until then the default curve applies, with a range from half to double.`
            : 'These pairs sell more copies at a worse rank, which cannot be right, so the default curve stays in use. Check the pairs.'}
      </Typography>
      <Box component="form" {...form} sx={{ display: 'flex', gap: 2, alignItems: 'flex-start', mb: 2 }}>
        <FormField field={fields.rank!} label="Rank" sx={{ width: 160 }} />
        <FormField field={fields.copies!} label="Copies in 30 days" sx={{ width: 190 }} />
        <Button type="submit" variant="outlined">
          Add
        </Button>
        <Button onClick={() => setBringing(true)}>Import…</Button>
      </Box>
      {fetcher.data?.problem && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {fetcher.data.problem}
        </Alert>
      )}
      {pairs.length === 0 && <Typography variant="body2">No sales data yet.</Typography>}
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          fontSize: 14,
          '& td, & th': { p: '3px 8px', borderBottom: 1, borderColor: 'divider', textAlign: 'right' },
          '& th': { fontWeight: 400, color: 'text.secondary', fontSize: 13 },
        }}
      >
        {pairs.length > 0 && (
          <thead>
            <tr>
              <th>Rank</th>
              <th>Sold</th>
              <th>Estimate</th>
              <th />
              <th aria-label="Remove" />
            </tr>
          </thead>
        )}
        <tbody>
          {dots.map((pair) => (
            <tr key={pair.id}>
              <td>{count(pair.rank)}</td>
              <td>{copies(pair.copies)}</td>
              <td>{copies(copiesAMonth(pair.rank, curve))}</td>
              <Box component="td" sx={{ color: 'error.main' }}>
                {pair.apart && (
                  <>
                    <Mark icon={X} /> outlier
                  </>
                )}
              </Box>
              <td>
                <Button size="small" sx={{ p: 0 }} onClick={() => remove(pair)}>
                  Remove
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
      {bringing && <ImportDialog table="sales" market={market} onClose={() => setBringing(false)} />}
    </Box>
  );
}
