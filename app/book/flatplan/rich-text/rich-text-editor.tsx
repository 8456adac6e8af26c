import Box from '@mui/material/Box';
import FormHelperText from '@mui/material/FormHelperText';
import Typography from '@mui/material/Typography';
import { EditorContent, useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useId, useRef, useState } from 'react';
import { changeSection, takeResource } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import { faceOf } from '#core/faces/choice.ts';
import { emphasizedFace } from '#core/faces/index.ts';
import { TEXT_FIELDS, type TextField } from '#core/pages/text-page/fields.ts';
import type { NamedResource } from '#core/resources/index.ts';
import { readMarkdown, writeMarkdown } from '#core/rich-text/markdown.ts';
import { useFace } from '../../../parts/face-name.tsx';
import { uploadPicture } from '../../../parts/upload-resource.ts';
import { tokens } from '../../../theme.ts';
import { useBook } from '../../store.ts';
import { documentOf, partsOfDocument } from './document.ts';
import { fieldNode, pictureNode } from './nodes.tsx';
import { Toolbar } from './toolbar.tsx';

const FIELDS = Object.keys(TEXT_FIELDS) as TextField[];

const EXTENSIONS = [
  StarterKit.configure({
    blockquote: false,
    code: false,
    codeBlock: false,
    heading: { levels: [1] },
    horizontalRule: false,
    link: false,
    strike: false,
    underline: false,
  }),
  fieldNode((field) => TEXT_FIELDS[field as TextField]?.label ?? field),
  pictureNode,
];

/** The text of a page as it will look, in the faces of the house style. It is kept as Markdown, pictures beside it. */
export function RichTextEditor({
  section,
  option,
  label,
}: {
  section: Section;
  option: string;
  label: string;
}) {
  const edit = useBook((state) => state.edit);
  const recipe = useBook((state) => state.value);
  const text = section.options[option] as string;
  const pictures = section.options.pictures as readonly string[];
  const labelId = useId();
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  /** What this editor wrote last: whatever else the book says came from elsewhere. */
  const written = useRef({ text, pictures });
  const key = `${section.id} ${option}`;
  const read = () => documentOf(readMarkdown(text), pictures, FIELDS);

  const editor = useEditor({
    extensions: EXTENSIONS,
    content: read(),
    immediatelyRender: false,
    // The rules of the page forbid a style sheet of its own; what it needs stands below.
    injectCSS: false,
    editorProps: { attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-labelledby': labelId } },
    onUpdate: ({ editor: now }) => {
      const { parts, pictures: named } = partsOfDocument(now.getJSON());
      const next = { text: writeMarkdown(parts), pictures: named };
      const refused = edit(
        (book) =>
          changeSection(book, section.id, (entry) => ({
            ...entry,
            options: { ...entry.options, [option]: next.text, pictures: next.pictures },
          })),
        key,
      );
      if (!refused) written.current = next;
      setProblem(refused ?? '');
    },
  });

  // By undo, in another tab, or another section.
  const foreign = text !== written.current.text || String(pictures) !== String(written.current.pictures);
  useEffect(() => {
    if (!editor || !foreign) return;
    written.current = { text, pictures };
    setProblem('');
    editor.chain().setMeta('addToHistory', false).setContent(read(), { emitUpdate: false }).run();
  });

  const take = async (file: File) => {
    setBusy(true);
    setProblem('');
    let kept: NamedResource;
    try {
      kept = await uploadPicture(file);
    } catch (error) {
      setProblem(`${file.name}: ${(error as Error).message}`);
      return;
    } finally {
      setBusy(false);
    }
    let id = '';
    const refused = edit(
      (book) =>
        takeResource(book, section.id, kept, (entry, given) => {
          id = given;
          const before = entry.options.pictures as string[];
          const all = before.includes(given) ? before : [...before, given];
          written.current = { ...written.current, pictures: all };
          return { ...entry, options: { ...entry.options, pictures: all } };
        }),
      key,
    );
    if (refused) setProblem(refused);
    else editor?.chain().focus().insertContent({ type: 'picture', attrs: { id } }).run();
  };

  const { typefaces } = recipe.style;
  const body = faceOf(typefaces.text, recipe.resources);
  const faces = {
    body: useFace(body),
    title: useFace(faceOf(typefaces.display, recipe.resources)),
    bold: useFace(emphasizedFace(body, { bold: true })),
    italic: useFace(emphasizedFace(body, { italic: true })),
    both: useFace(emphasizedFace(body, { bold: true, italic: true })),
  };

  return (
    <Box>
      <Typography variant="body2" id={labelId}>
        {label}
      </Typography>
      <Box
        sx={{
          mt: 1,
          border: 1,
          borderColor: problem ? 'error.main' : 'divider',
          borderRadius: 1,
          '&:focus-within': { borderColor: problem ? 'error.main' : 'primary.main' },
          '& .ProseMirror': {
            minHeight: 160,
            maxHeight: 420,
            overflow: 'auto',
            position: 'relative',
            p: 3,
            outline: 'none',
            whiteSpace: 'break-spaces',
            overflowWrap: 'break-word',
            fontVariantLigatures: 'none',
            fontFamily: faces.body,
            fontSize: 16,
            lineHeight: 1.42,
          },
          '& .ProseMirror > *': { m: 0 },
          '& .ProseMirror > * + *': { mt: 2 },
          '& .ProseMirror h1': { fontFamily: faces.title, fontSize: 20, fontWeight: 400, mt: 4 },
          '& .ProseMirror ul, & .ProseMirror ol': { pl: 5 },
          '& .ProseMirror li p': { m: 0 },
          '& .ProseMirror strong': { fontFamily: faces.bold, fontWeight: 400 },
          '& .ProseMirror em': { fontFamily: faces.italic, fontStyle: 'normal' },
          '& .ProseMirror strong em, & .ProseMirror em strong': { fontFamily: faces.both },
          '& .ProseMirror [data-field]': { bgcolor: tokens.verdigrisSoft, borderRadius: 1, px: 1 },
          '& .ProseMirror .ProseMirror-selectednode[data-field]': {
            outline: 2,
            outlineColor: 'primary.main',
          },
        }}
      >
        {editor && (
          <Toolbar
            editor={editor}
            busy={busy}
            fields={FIELDS.map((name) => ({
              name,
              ...TEXT_FIELDS[name],
              value: TEXT_FIELDS[name].of(recipe),
            }))}
            onPicture={(file) => void take(file)}
          />
        )}
        <EditorContent editor={editor} />
      </Box>
      <FormHelperText role="status" error={problem !== ''}>
        {problem || (busy ? 'Reading the picture…' : '')}
      </FormHelperText>
    </Box>
  );
}
