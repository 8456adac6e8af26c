import Button from '@mui/material/Button';
import type { WordList } from '#core/words/index.ts';
import { TopicDialog } from './topic-dialog.tsx';

/** Lists for a topic that are added to what is there. @param label of the button that adds them */
export function AddFromTopic({
  label,
  onLists,
  onClose,
}: {
  label: string;
  onLists: (lists: WordList[]) => void;
  onClose: () => void;
}) {
  return (
    <TopicDialog
      onClose={onClose}
      actions={(lists) => (
        <Button
          variant="contained"
          disabled={lists.length === 0}
          onClick={() => {
            onClose();
            onLists(lists);
          }}
        >
          {label}
        </Button>
      )}
    />
  );
}
