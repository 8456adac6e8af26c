import Box from '@mui/material/Box';

/** Mark and name. */
export function Brand() {
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        fontFamily: '"Alegreya", serif',
        fontStyle: 'italic',
        fontWeight: 700,
        fontSize: 22,
        whiteSpace: 'nowrap',
      }}
    >
      <svg width="20" height="22" viewBox="0 0 20 22" aria-hidden="true">
        <path
          d="M2 20C3 10 8 3 18 2c-1 8-5 13-12 14M2 20l8-9"
          fill="none"
          stroke="#e3b34c"
          strokeWidth="1.8"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </svg>
      Restless Quill
    </Box>
  );
}
