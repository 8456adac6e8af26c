import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Paper from '@mui/material/Paper';
import Stack from '@mui/material/Stack';
import Switch from '@mui/material/Switch';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Recipe } from '#core/book/recipe.ts';
import { kindOf, sectionName, sectionsOf } from '#core/book/sections.ts';
import { LARGE_TYPES, type LargeType, showMoney } from '#core/print/index.ts';
import { LanguageFields } from '../book/language-fields.tsx';
import { useOpenBook } from '../book/open-book.tsx';
import { useBook } from '../book/store.ts';
import { useLargeType } from '../book/use-large-type.ts';
import { Choice } from '../parts/choice.tsx';
import { useFormats } from '../parts/formats.tsx';
import { LiveTextField } from '../parts/live-text-field.tsx';
import { NumberField } from '../parts/number-field.tsx';

const NUMBERINGS = [
  { value: 'none', label: 'None' },
  { value: '1', label: '1' },
  { value: 'Page 1', label: 'Page 1' },
  { value: '1 of 100', label: '1 of 100' },
  { value: 'Page 1 of 100', label: 'Page 1 of 100' },
] as const;

/** What a choice of large print is, where it is not a size. */
const NORMAL = 'normal';
const BY_TRIM = 'by-trim';
type LargePrint = LargeType | typeof NORMAL | typeof BY_TRIM;

/** What was decided: for whom, what it is like, what it earns; and what holds for the whole book. */
export default function Brief() {
  const recipe = useBook((state) => state.value);
  const edit = useBook((state) => state.edit);
  const { ticket } = useOpenBook();
  const giveLargeType = useLargeType();
  const { size, market } = useFormats();
  const { brief, style } = recipe;
  const numbering = style.numbering as {
    form: string;
    place: string;
    edge: string;
    front: string;
    from: number;
  };
  const set = (change: Partial<Recipe['brief']>, mergeAs: string) =>
    edit((now) => ({ ...now, brief: { ...now.brief, ...change } }), mergeAs);
  type Style = Recipe['style'];
  const setStyle = (change: (style: Style) => Partial<Style>, mergeAs: string) =>
    edit((now) => ({ ...now, style: { ...now.style, ...change(now.style) } }), mergeAs);
  const setNumbering = (change: object) =>
    setStyle((now) => ({ numbering: { ...now.numbering, ...change } as Style['numbering'] }), 'numbering');
  const setLargePrint = (chosen: LargePrint) => {
    if (chosen === BY_TRIM) return;
    setStyle((now) => {
      if (chosen === NORMAL) return { largePrint: false, largeAnswers: false, largeType: undefined };
      return { largePrint: true, largeType: chosen, largeAnswers: now.largeAnswers || !now.largePrint };
    }, 'large print');
    void giveLargeType('large print');
  };
  const home = market(ticket.markets);
  const kinds = sectionsOf(recipe.sections).map((section) => {
    const { extent } = kindOf(section);
    const count =
      extent === 'items' ? `, ${section.items ?? ''}` : section.pages ? `, ${section.pages} pages` : '';
    return sectionName(section) + count;
  });
  const rows: [string, string][] = [
    ['Contents', [...new Set(kinds)].join(' · ') || 'nothing yet'],
    ['Trim', size(ticket.trim.width, ticket.trim.height)],
    ['Pages', `${ticket.pages}${brief.pages ? ` (the brief asks for ${brief.pages})` : ''}`],
    [
      'Price',
      home?.price
        ? `${showMoney(home.price, home.currency)} → royalty ${showMoney(home.royalty!, home.currency)}`
        : 'none yet',
    ],
    ['First keywords', (recipe.listing.keywords as string[]).join(' · ') || 'none yet'],
  ];
  return (
    <Box
      sx={{
        overflow: 'auto',
        p: 5,
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
        gap: 6,
        alignItems: 'start',
      }}
    >
      <Stack spacing={3.5}>
        <Typography variant="h2">Summary</Typography>
        <Paper>
          <Table size="small">
            <TableBody>
              {rows.map(([name, value]) => (
                <TableRow key={name}>
                  <TableCell sx={{ color: 'text.secondary', width: 130 }}>{name}</TableCell>
                  <TableCell>{value}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Paper>
        <LiveTextField
          label="Niche"
          value={brief.niche as string}
          onCommit={(niche) => set({ niche }, 'niche')}
        />
        <LiveTextField
          label="Audience"
          value={brief.audience as string}
          onCommit={(audience) => set({ audience }, 'audience')}
        />
        <LiveTextField
          label="Notes"
          rows={5}
          value={brief.notes as string}
          onCommit={(notes) => set({ notes }, 'notes')}
        />
      </Stack>
      <Stack spacing={3.5}>
        <Typography variant="h2">Book settings</Typography>
        <LiveTextField
          label="Imprint"
          value={recipe.imprint as string}
          onCommit={(imprint) => edit((now) => ({ ...now, imprint }), 'imprint')}
        />
        <LiveTextField
          label="Series"
          value={recipe.series?.name ?? ''}
          hint="Leave empty for a standalone title"
          onCommit={(name) =>
            edit((now) => {
              const { series, ...without } = now;
              return name
                ? { ...without, series: { name, volume: series?.volume ?? 1 } }
                : (without as Recipe);
            }, 'series')
          }
        />
        {recipe.series && (
          <NumberField
            label="Volume"
            value={recipe.series.volume}
            min={1}
            max={999}
            onCommit={(volume) =>
              edit((now) => (now.series ? { ...now, series: { ...now.series, volume } } : now), 'volume')
            }
          />
        )}
        <LanguageFields />
        <Choice
          label="Page numbers"
          value={numbering.form}
          choices={NUMBERINGS}
          onChange={(form) => setNumbering({ form })}
        />
        <Choice
          label="Edge"
          value={numbering.edge}
          choices={[
            { value: 'bottom', label: 'At the foot' },
            { value: 'top', label: 'At the head' },
          ]}
          onChange={(edge) => setNumbering({ edge })}
        />
        <Choice
          label="Position"
          value={numbering.place}
          choices={[
            { value: 'outer', label: 'At the outer edge' },
            { value: 'center', label: 'Centered' },
          ]}
          onChange={(place) => setNumbering({ place })}
        />
        <Choice
          label="Front matter"
          value={numbering.front}
          choices={[
            { value: 'none', label: 'No numbers' },
            { value: 'roman', label: 'i, ii, iii' },
          ]}
          onChange={(front) => setNumbering({ front })}
        />
        <NumberField
          label="First page number"
          value={numbering.from}
          min={1}
          max={9999}
          onCommit={(from) => setNumbering({ from })}
        />
        <Choice
          label="Margins"
          value={style.margins}
          choices={[
            { value: 'page', label: 'Set for the trim' },
            { value: 'service', label: 'As narrow as the service allows' },
          ]}
          onChange={(margins) => setStyle(() => ({ margins }), 'margins')}
        />
        <Choice<LargePrint>
          label="Large print"
          value={style.largePrint ? (style.largeType ?? BY_TRIM) : NORMAL}
          choices={[
            { value: NORMAL, label: 'No' },
            // Books from before a size could be chosen.
            ...(style.largePrint && !style.largeType
              ? [{ value: BY_TRIM, label: 'By the trim' } as const]
              : []),
            ...LARGE_TYPES.map((size) => ({ value: size, label: `${size} pt or more` })),
          ]}
          onChange={setLargePrint}
        />
        {style.largePrint && (
          <FormControlLabel
            control={
              <Switch
                checked={style.largeAnswers}
                onChange={(_, largeAnswers) => setStyle(() => ({ largeAnswers }), 'large answers')}
              />
            }
            label="Answers in large print, too"
          />
        )}
        <LiveTextField
          label="Seed"
          value={recipe.seed}
          hint="Another seed makes every unpinned puzzle again"
          onCommit={(seed) => edit((now) => ({ ...now, seed }), 'seed')}
        />
      </Stack>
    </Box>
  );
}
