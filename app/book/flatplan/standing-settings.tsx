import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { changeEntry, changeSection, fillTo } from '#core/book/edit.ts';
import { type Back, type Entry, isGroup, kindOf, MOST_TIMES, type Section } from '#core/book/sections.ts';
import { Choice } from '../../parts/choice.tsx';
import { NumberField } from '../../parts/number-field.tsx';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

const BACKS = [
  { value: 'next', label: 'Next page' },
  { value: 'blank', label: 'Blank' },
  { value: 'gray', label: 'Gray' },
] as const;

/** Whether an entry fills the book, and on which side it begins. */
export function StandingSettings({ entry }: { entry: Entry }) {
  const edit = useBook((state) => state.edit);
  const { plan, ticket } = useOpenBook();
  const fills = entry.fillTo !== undefined;
  const counted = isGroup(entry) || entry.pages !== undefined || entry.items !== undefined;
  return (
    <>
      {counted && (
        <FormControlLabel
          control={
            <Switch
              checked={fills}
              onChange={(_, on) =>
                edit((recipe) => fillTo(recipe, entry.id, on ? plan.pages.length : undefined))
              }
            />
          }
          label="Fill the book"
        />
      )}
      {fills && (
        <NumberField
          label="Pages of the book"
          value={entry.fillTo!}
          min={2}
          max={ticket.limits.max}
          step={2}
          onCommit={(pages) => edit((recipe) => fillTo(recipe, entry.id, pages), `${entry.id} fill`)}
        />
      )}
      <FormControlLabel
        control={
          <Switch
            checked={entry.starts === 'right'}
            onChange={(_, on) =>
              edit((recipe) =>
                changeEntry(recipe, entry.id, ({ starts: _was, ...rest }) =>
                  on ? { ...rest, starts: 'right' } : rest,
                ),
              )
            }
          />
        }
        label="Begin on a right-hand page"
      />
    </>
  );
}

/** What is on the backs of its pages and, in a group, how often it comes in a round. */
export function PageSettings({
  section,
  member,
  facing,
}: {
  section: Section;
  member: boolean;
  /** All of its pages face each other: what is behind them is another of them. */
  facing: boolean;
}) {
  const edit = useBook((state) => state.edit);
  const change = (key: string, to: (now: Section) => Section) =>
    edit((recipe) => changeSection(recipe, section.id, to), `${section.id} ${key}`);
  return (
    <>
      {member && (
        <NumberField
          label="Times in each round"
          value={section.times ?? 1}
          min={1}
          max={MOST_TIMES}
          onCommit={(times) =>
            change('times', ({ times: _was, ...now }) => (times === 1 ? now : { ...now, times }))
          }
        />
      )}
      {kindOf(section).extent !== 'single' && !facing && (
        <Choice
          label="Backs of its pages"
          value={section.backs ?? 'next'}
          choices={BACKS}
          onChange={(backs: Back | 'next') =>
            change('backs', ({ backs: _was, ...now }) => (backs === 'next' ? now : { ...now, backs }))
          }
        />
      )}
    </>
  );
}
