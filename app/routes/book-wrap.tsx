import Box from '@mui/material/Box';
import { useState } from 'react';
import type { PlacedLayer } from '#core/cover/wrap.ts';
import { CoverLayers } from '../book/wrap/cover-layers.tsx';
import { WrapFields } from '../book/wrap/wrap-fields.tsx';
import { WrapSheet } from '../book/wrap/wrap-sheet.tsx';
import { WrapStyle } from '../book/wrap/wrap-style.tsx';

/** The cover sheet, large, between its house style with its layers and the words on it. */
export default function Wrap() {
  const [layers, setLayers] = useState<PlacedLayer[]>([]);
  const [chosen, setChosen] = useState<string | null>(null);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '190px minmax(0, 1fr) 260px', lg: '232px minmax(0, 1fr) 306px' },
        minHeight: 0,
      }}
    >
      <WrapStyle>
        <CoverLayers layers={layers} chosen={chosen} onChoose={setChosen} />
      </WrapStyle>
      <WrapSheet layers={layers} onLayers={setLayers} chosen={chosen} onChoose={setChosen} />
      <WrapFields />
    </Box>
  );
}
