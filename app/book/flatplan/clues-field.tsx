import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ComponentProps, useRef, useState } from 'react';
import { clueLine, hasCluesInGrid } from '#core/pages/puzzle/clued-words.ts';
import { readTexts } from '#core/text-lists/index.ts';
import { complain, tell } from '../../parts/notices.tsx';
import { AddFromTopic } from '../../words/add-from-topic.tsx';
import { definitionsOf } from '../../words/definitions-of.ts';
import { AllReviewed } from './reviewed-clues.tsx';
import { TextsField } from './texts-field.tsx';

/** Words with their clues: typed, from a file, or from a topic; clues from the dictionary are marked until somebody has read them. */
export function CluesField(props: ComponentProps<typeof TextsField>) {
  const { section, option, onChange } = props;
  const value = section.options[option] as string;
  const [asking, setAsking] = useState(false);
  // What was typed while the dictionary was asked is there when it answers.
  const latest = useRef(value);
  latest.current = value;
  const bare = readTexts(value).filter(({ credit }) => !credit);
  const ask = async (
    words: readonly string[],
    write: (clues: Record<string, string>, now: string) => string,
  ) => {
    try {
      const clues = await definitionsOf(words, hasCluesInGrid(section));
      const problem = onChange(write(clues, latest.current));
      if (problem) return complain(problem);
      const found = words.filter((word) => clues[word]).length;
      tell(
        `${found} of ${words.length} words have a clue from the dictionary. Read each and take its ~ away.`,
      );
    } catch {
      complain('The dictionary cannot be reached. Try again.');
    }
  };
  const fillIn = () =>
    ask(
      bare.map(({ text }) => text),
      (clues, now) =>
        now
          .split('\n')
          .map((line) => {
            const [one] = readTexts(line);
            return one && !one.credit && clues[one.text] ? clueLine(one.text, clues[one.text]) : line;
          })
          .join('\n'),
    );
  return (
    <Box>
      <TextsField {...props} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button size="small" onClick={() => setAsking(true)}>
          Words from a topic…
        </Button>
        {bare.length > 0 && (
          <Button size="small" onClick={() => void fillIn()}>
            Clues for {bare.length} without one
          </Button>
        )}
        <AllReviewed clues={value} onChange={onChange} />
      </Box>
      {asking && (
        <AddFromTopic
          label="Add these words"
          onClose={() => setAsking(false)}
          onLists={(lists) => {
            const words = [...new Set(lists.flatMap((list) => list.words))];
            void ask(words, (clues, now) =>
              [now.trimEnd(), ...words.flatMap((word) => (clues[word] ? [clueLine(word, clues[word])] : []))]
                .filter(Boolean)
                .join('\n'),
            );
          }}
        />
      )}
    </Box>
  );
}
