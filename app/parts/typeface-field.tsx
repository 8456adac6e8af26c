import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type FaceChoice, faceOf } from '#core/faces/choice.ts';
import {
  FAMILIES,
  type FaceId,
  type Family,
  familyOf,
  MOODS,
  type OwnFace,
  otherScripts,
  type ShippedFace,
} from '#core/faces/index.ts';
import type { NamedResource, TypefaceFacts } from '#core/resources/index.ts';
import { FaceName } from './face-name.tsx';

/** A typeface as it stands in the list. */
interface Listed {
  /** Differs from that of every other. */
  key: string;
  group: string;
  name: string;
  notes: string;
  face: FaceId;
  choice: ShippedFace | NamedResource;
}

/** What else is said of a family: what it is good for, and the scripts beyond Latin. */
const notesOf = (family: Family): string => [family.good, ...otherScripts(family)].filter(Boolean).join(', ');

const ownFace = (resource: NamedResource): Listed => ({
  key: resource.hash,
  group: 'Your own',
  name: resource.name,
  notes: resource.rights?.license ?? '',
  face: resource.hash as OwnFace,
  choice: resource,
});

/** Families by name, the upright styles of each before the slanted ones, from light to heavy. */
function byFamily(one: NamedResource, other: NamedResource): number {
  const a = one.facts as TypefaceFacts;
  const b = other.facts as TypefaceFacts;
  return a.family.localeCompare(b.family) || Number(a.italic) - Number(b.italic) || a.weight - b.weight;
}

/** A typeface, the publisher's own first and then those that ship, by mood, each in its own look; typing narrows them. */
export function TypefaceField({
  label,
  value,
  own,
  named,
  shippedFace,
  onChange,
}: {
  label: string;
  value: FaceChoice;
  /** The publisher's own. */
  own: readonly NamedResource[];
  /** The resources of the book. */
  named: Readonly<Record<string, NamedResource>>;
  /** The face of a family that is meant here. */
  shippedFace: (family: Family) => ShippedFace;
  onChange: (choice: ShippedFace | NamedResource) => void;
}) {
  const shipped = (family: Family): Listed => ({
    key: family.id,
    group: MOODS[family.mood],
    name: family.name,
    notes: notesOf(family),
    face: shippedFace(family),
    choice: shippedFace(family),
  });
  const byMood = Object.keys(MOODS).flatMap((mood) =>
    FAMILIES.filter((family: Family) => family.mood === mood),
  );
  const used = typeof value === 'string' ? [] : [named[value.typeface]!];
  const owned = [...new Map([...used, ...own].map((one) => [one.hash, one])).values()].sort(byFamily);
  const listed = [...owned.map(ownFace), ...byMood.map(shipped)];
  const key = typeof value === 'string' ? familyOf(value).id : faceOf(value, named);
  return (
    <Autocomplete
      options={listed}
      value={listed.find((one) => one.key === key)!}
      isOptionEqualToValue={(one, other) => one.key === other.key}
      disableClearable
      groupBy={({ group }) => group}
      getOptionLabel={({ name }) => name}
      getOptionKey={(one) => one.key}
      onChange={(_, { choice }) => onChange(choice)}
      renderOption={({ key: optionKey, ...props }, { face, name, notes }) => (
        <li key={optionKey} {...props}>
          <span>
            <FaceName face={face}>{name}</FaceName>
            {notes && (
              <Typography variant="caption" component="div" color="text.secondary">
                {notes}
              </Typography>
            )}
          </span>
        </li>
      )}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}
