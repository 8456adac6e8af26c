import { LiveTextField } from '../parts/live-text-field.tsx';
import { useFrozen } from './open-book.tsx';
import { useBook } from './store.ts';

/** The title, which stays once the book is live. */
export function TitleField() {
  const title = useBook((state) => state.value.title);
  const edit = useBook((state) => state.edit);
  const { stays, changed } = useFrozen('title');
  return (
    <LiveTextField
      label="Title"
      field="title"
      value={title}
      locked={stays}
      hint={changed ?? undefined}
      onCommit={(typed) => edit((now) => ({ ...now, title: typed }), 'title')}
    />
  );
}
