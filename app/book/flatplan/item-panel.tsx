import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useCallback, useState } from 'react';
import { reroll, togglePin } from '#core/book/edit.ts';
import { itemLabel } from '#core/book/items.ts';
import type { PlannedItems } from '#core/book/planned.ts';
import { kindOf, type Section } from '#core/book/sections.ts';
import { gather } from '#core/resources/index.ts';
import { useShortcut } from '../../parts/shortcuts.tsx';
import { browserLoader } from '../../preview/browser-loader.ts';
import { DrawingProgress } from '../../preview/drawing-progress.tsx';
import { PagePicture } from '../../preview/picture.tsx';
import { usePages } from '../../preview/use-pages.ts';
import { useOpenBook } from '../open-book.tsx';
import { useBook, useBookStore } from '../store.ts';
import { BringInDialog } from './bring-in-dialog.tsx';
import { ByHandDialog, canBeChanged } from './by-hand/by-hand-dialog.tsx';
import { CANDIDATES, CandidatesDialog } from './candidates-dialog.tsx';
import { ItemTold } from './item-told.tsx';
import { SaveItemMenu } from './save-item-menu.tsx';
import { canBeTried, TrialDialog } from './trial/trial-dialog.tsx';

const WIDTH = 132;
/** Two lines of what is told of an item, which come a moment later. */
const TOLD_LINES = 40;
const UNPLANNED: Omit<PlannedItems, 'noun' | 'hintsPages'> = {
  pages: [],
  solutionPages: [],
  displayNumbers: [],
  count: 0,
};

/** What is opened for one item. */
const DIALOGS = { candidates: CandidatesDialog, trial: TrialDialog, 'by hand': ByHandDialog } as const;

/** One item large: where it is, where its solution is; re-roll it or keep it. */
export function ItemPanel({
  section,
  page,
  onPage,
}: {
  section: Section;
  page: number | null;
  onPage: (page: number) => void;
}) {
  const edit = useBook((state) => state.edit);
  const store = useBookStore();
  const { book, plan, ticket, firstPages } = useOpenBook();
  const [first] = useState(firstPages);
  // The plan follows a moment behind the recipe: of a new section, or a longer one, it knows nothing yet.
  const { pages, solutionPages, displayNumbers, count } = plan.items[section.id] ?? UNPLANNED;
  const onPageNow = plan.pages[(page ?? 0) - 1];
  const item = onPageNow?.section === section.id && onPageNow.items[0] ? onPageNow.items[0] : 1;
  const at = pages[item - 1] ?? 1;
  const solution = solutionPages[item - 1];
  const pinned = section.pins?.[item] !== undefined;
  const drawn = usePages([at], WIDTH * 2);
  const kind = kindOf(section);
  const name = kind.itemName ?? 'item';
  const [bringingIn, setBringingIn] = useState(false);
  const [dialog, setDialog] = useState<keyof typeof DIALOGS | null>(null);
  const Dialog = dialog && DIALOGS[dialog];
  const height = Math.round((WIDTH * ticket.trim.height) / ticket.trim.width);
  const go = (to: number) => {
    const target = pages[Math.max(1, Math.min(count, to)) - 1];
    if (target) onPage(target);
  };
  const roll = () => edit((recipe) => reroll(recipe, section.id, item));
  const pin = useCallback(async () => {
    const resources = await gather(store.getState().value.resources, browserLoader);
    edit((recipe) => togglePin(recipe, section.id, item, resources));
  }, [store, edit, section.id, item]);
  useShortcut({ keys: 'r', does: `Re-roll the ${name}`, group: 'Flatplan', when: !pinned }, roll);
  useShortcut(
    { keys: 'p', does: `${pinned ? 'Unpin' : 'Pin'} the ${name}`, group: 'Flatplan' },
    () => void pin(),
  );
  return (
    <Box sx={{ display: 'flex', gap: 3 }}>
      <Box sx={{ flex: 'none', width: WIDTH + 2 }}>
        <Box sx={{ border: 1, borderColor: 'divider' }}>
          <PagePicture
            pages={drawn}
            page={at}
            width={WIDTH}
            height={height}
            label={`Page ${at}`}
            first={first}
          />
        </Box>
        {/* What comes a moment later stands where it moves no button that somebody is about to press. */}
        <Box sx={{ mt: 1, minHeight: TOLD_LINES }}>
          {pinned && (
            <Typography variant="body2" color="warning.main">
              pinned
            </Typography>
          )}
          <ItemTold section={section} item={item} />
          <DrawingProgress pages={drawn} />
        </Box>
      </Box>
      <Box>
        <Typography sx={{ fontWeight: 700 }}>
          {displayNumbers[item - 1] ? itemLabel(book, section.id, item) : ''}
        </Typography>
        <Typography variant="body2">page {at}</Typography>
        <Typography variant="body2">{solution ? `solution p. ${solution}` : 'no solution'}</Typography>
        <Box sx={{ mt: 2, display: 'grid', justifyItems: 'start' }}>
          <Button size="small" onClick={roll} disabled={pinned} title="R">
            Re-roll
          </Button>
          <Button size="small" onClick={() => setDialog('candidates')} disabled={pinned}>
            {CANDIDATES} candidates…
          </Button>
          <Button size="small" color="warning" onClick={pin} title="P">
            {pinned ? 'Unpin' : 'Pin'}
          </Button>
          {canBeTried(section) && (
            <Button size="small" disabled={!displayNumbers[item - 1]} onClick={() => setDialog('trial')}>
              Try it…
            </Button>
          )}
          {canBeChanged(section) && (
            <Button size="small" disabled={!displayNumbers[item - 1]} onClick={() => setDialog('by hand')}>
              Edit by hand…
            </Button>
          )}
          {displayNumbers[item - 1] !== undefined && (
            <SaveItemMenu
              section={section}
              item={item}
              label={itemLabel(book, section.id, item)}
              count={count}
              plural={`${name}s`}
            />
          )}
          {kind.bringIn && (
            <Button size="small" onClick={() => setBringingIn(true)}>
              Bring in…
            </Button>
          )}
          <Box>
            <Button
              size="small"
              disabled={item <= 1}
              onClick={() => go(item - 1)}
              aria-label={`Previous ${name}`}
            >
              <ArrowLeft size={16} />
            </Button>
            <Button
              size="small"
              disabled={item >= count}
              onClick={() => go(item + 1)}
              aria-label={`Next ${name}`}
            >
              <ArrowRight size={16} />
            </Button>
          </Box>
        </Box>
      </Box>
      {Dialog && (
        <Dialog
          section={section}
          item={item}
          label={itemLabel(book, section.id, item)}
          onClose={() => setDialog(null)}
        />
      )}
      {bringingIn && (
        <BringInDialog section={section} plural={`${name}s`} onClose={() => setBringingIn(false)} />
      )}
    </Box>
  );
}
