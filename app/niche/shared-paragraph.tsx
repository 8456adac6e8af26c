import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { sharedByBest } from '#core/niche/index.ts';
import { useNiche } from './niche-desk.tsx';

/** What the best sellers share, in words; every number leads to the rows it was counted from. */
export function SharedParagraph() {
  const { niche, counted, assumptions, setFilter } = useNiche();
  const navigate = useNavigate();
  const pieces = useMemo(() => sharedByBest(counted, assumptions.lists), [counted, assumptions.lists]);
  return (
    <Typography component="p" sx={{ lineHeight: 1.55 }}>
      {pieces.map(({ text, filter }, i) =>
        filter ? (
          <Link
            key={i}
            component="button"
            type="button"
            underline="always"
            sx={{ font: 'inherit', fontWeight: 700, verticalAlign: 'baseline' }}
            onClick={() => {
              setFilter(filter);
              void navigate(`/niches/${niche.id}/rivals`);
            }}
          >
            {text}
          </Link>
        ) : (
          <span key={i}>{text}</span>
        ),
      )}
    </Typography>
  );
}
