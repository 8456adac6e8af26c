import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import { type Editor, useEditorState } from '@tiptap/react';
import { Bold, Braces, Heading, ImagePlus, Italic, List, ListOrdered, type LucideIcon } from 'lucide-react';
import { useRef, useState } from 'react';
import { tokens } from '../../../theme.ts';

/** What can be done to the words that are chosen, by pointer; the keys are those of the editor. */
export function Toolbar({
  editor,
  fields,
  busy,
  onPicture,
}: {
  editor: Editor;
  /** Of the book: their names, what they are called, and what they say now. */
  fields: readonly { name: string; label: string; value: string }[];
  busy: boolean;
  onPicture: (file: File) => void;
}) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const active = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      title: now.isActive('heading'),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
    }),
  });
  const act = () => editor.chain().focus();
  return (
    <Box
      role="toolbar"
      aria-label="Look of the text"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, p: 1, borderBottom: 1, borderColor: 'divider' }}
    >
      <Tool label="Bold (Ctrl+B)" icon={Bold} on={active.bold} act={() => act().toggleBold().run()} />
      <Tool
        label="Italics (Ctrl+I)"
        icon={Italic}
        on={active.italic}
        act={() => act().toggleItalic().run()}
      />
      <Tool
        label="Title"
        icon={Heading}
        on={active.title}
        act={() => act().toggleHeading({ level: 1 }).run()}
      />
      <Tool label="List" icon={List} on={active.bullets} act={() => act().toggleBulletList().run()} />
      <Tool
        label="Numbered list"
        icon={ListOrdered}
        on={active.numbers}
        act={() => act().toggleOrderedList().run()}
      />
      <Tool label="Field of the book" icon={Braces} opens act={(button) => setMenu(button)} />
      <Tool label="Picture" icon={ImagePlus} disabled={busy} act={() => chooser.current?.click()} />
      <input
        ref={chooser}
        type="file"
        hidden
        aria-label="Picture in the text"
        accept=".png,.jpg,.jpeg,.webp,.tif,.tiff"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onPicture(file);
        }}
      />
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)} disableRestoreFocus>
        {fields.map(({ name, label, value }) => (
          <MenuItem
            key={name}
            onClick={() => {
              setMenu(null);
              act().insertContent({ type: 'field', attrs: { name } }).run();
            }}
          >
            {value ? `${label}: ${value}` : label}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}

function Tool({
  label,
  icon: Icon,
  on,
  opens = false,
  disabled = false,
  act,
}: {
  label: string;
  icon: LucideIcon;
  /** Whether the words that are chosen have it; left out where it puts something in. */
  on?: boolean;
  opens?: boolean;
  disabled?: boolean;
  act: (button: HTMLElement) => void;
}) {
  return (
    <Tooltip title={label}>
      <span>
        <IconButton
          size="small"
          aria-label={label.replace(/ \(.*/, '')}
          aria-haspopup={opens ? 'menu' : undefined}
          aria-pressed={on}
          disabled={disabled}
          // The words stay chosen.
          onMouseDown={(event) => event.preventDefault()}
          onClick={(event) => act(event.currentTarget)}
          sx={on ? { bgcolor: tokens.verdigrisSoft, color: 'primary.main' } : {}}
        >
          <Icon size={16} />
        </IconButton>
      </span>
    </Tooltip>
  );
}
