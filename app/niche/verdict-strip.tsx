import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { Check, Minus, X } from 'lucide-react';
import type { Condition, Odds, Outlook, Verdict } from '#core/niche/index.ts';
import { useNiche } from './niche-desk.tsx';
import { conditionValue, copies, count, type Money, percent, sentence, VERDICT_COLORS } from './show.ts';
import { VerdictMark } from './verdict-mark.tsx';

/** The verdict in a word, how sure it is, what a new book would earn, and every condition it follows from. */
export function VerdictStrip({ verdict, onAssumptions }: { verdict: Verdict; onAssumptions: () => void }) {
  const { money } = useNiche();
  const { word, confidence, outlook, odds, veto } = verdict;
  const decided = verdict.conditions.filter((one) => one.word === 'open');
  const against = verdict.conditions.filter((one) => one.word !== 'open');
  return (
    <Box
      component="section"
      aria-label="Verdict"
      sx={{
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        display: 'grid',
        gridTemplateColumns: {
          xs: 'minmax(0, 1.3fr) minmax(0, 1fr)',
          lg: 'minmax(0, 1.15fr) minmax(0, 1fr) minmax(0, 1fr)',
        },
      }}
    >
      <Box sx={{ p: 2.5 }}>
        <Typography variant="caption">Verdict</Typography>
        <Typography
          sx={{
            fontFamily: '"Alegreya", serif',
            fontWeight: 700,
            fontSize: 21,
            lineHeight: 1.2,
            color: VERDICT_COLORS[word],
          }}
        >
          <VerdictMark word={word} /> {sentence(word)}
        </Typography>
        <Tooltip
          title={
            <Box component="ul" sx={{ m: 0, pl: 4 }}>
              {confidence.reasons.map((reason) => (
                <li key={reason}>{reason}</li>
              ))}
            </Box>
          }
          disableHoverListener={confidence.reasons.length === 0}
        >
          <Typography
            variant="body2"
            tabIndex={0}
            sx={{ textDecoration: 'underline dotted', width: 'fit-content' }}
          >
            {sentence(confidence.level)} confidence
          </Typography>
        </Tooltip>
        <Typography variant="body2" sx={{ mt: 1 }}>
          {outlook?.books ? <Earnings outlook={outlook} money={money} /> : 'No books to judge by.'}
        </Typography>
        {odds.all.of > 0 && (
          <Typography variant="body2" sx={{ mt: 0.5 }}>
            {saidOdds(odds.fresh, 'new')} {saidOdds(odds.all, 'all')}
          </Typography>
        )}
        {veto && (
          <Typography variant="body2" sx={{ mt: 0.5, fontWeight: 700 }}>
            Not open for one reason: {veto.charAt(0).toLowerCase() + veto.slice(1)}.
          </Typography>
        )}
        <Link component="button" type="button" variant="body2" onClick={onAssumptions}>
          Change the assumptions
        </Link>
      </Box>
      <Conditions title="Open, if all are met" conditions={decided} good />
      <Conditions title="No demand or crowded, if met" conditions={against} wide />
    </Box>
  );
}

const Earnings = ({
  outlook: { mean, low, high, earnings, royalty, breakEvenClick, anHour },
  money,
}: {
  outlook: Outlook;
  money: Money;
}) => (
  <>
    A new book earns <strong>{money.whole(mean)} a month</strong> on average, the middle half{' '}
    {money.whole(low)} to {money.whole(high)}, one in ten {money.whole(earnings.at(-1)!)} or more.{' '}
    {money.whole(12 * mean)} in 12 months, {money.whole(anHour)} for an hour of making. Royalty{' '}
    {money.exact(royalty)}
    {royalty > 0 ? `; a click breaks even at ${money.exact(breakEvenClick)}` : ', a loss on every copy'}.
  </>
);

/** Of fewer books a middle half says nothing. */
const LEAST_OF_A_HALF = 4;

/** “2 of 15 new books sell, the middle half 3 to 9 copies a month.” */
function saidOdds({ sell, of, low, high }: Odds, which: 'new' | 'all'): string {
  if (of === 0) return which === 'new' ? 'No new books were read.' : '';
  const books =
    which === 'new' ? `new ${of === 1 ? 'book' : 'books'}` : `${of === 1 ? 'book' : 'books'} read`;
  const half =
    which === 'new' && of >= LEAST_OF_A_HALF
      ? `, the middle half ${copies(low)} to ${copies(high)} copies a month`
      : '';
  return `${count(sell)} of ${count(of)} ${books} ${sell === 1 ? 'sells' : 'sell'}${half}.`;
}

const boundOf = ({ bound, unit, from }: Condition, money: Money): string => {
  const value = unit === 'share' ? percent(bound) : unit === 'money' ? money.whole(bound) : count(bound);
  return `${from ? 'at least' : 'at most'} ${value}`;
};

/** Conditions with their numbers, each marked as met or not. */
function Conditions({
  title,
  conditions,
  good = false,
  wide = false,
}: {
  title: string;
  conditions: readonly Condition[];
  good?: boolean;
  /** Under the others where there is less room, in two columns. */
  wide?: boolean;
}) {
  const { money } = useNiche();
  return (
    <Box
      sx={{
        px: 2.5,
        py: 2,
        borderLeft: '1px dashed',
        borderColor: 'divider',
        minWidth: 0,
        ...(wide ? { gridColumn: { xs: '1 / -1', lg: 'auto' } } : {}),
      }}
    >
      <Typography variant="caption" component="h3">
        {title}
      </Typography>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          fontSize: 13,
          lineHeight: 1.3,
          ...(wide ? { columnCount: { xs: 2, lg: 1 } } : {}),
        }}
      >
        {conditions.map((one) => (
          <Box
            component="li"
            key={one.id}
            sx={{ display: 'flex', gap: 1, py: 0.25, color: one.met ? 'text.primary' : 'text.secondary' }}
          >
            <Box
              component="span"
              sx={{
                color:
                  one.met && one.value !== null ? (good ? 'primary.main' : 'error.main') : 'text.secondary',
                pt: 0.25,
              }}
              role="img"
              aria-label={one.value === null ? 'not known' : one.met ? 'met' : 'not met'}
            >
              {one.value === null ? <Minus size={14} /> : one.met ? <Check size={14} /> : <X size={14} />}
            </Box>
            <span>
              {one.what} <strong>{conditionValue(one.value, one.unit, money)}</strong>, {boundOf(one, money)}
            </span>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
