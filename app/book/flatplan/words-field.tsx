import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type * as v from 'valibot';
import { takeResource } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import { type NamedResource, words, writeWords } from '#core/resources/index.ts';
import type { WordList } from '#core/words/index.ts';
import { uploadResource } from '../../parts/upload-resource.ts';
import { loadBank } from '../../words/load-bank.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';
import { useLargeType } from '../use-large-type.ts';
import { WordsDialog } from './words-dialog.tsx';

type Source = { bank: string } | { lists: WordList[] };

/** Where the words come from: a word bank, or lists of the section's own, typed, pasted or from a file. */
export function WordsField({
  section,
  label,
  onChange,
}: {
  section: Section;
  label: string;
  onChange: (value: unknown) => string | null;
}) {
  const source = section.options.words as Source;
  const named = useBook((state) => state.value.resources);
  const edit = useBook((state) => state.edit);
  const { banks } = useOpenBook();
  /** The lists that the dialog begins with, while it is open. */
  const [typing, setTyping] = useState<WordList[] | null>(null);
  const [trouble, setTrouble] = useState('');
  const own = 'lists' in source;
  const used = own ? undefined : named[source.bank];
  const count = own
    ? source.lists.reduce((sum, list) => sum + list.words.length, 0)
    : (named[source.bank]!.facts as v.InferOutput<typeof words.facts>).words;

  const giveLargeType = useLargeType();
  const choose = (bank: NamedResource) => {
    const key = `${section.id} words`;
    const refused = edit(
      (recipe) =>
        takeResource(recipe, section.id, bank, (now, name) => ({
          ...now,
          options: { ...now.options, words: { bank: name } },
        })),
      key,
    );
    // How much room words take is known only with them.
    if (!refused && own && count === 0) void giveLargeType(key, [section.id]);
    return refused;
  };
  const chooseBank = (hash: string) => {
    const bank = choices.get(hash);
    if (bank) choose(bank);
    else setTyping(own ? source.lists : []);
  };
  /** A bank is opened with its words; what is taken then belongs to the section, or becomes another bank. */
  const openWords = async () => {
    setTrouble('');
    if (own) return setTyping(source.lists);
    const found = await loadBank(used!);
    if ('problem' in found) setTrouble(found.problem);
    else setTyping([{ words: found.words }]);
  };
  const choices = new Map<string, NamedResource>(
    [...Object.values(named).filter(({ type }) => type === words.id), ...banks].map((bank) => [
      bank.hash,
      bank,
    ]),
  );
  return (
    <Box>
      <TextField
        select
        label={label}
        value={used?.hash ?? ''}
        onChange={(event) => chooseBank(event.target.value)}
        error={trouble !== ''}
        helperText={
          trouble ||
          `${count.toLocaleString('en-US')} words${own && source.lists.length > 1 ? ` in ${source.lists.length} lists` : ''}`
        }
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">This section only</MenuItem>
        {[...choices.values()].map(({ hash, name }) => (
          <MenuItem key={hash} value={hash}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Button size="small" onClick={() => void openWords()}>
        Edit word list…
      </Button>
      {typing && (
        <WordsDialog
          start={typing}
          onClose={() => setTyping(null)}
          onTake={(lists) => {
            if (onChange({ lists }) === null) setTyping(null);
          }}
          onBank={async (name, list) => {
            const answer = await uploadResource(words.id, name, writeWords(list));
            if ('problem' in answer) return answer.problem;
            choose(answer.kept[0]!);
            setTyping(null);
            return null;
          }}
        />
      )}
    </Box>
  );
}
