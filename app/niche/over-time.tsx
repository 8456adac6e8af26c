import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useFormats } from '../parts/formats.tsx';
import { SaveCsv } from '../parts/save-csv.tsx';
import { LooksChart } from './looks-chart.tsx';
import { useNiche } from './niche-desk.tsx';
import { copies, count } from './show.ts';

/** Results and demand from look to look, and what moved since the one before. */
export function OverTime() {
  const formats = useFormats();
  const { niche, looks, moves, latest } = useNiche();
  if (!latest) return null;
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', mt: 3, mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Over time
        </Typography>
        <SaveCsv
          name={`${niche.phrase} snapshots`}
          rows={() => [
            ['day', 'results', 'monthly sales of the top 20'],
            ...looks.map(({ day, results, copies: sold }) => [day, results, sold.toFixed(1)]),
          ]}
        />
      </Box>
      {moves ? (
        <>
          <Typography variant="body2" sx={{ mb: 1 }}>
            Since {formats.day(moves.since)}: results {count(moves.resultsBefore)} → {count(latest.results)},
            copies {copies(moves.copiesBefore)} → {copies(latest.copies)}.
          </Typography>
          {moves.changes.slice(0, 4).map(({ message }) => (
            <Typography key={message} variant="body2" sx={{ mb: 0.5 }}>
              {message}
            </Typography>
          ))}
          <LooksChart
            question="Monthly sales of the top 20"
            height={96}
            show={count}
            points={looks.map(({ day, copies: value }) => ({ day, value }))}
          />
          <LooksChart
            question="Search results"
            height={96}
            show={count}
            points={looks.map(({ day, results }) => ({ day, value: results }))}
          />
        </>
      ) : (
        <Typography variant="body2">A second snapshot on another day shows what moved.</Typography>
      )}
    </>
  );
}
