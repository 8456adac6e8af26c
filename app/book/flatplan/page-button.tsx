import { Pin } from 'lucide-react';
import { memo } from 'react';
import type { PlannedPage } from '#core/book/planned.ts';
import { Mark } from '../../parts/mark.tsx';
import type { PageDrawer } from '../../preview/page-drawer.ts';
import { PagePicture } from '../../preview/picture.tsx';

/** Between spreads, in CSS pixels. */
export const GAP = 16;

/** How pages and rows of spreads look, said once for all of them: a book has hundreds. */
export const PAGES = {
  '& [data-row]': { position: 'absolute', top: 0, left: 0, right: 0, display: 'flex', gap: `${GAP}px` },
  // In rows as they will stand, so that what the server sent stays where it is.
  '& [data-flow]': { display: 'grid', columnGap: `${GAP}px`, alignItems: 'start' },
  '& [data-spread]': { display: 'flex' },
  '& [data-spread=recto]': { justifyContent: 'flex-end' },
  '& button[data-page]': {
    p: 0,
    m: 0,
    border: 0,
    bgcolor: 'transparent',
    font: 'inherit',
    color: 'text.secondary',
    cursor: 'pointer',
    textAlign: 'right',
  },
  '& button[data-side=verso]': { textAlign: 'left' },
  '& button > i': {
    display: 'block',
    height: 4,
    mb: '3px',
    borderRadius: '0 2px 2px 0',
    bgcolor: 'divider',
  },
  '& button[data-side=verso] > i': { borderRadius: '2px 0 0 2px' },
  '& button[data-selected] > div': { boxShadow: '0 0 0 3px', color: 'primary.main' },
  '& button[data-found] > div': { boxShadow: '0 5px 0', color: 'warning.main' },
  '& button[data-found] > span': { color: 'warning.main', fontWeight: 700, pt: '5px' },
  '& button[data-drop] > span': { color: 'primary.main', fontWeight: 700 },
  // Above the page that it is to be seen on.
  '& button[data-drop] > div': { position: 'relative', zIndex: 1 },
  '& button[data-drop=before] > div': { boxShadow: '-6px 0 0', color: 'primary.main' },
  '& button[data-drop=behind] > div': { boxShadow: '6px 0 0', color: 'primary.main' },
  '& button > div': { outline: '1px solid', outlineColor: 'divider', outlineOffset: -1 },
  '& button > span': { display: 'block', fontSize: 12.5, lineHeight: '18px' },
} as const;

interface PageButtonProps extends Pick<PlannedPage, 'number' | 'side' | 'section' | 'role'> {
  width: number;
  height: number;
  drawn: PageDrawer;
  first: string | null;
  pigment: string;
  /** Something on it is kept as it is. */
  pinned: boolean;
  chosen: boolean;
  /** One of the pages that something is done to. */
  selected: boolean;
  /** One of the pages that were looked for. */
  found: boolean;
  /** Where pages that are being dragged go, let go now; null where it is another page. */
  drop: 'before' | 'behind' | null;
  onChoose: (page: number, extend: boolean) => void;
  onOpen: (page: number) => void;
}

/** Put together again only when something about this page changes: most changes of a book leave most pages be. */
export const PageButton = memo(function PageButton({
  number,
  side,
  section,
  role,
  width,
  height,
  drawn,
  first,
  pigment,
  pinned,
  chosen,
  selected,
  found,
  drop,
  onChoose,
  onOpen,
}: PageButtonProps) {
  const label = `Page ${number}${role === 'body' ? '' : `, ${role}`}${pinned ? ', pinned' : ''}${found ? ', found' : ''}`;
  return (
    <button
      type="button"
      tabIndex={-1}
      data-drop={drop ?? undefined}
      data-page={number}
      data-side={side}
      aria-label={label}
      data-selected={selected || undefined}
      data-found={found || undefined}
      disabled={section === null}
      onClick={(event) => onChoose(number, event.shiftKey)}
      onDoubleClick={() => onOpen(number)}
      style={{ width }}
    >
      <i
        style={{
          ...(role === 'blank' ? {} : { backgroundColor: pigment }),
          opacity: chosen ? 1 : 0.45,
        }}
      />
      <div>
        <PagePicture pages={drawn} page={number} width={width} height={height} label={label} first={first} />
      </div>
      <span>
        {pinned && <Mark icon={Pin} filled />} {number}
      </span>
    </button>
  );
});
