import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import * as v from 'valibot';
import type { RIVAL_NUMBERS, RivalFilter } from '#core/niche/index.ts';
import { FormField, useCheckedForm } from '../parts/checked-form.tsx';
import { useNiche } from './niche-desk.tsx';
import { count } from './show.ts';

const NAMES: Record<(typeof RIVAL_NUMBERS)[number] | 'age', string> = {
  rank: 'Rank',
  copies: 'Copies',
  price: 'Price',
  printCost: 'Print cost',
  royalty: 'Royalty',
  earnings: 'Earnings',
  reviews: 'Reviews',
  rating: 'Rating',
  pages: 'Pages',
  age: 'Days on sale',
};
const MONEY = new Set(['price', 'printCost', 'royalty', 'earnings']);
const RANGES = Object.keys(NAMES) as (keyof typeof NAMES)[];

const MARKS: { value: NonNullable<RivalFilter['marks']> | 'all'; name: string }[] = [
  { value: 'all', name: 'All except hidden' },
  { value: 'counted', name: 'Included' },
  { value: 'left out', name: 'Not comparable' },
  { value: 'hidden', name: 'Hidden' },
  { value: 'watched', name: 'Under watch' },
  { value: 'own', name: 'My own rows' },
];

/** An end of a range: a number, or nothing. @param open what nothing stands for */
const end = (open: number) =>
  v.pipe(
    v.optional(v.string(), ''),
    v.trim(),
    v.transform((text) => (text === '' ? open : Number(text.replace(',', '.')))),
    v.number('Write a number.'),
  );
const Range = v.pipe(
  v.object({ from: end(Number.NEGATIVE_INFINITY), to: end(Number.POSITIVE_INFINITY) }),
  v.forward(
    v.check(({ from, to }) => Number.isFinite(from) || Number.isFinite(to), 'Write a number.'),
    ['from'],
  ),
);

/** What narrows the table: words, marks, ranges marked in a chart or typed, each taken off by itself. */
export function FilterBar() {
  const { filter, setFilter, money } = useNiche();
  const [by, setBy] = useState<keyof typeof NAMES>('price');
  const without = (key: keyof RivalFilter) => {
    const { [key]: _, ...others } = filter;
    setFilter(others);
  };
  const { form, fields, reset } = useCheckedForm(Range, ({ from, to }) => {
    setFilter({ ...filter, [by]: [Math.min(from, to), Math.max(from, to)] });
    reset();
  });
  const number = (key: keyof typeof NAMES, value: number) =>
    Number.isFinite(value) ? (MONEY.has(key) ? money.exact(value) : count(value)) : '…';
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
      <Box component="form" {...form} sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
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
        <FormField field={fields.from!} label="from" sx={{ width: 90 }} />
        <FormField field={fields.to!} label="to" sx={{ width: 90 }} />
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
