import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import { isAnswer, type QuizTrial } from '#core/pages/puzzle/trial.ts';
import type { TrialProps } from './trial-props.ts';

/** Questions that are answered, and checked all at once. */
export default function QuestionsTrial({ item: { questions }, onSolved }: TrialProps<QuizTrial>) {
  const [given, setGiven] = useState<readonly string[]>(questions.map(() => ''));
  /** What was given when it was last checked. */
  const [checked, setChecked] = useState<readonly string[] | null>(null);
  const give = (question: number, answer: string) =>
    setGiven(given.map((one, i) => (i === question ? answer : one)));
  const isRight = (i: number) => isAnswer(questions[i]!, given[i]!);
  const stateOf = (i: number): 'right' | 'wrong' | null => {
    if (!checked || checked[i] !== given[i] || !given[i]) return null;
    return isRight(i) ? 'right' : 'wrong';
  };
  const answered = given.filter(Boolean).length;
  const right = questions.filter((_, i) => stateOf(i) === 'right').length;
  const open = questions.findIndex((_, i) => stateOf(i) !== 'right');
  const check = (now: readonly string[]) => {
    setChecked(now);
    if (questions.every((question, i) => isAnswer(question, now[i]!))) onSolved();
  };
  const show = () => {
    const now = given.map((one, i) => (i === open ? questions[i]!.answer : one));
    setGiven(now);
    setChecked(now);
    if (questions.every((question, i) => isAnswer(question, now[i]!))) onSolved();
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 220px', gap: 6 }}>
      <Box
        component="ol"
        sx={{
          ...{ m: 0, pl: 6, display: 'grid', gap: 4 },
          ...{ maxHeight: 460, overflow: 'auto', position: 'relative' },
        }}
      >
        {questions.map((question, i) => (
          <Asked
            key={i}
            {...question}
            given={given[i]!}
            state={stateOf(i)}
            onGive={(answer) => give(i, answer)}
          />
        ))}
      </Box>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start', justifyItems: 'start' }}>
        <Typography role="status">
          {checked ? `${right} of ${questions.length} right` : `${answered} of ${questions.length} answered`}
        </Typography>
        <Button size="small" disabled={answered === 0} onClick={() => check(given)}>
          Check
        </Button>
        <Button size="small" disabled={open < 0} onClick={show}>
          Show an answer
        </Button>
      </Box>
    </Box>
  );
}

function Asked({
  question,
  choices,
  given,
  state,
  onGive,
}: {
  question: string;
  choices: readonly string[];
  given: string;
  state: 'right' | 'wrong' | null;
  onGive: (answer: string) => void;
}) {
  const id = useId();
  const said = state === 'right' ? 'Right.' : state === 'wrong' ? 'Wrong. Try another answer.' : '';
  const color = state === 'wrong' ? 'error.main' : 'primary.main';
  return (
    <Box component="li">
      {choices.length ? (
        <FormControl>
          <FormLabel id={id} sx={{ color: 'text.primary' }}>
            {question}
          </FormLabel>
          <RadioGroup row aria-labelledby={id} value={given} onChange={(_, answer) => onGive(answer)}>
            {choices.map((choice) => (
              <FormControlLabel key={choice} value={choice} control={<Radio size="small" />} label={choice} />
            ))}
          </RadioGroup>
        </FormControl>
      ) : (
        <>
          <Typography id={id}>{question}</Typography>
          <TextField
            size="small"
            value={given}
            onChange={(event) => onGive(event.target.value)}
            autoComplete="off"
            slotProps={{ htmlInput: { 'aria-labelledby': id } }}
          />
        </>
      )}
      <Typography variant="body2" sx={{ color, minHeight: 20 }}>
        {said}
      </Typography>
    </Box>
  );
}
