import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { TopicAnswer } from '#core/lexicon/look-up.ts';
import { type Familiarity, TOPIC_LETTERS, USUAL_FILTER } from '#core/lexicon/topic.ts';
import { NumberField } from '../parts/number-field.tsx';
import { SelectField } from '../parts/select-field.tsx';

const FAMILIAR: readonly { value: Familiarity; label: string }[] = [
  { value: 'everyday', label: 'Everyday words' },
  { value: 'common', label: 'Common words' },
  { value: 'wide', label: 'Less common words too' },
  { value: 'all', label: 'All words, also rare ones' },
];

const SWITCHES = [
  { key: 'phrases', label: 'Phrases (“song thrush”)' },
  { key: 'names', label: 'Names of places and other single things' },
  { key: 'repeats', label: 'A word may be in several lists' },
] as const;

const yesNo = (on: boolean) => (on ? 'yes' : 'no');

/** As the address of a look-up has them. */
export const USUAL_CHOICES = {
  familiarity: USUAL_FILTER.familiarity as Familiarity,
  shortest: String(USUAL_FILTER.shortest),
  longest: String(USUAL_FILTER.longest),
  smallest: String(USUAL_FILTER.smallest),
  phrases: yesNo(USUAL_FILTER.phrases),
  names: yesNo(USUAL_FILTER.names),
  repeats: yesNo(USUAL_FILTER.repeats),
  pattern: USUAL_FILTER.pattern,
};
type Choices = typeof USUAL_CHOICES;

const NUMBERS = [
  { key: 'shortest', label: 'Shortest word', min: TOPIC_LETTERS.fewest, max: TOPIC_LETTERS.most },
  { key: 'longest', label: 'Longest word', min: TOPIC_LETTERS.fewest, max: TOPIC_LETTERS.most },
  { key: 'smallest', label: 'Smallest list', min: 4, max: 100 },
] as const;

/** Which meaning of the topic is meant, and which of its words are wanted. */
export function TopicFilters({
  answer,
  choices,
  onSense,
  onChoices,
}: {
  answer: TopicAnswer | null;
  choices: Choices;
  onSense: (synset: number) => void;
  onChoices: (choices: Choices) => void;
}) {
  const set = (part: Partial<Choices>) => onChoices({ ...choices, ...part });
  return (
    <Box sx={{ display: 'grid', gap: 3, alignContent: 'start', overflow: 'auto', pt: 3, pb: 2 }}>
      {answer && answer.senses.length > 1 && (
        <SelectField
          label="Meaning"
          value={String(answer.sense)}
          choices={answer.senses.map(({ synset, words, definition }) => ({
            value: String(synset),
            label: `${words[0]}: ${definition}`,
          }))}
          onChange={(sense) => onSense(Number(sense))}
        />
      )}
      <SelectField
        label="How well known"
        value={choices.familiarity}
        choices={FAMILIAR}
        onChange={(familiarity) => set({ familiarity })}
      />
      {NUMBERS.map(({ key, label, min, max }) => (
        <NumberField
          key={key}
          label={label}
          value={Number(choices[key])}
          min={min}
          max={max}
          onCommit={(value) => {
            set({ [key]: String(value) });
            return null;
          }}
        />
      ))}
      <TextField
        label="Letter pattern"
        value={choices.pattern}
        onChange={(event) => set({ pattern: event.target.value })}
        helperText="? for one letter, * for any: s*, ??ll, *berry"
        slotProps={{ htmlInput: { maxLength: TOPIC_LETTERS.most } }}
      />
      <Box>
        {SWITCHES.map(({ key, label }) => (
          <FormControlLabel
            key={key}
            control={
              <Checkbox
                checked={choices[key] === 'yes'}
                onChange={(event) => set({ [key]: yesNo(event.target.checked) })}
              />
            }
            label={label}
          />
        ))}
      </Box>
    </Box>
  );
}
