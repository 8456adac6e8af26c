import { useNavigate } from 'react-router';
import { useShortcut } from './shortcuts.tsx';

interface ViewShortcutsProps {
  group: string;
  /** The address that the views lie under. */
  under: string;
  views: readonly (readonly [path: string, name: string])[];
}

/** Alt and a number opens a view, also while something is typed. */
export const ViewShortcuts = ({ group, under, views }: ViewShortcutsProps) =>
  views.map(([path, name], i) => (
    <ViewShortcut key={path} keys={`alt+${i + 1}`} name={name} group={group} to={`${under}/${path}`} />
  ));

function ViewShortcut({ keys, name, group, to }: { keys: string; name: string; group: string; to: string }) {
  const navigate = useNavigate();
  useShortcut({ keys, does: `Open ${name}`, group, byPlace: true, inFields: true }, () => void navigate(to));
  return null;
}
