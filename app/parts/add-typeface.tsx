import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { type Rights, typeface } from '#core/resources/index.ts';
import { uploadResource } from './upload-resource.ts';

/** Takes fonts of the publisher's own, with what their license allows. */
export function AddTypeface({
  onClose,
  onKept,
}: {
  onClose: () => void;
  /** Something was kept: lists of typefaces are older than that. */
  onKept: () => void;
}) {
  const [rights, setRights] = useState<Rights>({});
  const [kept, setKept] = useState<string[]>([]);
  const [problems, setProblems] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const take = async (files: File[]) => {
    setBusy(true);
    setKept([]);
    setProblems([]);
    for (const file of files) {
      const answer = await uploadResource(typeface.id, file.name.slice(0, 100), file, rights);
      if ('problem' in answer) setProblems((before) => [...before, answer.problem]);
      else setKept((before) => [...before, ...answer.kept.map(({ name }) => name)]);
    }
    setBusy(false);
    onKept();
  };
  const { getRootProps, getInputProps, open } = useDropzone({
    noClick: true,
    noKeyboard: true,
    onDrop: (files) => void take(files),
  });
  const said = (key: keyof Rights, label: string, helperText?: string) => (
    <TextField
      label={label}
      value={rights[key] ?? ''}
      helperText={helperText}
      onChange={(event) => setRights({ ...rights, [key]: event.target.value })}
    />
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>Add typefaces</DialogTitle>
      <DialogContent {...getRootProps()}>
        <input {...getInputProps()} aria-label="Font files" />
        <Typography variant="body2" sx={{ mb: 4 }}>
          TTF, OTF, WOFF or WOFF2. A variable font gives one typeface for each of its styles. A font whose own
          license bits forbid embedding is refused: it could not be printed.
        </Typography>
        <Stack spacing={4}>
          {said('license', 'License', 'What allows you to sell books set in it, such as “OFL 1.1”')}
          {said('holder', 'Who holds the rights')}
          {said('source', 'Where it comes from')}
        </Stack>
        <Stack spacing={2} sx={{ mt: 4 }} aria-live="polite">
          {busy && <Alert severity="info">Reading…</Alert>}
          {kept.length > 0 && (
            <Alert severity="success" variant="outlined">
              Added: {kept.join(', ')}
            </Alert>
          )}
          {problems.map((problem) => (
            <Alert key={problem} severity="error" variant="outlined">
              {problem}
            </Alert>
          ))}
        </Stack>
      </DialogContent>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" disabled={busy} onClick={open}>
          Choose files…
        </Button>
      </DialogActions>
    </Dialog>
  );
}
