import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { CONFIDENCES, NICHE_STATUSES, VERDICT_WORDS } from '#core/niche/index.ts';
import { CHECKED, type NicheFilter } from './niche-filter.ts';
import { sentence } from './show.ts';

const ANY = '*';

/** What narrows the list of niches. */
export function NicheFilters({
  filter,
  onFilter,
  labels,
}: {
  filter: NicheFilter;
  onFilter: (filter: NicheFilter) => void;
  labels: readonly string[];
}) {
  const set = (key: keyof NicheFilter, value: unknown) => {
    const { [key]: _, ...others } = filter;
    onFilter(value === undefined || value === '' || value === ANY ? others : { ...others, [key]: value });
  };
  const choice = (
    key: keyof NicheFilter,
    label: string,
    choices: readonly (readonly [value: string, name: string])[],
    width: number,
  ) => (
    <TextField
      select
      label={label}
      value={filter[key] ?? ANY}
      onChange={(event) => set(key, event.target.value)}
      sx={{ width }}
    >
      <MenuItem value={ANY}>Any</MenuItem>
      {choices.map(([value, name]) => (
        <MenuItem key={value} value={value}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box role="group" aria-label="Filters" sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 2 }}>
      <TextField
        label="Words in phrase, labels, notes"
        value={filter.words ?? ''}
        onChange={(event) => set('words', event.target.value)}
        sx={{ width: 230 }}
      />
      {choice(
        'word',
        'Verdict',
        VERDICT_WORDS.map((word) => [word, sentence(word)]),
        130,
      )}
      {choice(
        'confidence',
        'Confidence',
        CONFIDENCES.map((level) => [level, sentence(level)]),
        120,
      )}
      <TextField
        label="Earns at least"
        type="number"
        value={filter.earnsFrom ?? ''}
        onChange={({ target }) => set('earnsFrom', target.value === '' ? undefined : Number(target.value))}
        sx={{ width: 120 }}
      />
      {choice(
        'status',
        'Status',
        NICHE_STATUSES.map((status) => [status, sentence(status)]),
        132,
      )}
      {labels.length > 0 &&
        choice(
          'label',
          'Label',
          labels.map((label) => [label, label]),
          130,
        )}
      {choice('checked', 'Checked', Object.entries(CHECKED), 170)}
      {Object.keys(filter).length > 0 && <Button onClick={() => onFilter({})}>Clear filters</Button>}
    </Box>
  );
}
