import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { mergeAttributes, Node } from '@tiptap/core';
import { type NodeViewProps, NodeViewWrapper, ReactNodeViewRenderer } from '@tiptap/react';
import { X } from 'lucide-react';
import { PICTURE_SIZE } from '#core/rich-text/index.ts';
import { NumberField } from '../../../parts/number-field.tsx';
import { useBook } from '../../store.ts';
import { FileSheet } from '../file-sheet.tsx';

/** A field of the book within a text, as a sign that is taken out as one. @param nameOf what it is called */
export const fieldNode = (nameOf: (field: string) => string) =>
  Node.create({
    name: 'field',
    group: 'inline',
    inline: true,
    atom: true,
    addAttributes: () => ({
      name: { default: '', parseHTML: (element) => element.getAttribute('data-field') },
    }),
    parseHTML: () => [{ tag: 'span[data-field]' }],
    renderHTML: ({ node, HTMLAttributes: attributes }) => [
      'span',
      mergeAttributes(attributes, { 'data-field': node.attrs.name }),
      nameOf(node.attrs.name),
    ],
    renderText: ({ node }) => `{${node.attrs.name}}`,
  });

/** A picture of the book between two paragraphs. */
export const pictureNode = Node.create({
  name: 'picture',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({ id: { default: '' }, size: { default: PICTURE_SIZE.usual } }),
  renderHTML: () => ['div', { 'data-picture': '' }],
  addNodeView: () => ReactNodeViewRenderer(PictureView),
});

const ROOM = { width: 104, height: 88 };

function PictureView({ node, selected, updateAttributes, deleteNode }: NodeViewProps) {
  const file = useBook((state) => state.value.resources[node.attrs.id]);
  return (
    <NodeViewWrapper>
      <Box
        contentEditable={false}
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 3,
          my: 2,
          p: 2,
          border: 1,
          borderColor: selected ? 'primary.main' : 'divider',
        }}
      >
        {file && <FileSheet file={file} page={1} room={ROOM} />}
        <Box sx={{ flex: 1 }}>
          <NumberField
            label="Height, %"
            value={node.attrs.size}
            min={PICTURE_SIZE.least}
            max={PICTURE_SIZE.most}
            onCommit={(size) => {
              updateAttributes({ size });
              return null;
            }}
          />
        </Box>
        <IconButton size="small" aria-label={`Take out ${file?.name ?? 'the picture'}`} onClick={deleteNode}>
          <X size={16} />
        </IconButton>
      </Box>
    </NodeViewWrapper>
  );
}
