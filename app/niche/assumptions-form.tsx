import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import * as v from 'valibot';
import {
  type AssumptionField,
  AssumptionsSchema,
  assumptionFields,
  DEFAULT_ASSUMPTIONS,
  type NicheAssumptions,
  type PhraseLists,
} from '#core/niche/index.ts';
import { ConflictDialog } from '../parts/conflict-dialog.tsx';
import { NumberField } from '../parts/number-field.tsx';
import { useDraft } from './use-draft.ts';

/** The words of the verdict that have conditions of their own, with what is said over them. */
export const CONDITION_GROUPS: readonly [AssumptionField['group'], string][] = [
  ['open', 'Open: all of these'],
  ['crowded', 'Crowded: any of these'],
  ['no demand', 'No demand: both of these'],
];

const LISTS: [keyof PhraseLists, string][] = [
  ['audiences', 'Audience'],
  ['formats', 'Formats'],
  ['numbers', 'Numbers'],
  ['occasions', 'Occasions'],
  ['kinds', 'Kinds of book'],
  ['risky', 'Words to be careful with'],
];

type Tree = Record<string, unknown>;
/** Words that were typed or pasted, one a line or separated by commas, each once. */
const wordsOf = (text: string): string[] => [
  ...new Set(
    text
      .split(/[\n,;\t]+/)
      .map((word) => word.trim().toLowerCase())
      .filter(Boolean),
  ),
];

const valueAt = (assumptions: NicheAssumptions, path: readonly string[]): number =>
  path.reduce<unknown>((at, key) => (at as Tree)[key], assumptions) as number;

function withValue(assumptions: Tree, [key, ...rest]: readonly string[], value: unknown): Tree {
  return { ...assumptions, [key!]: rest.length ? withValue(assumptions[key!] as Tree, rest, value) : value };
}

/** Why choices are not possible. */
function refusalOf(assumptions: NicheAssumptions): string | null {
  const read = v.safeParse(AssumptionsSchema, assumptions);
  return read.success ? null : read.issues[0].message;
}

/** The assumptions as they are changed: saved by themselves, each step undone; what is not possible is answered and not saved. */
export function useAssumptions(saved: NicheAssumptions) {
  const draft = useDraft('/niches/assumptions/save', saved, refusalOf);
  const { edit } = draft;
  const set = (path: readonly string[], value: unknown): string | null =>
    edit(
      (now) => withValue(now as unknown as Tree, path, value) as unknown as NicheAssumptions,
      path.join(' '),
    );
  return { ...draft, assumptions: draft.value, set };
}

/** The numbers of one group, each in a field. */
export function AssumptionNumbers({
  group,
  assumptions,
  set,
}: { group: AssumptionField['group'] } & Pick<ReturnType<typeof useAssumptions>, 'assumptions' | 'set'>) {
  return assumptionFields
    .filter((one) => one.group === group)
    .map(({ path, label, min, max, step }) => (
      <NumberField
        key={path.join('.')}
        label={label}
        value={valueAt(assumptions, path)}
        min={min}
        max={max}
        step={step}
        onCommit={(value) => set(path, value)}
      />
    ));
}

/** Every number and list behind the sums. */
export function AssumptionsForm({ saved }: { saved: NicheAssumptions }) {
  const { assumptions, set, edit, undo, canUndo, words, conflict } = useAssumptions(saved);
  const numbers = (group: AssumptionField['group']) => (
    <AssumptionNumbers group={group} assumptions={assumptions} set={set} />
  );
  const two = { display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 };
  return (
    <Box component="section" aria-label="Assumptions">
      <ConflictDialog what="The assumptions were" {...conflict} />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 2 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Conditions of the verdict
        </Typography>
        <Button size="small" disabled={!canUndo} onClick={undo}>
          Undo
        </Button>
        <Button size="small" onClick={() => edit(() => DEFAULT_ASSUMPTIONS)}>
          Reset to defaults
        </Button>
        <Typography variant="caption" role="status">
          {words}
        </Typography>
      </Box>
      {CONDITION_GROUPS.map(([word, heading]) => (
        <Box key={word} sx={{ mb: 3 }}>
          <Typography variant="h3" sx={{ mb: 1.5 }}>
            {heading}
          </Typography>
          <Box sx={{ ...two }}>{numbers(word)}</Box>
        </Box>
      ))}
      <Typography variant="h2" sx={{ mb: 2 }}>
        A new book
      </Typography>
      <Box sx={{ ...two, mb: 4 }}>{numbers('newcomer')}</Box>
      <Typography variant="h2" sx={{ mb: 2 }}>
        Days before an occasion
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 3, mb: 4 }}>{numbers('lead')}</Box>
      <Typography variant="h2" sx={{ mb: 2 }}>
        Requests
      </Typography>
      <Box sx={{ ...two, mb: 4 }}>{numbers('requests')}</Box>
      <Typography variant="h2" sx={{ mb: 2 }}>
        Keyword modifiers
      </Typography>
      <Box sx={{ ...two }}>
        {LISTS.map(([key, name]) => (
          <ListField
            key={key}
            name={name}
            list={assumptions.lists[key]}
            onCommit={(list) => set(['lists', key], list)}
          />
        ))}
      </Box>
    </Box>
  );
}

/** A list of words, one per line; pasted columns part by themselves. */
function ListField({
  name,
  list,
  onCommit,
}: {
  name: string;
  list: string[];
  onCommit: (list: string[]) => string | null;
}) {
  const [text, setText] = useState(list.join('\n'));
  const [problem, setProblem] = useState('');
  const words = wordsOf(text);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the typed text stays as long as it says the same
  useEffect(() => {
    if (words.join('\n') !== list.join('\n') && !problem) setText(list.join('\n'));
  }, [list]);
  return (
    <TextField
      label={name}
      multiline
      rows={5}
      value={text}
      error={problem !== ''}
      helperText={problem || `${words.length} words, one per line`}
      onChange={(event) => {
        setText(event.target.value);
        setProblem(onCommit(wordsOf(event.target.value)) ?? '');
      }}
    />
  );
}
