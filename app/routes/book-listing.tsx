import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Recipe } from '#core/book/recipe.ts';
import { printRules, showMoney } from '#core/print/index.ts';
import { countLetters } from '#core/schema.ts';
import { useOpenBook } from '../book/open-book.tsx';
import { PenNameField } from '../book/pen-name-field.tsx';
import { useBook } from '../book/store.ts';
import { TitleField } from '../book/title-field.tsx';
import { useNamedField } from '../parts/field-id.ts';
import { LiveTextField } from '../parts/live-text-field.tsx';

/** What the shop will say and ask for the book. */
export default function Listing() {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  const { ticket } = useOpenBook();
  const service = printRules(recipe.print.service, recipe.print.binding);
  const { keywordFields, keywordLength, titleAndSubtitle, descriptionLength } = service.listing;
  const keywords = recipe.listing.keywords as string[];
  const listing = (change: Partial<Recipe['listing']>, mergeAs: string) =>
    edit((now) => ({ ...now, listing: { ...now.listing, ...change } }), mergeAs);
  const setKeyword = (at: number, text: string) => {
    const next = Array.from({ length: Math.max(keywords.length, at + 1) }, (_, i) =>
      i === at ? text : (keywords[i] ?? ''),
    );
    while (next.at(-1) === '') next.pop();
    return listing({ keywords: next }, `keyword ${at}`);
  };
  const setPrice = (market: string, text: string): string | null => {
    const price = Number(text.replace(',', '.'));
    if (text.trim() === '' || !Number.isFinite(price)) return 'Write a price such as 8.99.';
    const floor = ticket.markets.find((row) => row.market === market)!;
    // The last price that can be asked stays in the book.
    if (price < floor.lowestPrice)
      return `Below the minimum price, ${showMoney(floor.lowestPrice, floor.currency)}.`;
    return listing(
      { prices: { ...recipe.listing.prices, [market]: Math.round(price * 100) / 100 } },
      `price ${market}`,
    );
  };
  useNamedField();
  const both = countLetters(recipe.title) + countLetters(recipe.subtitle as string);
  const description = recipe.listing.description as string;
  return (
    <Box
      sx={{
        overflow: 'auto',
        p: 5,
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1.15fr) minmax(0, 1fr)',
        gap: 6,
        alignItems: 'start',
      }}
    >
      <Stack spacing={3.5}>
        <Typography variant="h2">Title and description</Typography>
        <TitleField />
        <LiveTextField
          label="Subtitle"
          value={recipe.subtitle as string}
          count={`title and subtitle ${both} of ${titleAndSubtitle}`}
          onCommit={(subtitle) => edit((now) => ({ ...now, subtitle }), 'subtitle')}
        />
        <PenNameField />
        <LiveTextField
          label="Description"
          field="description"
          rows={8}
          value={description}
          count={`${countLetters(description).toLocaleString('en-US')} of ${descriptionLength.toLocaleString('en-US')}`}
          onCommit={(text) => listing({ description: text }, 'description')}
        />
      </Stack>
      <Stack spacing={3.5}>
        <Typography variant="h2">Prices</Typography>
        <Paper>
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Market</TableCell>
                <TableCell>Price</TableCell>
                <TableCell align="right">Print cost</TableCell>
                <TableCell align="right">Royalty</TableCell>
                <TableCell align="right">Lowest</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {ticket.markets.map((row) => (
                <TableRow key={row.market}>
                  <TableCell>{row.name}</TableCell>
                  <TableCell sx={{ width: 130 }}>
                    <LiveTextField
                      label={`Price, ${row.currency}`}
                      field={`price-${row.market}`}
                      value={row.price === null ? '' : row.price.toFixed(2)}
                      onCommit={(text) => setPrice(row.market, text)}
                    />
                  </TableCell>
                  <TableCell align="right">{showMoney(row.cost, row.currency)}</TableCell>
                  <TableCell
                    align="right"
                    sx={{
                      fontWeight: 700,
                      color: row.royalty !== null && row.royalty < 0 ? 'error.main' : 'primary.main',
                    }}
                  >
                    {row.royalty === null ? '–' : showMoney(row.royalty, row.currency)}
                  </TableCell>
                  <TableCell align="right">{showMoney(row.lowestPrice, row.currency)}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Paper>
        <Typography variant="h2">Keywords</Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
          {Array.from({ length: keywordFields }, (_, i) => (
            <LiveTextField
              key={i}
              label={`Keyword field ${i + 1}`}
              field={`keyword-${i + 1}`}
              value={keywords[i] ?? ''}
              count={`${countLetters(keywords[i] ?? '')} of ${keywordLength}`}
              onCommit={(text) => setKeyword(i, text)}
            />
          ))}
        </Box>
      </Stack>
    </Box>
  );
}
