import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as To } from 'react-router';
import { BRIEF_KINDS } from '#core/niche/index.ts';
import { DescriptionList } from '../parts/description-list.tsx';
import { useFormats } from '../parts/formats.tsx';
import { useNiche } from './niche-desk.tsx';
import { moneyOf } from './show.ts';

/** The first brief, short. */
export function BriefSummary() {
  const formats = useFormats();
  const { niche, briefs } = useNiche();
  const decided = briefs[0]?.brief;
  if (!decided) return null;
  const rows: [string, string][] = [
    ['Title', decided.title],
    ['Contents', decided.kinds.map((kind) => BRIEF_KINDS[kind]).join(', ')],
    ['Trim', decided.trim],
    ['Pages', `${decided.pages}, ${decided.ink}`],
    [
      'Price',
      Object.entries(decided.prices)
        .map(([market, price]) => moneyOf(market).exact(price))
        .join(' · '),
    ],
    ['Keywords', `${decided.keywords.length}`],
    [
      'Publish by',
      decided.publishBy
        ? `${formats.day(decided.publishBy)}${decided.occasion ? `, ${decided.occasion}` : ''}`
        : 'not decided',
    ],
  ];
  return (
    <>
      <Typography variant="h2" sx={{ mt: 3, mb: 1 }}>
        Brief
      </Typography>
      <DescriptionList rows={rows} />
      <Link component={To} to={`/niches/${niche.id}/brief`} sx={{ display: 'inline-block', mt: 1 }}>
        {briefs.length > 1 ? `All ${briefs.length} briefs` : 'Change the brief'}
      </Link>
    </>
  );
}
