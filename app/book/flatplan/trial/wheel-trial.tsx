import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { spelledWord, type WheelTrial } from '#core/pages/puzzle/trial.ts';
import type { TrialProps } from './trial-props.ts';
import { WordsToFind } from './words-to-find.tsx';

const SIZE = 260;
/** Of a letter's button, and from the middle to those around it. */
const LETTER = 56;
const AROUND = 92;

/** Words that are made from letters, typed or with the mouse. */
export default function LettersTrial({ item: trial, onSolved }: TrialProps<WheelTrial>) {
  const { letters, words } = trial;
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<readonly string[]>([]);
  const [shown, setShown] = useState<readonly string[]>([]);
  const [says, setSays] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const known = [...found, ...shown];
  const type = (text: string) => {
    setTyped(text);
    setSays('');
  };
  const enter = () => {
    if (!typed.trim()) return;
    const spelled = spelledWord(trial, typed, known);
    setTyped('');
    field.current?.focus();
    if ('problem' in spelled) return setSays(spelled.problem);
    setSays(spelled.word.length === letters.length ? `${spelled.word} takes all letters.` : '');
    setFound([...found, spelled.word]);
    if (known.length + 1 === words.length) onSolved();
  };
  const open = words.find((word) => !known.includes(word));
  const others = [...letters].slice(1);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 260px', gap: 6 }}>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          enter();
        }}
        sx={{ display: 'grid', justifyItems: 'center', alignContent: 'start', gap: 4 }}
      >
        <Box sx={{ position: 'relative', width: SIZE, height: SIZE }}>
          {[...letters].map((letter, i) => {
            const angle = (2 * Math.PI * (i - 1)) / others.length - Math.PI / 2;
            const [x, y] = i === 0 ? [0, 0] : [AROUND * Math.cos(angle), AROUND * Math.sin(angle)];
            return (
              <Button
                key={i}
                variant={i === 0 ? 'contained' : 'outlined'}
                aria-label={i === 0 ? `${letter}, in every word` : letter}
                onClick={() => type(typed + letter)}
                sx={{
                  position: 'absolute',
                  left: SIZE / 2 + x - LETTER / 2,
                  top: SIZE / 2 + y - LETTER / 2,
                  width: LETTER,
                  height: LETTER,
                  minWidth: LETTER,
                  p: 0,
                  borderRadius: '50%',
                  fontSize: 22,
                }}
              >
                {letter}
              </Button>
            );
          })}
        </Box>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <TextField
            label="Word"
            size="small"
            autoFocus
            inputRef={field}
            value={typed}
            onChange={(event) => type(event.target.value.toLocaleUpperCase('en'))}
            autoComplete="off"
          />
          <Button type="submit" disabled={!typed.trim()}>
            Enter
          </Button>
          <Button disabled={!typed} sx={{ whiteSpace: 'nowrap' }} onClick={() => type(typed.slice(0, -1))}>
            Take back
          </Button>
        </Box>
        <Typography role="alert" variant="body2" sx={{ minHeight: 24 }}>
          {says}
        </Typography>
      </Box>
      <WordsToFind
        help={`Type words of ${trial.shortest} letters or more, each with the ${letters[0]}, or put them together with the mouse. One takes all letters.`}
        found={found.length}
        total={words.length}
        onShow={
          open
            ? () => {
                setShown([...shown, open]);
                setSays('');
                if (known.length + 1 === words.length) onSolved();
              }
            : null
        }
        words={[...known].sort().map((word) => ({
          word,
          shown: word,
          sx: shown.includes(word) ? { color: 'text.secondary', fontStyle: 'italic' } : {},
        }))}
      />
    </Box>
  );
}
