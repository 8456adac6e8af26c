import Button from '@mui/material/Button';
import { useState } from 'react';
import { words, writeWords } from '#core/resources/index.ts';
import type { WordList } from '#core/words/index.ts';
import { complain, tell } from '../parts/notices.tsx';
import { uploadResource } from '../parts/upload-resource.ts';
import { TopicDialog } from './topic-dialog.tsx';

/** Lists for a topic, saved as word banks: one for each, or all of them together. */
export function TopicBanks({ onSaved, onClose }: { onSaved: () => void; onClose: () => void }) {
  const [saving, setSaving] = useState(false);
  const save = async (banks: readonly { title: string; words: string[] }[]) => {
    setSaving(true);
    for (const bank of banks) {
      const answer = await uploadResource(words.id, bank.title, writeWords(bank.words));
      if ('problem' in answer) {
        complain(`“${bank.title}” ${answer.problem}`);
        return setSaving(false);
      }
    }
    tell(banks.length === 1 ? `“${banks[0]!.title}” saved.` : `${banks.length} word banks saved.`);
    onSaved();
  };
  return (
    <TopicDialog
      onClose={onClose}
      actions={(lists) => (
        <>
          <Button
            disabled={saving || lists.length < 2}
            onClick={() => void save([{ title: lists[0]!.title, words: together(lists) }])}
          >
            Save as one word bank
          </Button>
          <Button
            variant="contained"
            disabled={saving || lists.length === 0}
            onClick={() => void save(lists)}
          >
            {lists.length > 1 ? `Save as ${lists.length} word banks` : 'Save as word bank'}
          </Button>
        </>
      )}
    />
  );
}

const together = (lists: readonly WordList[]) => [...new Set(lists.flatMap(({ words: own }) => own))];
