import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import { useFetcher, useRevalidator } from 'react-router';
import * as v from 'valibot';
import type { Formatting } from '#core/formats.ts';
import { type BankRow, listBanks, replaceBank, setBanksRemoved } from '#server/banks/banks.ts';
import { listField } from '../list-field.ts';
import { useFormats } from '../parts/formats.tsx';
import { complain, offerUndo, tell } from '../parts/notices.tsx';
import { RowTable } from '../parts/row-table.tsx';
import type { RowColumn, Sort } from '../parts/table-columns.ts';
import { formFrom, requireVisitor } from '../visitor.server.ts';
import { BankDialog } from '../words/bank-dialog.tsx';
import { loadBank } from '../words/load-bank.ts';
import { TopicBanks } from '../words/topic-banks.tsx';
import type { Route } from './+types/word-banks.ts';

const hash = v.pipe(v.string(), v.regex(/^sha256-[0-9a-f]{64}$/));
const hashes = listField(hash, 1000, 'At most 1,000 word banks at a time. Select fewer.');
const Intent = v.variant('intent', [
  v.object({ intent: v.picklist(['remove', 'restore']), hashes }),
  v.object({ intent: v.literal('replace'), from: hash, to: hash, everywhere: v.picklist(['yes', 'no']) }),
]);

export const meta = () => [{ title: 'Word banks – Restless Quill' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  return { banks: await listBanks(workspaceId) };
}

export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = await formFrom(request, Intent);
  if (!read.success) return { refused: read.issues[0].message, changed: 0 };
  const asked = read.output;
  if (asked.intent !== 'replace') {
    await setBanksRemoved(workspaceId, asked.hashes, asked.intent === 'remove');
    return { refused: null, changed: 0 };
  }
  const { from, to, everywhere } = asked;
  const changed = everywhere === 'yes' ? await replaceBank(workspaceId, from, to) : 0;
  if (from !== to) await setBanksRemoved(workspaceId, [from], true);
  return { refused: null, changed };
}

type BankSort = 'name' | 'words' | 'books' | 'since';

const columnsOf = (formats: Formatting): RowColumn<BankRow, BankSort>[] => [
  { key: 'name', name: 'Name', width: 240, grows: true, left: true, upwards: true, show: ({ name }) => name },
  { key: 'words', name: 'Words', width: 90, show: ({ words }) => words.toLocaleString('en-US') },
  {
    key: 'books',
    name: 'Used in',
    width: 110,
    show: ({ books }) => (books ? `${books} ${books === 1 ? 'book' : 'books'}` : 'no book'),
  },
  {
    key: 'since',
    name: 'Saved',
    width: 130,
    show: ({ createdAt }) => {
      const at = createdAt.toISOString();
      return <time dateTime={at}>{formats.day(at.slice(0, 10))}</time>;
    },
  },
];

function compared({ by, down }: Sort<BankSort>): (a: BankRow, b: BankRow) => number {
  const value = (row: BankRow): number | string => (by === 'since' ? row.createdAt.getTime() : row[by]);
  return (a, b) => {
    const [x, y] = [value(a), value(b)];
    const order = typeof x === 'string' ? x.localeCompare(y as string, 'en') : x - (y as number);
    return down ? -order : order;
  };
}

interface Editing {
  /** Null for a new one. */
  bank: BankRow | null;
  words: string[];
}

/** All word banks: made, changed, renamed and removed, and in how many books each is. */
export default function WordBanks({ loaderData }: Route.ComponentProps) {
  const { banks } = loaderData;
  const formats = useFormats();
  const columns = useMemo(() => columnsOf(formats), [formats]);
  const fetcher = useFetcher<typeof action>();
  const revalidator = useRevalidator();
  const [sort, setSort] = useState<Sort<BankSort>>({ by: 'name', down: false });
  const [search, setSearch] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [editing, setEditing] = useState<Editing | null>(null);
  const [asking, setAsking] = useState(false);
  const rows = useMemo(() => {
    const asked = search.toLowerCase().split(/\s+/).filter(Boolean);
    return banks
      .filter(({ name }) => asked.every((word) => name.toLowerCase().includes(word)))
      .sort(compared(sort));
  }, [banks, search, sort]);
  const { submit, data } = fetcher;
  useEffect(() => {
    if (data?.refused) complain(data.refused);
    else if (data?.changed)
      tell(`${data.changed} ${data.changed === 1 ? 'book has' : 'books have'} the new words.`);
  }, [data]);
  const post = (fields: Record<string, string>) => void submit(fields, { method: 'post', action: '/words' });
  const remove = (ids: string[]) => {
    if (ids.length === 0) return;
    const [first] = banks.filter((bank) => ids.includes(bank.hash));
    post({ intent: 'remove', hashes: ids.join(' ') });
    setChosen(new Set());
    offerUndo(ids.length === 1 ? `“${first?.name}” removed` : `${ids.length} word banks removed`, () =>
      post({ intent: 'restore', hashes: ids.join(' ') }),
    );
  };
  const edit = async (id: string | null) => {
    const bank = banks.find((one) => one.hash === id);
    if (!bank) return;
    const found = await loadBank(bank);
    if ('problem' in found) complain(found.problem);
    else setEditing({ bank, words: found.words });
  };
  const saved = (to: string, everywhere: boolean) => {
    post({
      intent: 'replace',
      from: editing?.bank?.hash ?? to,
      to,
      everywhere: everywhere ? 'yes' : 'no',
    });
    setEditing(null);
    setChosen(new Set());
  };
  return (
    <Box
      sx={{
        height: '100%',
        maxWidth: 1080,
        mx: 'auto',
        p: 6,
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr)',
        gridTemplateRows: 'auto auto minmax(0, 1fr)',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mb: 2 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Word banks
        </Typography>
        <Button onClick={() => setAsking(true)}>From a topic…</Button>
        <Button variant="contained" onClick={() => setEditing({ bank: null, words: [] })}>
          New word bank
        </Button>
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, minHeight: 48 }}>
        <TextField
          label="Search word banks"
          type="search"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          sx={{ width: 260, flex: 'none' }}
        />
        <Typography color="text.secondary" role="status" sx={{ flex: 1 }}>
          {rows.length} {rows.length === 1 ? 'word bank' : 'word banks'}
        </Typography>
        {chosen.size > 0 && (
          <>
            <strong>{chosen.size} selected</strong>
            <Button size="small" disabled={chosen.size !== 1} onClick={() => void edit([...chosen][0]!)}>
              Edit
            </Button>
            <Button size="small" color="error" onClick={() => remove([...chosen])}>
              Remove
            </Button>
          </>
        )}
      </Box>
      <RowTable<BankRow, BankSort>
        label="Word banks"
        keysTold="Arrows move, Space selects, Enter opens, Delete removes"
        columns={columns}
        count={rows.length}
        lineAt={(index) => rows[index]!}
        idOf={(row) => row.hash}
        nameOf={({ name }) => name}
        sort={sort}
        onSort={setSort}
        chosen={chosen}
        onChosen={setChosen}
        keys={{ Delete: remove }}
        onOpen={(id) => void edit(id)}
        empty={
          banks.length === 0
            ? 'There is no word bank yet. Make one, or save the words of a section as one.'
            : 'No word bank has these words in its name.'
        }
      />
      {asking && (
        <TopicBanks
          onSaved={() => {
            setAsking(false);
            void revalidator.revalidate();
          }}
          onClose={() => setAsking(false)}
        />
      )}
      {editing && (
        <BankDialog
          name={editing.bank?.name ?? ''}
          start={editing.words}
          books={editing.bank?.books ?? 0}
          onSaved={saved}
          onClose={() => setEditing(null)}
        />
      )}
    </Box>
  );
}
