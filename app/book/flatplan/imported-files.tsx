import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { type ReactNode, useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import type { Section } from '#core/book/sections.ts';
import { type ImportedFile, listOf, pagesIn } from '#core/pages/imported/index.ts';
import { type NamedResource, pdf } from '#core/resources/index.ts';
import { useBook } from '../store.ts';
import { type BringingIn, filesOf, TAKEN, useBringIn, withFilesAlone } from './bring-in.ts';
import { FileSheet } from './file-sheet.tsx';
import { LeastDots } from './least-dots.tsx';
import { PickPages } from './pick-pages.tsx';

/** Of one file in the list, in CSS pixels. */
const ROW = 64;
const SHEET = { width: 40, height: 52 };
const MOST_HEIGHT = 5.5 * ROW;

/** How much has come, of 100. */
const shareOf = ({ done, of, pages }: BringingIn): number =>
  (100 * (done + (pages ? pages.read / pages.of : 0))) / of;

const idOf = (file: ImportedFile): string => (file.pdf ?? file.picture ?? file.artwork)!;
const pagesOf = ({ type, facts }: NamedResource): number =>
  type === pdf.id ? (facts as { pages: number }).pages : 1;

/** The files of a section of own pages: brought in, put in order, and of each PDF its pages chosen. */
export function ImportedFiles({ section }: { section: Section }) {
  const files = filesOf(section);
  const named = useBook((state) => state.value.resources);
  const edit = useBook((state) => state.edit);
  const { bringIn, underWay, problems, cancel } = useBringIn(section.id);
  const [picking, setPicking] = useState<number | null>(null);
  const drop = useDropzone({
    onDrop: (taken) => void bringIn(taken),
    disabled: underWay !== null,
    noClick: true,
    noKeyboard: true,
  });
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: files.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 2,
  });
  // Each is a step of its own to be undone.
  const onChange = (changed: readonly ImportedFile[]) =>
    edit((recipe) => withFilesAlone(recipe, section.id, changed));
  const put = (at: number, file: ImportedFile) => onChange(files.map((one, i) => (i === at ? file : one)));
  const move = (at: number, by: number) => {
    const moved = [...files];
    const [one] = moved.splice(at, 1);
    moved.splice(at + by, 0, one!);
    onChange(moved);
  };
  const picked = picking === null ? undefined : files[picking];
  return (
    <Box {...drop.getRootProps()} sx={{ display: 'grid', gap: 2 }}>
      <input {...drop.getInputProps({ accept: TAKEN.join(','), 'aria-label': 'Files of pages' })} />
      <Box
        sx={{
          border: 1,
          borderStyle: 'dashed',
          borderColor: drop.isDragActive ? 'primary.main' : 'divider',
          borderRadius: 1,
          p: 3,
          display: 'grid',
          gap: 2,
          justifyItems: 'start',
        }}
      >
        <Typography variant="body2">
          Drop files here, one or hundreds: PDF, PNG, JPEG, WebP, TIFF or SVG.
        </Typography>
        <Button variant="outlined" onClick={drop.open} disabled={underWay !== null}>
          Choose files…
        </Button>
      </Box>
      {underWay && (
        <Box role="status">
          <Typography variant="body2" noWrap>
            {underWay.of > 1 ? `${underWay.done + 1} of ${underWay.of}: ` : ''}
            {underWay.name}
            {underWay.pages ? `, page ${underWay.pages.read} of ${underWay.pages.of}` : ''}
          </Typography>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
            <LinearProgress
              aria-label="Bringing in files"
              sx={{ flex: 1 }}
              {...(underWay.of > 1 || underWay.pages
                ? { variant: 'determinate', value: shareOf(underWay) }
                : {})}
            />
            {underWay.of > 1 && (
              <Button size="small" onClick={cancel}>
                Stop
              </Button>
            )}
          </Box>
        </Box>
      )}
      {problems.map((problem) => (
        <Alert key={problem} severity="error" variant="outlined">
          {problem}
        </Alert>
      ))}
      {files.length > 0 && (
        <Box
          ref={scroller}
          role="list"
          aria-label="Files"
          sx={{ maxHeight: MOST_HEIGHT, overflow: 'auto', position: 'relative' }}
        >
          <Box sx={{ height: virtual.getTotalSize(), position: 'relative' }}>
            {virtual.getVirtualItems().map(({ index, start }) => {
              const file = files[index]!;
              const resource = named[idOf(file)]!;
              return (
                <FileRow
                  key={`${idOf(file)} ${index}`}
                  top={start}
                  resource={resource}
                  file={file}
                  dots={<LeastDots section={section} file={index} />}
                  first={index === 0}
                  last={index === files.length - 1}
                  onMove={(by) => move(index, by)}
                  onPick={() => setPicking(index)}
                  onRemove={() => onChange(files.filter((_, i) => i !== index))}
                />
              );
            })}
          </Box>
        </Box>
      )}
      {picked && (
        <PickPages
          resource={named[idOf(picked)]!}
          chosen={picked.pages === undefined ? null : pagesIn(picked.pages)!}
          onClose={() => setPicking(null)}
          onTake={(pages) => {
            put(picking!, { pdf: picked.pdf!, ...(pages ? { pages: listOf(pages) } : {}) });
            setPicking(null);
          }}
        />
      )}
    </Box>
  );
}

function FileRow({
  top,
  resource,
  file,
  dots,
  first,
  last,
  onMove,
  onPick,
  onRemove,
}: {
  top: number;
  resource: NamedResource;
  file: ImportedFile;
  /** Of its pictures, as they print. */
  dots: ReactNode;
  first: boolean;
  last: boolean;
  onMove: (by: number) => void;
  onPick: () => void;
  onRemove: () => void;
}) {
  const { name } = resource;
  const there = pagesOf(resource);
  const taken = file.pages === undefined ? null : pagesIn(file.pages)!;
  return (
    <Box
      role="listitem"
      sx={{
        position: 'absolute',
        top,
        left: 0,
        right: 0,
        height: ROW,
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box
        sx={{
          flex: 'none',
          width: SHEET.width,
          display: 'flex',
          justifyContent: 'center',
          outlineOffset: -1,
        }}
      >
        <FileSheet file={resource} page={taken?.[0] ?? 1} room={SHEET} />
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="body2" noWrap title={name}>
          {name}
        </Typography>
        {resource.type === pdf.id && (
          <Button size="small" onClick={onPick} aria-label={`Choose pages of ${name}`} sx={{ ml: -1.5 }}>
            {taken ? `${taken.length} of ${there} pages` : there === 1 ? '1 page' : `All ${there} pages`}
          </Button>
        )}
        {dots}
      </Box>
      <IconButton size="small" aria-label={`Move ${name} up`} disabled={first} onClick={() => onMove(-1)}>
        <ArrowUp size={16} />
      </IconButton>
      <IconButton size="small" aria-label={`Move ${name} down`} disabled={last} onClick={() => onMove(1)}>
        <ArrowDown size={16} />
      </IconButton>
      <IconButton size="small" aria-label={`Remove ${name}`} onClick={onRemove}>
        <Trash2 size={16} />
      </IconButton>
    </Box>
  );
}
