import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { useParams } from 'react-router';
import { kindOf, type Section } from '#core/book/sections.ts';
import { formatsOf, PICTURE_FORMS } from '#core/pages/index.ts';
import { complain } from '../../parts/notices.tsx';
import { fileName, saveFile } from '../../parts/save-file.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useBook, useBookStore } from '../store.ts';

const ANSWER_FORMS = PICTURE_FORMS.filter((form) => form !== 'pdf');

/** Saves one item, or all of a section, in an open form, or one as a picture. */
export function SaveItemMenu({
  section,
  item,
  label,
  count,
  plural,
}: {
  section: Section;
  item: number;
  /** Of the item, which names its file. */
  label: string;
  count: number;
  /** What the items are called. */
  plural: string;
}) {
  const store = useBookStore();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const formats = formatsOf(kindOf(section), section.options);
  const save = async (items: number[], format: string, name: string) => {
    setAnchor(null);
    const recipe = store.getState().value;
    const saved = await drawingRenderer(recipe).saved(section.id, items, format);
    if (saved)
      saveFile(
        `${fileName(`${recipe.title} ${name}`)}.${saved.ending}`,
        saved.text,
        'text/plain;charset=utf-8',
      );
    else complain('The book was changed meanwhile. Save it again.');
  };
  const { book } = useParams();
  const unsaved = useBook((state) => state.saveState !== 'saved');
  const answered = kindOf(section).solution?.box !== undefined;
  const pictures = [
    ...PICTURE_FORMS.map((form) => ({
      ...{ form, of: label, query: '' },
      // It stands on the second page.
      also: form === 'pdf' && answered ? ', with its answer' : '',
    })),
    ...(answered ? ANSWER_FORMS : []).map((form) => ({
      ...{ form, of: `${label}, answer`, query: '?answer', also: '' },
    })),
  ];
  const all = Array.from({ length: count }, (_, i) => i + 1);
  const together = formats.filter(({ between }) => between !== undefined);
  return (
    <>
      <Button size="small" onClick={(event) => setAnchor(event.currentTarget)} aria-haspopup="menu">
        Save as…
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {formats.map(({ id, name }) => (
          <MenuItem key={id} onClick={() => void save([item], id, label)}>
            {label}: {name}
          </MenuItem>
        ))}
        <Divider />
        {pictures.map(({ form, of, query, also }) => (
          <MenuItem
            key={`${of} ${form}`}
            component="a"
            // What fails is a file that did not come, and never an address that leaves the book.
            download
            href={`/books/${book}/items/${section.id}/${item}/${form}${query}`}
            // Pictures are drawn from what is saved.
            disabled={unsaved}
            onClick={() => setAnchor(null)}
          >
            {of}: {form.toUpperCase()}
            {also}
          </MenuItem>
        ))}
        {count > 1 && together.length > 0 && <Divider />}
        {count > 1 &&
          together.map(({ id, name }) => (
            <MenuItem key={`all ${id}`} onClick={() => void save(all, id, plural)}>
              All {count} {plural}: {name}
            </MenuItem>
          ))}
      </Menu>
    </>
  );
}
