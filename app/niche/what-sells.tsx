import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Fragment, useDeferredValue, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { TRAITS, whatSells } from '#core/niche/index.ts';
import { useFormats } from '../parts/formats.tsx';
import { useNiche } from './niche-desk.tsx';
import { count, percent } from './show.ts';
import { traitWords } from './trait-words.ts';

/** What the books that sell have in common, beside those that do not; each value leads to its rows. */
export function WhatSells() {
  const formats = useFormats();
  const { niche, counted, assumptions, money, setFilter } = useNiche();
  const navigate = useNavigate();
  // After the verdict and the table, which somebody waits for.
  const books = useDeferredValue(counted);
  const { sellsFrom, lists } = assumptions;
  const found = useMemo(
    () => whatSells(books, niche.phrase, sellsFrom, lists),
    [books, niche.phrase, sellsFrom, lists],
  );
  return (
    <>
      <Typography variant="h2" sx={{ mb: 1 }}>
        What sells
      </Typography>
      {found === null ? (
        <Typography variant="body2">There are too few rivals with a rank to compare.</Typography>
      ) : (
        <>
          <Typography variant="body2" sx={{ mb: 1 }}>
            {found.bestOnly
              ? `The ${count(found.sell)} best sellers, beside the ${count(found.others)} other books.`
              : `${count(found.sell)} books that sell, beside ${count(found.others)} that do not.`}
          </Typography>
          <Box component="table" aria-label="What sells" sx={LOOK}>
            <thead>
              <tr>
                <th aria-label="Trait" />
                <th scope="col">of copies</th>
                <th scope="col">of others</th>
              </tr>
            </thead>
            <tbody>
              {found.traits.map(({ trait, values }) => (
                <Fragment key={trait}>
                  <tr>
                    <th scope="rowgroup" colSpan={3}>
                      {TRAITS[trait]}
                    </th>
                  </tr>
                  {values.map(({ value, copies, others, filter }) => (
                    <tr key={String(value)}>
                      <td>
                        <Link
                          component="button"
                          type="button"
                          sx={{ font: 'inherit', textAlign: 'left' }}
                          onClick={() => {
                            setFilter(filter);
                            void navigate(`/niches/${niche.id}/rivals`);
                          }}
                        >
                          {traitWords(trait, value, formats, money)}
                        </Link>
                      </td>
                      <td>
                        <strong>{percent(copies)}</strong>
                      </td>
                      <td>{percent(others)}</td>
                    </tr>
                  ))}
                </Fragment>
              ))}
            </tbody>
          </Box>
        </>
      )}
    </>
  );
}

const LOOK = {
  width: '100%',
  borderCollapse: 'collapse',
  fontSize: 14,
  '& td, & th': { p: '2px 0 2px 8px', textAlign: 'right', fontWeight: 400 },
  '& th': { color: 'text.secondary', fontSize: 12 },
  '& td:first-of-type, & th[scope=rowgroup]': { textAlign: 'left', pl: 0 },
  '& th[scope=rowgroup]': { pt: 1, borderTop: 1, borderColor: 'divider' },
} as const;
