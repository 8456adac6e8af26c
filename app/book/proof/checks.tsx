import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Check, CircleAlert, Ellipsis, X } from 'lucide-react';
import { Link as To, useNavigate, useParams } from 'react-router';
import { reroll } from '#core/book/edit.ts';
import { checks, type Finding } from '#core/proof/index.ts';
import { fieldId } from '../../parts/field-id.ts';
import { Mark } from '../../parts/mark.tsx';
import { useOpenBook } from '../open-book.tsx';
import { useBook } from '../store.ts';

const SHOWN = 60;

/** Each check with its answer, and each finding with the way to its place. */
export function Checks({ onPage }: { onPage: (page: number) => void }) {
  const { proof } = useOpenBook();
  const edit = useBook((state) => state.edit);
  const navigate = useNavigate();
  const { book } = useParams();
  const go = ({ place }: Finding) => {
    if (place.view === 'page') onPage(place.page);
    else if (place.view === 'listing')
      void navigate(`/books/${book}/listing${place.field ? `#${fieldId(place.field)}` : ''}`);
    else if (place.view !== 'files') void navigate(`/books/${book}/${place.view}`);
  };
  const rollAgain = ({ section, items }: NonNullable<Finding['reroll']>) =>
    edit((recipe) => items.reduce((so, item) => reroll(so, section, item), recipe));
  const mustFix = proof.findings.filter(({ severity }) => severity === 'fix').length;
  return (
    <Box
      component="section"
      aria-label="Checks"
      sx={{ borderRight: 1, borderColor: 'divider', overflow: 'auto', p: 4, position: 'relative' }}
    >
      <Typography variant="h2" aria-live="polite">
        {proof.current ? (mustFix ? `${mustFix} to fix` : 'Nothing to fix') : 'Checking every page…'}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 2 }}>
        {proof.findings.slice(0, SHOWN).map((finding, i) => (
          <Box component="li" key={`${finding.check} ${i}`}>
            <Box
              component="button"
              type="button"
              onClick={() => go(finding)}
              sx={{
                font: 'inherit',
                fontSize: 14,
                textAlign: 'left',
                width: '100%',
                cursor: 'pointer',
                bgcolor: 'background.paper',
                color: 'text.primary',
                border: 1,
                borderColor: 'divider',
                borderLeft: 4,
                borderLeftColor: finding.severity === 'fix' ? 'error.main' : 'warning.main',
                borderRadius: 1,
                p: 2,
                mb: 1.5,
              }}
            >
              <strong>{finding.severity === 'fix' ? 'Must fix: ' : 'Warning: '}</strong>
              {finding.message}
            </Box>
            {finding.place.view === 'page' && finding.place.section && (
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: -1, mb: 1.5 }}>
                <Link
                  component={To}
                  to={`/books/${book}/flatplan?section=${finding.place.section}`}
                  variant="body2"
                >
                  Settings of this section
                </Link>
                {finding.reroll && (
                  <Button size="small" disabled={!proof.current} onClick={() => rollAgain(finding.reroll!)}>
                    Re-roll{finding.reroll.items.length > 1 && ` ${finding.reroll.items.length}`}
                  </Button>
                )}
              </Box>
            )}
          </Box>
        ))}
      </Box>
      {proof.findings.length > SHOWN && (
        <Typography variant="caption">and {proof.findings.length - SHOWN} more</Typography>
      )}
      <Typography variant="h3" sx={{ mt: 3, mb: 1 }}>
        Checks
      </Typography>
      {checks.map(({ id, name }) => {
        const found = proof.findings.filter(({ check }) => check === id);
        const bad = found.some(({ severity }) => severity === 'fix');
        return (
          <Box
            key={id}
            sx={{ display: 'flex', gap: 2, py: 1, borderTop: 1, borderColor: 'divider', fontSize: 14 }}
          >
            <Box
              component="span"
              aria-hidden
              sx={{
                width: 16,
                fontWeight: 700,
                color: bad
                  ? 'error.main'
                  : found.length
                    ? 'warning.main'
                    : proof.current
                      ? 'primary.main'
                      : 'text.secondary',
              }}
            >
              <Mark icon={bad ? X : found.length ? CircleAlert : proof.current ? Check : Ellipsis} />
            </Box>
            <span>
              {name}
              {found.length > 0 && `: ${found.length}`}
            </span>
          </Box>
        );
      })}
    </Box>
  );
}
