import Typography from '@mui/material/Typography';
import { type ComponentProps, lazy, Suspense } from 'react';
import type { RichTextEditor } from './rich-text-editor.tsx';

// The editor is large, and few kinds of page have a text.
const Editor = lazy(async () => ({ default: (await import('./rich-text-editor.tsx')).RichTextEditor }));

/** A text with titles, lists, emphasis, fields of the book and pictures. */
export function RichTextField(props: ComponentProps<typeof RichTextEditor>) {
  return (
    <Suspense fallback={<Typography variant="body2">{props.label}…</Typography>}>
      <Editor {...props} />
    </Suspense>
  );
}
