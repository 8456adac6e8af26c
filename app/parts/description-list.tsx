import Box from '@mui/material/Box';

/** Names and values under each other, the values flush right. */
export function DescriptionList({ rows }: { rows: readonly (readonly [name: string, value: string])[] }) {
  return (
    <Box
      component="dl"
      sx={{
        m: 0,
        display: 'grid',
        gridTemplateColumns: 'auto 1fr',
        fontSize: 14,
        '& dt': { color: 'text.secondary' },
        '& dd': { m: 0, pl: 3, textAlign: 'right' },
        '& > *': { py: '3px', borderTop: 1, borderColor: 'divider' },
      }}
    >
      {rows.flatMap(([name, value]) => [<dt key={name}>{name}</dt>, <dd key={`${name}:`}>{value}</dd>])}
    </Box>
  );
}
