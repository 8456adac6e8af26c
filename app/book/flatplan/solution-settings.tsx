import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { kindOf, MOST_HINTS, type Section, SOLUTIONS_PER_PAGE, type Solutions } from '#core/book/sections.ts';
import { Choice } from '../../parts/choice.tsx';
import { NumberField } from '../../parts/number-field.tsx';
import { SelectField } from '../../parts/select-field.tsx';

const PLACES = [
  { value: 'end', label: 'At the end' },
  { value: 'after', label: 'After this section' },
  { value: 'overleaf', label: 'On the back of each page' },
  { value: 'facing', label: 'On the facing page' },
  { value: 'foot', label: 'Upside down at the foot' },
  { value: 'none', label: 'None' },
] as const;
const FORMS = [
  { value: 'boxes', label: 'Boxes' },
  { value: 'columns', label: 'Columns of text' },
] as const;
const ORDERS = [
  { value: 'forward', label: 'In order' },
  { value: 'reverse', label: 'In reverse' },
] as const;
const JOINS = [
  { value: 'apart', label: 'On a new page' },
  { value: 'together', label: 'On the same page' },
] as const;

const HINTS = Array.from({ length: MOST_HINTS + 1 }, (_, n) => ({ value: n, label: n ? String(n) : 'None' }));

/** Where and how the solutions of a section, or of all members of a group, are shown. */
export function SolutionSettings({
  sections,
  solutions,
  onChange,
}: {
  sections: readonly Section[];
  solutions: Solutions;
  onChange: (more: Partial<Solutions>) => void;
}) {
  const shown = sections.flatMap((section) => kindOf(section).solution ?? []);
  if (shown.length === 0) return null;
  const bothForms = shown.every(({ box, lines }) => box && lines);
  const { place, form, perPage, columns, order, together, hints = 0, hintsNamed = false } = solutions;
  const tellsSteps = sections.some((section) => kindOf(section).hints);
  const inColumns = bothForms ? form === 'columns' : !shown.every(({ box }) => box);
  const gathered = place === 'end' || place === 'after';
  return (
    <>
      <SelectField
        label="Solutions"
        value={place}
        choices={PLACES}
        onChange={(next) => onChange({ place: next })}
      />
      {gathered && bothForms && (
        <Choice label="Shown as" value={form} choices={FORMS} onChange={(next) => onChange({ form: next })} />
      )}
      {gathered &&
        (inColumns ? (
          <NumberField
            label="Columns"
            value={columns}
            min={1}
            max={6}
            step={1}
            onCommit={(next) => {
              onChange({ columns: next });
              return null;
            }}
          />
        ) : (
          <Choice
            label="Solutions per page"
            value={perPage}
            choices={SOLUTIONS_PER_PAGE.map((n) => ({ value: n, label: String(n) }))}
            onChange={(next) => onChange({ perPage: next })}
          />
        ))}
      {gathered && (
        <Choice
          label="Order of solutions"
          value={order}
          choices={ORDERS}
          onChange={(next) => onChange({ order: next })}
        />
      )}
      {place === 'end' && (
        <Choice
          label="After the section before"
          value={together ? 'together' : 'apart'}
          choices={JOINS}
          onChange={(next) => onChange({ together: next === 'together' })}
        />
      )}
      {tellsSteps && (
        <Choice
          label="Hint pages: first steps of each"
          value={hints}
          choices={HINTS}
          // Named where they come new; where they are there, as it was set.
          onChange={(next) => onChange({ hints: next, ...(hints ? {} : { hintsNamed: true }) })}
        />
      )}
      {tellsSteps && hints > 0 && (
        <FormControlLabel
          control={
            <Switch checked={hintsNamed} onChange={(_, checked) => onChange({ hintsNamed: checked })} />
          }
          label="Name their page at each puzzle"
        />
      )}
    </>
  );
}
