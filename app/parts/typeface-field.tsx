import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { FAMILIES, type FaceId, type Family, familyOf, MOODS, otherScripts } from '#core/faces/index.ts';
import { FaceName } from './face-name.tsx';

/** By mood, as they are listed. */
const FAMILIES_BY_MOOD: readonly Family[] = Object.keys(MOODS).flatMap((mood) =>
  FAMILIES.filter((family: Family) => family.mood === mood),
);

/** What else is said of a family: what it is good for, and the scripts beyond Latin. */
const notes = (family: Family): string => [family.good, ...otherScripts(family)].filter(Boolean).join(', ');

/** A typeface from those that ship, each in its own look, by mood; typing narrows them. */
export function TypefaceField({
  label,
  value,
  faceOf,
  onChange,
}: {
  label: string;
  value: FaceId;
  /** The face of a family that is meant here. */
  faceOf: (family: Family) => FaceId;
  onChange: (face: FaceId) => void;
}) {
  return (
    <Autocomplete
      options={FAMILIES_BY_MOOD}
      value={familyOf(value)}
      disableClearable
      groupBy={({ mood }) => MOODS[mood]}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ id }) => id}
      onChange={(_, family) => onChange(faceOf(family))}
      renderOption={({ key, ...props }, family) => (
        <li key={key} {...props}>
          <span>
            <FaceName face={faceOf(family)}>{family.name}</FaceName>
            {notes(family) && (
              <Typography variant="caption" component="div" color="text.secondary">
                {notes(family)}
              </Typography>
            )}
          </span>
        </li>
      )}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}
