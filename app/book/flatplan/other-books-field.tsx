import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { changeSection, leaveOutUnused, takeResource } from '#core/book/edit.ts';
import type { Recipe } from '#core/book/recipe.ts';
import type { Section } from '#core/book/sections.ts';
import { MOST_BOOKS, MOST_SAID, type OtherBook } from '#core/pages/other-books/index.ts';
import { type NamedResource, picture } from '#core/resources/index.ts';
import { parseLength } from '#core/units.ts';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { complain } from '../../parts/notices.tsx';
import { uploadResource } from '../../parts/upload-resource.ts';
import { drawingRenderer } from '../../preview/renderers.ts';
import { useBook } from '../store.ts';
import { CatalogDialog } from './catalog-dialog.tsx';

/** Of a front, in pixels: two inches wide at 300 dots an inch. */
const FRONT_PIXELS = 600;

const booksOf = ({ options }: Section): readonly OtherBook[] => options.books as readonly OtherBook[];
const withBooks = (section: Section, books: readonly OtherBook[]): Section => ({
  ...section,
  options: { ...section.options, books },
});

/** The beginning of a description, in whole sentences where they are short enough. */
function beginning(description: string): string {
  const plain = description
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  if (plain.length <= MOST_SAID / 2) return plain;
  const cut = plain.slice(0, MOST_SAID / 2);
  const end = Math.max(cut.lastIndexOf('. '), cut.lastIndexOf('! '), cut.lastIndexOf('? '));
  return end > 40 ? cut.slice(0, end + 1) : `${cut.slice(0, cut.lastIndexOf(' '))} …`;
}

/** The front of a book as a picture that other books may show. */
async function frontOf(front: Recipe): Promise<NamedResource | { problem: string }> {
  const { trim } = front.print;
  const height = Math.round((FRONT_PIXELS * parseLength(trim.height)) / parseLength(trim.width));
  const drawn = await drawingRenderer().front(FRONT_PIXELS, height, front);
  const canvas = new OffscreenCanvas(drawn.width, drawn.height);
  canvas.getContext('2d')!.putImageData(new ImageData(drawn.pixels, drawn.width, drawn.height), 0, 0);
  const png = await canvas.convertToBlob({ type: 'image/png' });
  const name = `Front of ${front.title}`.slice(0, 100);
  const answer = await uploadResource(picture.id, name, new Uint8Array(await png.arrayBuffer()));
  return 'problem' in answer ? answer : answer.kept[0]!;
}

/** Other books of the publisher's, with their fronts and what is said of each. */
export function OtherBooksField({ section }: { section: Section }) {
  const edit = useBook((state) => state.edit);
  const books = booksOf(section);
  const [choosing, setChoosing] = useState(false);
  const [busy, setBusy] = useState(false);
  const put = (changed: readonly OtherBook[], key?: string) =>
    edit(
      (recipe) =>
        leaveOutUnused(
          recipe,
          changeSection(recipe, section.id, (entry) => withBooks(entry, changed)),
        ),
      key,
    );
  const take = async (fronts: readonly Recipe[]) => {
    setChoosing(false);
    setBusy(true);
    try {
      const drawn: [Recipe, NamedResource][] = [];
      for (const front of fronts) {
        const answer = await frontOf(front);
        if ('problem' in answer) return void complain(answer.problem);
        drawn.push([front, answer]);
      }
      edit((recipe) =>
        drawn.reduce(
          (now, [{ title, listing }, resource]) =>
            takeResource(now, section.id, resource, (entry, id) =>
              withBooks(entry, [
                ...booksOf(entry),
                { title, text: beginning(listing.description), picture: id },
              ]),
            ),
          recipe,
        ),
      );
    } finally {
      setBusy(false);
    }
  };
  const move = (at: number, by: number) => {
    const moved = [...books];
    const [one] = moved.splice(at, 1);
    moved.splice(at + by, 0, one!);
    put(moved);
  };
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {books.map((one, i) => (
        <Box key={`${i} ${one.title}`} sx={{ display: 'grid', gap: 1 }}>
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Typography variant="body2" noWrap sx={{ flex: 1 }}>
              {one.title}
            </Typography>
            <IconButton
              size="small"
              aria-label={`Move ${one.title} up`}
              disabled={i === 0}
              onClick={() => move(i, -1)}
            >
              <ArrowUp size={16} />
            </IconButton>
            <IconButton
              size="small"
              aria-label={`Move ${one.title} down`}
              disabled={i === books.length - 1}
              onClick={() => move(i, 1)}
            >
              <ArrowDown size={16} />
            </IconButton>
            <IconButton
              size="small"
              aria-label={`Remove ${one.title}`}
              onClick={() => put(books.filter((_, k) => k !== i))}
            >
              <Trash2 size={16} />
            </IconButton>
          </Box>
          <LiveTextField
            label={`What is said of ${one.title}`}
            value={one.text}
            rows={3}
            onCommit={(text) =>
              put(
                books.map((book, k) => (k === i ? { ...book, text } : book)),
                `${section.id} said of ${i}`,
              )
            }
          />
        </Box>
      ))}
      <Button
        variant="outlined"
        disabled={busy || books.length >= MOST_BOOKS}
        onClick={() => setChoosing(true)}
        sx={{ justifySelf: 'start' }}
      >
        {busy ? 'Drawing their fronts…' : 'Choose books…'}
      </Button>
      {choosing && (
        <CatalogDialog
          most={MOST_BOOKS - books.length}
          onTake={(fronts) => void take(fronts)}
          onClose={() => setChoosing(false)}
        />
      )}
    </Box>
  );
}
