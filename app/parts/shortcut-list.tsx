import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { keysShown, useShortcuts } from './shortcuts.tsx';

/** Every key that does something on the page at hand. */
export default function ShortcutList({ onClose }: { onClose: () => void }) {
  const all = [...useShortcuts((state) => state.all)].filter(([, { keys }]) => keys !== '');
  const groups = [...new Set(all.map(([, { group }]) => group))];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>Keyboard shortcuts</DialogTitle>
      <DialogContent>
        {groups.map((group) => (
          <section key={group} aria-label={group}>
            <Typography variant="h3" sx={{ mt: 2 }}>
              {group}
            </Typography>
            <Table size="small">
              <TableBody>
                {all
                  .filter(([, shortcut]) => shortcut.group === group)
                  .map(([id, { keys, does }]) => (
                    <TableRow key={id}>
                      <TableCell>{does}</TableCell>
                      <TableCell align="right" sx={{ whiteSpace: 'nowrap', color: 'text.secondary' }}>
                        {keysShown(keys)}
                      </TableCell>
                    </TableRow>
                  ))}
              </TableBody>
            </Table>
          </section>
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
