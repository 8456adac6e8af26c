import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import { MOST_DESIGN_BYTES, readDesignFile, writeDesign } from '#core/pages/composed/saved.ts';
import { complain, tell } from '../../parts/notices.tsx';
import { readTextFile } from '../../parts/read-text-file.ts';
import { fileName, saveFile } from '../../parts/save-file.ts';
import { useOpenBook } from '../open-book.tsx';
import type { DesignWork } from './use-design.ts';

/** Keeps the design for other books, gives it out as a file, or takes one in. */
export function DesignMenu({ work }: { work: DesignWork }) {
  const { designs } = useOpenBook();
  const { revalidate } = useRevalidator();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const { design, look } = work;
  const saved = designs.find(({ name }) => name === design.name);
  const send = async (body: object, said: string) => {
    try {
      const response = await fetch('/designs', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      if (!response.ok) throw new Error(String(response.status));
      const { refused } = (await response.json()) as { refused: string | null };
      if (refused) return void complain(refused);
      tell(said);
      await revalidate();
    } catch {
      complain('The server does not answer. The design is still here: try again in a moment.');
    }
  };
  const bringIn = async (file: File) => {
    const read = await readTextFile(file, MOST_DESIGN_BYTES);
    if ('problem' in read) return void complain(read.problem);
    const found = readDesignFile(read.text);
    if ('problem' in found) return void complain(`${file.name}: ${found.problem}`);
    const refused = work.replace(found.design, found.look);
    if (refused) complain(`${file.name}: ${refused}`);
  };
  const acts: [string, () => void][] = [
    [
      saved ? 'Save over my design of this name' : 'Save to my designs',
      () => void send({ intent: 'save', file: { look, design } }, `“${design.name}” is among your designs.`),
    ],
    ...(saved
      ? [
          [
            'Remove from my designs',
            () =>
              void send(
                { intent: 'remove', id: saved.id },
                `“${design.name}” was removed from your designs.`,
              ),
          ] as [string, () => void],
        ]
      : []),
    [
      'Export as JSON',
      () => saveFile(`${fileName(design.name)}.json`, writeDesign({ look, design }), 'application/json'),
    ],
    ['Import from JSON…', () => chooser.current?.click()],
  ];
  return (
    <>
      <Button size="small" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Save, export
      </Button>
      <input
        ref={chooser}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="File of a page design"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void bringIn(file);
        }}
      />
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {acts.map(([name, act]) => (
          <MenuItem
            key={name}
            onClick={() => {
              setAnchor(null);
              act();
            }}
          >
            {name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
