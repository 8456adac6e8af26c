import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { count } from './show.ts';

const REST_MS = 150;

/** The phrase, with what others of a market type that begins like it. */
export function PhraseField({ market }: { market: string }) {
  const [text, setText] = useState('');
  const [found, setFound] = useState<{ phrase: string; volume: number | null }[]>([]);
  useEffect(() => {
    if (text.trim().length < 2) {
      setFound([]);
      return;
    }
    const stop = new AbortController();
    const timer = setTimeout(() => {
      void fetch(`/market/suggestions?${new URLSearchParams({ market, start: text })}`, {
        signal: stop.signal,
      })
        .then((answer) => (answer.ok ? answer.json() : []))
        .then(setFound)
        .catch(() => {});
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text, market]);
  return (
    <Autocomplete
      freeSolo
      fullWidth
      options={found}
      filterOptions={(all) => all}
      getOptionLabel={(option) => (typeof option === 'string' ? option : option.phrase)}
      inputValue={text}
      onInputChange={(_, next) => setText(next)}
      renderOption={({ key, ...props }, { phrase, volume }) => (
        <Box component="li" key={key} {...props} sx={{ justifyContent: 'space-between !important' }}>
          <span>{phrase}</span>
          <Typography variant="caption">{volume === null ? '' : `${count(volume)} a month`}</Typography>
        </Box>
      )}
      renderInput={(params) => (
        <TextField {...params} name="phrase" label="Phrase" placeholder="beekeeping word search" autoFocus />
      )}
    />
  );
}
