import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { useFetcher } from 'react-router';
import type { TopicAnswer } from '#core/lexicon/look-up.ts';
import { MOST_TOPIC } from '#core/lexicon/topic.ts';
import type { WordList } from '#core/words/index.ts';
import { TopicFilters, USUAL_CHOICES } from './topic-filters.tsx';
import { FoundList } from './topic-list.tsx';

const HOW = { ready: 'ready list', kinds: 'kinds', parts: 'parts', around: 'named with it' } as const;

interface Found extends WordList {
  title: string;
  how: keyof typeof HOW;
}

/** Changes to a list that was found. */
interface Edit {
  title?: string;
  taken?: boolean;
  without: ReadonlySet<string>;
}

/** Lists keep what was changed in them when they are looked up with other settings. */
const keyOf = ({ how, title }: Found) => `${how} ${title}`;
const NO_WORDS: ReadonlySet<string> = new Set();

/** The kinds of it, the ready lists, then what is named with it. */
const foundIn = ({ ready, lists }: TopicAnswer): Found[] => [
  ...lists.filter(({ how }) => how === 'kinds'),
  ...ready.map((list): Found => ({ ...list, how: 'ready' })),
  ...lists.filter(({ how }) => how !== 'kinds'),
];

/** Lists of words for a topic: looked up, chosen, edited and taken. */
export function TopicDialog({
  actions,
  onClose,
}: {
  /** The buttons that take the chosen lists, told them. */
  actions: (lists: Found[]) => ReactNode;
  onClose: () => void;
}) {
  const fetcher = useFetcher<TopicAnswer | { refused: string }>();
  const [topic, setTopic] = useState('');
  const [choices, setChoices] = useState(USUAL_CHOICES);
  const [edits, setEdits] = useState<ReadonlyMap<string, Edit>>(new Map());
  const answer = fetcher.data && !('refused' in fetcher.data) ? fetcher.data : null;
  const found = useMemo(() => (answer ? foundIn(answer) : []), [answer]);
  const asked = answer && `${answer.topic} ${answer.sense}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the lists of another topic have not been edited
  useEffect(() => setEdits(new Map()), [asked]);
  const lookUp = (text: string, chosen = choices, sense?: number) => {
    if (!text.trim()) return;
    const query = new URLSearchParams({
      topic: text.trim(),
      ...chosen,
      ...(sense === undefined ? {} : { sense: String(sense) }),
    });
    void fetcher.load(`/topic-lists?${query}`);
  };
  const shown = found.map((list) => {
    const key = keyOf(list);
    const edit = edits.get(key);
    return {
      ...list,
      key,
      title: edit?.title ?? list.title,
      taken: edit?.taken ?? list.how === 'kinds',
      without: edit?.without ?? NO_WORDS,
    };
  });
  const change = (key: string, part: Partial<Edit>) =>
    setEdits((now) => new Map(now).set(key, { without: NO_WORDS, ...now.get(key), ...part }));
  const takeAll = (taken: boolean) => {
    for (const { key } of shown) change(key, { taken });
  };
  const chosen = shown.flatMap(({ taken, without, key: _, ...list }) => {
    const words = list.words.filter((word) => !without.has(word));
    return taken && words.length ? [{ ...list, title: list.title.trim() || answer!.topic, words }] : [];
  });
  const total = chosen.reduce((sum, { words }) => sum + words.length, 0);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" slotProps={{ paper: { sx: { height: '88vh' } } }}>
      <DialogTitle>Word lists from a topic</DialogTitle>
      <DialogContent
        sx={{ display: 'grid', gridTemplateRows: 'auto auto minmax(0, 1fr)', overflow: 'hidden', pb: 0 }}
      >
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            lookUp(topic);
          }}
          sx={{ display: 'flex', gap: 3, alignItems: 'start', pt: 2 }}
        >
          <TextField
            label="Topic"
            value={topic}
            autoFocus
            onChange={(event) => setTopic(event.target.value)}
            slotProps={{ htmlInput: { maxLength: MOST_TOPIC } }}
            helperText="One or two words: birds, garden tools, weather. English."
            sx={{ flex: 1 }}
          />
          <Button type="submit" variant="contained" disabled={!topic.trim()}>
            Look up
          </Button>
        </Box>
        <Box sx={{ minHeight: 4 }}>
          {fetcher.state !== 'idle' && <LinearProgress aria-label="Looking up" />}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: '260px minmax(0, 1fr)', gap: 5, minHeight: 0 }}>
          <TopicFilters
            answer={answer}
            choices={choices}
            onSense={(sense) => lookUp(answer!.topic, choices, sense)}
            onChoices={(next) => {
              setChoices(next);
              if (answer) lookUp(answer.topic, next, answer.sense ?? undefined);
            }}
          />
          <Box sx={{ overflow: 'auto', position: 'relative', pr: 2 }}>
            {fetcher.data && 'refused' in fetcher.data && (
              <Alert severity="error" variant="outlined">
                {fetcher.data.refused}
              </Alert>
            )}
            {!answer && (
              <Typography color="text.secondary" sx={{ mt: 2 }}>
                Type a topic to see its words in lists with titles: all kinds of it, in groups, and what is
                named with it.
              </Typography>
            )}
            {answer && (
              <>
                <Box sx={{ display: 'flex', gap: 3, alignItems: 'baseline', mb: 2 }}>
                  <Typography role="status" sx={{ flex: 1 }}>
                    {sayFound(answer, found)}
                  </Typography>
                  {found.length > 0 && (
                    <>
                      <Link component="button" underline="always" onClick={() => takeAll(true)}>
                        Select all
                      </Link>
                      <Link component="button" underline="always" onClick={() => takeAll(false)}>
                        Select none
                      </Link>
                    </>
                  )}
                </Box>
                {found.length === 0 &&
                  answer.near.map((near) => (
                    <Button
                      key={near}
                      size="small"
                      onClick={() => {
                        setTopic(near);
                        lookUp(near);
                      }}
                    >
                      {near}
                    </Button>
                  ))}
              </>
            )}
            {shown.map((list) => (
              <FoundList
                key={`${asked} ${list.key}`}
                list={list}
                how={HOW[list.how]}
                onTaken={(taken) => change(list.key, { taken })}
                onTitle={(title) => change(list.key, { title })}
                onWord={(word) => {
                  const without = new Set(list.without);
                  if (!without.delete(word)) without.add(word);
                  change(list.key, { without });
                }}
              />
            ))}
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ gap: 2, px: 6, pb: 4 }}>
        <Typography role="status" sx={{ flex: 1 }}>
          {total > 0 && `${counted(total, 'word')} in ${counted(chosen.length, 'list')}`}
        </Typography>
        <Button onClick={onClose}>Cancel</Button>
        {actions(chosen)}
      </DialogActions>
    </Dialog>
  );
}

const counted = (count: number, one: string) =>
  `${count.toLocaleString('en-US')} ${count === 1 ? one : `${one}s`}`;

function sayFound({ topic, near }: TopicAnswer, found: readonly Found[]): string {
  if (found.length > 0)
    return `${counted(found.length, 'list')} for “${topic}”. Click a word to leave it out.`;
  return `No words for “${topic}” with these settings. ${near.length ? 'Look up one of these:' : 'Try one common noun, or wider settings.'}`;
}
