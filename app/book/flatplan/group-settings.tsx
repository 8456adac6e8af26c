import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { changeGroup, partGroup } from '#core/book/edit.ts';
import type { Group } from '#core/book/sections.ts';
import { Choice } from '../../parts/choice.tsx';
import { NumberField } from '../../parts/number-field.tsx';
import { useBook } from '../store.ts';
import { nameOf } from './entries.ts';
import { SolutionSettings } from './solution-settings.tsx';
import { StandingSettings } from './standing-settings.tsx';

const NUMBERINGS = [
  { value: 'through', label: 'Through all' },
  { value: 'apart', label: 'Each its own' },
] as const;

const ORDERS = [
  { value: 'turns', label: 'In turn' },
  { value: 'shuffled', label: 'Shuffled' },
  { value: 'rising', label: 'By level' },
] as const;

/** How often the members of a group come in turn, how their items are numbered, and where their solutions are. */
export function GroupSettings({ entry }: { entry: Group }) {
  const edit = useBook((state) => state.edit);
  const { members, rounds, numbering, order = 'turns' } = entry.group;
  const change = (key: string, to: (now: Group) => Group) =>
    edit((recipe) => changeGroup(recipe, entry.id, to), `${entry.id} ${key}`);
  const setGroup = (key: string, more: Partial<Group['group']>) =>
    change(key, (now) => ({ ...now, group: { ...now.group, ...more } }));
  return (
    <>
      <Typography variant="h2">Alternating pages</Typography>
      <Box component="ol" sx={{ pl: 5, mb: 3 }}>
        {members.map((member) => (
          <li key={member.id}>
            {nameOf(member)}
            {member.times ? ` × ${member.times}` : ''}
          </li>
        ))}
      </Box>
      <Stack spacing={3.5}>
        {entry.fillTo === undefined && (
          <NumberField
            label="Rounds"
            value={rounds}
            min={1}
            max={828}
            step={1}
            onCommit={(next) => setGroup('rounds', { rounds: next })}
          />
        )}
        <StandingSettings entry={entry} />
        <Choice
          label="Order"
          value={order}
          choices={ORDERS}
          onChange={(next) => setGroup('order', { order: next })}
        />
        <Choice
          label="Numbers"
          value={numbering}
          choices={NUMBERINGS}
          onChange={(next) => setGroup('numbering', { numbering: next })}
        />
        <SolutionSettings
          sections={members}
          solutions={entry.solutions}
          onChange={(more) =>
            change('solutions', (now) => ({ ...now, solutions: { ...now.solutions, ...more } }))
          }
        />
        <Button variant="outlined" onClick={() => edit((recipe) => partGroup(recipe, entry.id))}>
          Ungroup, one after the other
        </Button>
      </Stack>
    </>
  );
}
