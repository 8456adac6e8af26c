import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { changeSection, leaveOutUnused, takeResource } from '#core/book/edit.ts';
import type { Section } from '#core/book/sections.ts';
import { FromFile } from '../../parts/from-file.tsx';
import { uploadPicture } from '../../parts/upload-resource.ts';
import { useBook } from '../store.ts';
import { FileSheet } from './file-sheet.tsx';

const ROOM = { width: 72, height: 96 };

/** One picture of a page, brought in from a file. */
export function PictureField({
  section,
  option,
  label,
}: {
  section: Section;
  option: string;
  label: string;
}) {
  const edit = useBook((state) => state.edit);
  const named = useBook((state) => state.value.resources);
  const [busy, setBusy] = useState(false);
  const id = section.options[option] as string;
  const resource = id ? named[id] : undefined;
  const set = (entry: Section, name: string): Section => ({
    ...entry,
    options: { ...entry.options, [option]: name },
  });
  const take = async (file: File): Promise<string> => {
    setBusy(true);
    const kept = await uploadPicture(file).finally(() => setBusy(false));
    const refused = edit((recipe) => takeResource(recipe, section.id, kept, set));
    if (refused) throw new Error(refused);
    return '';
  };
  const remove = () =>
    edit((recipe) =>
      leaveOutUnused(
        recipe,
        changeSection(recipe, section.id, (entry) => set(entry, '')),
      ),
    );
  return (
    <Box>
      <Typography variant="body2">{label}</Typography>
      {resource && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mt: 2 }}>
          <FileSheet file={resource} page={1} room={ROOM} />
          <Typography variant="body2" noWrap sx={{ flex: 1 }}>
            {resource.name}
          </Typography>
          <Button size="small" onClick={remove}>
            Remove
          </Button>
        </Box>
      )}
      <FromFile label={label} accept=".png,.jpg,.jpeg,.webp,.tif,.tiff" take={take}>
        {busy ? 'Reading…' : resource ? 'Choose another…' : 'Choose a picture…'}
      </FromFile>
    </Box>
  );
}
