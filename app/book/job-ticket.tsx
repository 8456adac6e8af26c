import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { keyframes } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { Recipe } from '#core/book/recipe.ts';
import { showMoney, showRate } from '#core/print/index.ts';
import { parseLength } from '#core/units.ts';
import { useFormats } from '../parts/formats.tsx';
import { tokens } from '../theme.ts';
import { useOpenBook } from './open-book.tsx';
import { useBook } from './store.ts';
import { TrimDialog } from './trim-dialog.tsx';

const glow = keyframes({
  from: { backgroundColor: tokens.verdigrisSoft },
  to: { backgroundColor: 'transparent' },
});

interface Choice {
  label: string;
  chosen?: boolean;
  act: () => void;
}

/** One number of the ticket. It opens the choice behind it; when it changes it glows for a moment. */
function Cell({
  name,
  value,
  tone,
  note,
  choices,
  onOpen,
}: {
  name: string;
  value: string;
  tone?: string | undefined;
  note?: string;
  choices?: Choice[];
  onOpen?: () => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const before = useRef(value);
  const [changes, setChanges] = useState(0);
  useEffect(() => {
    if (before.current !== value) setChanges((n) => n + 1);
    before.current = value;
  }, [value]);
  const menu: ReactNode = (
    <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
      {note && (
        <Typography
          variant="caption"
          component="li"
          sx={{ px: 4, py: 1, maxWidth: 300, whiteSpace: 'normal' }}
        >
          {note}
        </Typography>
      )}
      {(choices ?? []).map(({ label, chosen, act }) => (
        <MenuItem
          key={label}
          selected={chosen ?? false}
          onClick={() => {
            setAnchor(null);
            act();
          }}
        >
          {label}
        </MenuItem>
      ))}
    </Menu>
  );
  return (
    <Box
      sx={{
        flex: '1 1 auto',
        borderLeft: '1px dashed',
        borderColor: 'divider',
        '&:first-of-type': { borderLeft: 0 },
      }}
    >
      <ButtonBase
        key={changes}
        onClick={(event) => (choices || note ? setAnchor(event.currentTarget) : onOpen?.())}
        aria-haspopup={choices || note ? 'menu' : undefined}
        sx={{
          display: 'block',
          width: '100%',
          textAlign: 'left',
          px: 3.5,
          py: 1.5,
          font: 'inherit',
          animation: changes ? `${glow} 1.2s ease-out` : 'none',
          '&:hover': { bgcolor: tokens.verdigrisSoft },
        }}
      >
        <Box
          component="span"
          sx={{
            display: 'block',
            fontSize: 11.5,
            letterSpacing: '0.07em',
            textTransform: 'uppercase',
            color: 'text.secondary',
          }}
        >
          {name}
        </Box>
        <Box
          component="span"
          sx={{ display: 'block', fontWeight: 700, whiteSpace: 'nowrap', color: tone ?? 'text.primary' }}
        >
          {value}
        </Box>
      </ButtonBase>
      {menu}
    </Box>
  );
}

/** The book's derived numbers and the state of its checks, always in view. */
export function JobTicket() {
  const edit = useBook((state) => state.edit);
  const { length, size, market } = useFormats();
  const {
    book: { rules },
    ticket,
    proof,
  } = useOpenBook();
  const navigate = useNavigate();
  const { book } = useParams();
  const [trimming, setTrimming] = useState(false);
  const to = (view: string) => () => void navigate(`/books/${book}/${view}`);
  const print = (change: Partial<Recipe['print']>) => () =>
    void edit((now) => ({ ...now, print: { ...now.print, ...change } }));
  const mustFix = proof.findings.filter(({ severity }) => severity === 'fix').length;
  const listed = rules.trims.map(({ name, points, width, height }) => ({
    // A trim that is named by its size is named in the units of the workspace.
    label: /^[\d.]+ ×/.test(name) ? size(points.width, points.height) : name,
    chosen: parseLength(width) === ticket.trim.width && parseLength(height) === ticket.trim.height,
    act: print({ trim: { width, height } }),
  }));
  const trims = [...listed, { label: 'Another trim…', act: () => setTrimming(true) }];
  const papers = rules.papers.flatMap((paper) =>
    paper.inks.map((ink) => ({
      label: `${ink} ink, ${paper.name} paper`,
      chosen: ink === ticket.ink && paper.id === ticket.paper,
      act: print({ ink, paper: paper.id }),
    })),
  );
  const home = market(ticket.markets);
  const price = home?.price ?? null;
  return (
    <Box
      component="section"
      aria-label="Job ticket"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        overflow: 'hidden',
      }}
    >
      <Cell name="Trim" value={size(ticket.trim.width, ticket.trim.height)} choices={trims} />
      <Cell
        name="Bleed"
        value={ticket.bleed ? length(rules.bleed.width) : 'none'}
        choices={[
          { label: 'None: pages stop at the trim', chosen: !ticket.bleed, act: print({ bleed: false }) },
          {
            label: `${length(rules.bleed.width)}: pages run over the edge`,
            chosen: ticket.bleed,
            act: print({ bleed: true }),
          },
        ]}
      />
      <Cell
        name="Pages"
        value={String(ticket.pages)}
        tone={ticket.pages < ticket.limits.min || ticket.pages > ticket.limits.max ? 'error.main' : undefined}
        onOpen={to('flatplan')}
      />
      <Cell name="Ink · paper" value={`${ticket.ink} · ${ticket.paper}`} choices={papers} />
      <Cell
        name="Gutter"
        value={length(ticket.gutter)}
        note={`The inner margin ${rules.service.name} asks for at ${ticket.pages} pages. It follows the page count.`}
      />
      <Cell
        name="Spine"
        value={rules.cover.spine ? length(ticket.spine, true) : 'none'}
        note={
          rules.cover.spine
            ? `${ticket.pages} pages of ${ticket.paper} paper. ${ticket.spineText ? 'Wide enough for spine text.' : `Spine text from ${rules.cover.spine.textFromPages} pages.`}`
            : `Books in ${rules.binding.name} binding have no spine.`
        }
      />
      <Cell name="Wrap" value={size(ticket.wrap.width, ticket.wrap.height, true)} onOpen={to('wrap')} />
      <Cell
        name="Print cost"
        value={home ? showMoney(home.cost, home.currency) : '–'}
        note={
          home &&
          `One copy in the ${home.name}: ${showMoney(home.costParts.fixed, home.currency)} + ${ticket.pages} pages × ${showRate(home.costParts.perPage, home.currency)} = ${showMoney(home.cost, home.currency)}.`
        }
      />
      <Cell
        name="Price → royalty"
        value={
          home && price !== null
            ? `${showMoney(price, home.currency)} → ${showMoney(home.royalty!, home.currency)}`
            : 'no price'
        }
        tone={!home || price === null || price < home.lowestPrice ? 'error.main' : undefined}
        onOpen={to('listing')}
      />
      <Cell
        name="Proof"
        value={
          !proof.current && proof.findings.length === 0
            ? 'checking…'
            : mustFix
              ? `${mustFix} to fix`
              : 'nothing to fix'
        }
        tone={mustFix ? 'error.main' : 'primary.main'}
        onOpen={to('proof')}
      />
      {trimming && (
        <TrimDialog
          trim={ticket.trim}
          rules={rules}
          onClose={() => setTrimming(false)}
          onTake={(trim) => {
            print({ trim })();
            setTrimming(false);
          }}
        />
      )}
    </Box>
  );
}
