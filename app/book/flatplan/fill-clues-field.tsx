import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ComponentProps, useRef, useState } from 'react';
import { clueLine, hasCluesInGrid, NO_CLUE } from '#core/pages/puzzle/clued-words.ts';
import { complain, tell } from '../../parts/notices.tsx';
import { drawingRenderer } from '../../preview/renderers.ts';
import { definitionsOf } from '../../words/definitions-of.ts';
import { useBookStore } from '../store.ts';
import { AllReviewed } from './reviewed-clues.tsx';
import { TextsField } from './texts-field.tsx';

/** Clues of the words that fill the grids of a section: typed, from a file, or from the dictionary. */
export function FillCluesField(props: ComponentProps<typeof TextsField>) {
  const { section, option, onChange } = props;
  const value = section.options[option] as string;
  const store = useBookStore();
  const [isMaking, setMaking] = useState(false);
  // What was typed while the dictionary was asked is there when it answers.
  const latest = useRef(value);
  latest.current = value;
  const fillIn = async () => {
    setMaking(true);
    try {
      const recipe = store.getState().value;
      const all = Array.from({ length: section.items ?? 1 }, (_, i) => i + 1);
      const saved = await drawingRenderer(recipe).saved(section.id, all, NO_CLUE);
      if (!saved) return complain('The book was changed meanwhile. Ask again.');
      const words = [...new Set(saved.text.split('\n').filter(Boolean))].sort();
      if (!words.length) return tell('Every word has a clue.');
      const clues = await definitionsOf(words, hasCluesInGrid(section));
      const found = words.filter((word) => clues[word]);
      const bare = words.filter((word) => !clues[word]);
      const problem = onChange(
        // Words that the dictionary has no clue for come first, to be written by hand.
        [latest.current.trim(), ...bare, ...found.map((word) => clueLine(word, clues[word]!))]
          .filter(Boolean)
          .join('\n'),
      );
      if (problem) return complain(problem);
      tell(
        `${found.length} of ${words.length} words have a clue from the dictionary. Read each and take its ~ away.`,
      );
    } catch {
      complain('The dictionary cannot be reached. Try again.');
    } finally {
      setMaking(false);
    }
  };
  return (
    <Box>
      <TextsField {...props} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button size="small" loading={isMaking} loadingPosition="start" onClick={() => void fillIn()}>
          {isMaking ? 'Making the grids…' : 'Clues from the dictionary'}
        </Button>
        <AllReviewed clues={value} onChange={onChange} />
      </Box>
    </Box>
  );
}
