import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { kindOf, type Section } from '#core/book/sections.ts';
import { formatsOf } from '#core/pages/index.ts';
import { complain } from '../../parts/notices.tsx';
import { fileName, saveFile } from '../../parts/save-file.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useBookStore } from '../store.ts';

/** Saves one item, or all of a section, in an open form. */
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
