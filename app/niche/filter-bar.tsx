import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { RIVAL_NUMBERS, RivalFilter } from '#core/niche/index.ts';
import { useNiche } from './niche-desk.tsx';
import { count, dollars } from './show.ts';

const NAMES: Record<(typeof RIVAL_NUMBERS)[number] | 'age', string> = {
  rank: 'Rank',
  copies: 'Copies',
  price: 'Price',
  printCost: 'Print cost',
  royalty: 'Royalty',
  earnings: 'Earnings',
  reviews: 'Reviews',
  pages: 'Pages',
  age: 'Days on sale',
};
const MONEY = new Set(['price', 'printCost', 'royalty', 'earnings']);
const RANGES = Object.keys(NAMES) as (keyof typeof NAMES)[];

const MARKS: { value: NonNullable<RivalFilter['marks']> | 'all'; name: string }[] = [
  { value: 'all', name: 'All except hidden' },
  { value: 'counted', name: 'Included' },
  { value: 'left out', name: 'Excluded' },
  { value: 'watched', name: 'Under watch' },
  { value: 'own', name: 'My own rows' },
];

/** What narrows the table: words, marks, ranges marked in a chart or typed, each taken off by itself. */
export function FilterBar() {
  const { filter, setFilter } = useNiche();
  const [by, setBy] = useState<keyof typeof NAMES>('price');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const without = (key: keyof RivalFilter) => {
    const { [key]: _, ...others } = filter;
    setFilter(others);
  };
  const addRange = () => {
    const least = from.trim() === '' ? Number.NEGATIVE_INFINITY : Number(from.replace(',', '.'));
    const most = to.trim() === '' ? Number.POSITIVE_INFINITY : Number(to.replace(',', '.'));
    if (Number.isNaN(least) || Number.isNaN(most) || (from.trim() === '' && to.trim() === '')) return;
    setFilter({ ...filter, [by]: [Math.min(least, most), Math.max(least, most)] });
    setFrom('');
    setTo('');
  };
  const number = (key: keyof typeof NAMES, value: number) =>
    Number.isFinite(value) ? (MONEY.has(key) ? dollars(value) : count(value)) : '…';
  const chips: [key: keyof RivalFilter, label: string][] = [
    ...RANGES.flatMap((key): [keyof RivalFilter, string][] => {
      const range = filter[key];
      return range ? [[key, `${NAMES[key]} ${number(key, range[0])} to ${number(key, range[1])}`]] : [];
    }),
    ...(filter.trim
      ? ([['trim', `Trim ${filter.trim.replace('×', ' × ')}`]] as [keyof RivalFilter, string][])
      : []),
    ...(filter.ink
      ? ([['ink', filter.ink === 'color' ? 'In color' : 'In black']] as [keyof RivalFilter, string][])
      : []),
    ...(filter.ids ? ([['ids', `${filter.ids.length} best sellers`]] as [keyof RivalFilter, string][]) : []),
  ];
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', py: 1.5 }}>
      <TextField
        label="Words in title or author"
        value={filter.words ?? ''}
        onChange={(event) => setFilter({ ...filter, words: event.target.value })}
        sx={{ width: 190 }}
      />
      <TextField
        select
        label="Show"
        value={filter.marks ?? 'all'}
        onChange={(event) => {
          const { marks: _, ...others } = filter;
          setFilter(
            event.target.value === 'all' ? others : { ...others, marks: event.target.value as never },
          );
        }}
        sx={{ width: 150 }}
      >
        {MARKS.map(({ value, name }) => (
          <MenuItem key={value} value={value}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1 }}
        onSubmit={(event) => {
          event.preventDefault();
          addRange();
        }}
      >
        <TextField
          select
          label="Range"
          value={by}
          onChange={(event) => setBy(event.target.value as never)}
          sx={{ width: 112 }}
        >
          {RANGES.map((key) => (
            <MenuItem key={key} value={key}>
              {NAMES[key]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label="from"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
          sx={{ width: 74 }}
        />
        <TextField label="to" value={to} onChange={(event) => setTo(event.target.value)} sx={{ width: 74 }} />
        <Button type="submit" size="small">
          Apply
        </Button>
      </Box>
      {chips.map(([key, label]) => (
        <Chip key={key} label={label} size="small" onDelete={() => without(key)} />
      ))}
      {Object.keys(filter).length > 0 && (
        <Button size="small" onClick={() => setFilter({})}>
          Clear filters
        </Button>
      )}
    </Box>
  );
}
