import Box from '@mui/material/Box';
import { WrapFields } from '../book/wrap/wrap-fields.tsx';
import { WrapSheet } from '../book/wrap/wrap-sheet.tsx';
import { WrapStyle } from '../book/wrap/wrap-style.tsx';

/** The cover sheet, large, between its house style and the words on it. */
export default function Wrap() {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '190px minmax(0, 1fr) 260px', lg: '232px minmax(0, 1fr) 306px' },
        minHeight: 0,
      }}
    >
      <WrapStyle />
      <WrapSheet />
      <WrapFields />
    </Box>
  );
}
