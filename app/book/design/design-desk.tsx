import { type DragEndEvent, type DragMoveEvent, PointerSensor, StyleInjector } from '@dnd-kit/dom';
import { DragDropProvider } from '@dnd-kit/react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { ArrowLeft } from 'lucide-react';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { kindOf, type Section } from '#core/book/sections.ts';
import { blockFields } from '#core/pages/blocks/block-fields.ts';
import type { BlockPath } from '#core/pages/composed/edit-design.ts';
import { type Field, fieldsOf } from '#core/settings.ts';
import { parseLength } from '#core/units.ts';
import { pageNonce } from '../../emotion.ts';
import { useFormats } from '../../parts/formats.tsx';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { OptionField } from '../../parts/option-field.tsx';
import { ShownPicture } from '../../preview/picture.tsx';
import { useOpenBook } from '../open-book.tsx';
import { BlockForm } from './block-form.tsx';
import { DesignMenu } from './design-menu.tsx';
import { sortName } from './names.ts';
import { Outline } from './outline.tsx';
import { Palette } from './palette.tsx';
import { type Aim, Sheet } from './sheet.tsx';
import { useDesign } from './use-design.ts';
import { type DrawnDesign, useDesignPages } from './use-design-pages.ts';

/** Width of the pages on other trims, in CSS pixels. */
const SMALL = 112;
/** So near to its left or right end, a block is meant to stand beside. */
const BESIDE = 0.22;

const sentence = (message: string): string => message.charAt(0).toUpperCase() + message.slice(1);

/** How the settings of the section ask whether the design stands on two pages. */
const facingField = (section: Section) =>
  fieldsOf(kindOf(section).options).find(({ key }) => key === 'facing') as Extract<
    Field,
    { control: 'switch' }
  >;

/** Where something is dropped on a block: the nearer of its ends, or beside it. */
function aimOf({ operation: { target, position, source } }: DragMoveEvent | DragEndEvent): Aim | null {
  const path = (target?.data as { path?: BlockPath } | undefined)?.path;
  const own = (source?.data as { path?: BlockPath } | undefined)?.path;
  const box = target?.shape?.boundingRectangle;
  if (!path || !box || own?.join() === path.join()) return null;
  const { x, y } = position.current;
  const along = (x - box.left) / box.width;
  if (along < BESIDE) return { path, side: 'left' };
  if (along > 1 - BESIDE) return { path, side: 'right' };
  return { path, side: y < box.top + box.height / 2 ? 'above' : 'below' };
}

/** Puts one page together: blocks are added, dragged, nested and set, and every trim shows at once what becomes of it. */
export function DesignDesk({ section }: { section: Section }) {
  const work = useDesign(section);
  const { ticket } = useOpenBook();
  const area = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const [aim, setAim] = useState<Aim | null>(null);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(area.current!);
    return () => observer.disconnect();
  }, []);
  const { trim } = ticket;
  const sides = work.facing ? ([0, 1] as const) : ([null] as const);
  const width = Math.max(
    0,
    Math.floor(Math.min(room.width / sides.length, (room.height * trim.width) / trim.height)) - 8,
  );
  const ratio = globalThis.devicePixelRatio ?? 1;
  const { drawn, others } = useDesignPages(section.id, Math.round(width * ratio), SMALL * ratio);
  const { block, selected } = work;
  return (
    <DragDropProvider
      sensors={[PointerSensor]}
      plugins={(defaults) => [...defaults, StyleInjector.configure({ nonce: pageNonce() ?? '' })]}
      onDragMove={(event) => setAim(aimOf(event as DragMoveEvent))}
      onDragEnd={(event) => {
        const at = event.canceled ? null : aimOf(event as DragEndEvent);
        setAim(null);
        const { path, type } = (event.operation.source?.data ?? {}) as { path?: BlockPath; type?: string };
        if (!at) return;
        if (type) work.add(type, at.path, at.side);
        else if (path) work.move(path, at.path, at.side);
      }}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: '250px minmax(0, 1fr) 140px 270px',
            lg: '280px minmax(0, 1fr) 160px 306px',
          },
          minHeight: 0,
        }}
      >
        <Box
          component="section"
          aria-label="Blocks"
          sx={{
            borderRight: 1,
            borderColor: 'divider',
            p: 3,
            minHeight: 0,
            display: 'grid',
            gridTemplateRows: 'auto auto minmax(120px, 1fr) auto auto',
            gap: 1.5,
          }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <Button
              component={Link}
              to={`../flatplan?section=${section.id}`}
              size="small"
              startIcon={<ArrowLeft size={16} />}
            >
              Flatplan
            </Button>
            <DesignMenu work={work} />
          </Box>
          <Box sx={{ display: 'grid' }}>
            <LiveTextField label="Name of the design" value={work.design.name} onCommit={work.rename} />
            <OptionField
              field={facingField(section)}
              value={work.facing}
              onChange={(on) => work.setFacing(on as boolean)}
            />
          </Box>
          <Outline work={work} />
          <Typography variant="h3">Add a block</Typography>
          <Box sx={{ overflow: 'auto', maxHeight: 200, position: 'relative' }}>
            <Palette onAdd={(type) => work.add(type)} />
          </Box>
        </Box>
        <Box
          ref={area}
          sx={{ m: 3, minHeight: 0, overflow: 'hidden', display: 'flex', justifyContent: 'center' }}
        >
          {width > 0 &&
            sides.map((side) => (
              <Sheet key={side} drawn={drawn} side={side} work={work} width={width} aim={aim} />
            ))}
        </Box>
        <Stack
          component="section"
          aria-label="Other trims"
          spacing={2}
          sx={{ py: 3, pr: 2, overflow: 'auto', position: 'relative' }}
        >
          {others.map((other) => (
            <OtherTrim key={`${other.trim.width} ${other.trim.height}`} drawn={other} />
          ))}
        </Stack>
        <Box
          component="aside"
          aria-label="Settings of the block"
          sx={{
            bgcolor: 'background.paper',
            borderLeft: 1,
            borderColor: 'divider',
            overflow: 'auto',
            p: 3,
            position: 'relative',
          }}
        >
          {(drawn?.problems ?? []).map(({ message, severity }) => (
            <Alert key={message} severity={severity === 'fix' ? 'error' : 'warning'} sx={{ mb: 2 }}>
              {sentence(message)}
            </Alert>
          ))}
          {block && selected ? (
            <>
              <Typography variant="h2">{sortName(block.type)}</Typography>
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, my: 1.5 }}>
                <Button size="small" onClick={work.up}>
                  Up
                </Button>
                <Button size="small" onClick={work.down}>
                  Down
                </Button>
                <Button size="small" onClick={work.nest} title="Beside, or into, the one before">
                  Beside
                </Button>
                <Button size="small" onClick={work.frame}>
                  {block.type === 'group' ? 'Unframe' : 'Frame'}
                </Button>
                <Button size="small" onClick={work.repeat}>
                  Repeat
                </Button>
                <Button size="small" color="warning" onClick={work.remove}>
                  Remove
                </Button>
              </Box>
              <Stack spacing={2.5} sx={{ mt: 2 }}>
                <BlockForm
                  fields={blockFields(block.type)}
                  values={block}
                  of={`${selected.join('-')} ${block.type}`}
                  onChange={(key, value) => work.setEntry(selected, key, value)}
                />
              </Stack>
            </>
          ) : (
            <Typography>Choose a block on the page or in the list to see its settings.</Typography>
          )}
        </Box>
      </Box>
    </DragDropProvider>
  );
}

/** The same design on another trim. */
function OtherTrim({ drawn: { pages, sheet, trim, problems } }: { drawn: DrawnDesign }) {
  const formats = useFormats();
  const size = formats.size(parseLength(trim.width), parseLength(trim.height));
  const worst = problems.some(({ severity }) => severity === 'fix') ? 'error.main' : 'warning.main';
  const width = SMALL / pages.length;
  return (
    <Box title={problems.map(({ message }) => message).join('\n')}>
      <Box sx={{ boxShadow: '0 1px 4px rgba(29, 39, 51, 0.3)', width: SMALL, display: 'flex' }}>
        {pages.map(({ picture }, i) => (
          <ShownPicture
            key={i === 0 ? 'left' : 'right'}
            picture={picture}
            width={width}
            height={Math.round((width * sheet.height) / sheet.width)}
            label={`${pages.length === 1 ? 'The page' : i === 0 ? 'The left page' : 'The right page'} on ${size}`}
          />
        ))}
      </Box>
      <Typography variant="caption" component="div" sx={{ mt: 0.5 }}>
        {size}
      </Typography>
      {problems.length > 0 && (
        <Typography variant="caption" component="div" color={worst}>
          {sentence(problems[0]!.message)}
        </Typography>
      )}
    </Box>
  );
}
