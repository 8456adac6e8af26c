import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { type BroughtTo, bringInItems } from '#core/book/edit.ts';
import { kindOf, type Section } from '#core/book/sections.ts';
import { FromFile } from '../../parts/from-file.tsx';
import { tell } from '../../parts/notices.tsx';
import { textOfFile } from '../../parts/read-text-file.ts';
import { useBook } from '../store.ts';

/** Larger files hold no list of puzzles. */
const MOST_BYTES = 1_000_000;
/** Problems that are shown; of more, how many there are is said. */
const SHOWN = 4;

/** Puzzles of other programs, pasted or from a file: what can be taken is said before it is. */
export function BringInDialog({
  section,
  plural,
  onClose,
}: {
  section: Section;
  /** What the items are called. */
  plural: string;
  onClose: () => void;
}) {
  const edit = useBook((state) => state.edit);
  const kind = kindOf(section);
  const { help, read } = kind.bringIn!;
  const [text, setText] = useState('');
  const [to, setTo] = useState<BroughtTo>('instead');
  const { pins, problems } = useMemo(() => read(text), [read, text]);
  const counted = `${pins.length} ${pins.length === 1 ? kind.itemName : plural}`;
  const take = () => {
    edit((recipe) => bringInItems(recipe, section.id, pins, to));
    tell(`${counted} taken.`);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Bring in {plural}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3 }}>
        <Typography variant="body2">{help}</Typography>
        <TextField
          autoFocus
          multiline
          rows={8}
          label={`Text of the ${plural}`}
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { sx: { fontFamily: 'monospace' }, spellCheck: false } }}
        />
        <FromFile
          label={`A file of ${plural}`}
          accept=".txt,.ipuz,.json,text/plain"
          take={async (file) => {
            setText(await textOfFile(file, MOST_BYTES));
            return `${file.name} was read.`;
          }}
        >
          Take them from a file…
        </FromFile>
        <RadioGroup
          row
          value={to}
          onChange={(_, value) => setTo(value as BroughtTo)}
          aria-label="Where they go"
        >
          <FormControlLabel value="instead" control={<Radio />} label="In place of those in the section" />
          <FormControlLabel value="behind" control={<Radio />} label="Behind them" />
        </RadioGroup>
        {problems.length > 0 && (
          <Alert severity="warning" variant="outlined">
            {problems.slice(0, SHOWN).map((problem) => (
              <div key={problem}>{problem}</div>
            ))}
            {problems.length > SHOWN && <div>And {problems.length - SHOWN} more.</div>}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={pins.length === 0} onClick={take}>
          Take {counted}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
